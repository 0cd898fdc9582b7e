import { useMemo, useState } from 'react';
import { formatSigned, parseLength, type Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  canBeRehung,
  effectsOfCorrection,
  isFixed,
  isUntold,
  measuredWith,
  partsOfCorrections,
  recomputedBefore,
  type AcceptedSolution,
  type Correction,
  classOf,
} from '@idle-marker/records';
import { effectWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { clockTime } from '../../ui/time.ts';
import { chosenOf, SightRange, useChosenSights } from './SightRange.tsx';

const SHOWN = 40;
/** So many names are read in a sentence. */
const NAMED = 6;
const MM = 1000;
const OTHER = 'other';

type What = Correction['what'];
const WHAT: readonly (readonly [What, string])[] = [
  ['targetHeight', 'Target height of a range of sights'],
  ['prismConstant', 'Target of a range of sights'],
  ['station', 'Station of a range of sights'],
  ['instrumentHeight', 'Height of the instrument'],
];
/** Metres that can be right. */
const LIMITS: Readonly<Record<Exclude<What, 'station'>, readonly [Metres, Metres]>> = {
  targetHeight: [-5, 20],
  prismConstant: [-0.5, 0.5],
  instrumentHeight: [0, 10],
};

/** Something that was entered wrongly: every mark that it concerns is shown first, computed again, and both figures are kept. */
export function CorrectEntries({ solution, onClose }: { readonly solution: AcceptedSolution; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const { occupation } = solution;
  const [what, setWhat] = useState<What>('targetHeight');
  const all = useMemo(
    () =>
      [...state.sights.values()].filter(
        (sight) => sight.body.occupation === occupation.id && sight.body.target.kind !== 'direction' && !state.withdrawn.has(sight.id),
      ),
    [state, occupation.id],
  );
  const sights = useMemo(() => (what === 'station' ? all.filter(canBeRehung) : all), [what, all]);
  const [picked, setPicked] = useChosenSights(all);
  const { choice, chosen } = useMemo(() => {
    const listed = (id: string, instead: string | undefined) => (sights.some((sight) => sight.id === id) ? id : (instead ?? ''));
    const inList = { ...picked, from: listed(picked.from, sights[0]?.id), to: listed(picked.to, sights.at(-1)?.id) };
    return { choice: inList, chosen: chosenOf(sights, inList).chosen };
  }, [sights, picked]);
  const stations = state.accepted.filter((each) => !each.withdrawn && each.fact.id !== solution.fact.id);
  const targets = state.equipment.flatMap(({ body }) => (body.what.kind === 'target' ? [{ item: body.item, ...body.what }] : []));
  const [target, setTarget] = useState(targets[0]?.item ?? OTHER);
  const [value, setValue] = useState('');
  const [station, setStation] = useState(stations.at(-1)?.fact.id ?? '');
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const carried = targets.find((each) => each.item === target) ?? null;
  const typed = what === 'prismConstant' ? parseLength(value, 'metre') : units.readLength(value);
  const entered = what === 'prismConstant' ? (carried ? carried.constantMm : typed) : typed;
  const metres = entered === null ? null : what === 'prismConstant' ? entered / MM : entered;
  const inLimits = what === 'station' || (metres !== null && metres >= LIMITS[what][0] && metres <= LIMITS[what][1]);
  // A wall target has no pole; among the chosen it would be given one.
  const fixed = chosen.find((sight) => isFixed(state, sight.body.target)) ?? null;
  const targetName = (sight: Fact<'sight'>) => {
    const { target } = sight.body;
    return target.kind === 'control' ? (state.control.find((mark) => mark.id === target.mark)?.revision.body.name ?? 'It') : 'It';
  };
  const correction = useMemo((): Correction | null => {
    const of = { occupation: occupation.id };
    const ids = chosen.map((sight) => sight.id);
    if (what === 'station') return station === '' || ids.length === 0 ? null : { what, ...of, sights: ids, station };
    if (!inLimits || metres === null) return null;
    if (what === 'instrumentHeight') return { what, ...of, sights: [], value: metres };
    return ids.length === 0 ? null : { what, ...of, sights: ids, value: metres };
  }, [what, occupation.id, station, inLimits, metres, chosen]);
  // Built from what is shown, so that nothing is said that was not seen.
  const effects = useMemo(() => (correction ? effectsOfCorrection(state, correction) : []), [state, correction]);
  const parts = correction ? partsOfCorrections(state, correction) : { plan: false, height: true };
  const rows = effects.map((effect) => {
    const mark = [...state.marks.values()].find((each) => each.id === effect.mark)!;
    const asked = classOf(state, mark.body.class);
    const told = { plan: parts.plan && mark.body.needs.plan, height: effect.heightMm !== null || mark.body.needs.height };
    return { effect, name: mark.body.name, untold: isUntold(mark, effect, parts), ...effectWords(effect, told, asked, units.lengthUnit) };
  });
  const untold = rows.filter((row) => row.untold);
  const measured = correction ? measuredWith(state, correction) : [];
  const errors = {
    value:
      what === 'targetHeight' && metres !== 0 && fixed
        ? `${targetName(fixed)} has no pole: its target height can only be 0. Choose the sights without it.`
        : inLimits
          ? null
          : what === 'prismConstant'
            ? 'Give the constant, between −500 and 500 mm.'
            : 'Give the height as it was.',
    range: what !== 'instrumentHeight' && chosen.length === 0 ? 'Choose at least one sight; the first must not come after the last.' : null,
    station: what === 'station' && station === '' ? 'No other station was accepted here: accept the right one first.' : null,
    untold:
      untold.length > 0
        ? `${untold.map((row) => row.name).join(', ')} can’t be computed with that. Withdraw the station in the field book instead, and sight the marks again.`
        : null,
    reason: reason.trim() === '' ? 'Say how you know: it goes into the book.' : null,
  };
  const keep = async () => {
    setTried(true);
    if (!correction || Object.values(errors).some((error) => error !== null)) return;
    const said = reason.trim();
    const before = recomputedBefore(state, occupation.id);
    await say(
      { type: 'correction', body: { ...correction, reason: said } },
      ...(effects.length > 0 || before
        ? [
            {
              type: 'finding' as const,
              body: {
                cause: 'recomputed' as const,
                revision: null,
                ...parts,
                effects,
                reason: `Marks from ${solution.fact.body.name} recomputed: ${said}`,
                supersedes: before?.id ?? null,
              },
            },
          ]
        : []),
    );
    onClose();
  };
  const asEntered = ({ body }: Fact<'sight'>): string =>
    what === 'prismConstant' ? `${formatSigned(body.prismConstantMm, 1)} mm` : units.length(body.targetHeight);
  const ownHeights = what === 'prismConstant' && carried ? chosen.filter(({ body }) => body.carried && body.carried.ownHeight !== carried.ownHeight) : [];
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={`Something at ${solution.fact.body.name} was entered wrongly`}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void keep()}>
            Correct it
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label="What was wrong"
          value={what}
          options={WHAT}
          onChange={setWhat}
          help={
            what === 'instrumentHeight' && !occupation.body.over
              ? 'On a free station the marks give the axis, so this only moves the ground below it.'
              : 'What was read stays as it was read; the entry is corrected.'
          }
        />
        {what === 'station' && (
          <Choice
            label="They were taken from"
            value={station}
            options={
              stations.length === 0
                ? [['', 'no other station']]
                : stations.map((each) => [each.fact.id, `${each.fact.body.name}, accepted ${clockTime(each.decision.at)}`] as const)
            }
            onChange={setStation}
            help="The marks hang on the evidence of that station from then on."
          />
        )}
        {what === 'prismConstant' && (
          <Choice
            label="It was"
            value={target}
            options={[
              ...targets.map((each) => [each.item, `${each.name}, ${formatSigned(each.constantMm, 1)} mm`] as const),
              [OTHER, targets.length === 0 ? 'a target with the constant' : 'another, with the constant'],
            ]}
            onChange={setTarget}
          />
        )}
        {what !== 'station' && !(what === 'prismConstant' && carried) && (
          <Field
            label={what === 'prismConstant' ? 'Right constant' : 'Right value'}
            unit={what === 'prismConstant' ? 'mm' : units.unit}
            value={value}
            inputMode={what === 'instrumentHeight' ? 'decimal' : 'text'}
            onChange={(event) => setValue(event.target.value)}
            error={tried || value !== '' ? errors.value : null}
          />
        )}
      </div>
      {what !== 'instrumentHeight' && <SightRange sights={sights} value={choice} onChange={setPicked} entered={asEntered} />}
      {errors.station && <p className="font-medium text-brick">{errors.station}</p>}
      {(tried || sights.length === 0) && errors.range && <p className="font-medium text-brick">{errors.range}</p>}
      {ownHeights.length > 0 && (
        <p className="mt-2 text-ochre">
          Its centre is {units.length(carried!.ownHeight)} {units.unit} above the pole’s mark; {ownHeights.length}{' '}
          {ownHeights.length === 1 ? 'sight was' : 'sights were'} reckoned with another. Correct the target height too.
        </p>
      )}
      {correction && (
        <section className="mt-3" aria-label="Marks concerned">
          <h3 className="text-[15px]">
            {rows.length === 0
              ? 'Every mark set from here stays where it was thought to be.'
              : `${rows.length} ${rows.length === 1 ? 'mark is' : 'marks are'} elsewhere than was thought:`}
          </h3>
          {rows.length === 0 && what === 'targetHeight' && chosen.some((sight) => sight.body.purpose === 'station') && (
            <p className="text-ink2">The same slip at the control and at the marks cancels: the station comes out as much too high as the marks too low.</p>
          )}
          <ul className="max-h-56 overflow-y-auto" tabIndex={0} role="region" aria-label="List of marks">
            {rows.slice(0, SHOWN).map((row) => (
              <li key={row.effect.mark} className="flex justify-between gap-4 border-b border-rule py-0.5">
                <strong className="whitespace-nowrap">{row.name}</strong>
                <span className={row.out ? 'text-brick' : ''}>{row.text}</span>
              </li>
            ))}
          </ul>
          {rows.length > SHOWN && <p className="text-ink2">And {rows.length - SHOWN} more.</p>}
          {errors.untold && <p className="font-medium text-brick">{errors.untold}</p>}
          {measured.length > 0 && (
            <p className="mt-1 text-ochre">
              Measured with these sights as it stands, and not computed again:{' '}
              {measured
                .slice(0, NAMED)
                .map(({ body }) => body.name)
                .join(', ')}
              {measured.length > NAMED && ` and ${measured.length - NAMED} more`}. Measure {measured.length === 1 ? 'it' : 'them'} again before a report goes
              out.
            </p>
          )}
        </section>
      )}
      <Field
        className="mt-3"
        label="How you know (needed)"
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried ? errors.reason : null}
      />
    </Dialog>
  );
}
