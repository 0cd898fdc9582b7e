import { useMemo, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { effectsOfCorrection, type AcceptedSolution, type Correction } from '@idle-marker/records';
import { effectWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { clockTime } from '../../ui/time.ts';

const SHOWN = 40;

/** A height that was entered wrongly: every mark that it concerns is shown first, computed again, and both figures are kept. */
export function CorrectHeights({ solution, onClose }: { readonly solution: AcceptedSolution; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const { occupation } = solution;
  const [what, setWhat] = useState<Correction['what']>('targetHeight');
  const sights = useMemo(
    () =>
      [...state.sights.values()].filter(
        (sight) => sight.body.occupation === occupation.id && sight.body.target.kind !== 'direction' && !state.withdrawn.has(sight.id),
      ),
    [state, occupation.id],
  );
  const [from, setFrom] = useState(sights[0]?.id ?? '');
  const [to, setTo] = useState(sights.at(-1)?.id ?? '');
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const [value, setValue] = useState('');
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const first = sights.findIndex((sight) => sight.id === from);
  const last = sights.findIndex((sight) => sight.id === to);
  const range = first <= last ? sights.slice(first, last + 1) : [];
  const chosen = range.filter((sight) => !skipped.has(sight.id));
  const read = units.readLength(value);
  const valid = read !== null && read >= -5 && read <= 20;
  const correction: Correction | null = valid
    ? { what, occupation: occupation.id, sights: what === 'targetHeight' ? chosen.map((sight) => sight.id) : [], value: read }
    : null;
  // Built from what is shown, so that nothing is said that was not seen.
  const effects = correction ? effectsOfCorrection(state, correction) : [];
  const rows = effects.map((effect) => {
    const mark = [...state.marks.values()].find((each) => each.id === effect.mark)!.body;
    const asked = state.settings.classes.find((each) => each.id === mark.class) ?? state.settings.classes[0]!;
    return { effect, name: mark.name, ...effectWords(effect, { plan: false, height: true }, asked, units.lengthUnit) };
  });
  const errors = {
    value: valid ? null : 'Give the height as it was.',
    range: what === 'targetHeight' && chosen.length === 0 ? 'Choose at least one sight; the first must not come after the last.' : null,
    reason: reason.trim() === '' ? 'Say how you know: it goes into the book.' : null,
  };
  const keep = async () => {
    setTried(true);
    if (!correction || Object.values(errors).some((error) => error !== null)) return;
    const said = reason.trim();
    await say(
      { type: 'correction', body: { ...correction, sights: [...correction.sights], reason: said } },
      ...(effects.length > 0
        ? [
            {
              type: 'finding' as const,
              body: {
                cause: 'recomputed' as const,
                revision: null,
                plan: false,
                height: true,
                effects,
                reason: `Heights from ${solution.fact.body.name} recomputed: ${said}`,
                supersedes: null,
              },
            },
          ]
        : []),
    );
    onClose();
  };
  const nameOf = (sight: Fact<'sight'>): string => {
    const { target } = sight.body;
    switch (target.kind) {
      case 'control':
        return state.control.find((mark) => mark.id === target.mark)?.revision.body.name ?? '?';
      case 'plan':
        return state.packages.flatMap((work) => work.body.plans).find((plan) => plan.key === target.key)?.name ?? target.key;
      case 'mark':
        return [...state.marks.values()].find((mark) => mark.id === target.mark)?.body.name ?? '?';
      case 'line':
        return target.item;
      default:
        return target.name;
    }
  };
  const option = (sight: Fact<'sight'>) => [sight.id, `${clockTime(sight.at)} ${nameOf(sight)}, ${units.length(sight.body.targetHeight)}`] as const;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={`A height of ${solution.fact.body.name} was entered wrongly`}
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
          label="Which height"
          value={what}
          options={[
            ['targetHeight', 'Target height of a range of sights'],
            ['instrumentHeight', 'Height of the instrument'],
          ]}
          onChange={setWhat}
          help={
            what === 'instrumentHeight' && !occupation.body.over
              ? 'On a free station the marks give the axis, so this only moves the ground below it.'
              : 'What was read stays as it was read; the entry is corrected.'
          }
        />
        <Field
          label="Right value"
          unit={units.unit}
          value={value}
          inputMode="decimal"
          onChange={(event) => setValue(event.target.value)}
          error={tried || value !== '' ? errors.value : null}
        />
        {what === 'targetHeight' && (
          <>
            <Choice label="From the sight" value={from} options={sights.map(option)} onChange={setFrom} />
            <Choice label="To the sight" value={to} options={sights.map(option)} onChange={setTo} />
          </>
        )}
      </div>
      {what === 'targetHeight' && range.length > 1 && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
            {chosen.length} of {range.length} sights: leave single ones out
          </summary>
          <div className="grid sm:grid-cols-2">
            {range.map((sight) => (
              <Tick
                key={sight.id}
                label={option(sight)[1]}
                checked={!skipped.has(sight.id)}
                onChange={(on) => setSkipped((before) => new Set(on ? [...before].filter((id) => id !== sight.id) : [...before, sight.id]))}
              />
            ))}
          </div>
        </details>
      )}
      {(tried || range.length === 0) && errors.range && <p className="font-medium text-brick">{errors.range}</p>}
      {correction && (
        <section className="mt-3" aria-label="Marks concerned">
          <h3 className="text-[15px]">
            {rows.length === 0
              ? 'No mark set from here changes its height.'
              : `${rows.length} ${rows.length === 1 ? 'mark changes' : 'marks change'} in height:`}
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
