/** The raw sights of a set-up for others, and such a file as facts of this site. */
import type { HeightFrom, ResectionResult, Result, StationError } from '@idle-marker/core';
import {
  RAW_SIGHTS_FORMAT,
  RAW_SIGHTS_VERSION,
  type AnyFact,
  type Fact,
  type FactBody,
  type FactType,
  type RawSight,
  type RawSights,
} from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { siteState } from '../fold/fold.ts';
import type { ControlMark, SiteState } from '../site/state.ts';
import { isFixedKind } from '../station/fixedTarget.ts';
import type { UseFlags } from '../station/observations.ts';
import { stationDraft } from '../station/stationDraft.ts';
import { sightsOf } from '../site/indexes.ts';

const memberOf = ({ members }: SiteState, id: string): string =>
  members.find((member) => member.id === id)?.body.name ?? 'unknown';
/** Files name people, and a name is never empty. */
const markOf = ({ control }: SiteState, id: string): ControlMark | undefined => control.find((mark) => mark.id === id);

/** The control as it was used: of each mark the revision that the station hung on, else the one in force. */
function revisionsUsed(
  state: SiteState,
  solution: Fact<'solution'> | null,
  marks: ReadonlySet<string>,
): Fact<'control'>[] {
  const used = new Map(solution?.body.uses.map((use) => [use.control, use.revision]));
  return [...marks].flatMap((id) => {
    const mark = markOf(state, id);
    if (!mark) return [];
    return [mark.revisions.find((revision) => revision.id === used.get(id)) ?? mark.revision];
  });
}

/** What a target that is no control is called. */
function nameOfTarget(state: SiteState, target: FactBody<'sight'>['target']): string {
  switch (target.kind) {
    case 'control':
      return markOf(state, target.mark)?.revision.body.name ?? 'unknown';
    case 'plan':
      return (
        state.timeline
          .find((fact): fact is Fact<'package'> => fact.type === 'package' && fact.id === target.package)
          ?.body.plans.find((plan) => plan.key === target.key)?.name ?? 'a mark'
      );
    case 'mark':
      return (
        state.timeline.find((fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.id === target.mark)?.body
          .name ?? 'a mark'
      );
    case 'direction':
    case 'spot':
      return target.name;
    case 'line':
      return `${target.from} ${target.to}`.slice(0, 80).trim();
  }
}

/** All that was read from one placing, withdrawn sights left out, and the station that was last decided on. */
export function rawSightsOf(state: SiteState, occupation: Fact<'occupation'>): RawSights {
  const { over, instrumentItem: _item, confirmed: _confirmed, checklist: _checklist, ...setup } = occupation.body;
  const decided =
    [...state.accepted, ...state.refused].filter((each) => each.occupation.id === occupation.id).at(-1) ?? null;
  const solution = decided?.fact ?? null;
  const uses = new Map(solution?.body.uses.toReversed().map((use) => [use.sight, use]));
  const sights = sightsOf(state, occupation.id);
  const marks = new Set([
    ...(over ? [over.mark] : []),
    ...sights.flatMap(({ body }) => (body.target.kind === 'control' ? [body.target.mark] : [])),
  ]);
  const control = revisionsUsed(state, solution, marks);
  const { name, lengthUnit, angleUnit, combinedScaleFactor } = state.settings;
  return {
    header: {
      format: RAW_SIGHTS_FORMAT,
      version: RAW_SIGHTS_VERSION,
      site: name,
      lengthUnit,
      angleUnit,
      combinedScaleFactor,
    },
    control: control.map(({ body }) => ({
      name: body.name,
      e: body.e,
      n: body.n,
      z: body.z,
      sdHMm: body.sdHMm,
      sdZMm: body.sdZMm,
      kind: body.kind,
      usePlan: body.usePlan,
      useHeight: body.useHeight,
    })),
    setup: {
      ...setup,
      at: occupation.at,
      by: memberOf(state, occupation.by),
      over: over
        ? { name: markOf(state, over.mark)?.revision.body.name ?? 'unknown', centringSdMm: over.centringSdMm }
        : null,
    },
    sights: sights.map(({ id, at, by, body }): RawSight => {
      const { occupation: _occupation, target, carried: _carried, ...read } = body;
      const use = uses.get(id);
      return {
        ...read,
        at,
        by: memberOf(state, by),
        target: { kind: target.kind === 'control' ? 'control' : 'other', name: nameOfTarget(state, target) },
        used: use
          ? {
              plan: use.plan,
              height: use.height,
              ...(use.direction === undefined ? {} : { direction: use.direction }),
              ...(use.distance === undefined ? {} : { distance: use.distance }),
            }
          : null,
      };
    }),
    station:
      decided && solution
        ? {
            name: solution.body.name,
            at: decided.decision.at,
            method: solution.body.method,
            class: solution.body.class,
            verdict: decided.decision.body.verdict,
            reason: decided.decision.body.reason,
            coreVersion: solution.body.coreVersion,
            ...(solution.body.heightFrom ? { heightFrom: solution.body.heightFrom } : {}),
            result: solution.body.result,
          }
        : null,
  };
}

/** A fact without its envelope, as the ledger wants it said. */
export type SaidBody = {
  [T in FactType]: { readonly type: T; readonly id: string; readonly body: FactBody<T> };
}[FactType];

/** Marks of a file that this site has under the same name, but elsewhere. */
export interface OtherPlace {
  readonly name: string;
  /** Horizontal distance, and height of the file's above this site's; null where one of them has none. */
  readonly byPlan: number | null;
  readonly byHeight: number | null;
}

const SAME_FIGURE = 1e-6;

export function controlElsewhere(state: SiteState, raw: RawSights): OtherPlace[] {
  return raw.control.flatMap((each) => {
    const own = state.control.find((mark) => mark.revision.body.name === each.name)?.revision.body;
    if (!own) return [];
    const byPlan =
      own.e === null || own.n === null || each.e === null || each.n === null
        ? null
        : Math.hypot(each.e - own.e, each.n - own.n);
    const byHeight = own.z === null || each.z === null ? null : each.z - own.z;
    return (byPlan ?? 0) > SAME_FIGURE || Math.abs(byHeight ?? 0) > SAME_FIGURE
      ? [{ name: each.name, byPlan, byHeight }]
      : [];
  });
}

/**
 * The facts that a file comes to on a site: control that it does not have yet, the set-up, and its sights. Marks are
 * known by their names. The station is not among them: whoever takes the file in looks at the sights and accepts it
 * himself.
 */
export function factsOfRaw(state: SiteState, raw: RawSights, newId: () => string): SaidBody[] {
  const known = new Map(
    state.control.map((mark) => [mark.revision.body.name, { mark: mark.id, revision: mark.revision.id }]),
  );
  const said: SaidBody[] = [];
  for (const each of raw.control) {
    if (known.has(each.name)) continue;
    const place = { mark: newId(), revision: newId() };
    known.set(each.name, place);
    said.push({
      type: 'control',
      id: place.revision,
      body: {
        mark: place.mark,
        ...each,
        forProof: false,
        condition: 'usable',
        note: '',
        source: msg('records.rawSightsOf', { site: raw.header.site }).slice(0, 200),
        supersedes: null,
      },
    });
  }
  const { at: _at, by: _by, over, ...setup } = raw.setup;
  const occupation = newId();
  const under = over ? known.get(over.name) : undefined;
  said.push({
    type: 'occupation',
    id: occupation,
    body: {
      ...setup,
      link: 'typed',
      ...(over && under ? { over: { ...under, centringSdMm: over.centringSdMm } } : {}),
    },
  });
  for (const { at: _sightAt, by: _sightBy, target, used: _used, ...read } of raw.sights) {
    const mark = target.kind === 'control' ? known.get(target.name)?.mark : undefined;
    said.push({
      type: 'sight',
      id: newId(),
      body: {
        ...read,
        occupation,
        purpose: mark ? read.purpose : 'spot',
        target: mark ? { kind: 'control', mark } : { kind: 'spot', name: target.name },
      },
    });
  }
  return said;
}

/** How the station of a file was made from its sights, to be gone on with. */
export interface RawUses {
  /**
   * By the ids that the sights have here; empty where no station was decided on: then each counts as its mark is
   * trusted.
   */
  readonly flags: Readonly<Record<string, UseFlags>>;
  readonly freeScale: boolean;
  readonly planOnly: boolean;
  readonly heightFrom: HeightFrom | null | undefined;
}

/** `facts`: what the file came to, its sights in their order. */
export function usesOfRaw(raw: RawSights, facts: readonly { readonly type: FactType; readonly id: string }[]): RawUses {
  const { station } = raw;
  if (!station) return { flags: {}, freeScale: false, planOnly: false, heightFrom: undefined };
  const sights = facts.filter((fact) => fact.type === 'sight');
  const planOnly = station.result.z === null;
  return {
    flags: Object.fromEntries(sights.map(({ id }, i) => [id, raw.sights[i]!.used ?? { plan: false, height: false }])),
    freeScale: (station.result.scale ?? null) !== null,
    planOnly,
    heightFrom: planOnly ? null : station.heightFrom,
  };
}

/** Sights to wall targets that carry a height of target: there is none that could be right. */
export function targetHeightsThatCannotBe(raw: RawSights): string[] {
  const fixed = new Set(raw.control.filter(({ kind }) => isFixedKind(kind)).map(({ name }) => name));
  return [
    ...new Set(
      raw.sights
        .filter(({ target, targetHeight }) => targetHeight !== 0 && fixed.has(target.name))
        .map(({ target }) => target.name),
    ),
  ];
}

/** The station that the sights of a file give by themselves, used as they were used; null while they give none. */
export function stationOfRaw(raw: RawSights): Result<ResectionResult, StationError> | null {
  let made = 0;
  const newId = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
  const who = newId();
  const { name, lengthUnit, angleUnit, combinedScaleFactor } = { ...raw.header, name: raw.header.site };
  const settings: FactBody<'site'> = {
    name,
    lengthUnit,
    angleUnit,
    axisOrder: 'EN',
    siteZero: null,
    coordinateSystem: '',
    heightDatum: '',
    combinedScaleFactor,
    proofIntervalMinutes: 60,
    classes: [{ id: 'any', name: 'any', planMm: 10, heightMm: 10, leastMarks: 2 }],
    convention: 'plainWords',
    practiceGround: null,
  };
  const envelope = (said: SaidBody, i: number) =>
    ({ at: new Date(i * 1000).toISOString(), device: 'file', seq: i, by: who, ...said }) as AnyFact;
  const begin: SaidBody[] = [
    { type: 'member', id: who, body: { name: raw.setup.by } },
    { type: 'site', id: newId(), body: settings },
  ];
  const empty = siteState(begin.map(envelope));
  const facts = [...begin, ...factsOfRaw(empty, raw, newId)].map(envelope);
  const state = siteState(facts);
  const [occupation] = state.occupations;
  if (!occupation) return null;
  const { flags, freeScale, heightFrom } = usesOfRaw(raw, facts);
  const { outcome } = stationDraft(state, occupation, flags, {
    freeScale,
    ...(heightFrom === undefined ? {} : { heightFrom }),
  });
  return outcome && (outcome.ok ? { ok: true, value: outcome.value.result } : outcome);
}
