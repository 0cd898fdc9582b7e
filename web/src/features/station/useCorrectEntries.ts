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
import { msg, effectWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { chosenOf, useChosenSights } from './SightRange.tsx';

const MM = 1000;

export const OTHER = 'other';

export type What = Correction['what'];

/** Metres that can be right. */
const LIMITS: Readonly<Record<Exclude<What, 'station'>, readonly [Metres, Metres]>> = {
  targetHeight: [-5, 20],
  prismConstant: [-0.5, 0.5],
  instrumentHeight: [0, 10],
};

/** What CorrectEntries shows, and what its buttons do. */
export function useCorrectEntries({
  solution,
  onClose,
}: Pick<{ readonly solution: AcceptedSolution; onClose(): void }, 'solution' | 'onClose'>) {
  const { state, say } = useSite();
  const units = useUnits();
  const { occupation } = solution;
  const [what, setWhat] = useState<What>('targetHeight');
  const all = useMemo(
    () =>
      [...state.sights.values()].filter(
        (sight) =>
          sight.body.occupation === occupation.id &&
          sight.body.target.kind !== 'direction' &&
          !state.withdrawn.has(sight.id),
      ),
    [state, occupation.id],
  );
  const sights = useMemo(() => (what === 'station' ? all.filter(canBeRehung) : all), [what, all]);
  const [picked, setPicked] = useChosenSights(all);
  const { choice, chosen } = useMemo(() => {
    const listed = (id: string, instead: string | undefined) =>
      sights.some((sight) => sight.id === id) ? id : (instead ?? '');
    const inList = { ...picked, from: listed(picked.from, sights[0]?.id), to: listed(picked.to, sights.at(-1)?.id) };
    return { choice: inList, chosen: chosenOf(sights, inList).chosen };
  }, [sights, picked]);
  const stations = state.accepted.filter((each) => !each.withdrawn && each.fact.id !== solution.fact.id);
  const targets = state.equipment.flatMap(({ body }) =>
    body.what.kind === 'target' ? [{ item: body.item, ...body.what }] : [],
  );
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
    return target.kind === 'control'
      ? (state.control.find((mark) => mark.id === target.mark)?.revision.body.name ?? msg('station.it'))
      : msg('station.it');
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
    const told = {
      plan: parts.plan && mark.body.needs.plan,
      height: effect.heightMm !== null || mark.body.needs.height,
    };
    return {
      effect,
      name: mark.body.name,
      untold: isUntold(mark, effect, parts),
      ...effectWords(effect, told, asked, units.lengthUnit),
    };
  });
  const untold = rows.filter((row) => row.untold);
  const measured = correction ? measuredWith(state, correction) : [];
  const errors = {
    value:
      what === 'targetHeight' && metres !== 0 && fixed
        ? msg('station.hasNoPoleItsTargetHeightCan', { targetName: targetName(fixed) })
        : inLimits
          ? null
          : what === 'prismConstant'
            ? msg('station.giveTheConstantBetween500And500')
            : msg('station.giveTheHeightAsItWas'),
    range: what !== 'instrumentHeight' && chosen.length === 0 ? msg('station.chooseAtLeastOneSightTheFirst') : null,
    station: what === 'station' && station === '' ? msg('station.noOtherStationWasAcceptedHereAccept') : null,
    untold:
      untold.length > 0
        ? msg('station.cantBeComputedWithThatWithdrawThe', { untold: untold.map((row) => row.name).join(', ') })
        : null,
    reason: reason.trim() === '' ? msg('station.sayHowYouKnowItGoesInto') : null,
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
                reason: msg('station.marksFromRecomputed', { name: solution.fact.body.name, said }),
                supersedes: before?.id ?? null,
              },
            },
          ]
        : []),
    );
    onClose();
  };
  const asEntered = ({ body }: Fact<'sight'>): string =>
    what === 'prismConstant'
      ? msg('station.mm', { signed: formatSigned(body.prismConstantMm, 1) })
      : units.length(body.targetHeight);
  const ownHeights =
    what === 'prismConstant' && carried
      ? chosen.filter(({ body }) => body.carried && body.carried.ownHeight !== carried.ownHeight)
      : [];
  return {
    units,
    occupation,
    what,
    setWhat,
    sights,
    setPicked,
    choice,
    chosen,
    stations,
    targets,
    target,
    setTarget,
    value,
    setValue,
    station,
    setStation,
    reason,
    setReason,
    tried,
    carried,
    correction,
    rows,
    measured,
    errors,
    keep,
    asEntered,
    ownHeights,
  };
}

export type CorrectEntriesModel = ReturnType<typeof useCorrectEntries>;
