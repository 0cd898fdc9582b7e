/** Which convention a stake is written by, and what it comes to for a mark that is set or planned. */
import {
  planDistance,
  SHIPPED_CONVENTIONS,
  STAKE_SIDES,
  type PointOnMark,
  type ShippedConvention,
  type PlanPoint,
  type StakeContent,
  type StakeConvention,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { cutFillAsWritten, shippedNames, writtenStake, type StakeStyle, type WrittenStake } from '@idle-marker/words';
import { markKey, type SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

export interface NamedConvention {
  readonly id: string;
  readonly convention: StakeConvention;
  /** The revision of this site; null for one that ships. */
  readonly fact: Fact<'convention'> | null;
}

/** One that ships, under its name in the wording that stands. */
const shipped = (id: ShippedConvention): NamedConvention => ({
  id,
  convention: { ...SHIPPED_CONVENTIONS[id], name: shippedNames()[id] },
  fact: null,
});

/** All that can be chosen on a site: its own first, then those that ship. */
export function conventionsOf({ conventions }: SiteState): NamedConvention[] {
  return [
    ...conventions.map((fact) => ({ id: fact.body.convention, convention: fact.body.rules, fact })),
    ...(Object.keys(SHIPPED_CONVENTIONS) as ShippedConvention[]).map(shipped),
  ];
}

/** The convention of a package, or of the site; plain words where the one that was chosen has been retired. */
export function conventionFor(state: SiteState, work: FactBody<'package'> | null): NamedConvention {
  const all = conventionsOf(state);
  for (const id of [work?.convention, state.settings.convention, 'plainWords']) {
    const found = all.find((each) => each.id === id);
    if (found) return found;
  }
  return shipped('plainWords');
}

/**
 * The point of a mark where its package says nothing: of a hub its nail, of what is drawn on a surface the crossing.
 */
export const pointOf = ({ point, markKind }: Pick<FactBody<'package'>, 'point' | 'markKind'>): PointOnMark =>
  point ?? (markKind === 'paintCross' || markKind === 'plateLine' || markKind === 'scribedLine' ? 'crossing' : 'nail');

type Plan = FactBody<'package'>['plans'][number];

/** Level distance to what a mark offsets to, from where it was measured: along the way that was planned. */
export function offsetAsSet(plan: Pick<Plan, 'place' | 'design' | 'offset'>, measured: PlanPoint): number {
  const planned = planDistance(plan.place, plan.design);
  if (plan.offset === 0 || planned === 0) return 0;
  const along =
    ((measured.e - plan.design.e) * (plan.place.e - plan.design.e) +
      (measured.n - plan.design.n) * (plan.place.n - plan.design.n)) /
    planned;
  // Off both lines of an angle, or off a corner, the way to the design point is longer than the offset itself.
  return Math.max(0, along * (plan.offset / planned));
}

/** What a mark was measured as; null while it is only planned. */
export interface AsSet {
  readonly place: PlanPoint;
  readonly within: boolean;
  readonly hubZ: number | null;
  readonly day: string;
  readonly by: string;
}

/** What there is to write on a mark's stake. */
export function stakeContent(state: SiteState, work: FactBody<'package'>, plan: Plan, set: AsSet | null): StakeContent {
  const hubZ = set?.hubZ ?? null;
  const { lengthUnit } = state.settings;
  const cutFill = cutFillAsWritten(hubZ, plan.designZ, lengthUnit);
  const { heightReference, also } = work;
  const tolerance = classOf(state, work.class);
  return {
    name: plan.name,
    offset: plan.offset,
    offsetAsSet: set ? offsetAsSet(plan, set.place) : plan.offset,
    within: set?.within ?? true,
    to: plan.corner,
    meaning: plan.meaning,
    // Off a face, too, it is the face that it is off.
    beyond: plan.offFace === null && plan.onLine !== null && plan.offset > 0,
    cutFill,
    heightReference,
    hubZ,
    designZ: plan.designZ,
    also: plan.road?.also
      ? {
          heightReference,
          to: plan.road.also.to,
          cutFill: cutFillAsWritten(hubZ, plan.road.also.z, lengthUnit),
        }
      : also
        ? { heightReference: also.heightReference, cutFill: cutFill === null ? null : cutFill - also.above }
        : null,
    road: plan.road ?? null,
    package: work.name,
    point: pointOf(work),
    tolerance: { plan: tolerance.plan, height: tolerance.height },
    set: set && { day: set.day, by: set.by },
  };
}

export const stakeStyle = (state: SiteState, work: FactBody<'package'>): StakeStyle => ({
  convention: conventionFor(state, work).convention,
  unit: state.settings.lengthUnit,
  stations: state.settings.stationFormat ?? undefined,
  rounding: work.rounding,
});

/** The stake of a mark as it would be written now. */
export const stakeOf = (state: SiteState, work: FactBody<'package'>, plan: Plan, set: AsSet | null): WrittenStake =>
  writtenStake(stakeContent(state, work, plan, set), stakeStyle(state, work));

/** The same for a mark that is set, from what it was set as. */
export function stakeAsSet(
  state: SiteState,
  work: FactBody<'package'>,
  plan: Plan,
  { at, by, body: { place, hubZ, within } }: Fact<'mark'>,
): WrittenStake {
  const setter = state.members.find((member) => member.id === by)?.body.name ?? '';
  return stakeOf(state, work, plan, { place, hubZ, within, day: at.slice(0, 10), by: setter });
}

/** Stakes of marks that are not set yet, written but for the figures that a driven hub gives. */
export function stakesBefore(
  state: SiteState,
  work: Fact<'package'>,
  keys: readonly string[] | null,
): { readonly plan: Plan; readonly stake: WrittenStake }[] {
  const root = state.packageRoots.get(work.id)!;
  return work.body.plans
    .filter((plan) => !keys || keys.includes(plan.key))
    .filter(({ key }) => {
      const mark = state.marks.get(markKey(root, key));
      return mark === undefined || mark.body.state === 'rough';
    })
    .map((plan) => ({ plan, stake: stakeOf(state, work.body, plan, null) }));
}

interface StakeSaid {
  readonly stakeText: readonly string[];
  readonly written?: FactBody<'mark'>['written'];
}

/**
 * Whether the same stands on a stake, side by side where the sides were kept: a line that goes from the front to the
 * back makes another stake, though its lines in order may read the same. A line drawn below is no other text.
 */
export function saysTheSame(one: StakeSaid, other: StakeSaid): boolean {
  const lines = ({ stakeText, written }: StakeSaid) =>
    one.written && other.written && written
      ? STAKE_SIDES.map((side) => written[side].map(({ text }) => text))
      : stakeText;
  return JSON.stringify(lines(one)) === JSON.stringify(lines(other));
}
