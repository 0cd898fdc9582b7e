import { useMemo, useState } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import {
  boltGroups,
  compareNames,
  designDifferences,
  nextName,
  nextNumbered,
  reservedFor,
  usedCodes,
} from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { heightsOf, useHeightUnder, useSurfaces } from '../../drawings/useSurfaces.ts';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { useLinkKind } from '../../link/linkStore.ts';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useRemembered } from '../../site/useRemembered.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useKey } from '../../ui/useKey.ts';
import { useLivePlace } from '../../pole/useLiveStake.ts';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

/** No code of anybody’s: codes are trimmed. */
export const NO_CODE = ' ';

export const FREE = 'free';

/** Offered before the site has codes of its own. */
const usualCodes = worded(() => ['bolt', 'corner', 'edge', msg('common.curb'), 'invert', 'cover']);

const CODES_SHOWN = 8;

/** Differences are drawn this many times as large. */
export const EXAGGERATION = 100;

/** What AsBuiltPlace shows, and what its buttons do. */
export function useAsBuiltPlace() {
  const { id, state, inForce, who } = useSite();
  const underlay = useUnderlay();
  const isCarried = useIsCarried();
  const simulated = useLinkKind() === 'simulator';
  const [workId, setWork] = useState<string>(
    state.packages.find(({ body }) => body.items.some(({ rule }) => rule === 'bolts'))?.id ?? FREE,
  );
  const work = state.packages.find((each) => each.id === workId) ?? null;
  const differences = useMemo(() => designDifferences(state), [state]);
  const groups = useMemo(() => boltGroups(state), [state]);
  /** What can be compared: the things themselves, not the hubs beside them. */
  const surfaces = useSurfaces();
  const surface = surfaces.find(({ id: each }) => each === workId) ?? null;
  const { place: live, stale } = useLivePlace(inForce);
  const under = useHeightUnder(surface, live);
  const plans = work ? work.body.plans.filter((plan) => plan.offset === 0) : [];
  const [key, setKey] = useState<string | null>(null);
  const measured = (planKey: string) =>
    differences.find((each) => each.work.id === work?.id && each.plan.key === planKey);
  const plan = plans.find((each) => each.key === key) ?? plans.find((each) => !measured(each.key)) ?? plans[0] ?? null;
  const [name, setName] = useState(() => nextNumbered(state, 'asBuilt'));
  const [code, setCode] = useState('');
  const [note, setNote] = useState('');
  const [shots, setShots] = useRemembered<Shots>('as built shots', '1');
  const [filter, setFilter] = useState('');
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const busy = shooting.doing !== null;
  const codes = [...new Set([...usedCodes(state), ...usualCodes()])].slice(0, CODES_SHOWN);
  const free = work === null || plan === null;
  const freeName = name.trim();
  const reserved = reservedFor(state, freeName);
  const isTaken = state.asBuilt.some(({ body }) => body.name === freeName);
  const take = async () => {
    if (!inForce) return;
    if (free) {
      if (freeName === '' || isTaken) return;
      const against =
        surface &&
        (async (at: PlanPoint) => {
          const heights = await heightsOf(surface, [at]);
          return (
            heights && {
              kind: 'surface' as const,
              drawing: surface.revision,
              name: surface.name,
              z: heights[0] ?? null,
            }
          );
        });
      const made = await measuring.take({
        name: freeName,
        code: code.trim(),
        against,
        note: note.trim(),
        supersedes: null,
        shots,
        onto: null,
      });
      if (!made) return;
      setName(nextName(state, freeName));
      setNote('');
      return;
    }
    const before = measured(plan.key);
    const made = await measuring.take({
      name: plan.corner,
      code: code.trim(),
      against: { kind: 'plan', package: work.id, key: plan.key },
      note: note.trim(),
      supersedes: before?.fact.id ?? null,
      shots,
      onto: simulated
        ? {
            name: msg('structure.built', { corner: plan.corner }),
            hub: { e: plan.design.e, n: plan.design.n, z: plan.designZ ?? null },
          }
        : null,
    });
    if (!made) return;
    setNote('');
    const at = plans.indexOf(plan);
    setKey([...plans.slice(at + 1), ...plans.slice(0, at)].find((each) => !measured(each.key))?.key ?? plan.key);
  };
  const ready = !busy && (free ? freeName !== '' && !isTaken : true);
  useKey(' ', ready && !isCarried ? () => void take() : null);
  const shown = state.asBuilt
    .filter(({ body }) => filter === '' || (filter === NO_CODE ? body.code === '' : body.code === filter))
    .slice()
    .sort((a, b) => compareNames(a.body.name, b.body.name));
  const byFact = new Map(differences.map((each) => [each.fact.id, each]));
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), {
        symbols: [
          ...plans.map((each): SceneSymbol => ({
            id: `plan ${each.key}`,
            at: each.design,
            symbol: 'toSet',
            label: each.corner,
            ink: 'pencil',
            chosen: each === plan,
          })),
          // What is compared has its arrow; its stake and name would hide it.
          ...state.asBuilt
            .filter(({ body }) => body.against?.kind !== 'plan')
            .map(({ id: fact, body }): SceneSymbol => ({
              id: fact,
              at: body.place,
              symbol: 'set',
              label: body.name,
              ink: 'ink',
              pickable: false,
            })),
        ],
        arrows: differences.map(({ plan: { design }, dE, dN, within }) => ({
          from: design,
          to: { e: design.e + dE * EXAGGERATION, n: design.n + dN * EXAGGERATION },
          ink: within ? ('ink' as const) : ('brick' as const),
        })),
        instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
      }),
    // oxlint-disable-next-line react/exhaustive-deps
    [state, work, plan, differences, inForce],
  );
  return {
    isCarried,
    id,
    state,
    inForce,
    who,
    underlay,
    simulated,
    workId,
    setWork,
    work,
    differences,
    groups,
    surfaces,
    surface,
    live,
    stale,
    under,
    plans,
    setKey,
    measured,
    plan,
    name,
    setName,
    code,
    setCode,
    note,
    setNote,
    shots,
    setShots,
    filter,
    setFilter,
    measuring,
    shooting,
    busy,
    codes,
    free,
    freeName,
    reserved,
    isTaken,
    take,
    ready,
    shown,
    byFact,
    scene,
  };
}

export type AsBuiltPlaceModel = ReturnType<typeof useAsBuiltPlace>;
