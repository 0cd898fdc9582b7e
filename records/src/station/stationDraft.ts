/** The station being worked on: sights so far, what they give, and what to think of it. */
import {
  expectedPole,
  extensibleOf,
  fail,
  freeReliability,
  freeStation,
  judgeStation,
  ok,
  RADIANS_PER_DEGREE,
  resectionOf,
  stationOnAssumedDirection,
  stationOnLines,
  stationOverMark,
  comparedInPlan,
  typedDirectionFindings,
  type AskedOfStation,
  type Extensible,
  type HeightFrom,
  type KnownStationInput,
  type Judgement,
  type LineResidual,
  type PlanPoint,
  type PoleSet,
  type Reason,
  type Reliability,
  type ResectionInput,
  type Result,
  type SolvedStation,
  type StationError,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  controlPointOf,
  groupSights,
  pointsOf,
  precisionOf,
  readingOf,
  reductionOf,
  setupOf,
  type SightGroup,
  type UseFlags,
} from './observations.ts';
import { withForward } from '../work/carriedForward.ts';
import { sightsOf } from '../site/indexes.ts';
import { lineName, siteLines } from '../work/siteLines.ts';
import { isProvenControl } from '../work/markHistory.ts';
import type { AcceptedSolution, ControlMark, SiteState } from '../site/state.ts';
import { centringOf, metresOf, metresOrNull } from '../site/stored.ts';

export interface StationDraft {
  readonly groups: readonly SightGroup[];
  readonly input: ResectionInput;
  /** Null while fewer than two marks are sighted. */
  readonly outcome: Result<SolvedStation, StationError> | null;
  /** The mark under the instrument; null for a free station. */
  readonly over: string | null;
  /** What explains sights that, as they are, give no station. */
  readonly contradiction: Judgement | null;
  /** Sights to points on lines, of a station that is found from them. */
  readonly lines: readonly LineSight[];
  /** Marks or lines that hold the station beside the marks that were sighted. */
  readonly alsoHeld: number;
  /**
   * Where the height comes from, for a station whose place is held otherwise; null in plan alone, and for a free
   * station.
   */
  readonly heightFrom: HeightFrom | null;
}

export interface LineSight {
  readonly sight: Fact<'sight'>;
  readonly line: string;
  /** How it lies; null while there is no station. */
  readonly residual: LineResidual | null;
}

export interface DraftOptions {
  /** A factor on all distances is solved for, too. */
  readonly freeScale?: boolean;
  /** What the work asks of the station; the usual figures where it is not said. */
  readonly asked?: AskedOfStation;
  /** The pole that further sights are thought to be made to. */
  readonly pole?: PoleSet;
  /** Roughly where the instrument stands, to tell two places apart that lines alone can't. */
  readonly near?: PlanPoint | null;
  /**
   * Over a mark: where the height comes from; null: work in plan alone. Not given: the mark, or benchmarks where it has
   * no height.
   */
  readonly heightFrom?: HeightFrom | null;
}

/** What a sight may be used for unless the person says otherwise: what its mark is trusted for. */
export function defaultUse(state: SiteState, sight: Fact<'sight'>): UseFlags {
  const { target } = sight.body;
  const mark = target.kind === 'control' ? state.control.find((each) => each.id === target.mark) : undefined;
  if (!mark) return { plan: false, height: false };
  const { body } = mark.revision;
  const lost = body.condition === 'lost';
  // Lines give the plan; a mark that is sighted with them gives a height.
  const isOnLines = state.occupations.find(({ id }) => id === sight.body.occupation)?.body.method === 'onLines';
  return {
    plan: !lost && !isOnLines && body.usePlan && body.e !== null && body.n !== null,
    height: !lost && body.useHeight && body.z !== null && sight.body.read.slope !== null,
  };
}

export const stationSights = (state: SiteState, occupation: string): Fact<'sight'>[] =>
  sightsOf(state, occupation).filter(({ body }) => body.purpose === 'station');

type Sighted = Pick<StationDraft, 'groups' | 'input'> & { readonly sights: readonly Fact<'sight'>[] };

/** The sights of a placing as an adjustment takes them. */
function sighted(
  state: SiteState,
  occupation: Fact<'occupation'>,
  useOf: (sight: Fact<'sight'>) => UseFlags,
  freeScale: boolean,
): Sighted {
  const sights = stationSights(state, occupation.id);
  const groups = groupSights(sights, useOf);
  return {
    sights,
    groups,
    input: {
      instrument: precisionOf(occupation.body),
      setup: setupOf(occupation.body),
      reduction: reductionOf(state.settings),
      freeScale,
      points: pointsOf(state.control, new Set(groups.map((group) => group.mark))),
      observations: groups.map((group) => group.observation),
    },
  };
}

export function stationDraft(
  state: SiteState,
  occupation: Fact<'occupation'>,
  flags: Readonly<Record<string, UseFlags>>,
  options: DraftOptions = {},
): StationDraft {
  const { sights, groups, input } = sighted(
    state,
    occupation,
    (sight) => flags[sight.id] ?? defaultUse(state, sight),
    options.freeScale ?? false,
  );
  const { asked = null } = options;
  const inPlan = new Set(groups.filter((group) => group.observation.usePlan).map((group) => group.mark));
  const over = overOf(state, occupation);
  const heightFrom = over ? heightSource(over.station.z !== null, options.heightFrom) : null;
  const shared = {
    groups,
    input,
    over: over?.station.name ?? null,
    contradiction: null,
    lines: [],
    alsoHeld: over ? 1 : 0,
    heightFrom,
  };
  if (over) {
    const typed = typedDirection(occupation);
    if (inPlan.size > 0) {
      const around = new Set([...groups.map((group) => group.mark), over.station.name]);
      const solved = stationOverMark({ ...input, ...over }, asked, {
        open: sightable(state, around).map((mark) => controlPointOf(mark.revision.body)),
        heightFrom,
        ...(options.pole ? { pole: options.pole } : {}),
      });
      if (!solved.ok) return { ...shared, outcome: solved };
      const reduced = solved.value.result.observations.map((each) => each.reduced);
      const said = typed
        ? typedDirectionFindings(comparedInPlan({ ...input, ...over }, reduced, typed.azimuth - typed.circle), false)
        : [];
      return {
        ...shared,
        outcome: ok(alsoSaying(said, withForward(state, occupation, solved.value, groups, heightFrom))),
      };
    }
    if (!typed) return { ...shared, outcome: null };
    return {
      ...shared,
      outcome: stationOnAssumedDirection({ ...input, ...over, ...typed, heightFrom }, asked?.height),
    };
  }
  // A mark without a place holds nothing; its backsights alone are another station, which nobody asked for.
  if (occupation.body.over) return { ...shared, outcome: null };
  if (occupation.body.method === 'onLines')
    return { ...shared, ...draftOnLines(state, occupation, sights, input, options) };
  if (inPlan.size < 2) return { ...shared, outcome: null };
  const times = new Map<string, number>();
  for (const { mark, sights: own } of groups) times.set(mark, (times.get(mark) ?? 0) + own.length);
  const judged = judgeStation(input, {
    // Every listed mark may be the one that was really sighted.
    listed: state.control.map((mark) => controlPointOf(mark.revision.body)),
    open: sightable(state, new Set(groups.map((group) => group.mark))).map((mark) =>
      controlPointOf(mark.revision.body),
    ),
    times,
    ...(asked ? { asked } : {}),
    ...(options.pole ? { pole: options.pole } : {}),
  });
  if (!judged.ok) return { ...shared, outcome: judged };
  const { result, judgement, extensible } = judged.value;
  if (result) return { ...shared, outcome: ok({ result, judgement, extensible }) };
  return {
    ...shared,
    outcome: fail({ code: 'UNDETERMINED', path: ['observations'], reason: 'contradiction' }),
    contradiction: judgement,
  };
}

/** The mark gives the height where it has one, until somebody says otherwise. */
const heightSource = (markHas: boolean, wanted: HeightFrom | null | undefined): HeightFrom | null =>
  wanted === null ? null : markHas ? (wanted ?? 'mark') : 'benchmarks';

function typedDirection({ body: { assumed } }: Fact<'occupation'>): { azimuth: number; circle: number } | null {
  return assumed
    ? { azimuth: assumed.azimuthDeg * RADIANS_PER_DEGREE, circle: assumed.circleDeg * RADIANS_PER_DEGREE }
    : null;
}

const alsoSaying = (said: readonly Reason[], solved: SolvedStation): SolvedStation =>
  said.length === 0
    ? solved
    : { ...solved, judgement: { ...solved.judgement, because: [...solved.judgement.because, ...said] } };

/** Marks that may be sighted next for a station: firm ones in place, proven, and not kept for proofs. */
export const sightable = (state: SiteState, without: ReadonlySet<string>): ControlMark[] =>
  state.control.filter((mark) => {
    const { body } = mark.revision;
    const firm =
      (body.condition === 'secure' || body.condition === 'usable') &&
      body.usePlan &&
      body.e !== null &&
      body.n !== null;
    return firm && !body.forProof && !without.has(mark.id) && isProvenControl(state, mark);
  });

/** A station from points on lines of the drawing. */
function draftOnLines(
  state: SiteState,
  occupation: Fact<'occupation'>,
  sights: readonly Fact<'sight'>[],
  { setup, points, observations }: ResectionInput,
  { near = null, asked }: DraftOptions,
): Pick<StationDraft, 'lines' | 'outcome' | 'alsoHeld'> {
  const drawn = siteLines(state);
  const taken = sights.flatMap((sight) =>
    sight.body.target.kind === 'line' ? [{ sight, line: lineName(sight.body.target) }] : [],
  );
  const unsolved = taken.map((each) => ({ ...each, residual: null }));
  if (taken.length < 3) return { lines: unsolved, outcome: null, alsoHeld: 0 };
  const solved = stationOnLines(
    {
      instrument: precisionOf(occupation.body),
      reduction: reductionOf(state.settings),
      lines: drawn,
      observations: taken.map(({ sight, line }) => ({ ...readingOf(sight.body), line })),
      near,
    },
    asked ?? null,
    { setup, points, observations },
  );
  if (!solved.ok) return { lines: unsolved, outcome: solved, alsoHeld: 0 };
  const { residuals, ...station } = solved.value;
  return {
    lines: taken.map((each, i) => ({ ...each, residual: residuals[i] ?? null })),
    outcome: ok(station),
    alsoHeld: taken.length,
  };
}

/** The mark under the instrument and how it is centred; null for a free station. */
export function overOf(
  state: SiteState,
  occupation: Fact<'occupation'>,
): Pick<KnownStationInput, 'station' | 'setup'> | null {
  const { body } = occupation;
  const { over } = body;
  const revision =
    over &&
    state.control.find((mark) => mark.id === over.mark)?.revisions.find((each) => each.id === over.revision)?.body;
  if (!over || !revision || revision.e === null || revision.n === null) return null;
  return {
    station: {
      name: revision.mark,
      e: revision.e,
      n: revision.n,
      z: revision.useHeight ? revision.z : null,
      sdPlan: metresOf(revision.sdHMm ?? 0),
      sdZ: metresOrNull(revision.sdZMm),
    },
    setup: { ...setupOf(body), instrumentCentringSd: centringOf(occupation) },
  };
}

/** The control with the revisions that a solution used: what the list says today is another question. */
export function controlAsUsed({ control }: SiteState, { uses }: FactBody<'solution'>): SiteState['control'] {
  const revisions = new Map(uses.map((use) => [use.control, use.revision]));
  return control.map((each) => ({
    ...each,
    revision: each.revisions.find(({ id }) => id === revisions.get(each.id)) ?? each.revision,
  }));
}

/** What a sight was used for in a solution, and nothing for the others. */
function useIn({ uses }: FactBody<'solution'>): (sight: Fact<'sight'>) => UseFlags {
  // The mark under the instrument is listed after the sights, under the first of them.
  const used = new Map(uses.toReversed().map((use) => [use.sight, use]));
  return ({ id }) => used.get(id) ?? UNUSED;
}
const UNUSED: UseFlags = { plan: false, height: false };

/** The same for all sights of a placing. */
function flagsAsUsed(
  state: SiteState,
  occupation: string,
  body: FactBody<'solution'>,
): Readonly<Record<string, UseFlags>> {
  const useOf = useIn(body);
  return Object.fromEntries(stationSights(state, occupation).map((sight) => [sight.id, useOf(sight)]));
}

/** The station of a solution from the same sights with the same uses, and nothing else. */
export function draftAsUsed(
  state: SiteState,
  occupation: Fact<'occupation'>,
  body: FactBody<'solution'>,
  asked?: AskedOfStation,
): StationDraft {
  const { e, n, z, scale } = body.result;
  const heightFrom = z === null ? null : (body.heightFrom ?? 'mark');
  return stationDraft(state, occupation, flagsAsUsed(state, occupation.id, body), {
    freeScale: (scale ?? null) !== null,
    near: { e, n },
    heightFrom,
    ...(asked ? { asked } : {}),
  });
}

/** An accepted station as further sights are added to it in thought; null where none can be. */
export function extensibleOfSolution(
  state: SiteState,
  { fact, occupation }: Pick<AcceptedSolution, 'fact' | 'occupation'>,
): Extensible | null {
  const { body } = fact;
  if (body.method === 'heightOnly' || body.method === 'paired') return null;
  const then = { ...state, control: controlAsUsed(state, body) };
  if (body.method !== 'resection') {
    const { outcome } = draftAsUsed(then, occupation, body);
    return outcome?.ok ? outcome.value.extensible : null;
  }
  const { input } = sighted(then, occupation, useIn(body), (body.result.scale ?? null) !== null);
  const station = freeStation(input);
  if (!station.ok || !station.value.solved.ok) return null;
  const result = resectionOf(station.value, { leaveOneOut: false });
  return result.ok ? extensibleOf(station.value, station.value.solved.value, result.value, expectedPole(input)) : null;
}

/** What could be wrong unseen with an accepted station, by its own sights; null where nothing of it is tested. */
export function reliabilityOf(
  state: SiteState,
  { fact, occupation }: Pick<AcceptedSolution, 'fact' | 'occupation'>,
  asked: AskedOfStation,
): Reliability | null {
  const { body } = fact;
  if (body.method === 'assumed' || body.method === 'heightOnly' || body.method === 'paired') return null;
  const then = { ...state, control: controlAsUsed(state, body) };
  if (body.method !== 'resection') {
    const { outcome } = draftAsUsed(then, occupation, body, asked);
    return outcome?.ok ? outcome.value.judgement.reliability : null;
  }
  // Without the explanations: they take most of the time, and nothing of them is asked here.
  const { input } = sighted(then, occupation, useIn(body), (body.result.scale ?? null) !== null);
  const station = freeStation(input);
  return station.ok && station.value.solved.ok
    ? freeReliability(station.value, station.value.solved.value, asked)
    : null;
}
