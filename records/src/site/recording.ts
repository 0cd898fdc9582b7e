/** Bodies of the facts that a morning's work makes: the same whoever makes them. */
import {
  CORE_VERSION,
  TARGET_HEIGHT_SD,
  targetCentringSd,
  type HeightSolution,
  type Metres,
  type ResectionResult,
  type SitePoint,
  type StakeSide,
} from '@idle-marker/core';
import { digestOf, resectionJson, type Fact, type FactBody } from '@idle-marker/contract';
import { msg, stakeTextOf, type WrittenStake } from '@idle-marker/words';
import { conventionFor, offsetAsSet, pointOf, saysTheSame, stakeAsSet, stakeOf } from '../stake/conventions.ts';
import type { UseFlags } from '../station/observations.ts';
import type { ControlMark, SiteState } from './state.ts';
import type { StationDraft } from '../station/stationDraft.ts';
import { classOf } from './toleranceClass.ts';

type Sight = FactBody<'sight'>;

/** What the prism is carried on, and which prism: of the library, where it is listed there. */
export interface CarriedPole {
  readonly targetHeight: number;
  readonly legs: boolean;
  /** There is no pole: the target is a part of what is sighted, or is held to it. */
  readonly fixed?: boolean;
  readonly item?: string | null | undefined;
  readonly target?:
    | { readonly item: string; readonly name: string; readonly constantMm: number; readonly ownHeight: number }
    | null
    | undefined;
}

/** A sight as it is kept: what was read, and the pole it was read to. */
export function sightBody(
  occupation: Fact<'occupation'>,
  purpose: Sight['purpose'],
  target: Sight['target'],
  read: Sight['read'],
  pole: CarriedPole,
  tracking = false,
): Sight {
  return {
    occupation: occupation.id,
    purpose,
    target,
    // Beyond the half turn the telescope is in its second face.
    face: read.zenith > (read.angleUnit === 'gon' ? 200 : 180) ? 2 : 1,
    read,
    targetHeight: pole.targetHeight,
    targetHeightSdMm: pole.fixed ? 0 : TARGET_HEIGHT_SD * 1000,
    targetCentringSdMm: Math.round(targetCentringSd(pole.targetHeight, pole.legs) * 1e5) / 100,
    prismConstantMm: pole.target?.constantMm ?? 0,
    // The simulated instrument gives true distances; others are corrected for the weather that was entered.
    ppm: occupation.body.link === 'simulator' ? 0 : occupation.body.ppm,
    ...(tracking ? { tracking } : {}),
    ...(pole.target || pole.item
      ? {
          carried: {
            target: pole.target?.item ?? null,
            pole: pole.item ?? null,
            poleMark: Math.round((pole.targetHeight - (pole.target?.ownHeight ?? 0)) * 1e5) / 1e5,
            ownHeight: pole.target?.ownHeight ?? 0,
            legs: pole.legs,
          },
        }
      : {}),
  };
}

function methodOf(draft: StationDraft, occupation: Fact<'occupation'>): FactBody<'solution'>['method'] {
  if (draft.lines.length > 0) return 'onLines';
  if (!occupation.body.over) return 'resection';
  const because = draft.outcome?.ok ? draft.outcome.value.judgement.because : [];
  if (because.some((reason) => reason.code === 'ASSUMED_DIRECTION')) return 'assumed';
  return because.some((reason) => reason.code === 'CARRIED_FORWARD') ? 'carried' : 'overMark';
}

/**
 * A station as it was when it was decided on: sights with what each was used for, result, and the digest of its input.
 */
export function solutionBody(
  state: SiteState,
  occupation: Fact<'occupation'>,
  draft: StationDraft,
  result: ResectionResult,
  classId: string,
  usageOf: (sight: Fact<'sight'>) => UseFlags,
  supersedes: string | null,
): FactBody<'solution'> {
  const uses = draft.groups.flatMap((group) =>
    group.sights.map((sight) => ({
      sight: sight.id,
      control: group.mark,
      revision: state.control.find((mark) => mark.id === group.mark)!.revision.id,
      ...usageOf(sight),
    })),
  );
  const { over } = occupation.body;
  const [first] = uses;
  // The mark under the instrument is used too: when it is found moved, everything set from it is concerned.
  if (over && first)
    uses.push({
      sight: first.sight,
      control: over.mark,
      revision: over.revision,
      plan: true,
      height: result.height !== null && draft.heightFrom !== 'benchmarks',
    });
  return {
    occupation: occupation.id,
    name: occupation.body.name,
    method: methodOf(draft, occupation),
    class: classId,
    uses,
    ...(draft.heightFrom && draft.heightFrom !== 'mark' ? { heightFrom: draft.heightFrom } : {}),
    result: resectionJson(result),
    inputDigest: digestOf(draft.input),
    coreVersion: CORE_VERSION,
    supersedes,
  };
}

/**
 * A mark with the height that benchmarks give it, as a revision that replaces the listed one; the source says from
 * where.
 */
export function heightRevision(
  { id, revision }: ControlMark,
  { z, sdZ }: Pick<HeightSolution, 'z' | 'sdZ'>,
  source: string,
): FactBody<'control'> {
  return {
    ...revision.body,
    z: Math.round(z * 1e4) / 1e4,
    sdZMm: Math.round(sdZ * 1e4) / 10,
    useHeight: true,
    heightSource: source.slice(0, 200),
    mark: id,
    supersedes: revision.id,
  };
}

/** What is changed alike for several marks; what is not given stays as it is. */
export interface SeveralChange {
  readonly condition?: FactBody<'control'>['condition'] | undefined;
  readonly usePlan?: boolean | undefined;
  readonly useHeight?: boolean | undefined;
  readonly forProof?: boolean | undefined;
  readonly move: { readonly e: Metres; readonly n: Metres; readonly z: Metres };
  readonly sdHMm?: number | undefined;
  readonly sdZMm?: number | undefined;
  readonly source: string;
}

/**
 * One revision for each mark that the change makes another one; a part that a mark does not have is not given to it.
 */
export function severalRevised(marks: readonly ControlMark[], change: SeveralChange): FactBody<'control'>[] {
  const { move } = change;
  const moved = (value: Metres | null, by: Metres) =>
    value === null || by === 0 ? value : Math.round((value + by) * 1e4) / 1e4;
  return marks.flatMap(({ revision }): FactBody<'control'>[] => {
    const before = revision.body;
    const [e, n, z] = [moved(before.e, move.e), moved(before.n, move.n), moved(before.z, move.z)];
    const after = {
      ...before,
      e,
      n,
      z,
      sdHMm: e === null ? null : (change.sdHMm ?? before.sdHMm),
      sdZMm: z === null ? null : (change.sdZMm ?? before.sdZMm),
      condition: change.condition ?? before.condition,
      usePlan: e !== null && (change.usePlan ?? before.usePlan),
      useHeight: z !== null && (change.useHeight ?? before.useHeight),
      forProof: change.forProof ?? before.forProof,
    };
    const isSame = (Object.keys(after) as (keyof typeof after)[]).every((field) => after[field] === before[field]);
    return isSame ? [] : [{ ...after, source: change.source, supersedes: revision.id }];
  });
}

/** The marks as they were before, each as a revision of what it is now: the book keeps both. */
export function revertedMarks(state: SiteState, before: readonly ControlMark[]): FactBody<'control'>[] {
  return before.flatMap(({ id, revision }): FactBody<'control'>[] => {
    const now = state.control.find((mark) => mark.id === id)?.revision;
    return now && now.id !== revision.id ? [{ ...revision.body, supersedes: now.id }] : [];
  });
}

/** The ground under a free station, kept as a mark: for proofs, not for building new stations on it unthinkingly. */
export function stationMark(
  mark: string,
  occupation: Fact<'occupation'>,
  result: FactBody<'solution'>['result'],
  solution: string,
): FactBody<'control'> {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const [[ee = 0] = [], [, nn = 0] = []] = result.covariance;
  return {
    mark,
    name: occupation.body.name,
    e: result.e,
    n: result.n,
    z: result.z,
    sdHMm: tenth(Math.sqrt(Math.max(ee, nn)) * 1000),
    sdZMm: result.sdZMm === null ? null : tenth(result.sdZMm),
    kind: 'other',
    usePlan: true,
    useHeight: result.z !== null && occupation.body.instrumentHeight > 0,
    forProof: true,
    condition: 'usable',
    note: msg('records.freeStationKeptAsAMark'),
    source: msg('records.measuredStation', { name: occupation.body.name }),
    parent: solution,
    supersedes: null,
  };
}

/** Where the pole stood at the shot, and what was left to go. */
export interface ShotPlace {
  readonly measured: SitePoint;
  /** Planned minus measured. */
  readonly deltaE: Metres;
  readonly deltaN: Metres;
}

export interface MarkSetting {
  readonly solution: Fact<'solution'>;
  readonly work: Fact<'package'>;
  readonly plan: FactBody<'package'>['plans'][number];
  readonly sight: Fact<'sight'>;
  /** What the receiver read with it, where the plan comes from that. */
  readonly position?: Fact<'position'>;
  readonly stake: ShotPlace;
  readonly state: FactBody<'mark'>['state'];
  /** Height of the driven hub; null until it was shot. */
  readonly hubZ: number | null;
  readonly groundZ: number | null;
  readonly shots: number;
  readonly firm?: boolean | undefined;
  readonly supersedes: string | null;
}

/** Largest plan misfit that the package's class allows, metres. */
export const toleranceOf = (state: SiteState, work: Fact<'package'>): number => classOf(state, work.body.class).plan;

/** What is kept of the text of a stake. */
function textOf(
  state: SiteState,
  work: Fact<'package'>,
  { faces }: WrittenStake,
): Pick<FactBody<'writing'>, 'stakeText' | 'written'> {
  const lines = (side: StakeSide) =>
    faces[side].map(({ part, text, ruled, unusual }) => ({ part, text, ruled, unusual }));
  return {
    stakeText: stakeTextOf(faces),
    written: {
      convention: conventionFor(state, work.body).id,
      point: pointOf(work.body),
      front: lines('front'),
      back: lines('back'),
      left: lines('left'),
      right: lines('right'),
    },
  };
}

/** The stake of a mark that is set as it would be written now; null where that is what stands on it already. */
export function writingBody(
  state: SiteState,
  work: Fact<'package'>,
  plan: FactBody<'package'>['plans'][number],
  mark: Fact<'mark'>,
): FactBody<'writing'> | null {
  const text = textOf(state, work, stakeAsSet(state, work.body, plan, mark));
  return saysTheSame(mark.body, text) ? null : { mark: mark.id, ...text };
}

/** A mark as set. Cut and fill are counted from the hub, so a mark whose hub was not shot has none. */
export function markBody(
  state: SiteState,
  { solution, work, plan, sight, stake, hubZ, ...setting }: MarkSetting,
): FactBody<'mark'> {
  const cutFill = hubZ === null || plan.designZ === null ? null : hubZ - plan.designZ;
  const within = Math.hypot(stake.deltaE, stake.deltaN) <= toleranceOf(state, work);
  const asSet = {
    place: stake.measured,
    within,
    hubZ,
    day: sight.at.slice(0, 10),
    by: state.members.find((member) => member.id === sight.by)?.body.name ?? '',
  };
  return {
    package: work.id,
    key: plan.key,
    name: plan.name,
    solution: solution.id,
    sight: sight.id,
    ...(setting.position ? { position: setting.position.id } : {}),
    state: setting.state,
    class: work.body.class,
    needs: { plan: true, height: plan.designZ !== null },
    measured: { plan: true, height: hubZ !== null },
    planned: plan.place,
    place: { e: stake.measured.e, n: stake.measured.n, z: stake.measured.z },
    dEMm: -stake.deltaE * 1000,
    dNMm: -stake.deltaN * 1000,
    within,
    hubZ,
    groundZ: setting.groundZ,
    designZ: plan.designZ,
    cutFill,
    ...(setting.firm === undefined ? {} : { firm: setting.firm }),
    ...textOf(state, work, stakeOf(state, work.body, plan, asSet)),
    offset: offsetAsSet(plan, stake.measured),
    shots: setting.shots,
    note: '',
    supersedes: setting.supersedes,
  };
}
