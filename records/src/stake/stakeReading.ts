/** What a crew has to know to read the stake of a mark that is set. */
import {
  heightTerm,
  offsetTerm,
  polar,
  RADIANS_PER_DEGREE,
  type PlanPoint,
  type Reach,
  type StakeReading,
  type StakeTerm,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { wordsOnStake } from '@idle-marker/words';
import { conventionFor, offsetAsSet, pointOf, stakeContent, stakeStyle } from './conventions.ts';
import { isOutline } from '../work/packagePlans.ts';
import type { SiteState } from '../site/state.ts';

type Package = FactBody<'package'>;
type Plan = Package['plans'][number];

function reachOf(plan: Plan): Reach {
  const pair = (names: readonly string[]) => ({ from: names[0]!, until: names[1]! });
  if (plan.offset === 0) return { way: 'on' };
  if (plan.road && plan.road.side !== 'on')
    return { way: 'road', side: plan.road.side, angle: plan.road.angle ?? null };
  if (plan.offFace) return { way: 'face', ...pair(plan.offFace) };
  if (plan.onLine) return { way: 'line', ...pair(plan.onLine) };
  return { way: 'straight' };
}

/** Along a road, a piece of its line so many offsets long either way. */
const ROAD_PIECE = 2;

/** The sides of the thing that meet where the mark leads to. */
function linesNear(work: Package, plan: Plan): (readonly PlanPoint[])[] {
  if (plan.road) {
    const azimuth = plan.road.azimuthDeg * RADIANS_PER_DEGREE;
    const reach = ROAD_PIECE * Math.max(plan.offset, 1);
    return [[polar(plan.design, azimuth, -reach), plan.design, polar(plan.design, azimuth, reach)]];
  }
  const item = work.items.find((each) => each.name === plan.item);
  const at = item?.corners.findIndex((corner) => corner.name === plan.corner) ?? -1;
  if (!item || at < 0) return [];
  const { corners } = item;
  if (isOutline(item))
    return [[corners[(at + corners.length - 1) % corners.length]!, corners[at]!, corners[(at + 1) % corners.length]!]];
  if (item.rule === 'lineEnds') return [[corners[at]!, corners[at % 2 === 0 ? at + 1 : at - 1] ?? corners[at]!]];
  return item.rule === 'along' ? [corners.slice(Math.max(0, at - 1), at + 2)] : [];
}

export function stakeReading(state: SiteState, work: Package, plan: Plan, mark: Fact<'mark'>): StakeReading {
  const { convention } = conventionFor(state, work);
  const { place, hubZ, within } = mark.body;
  const content = stakeContent(state, work, plan, { place, hubZ, within, day: mark.at.slice(0, 10), by: '' });
  const gradeTo = plan.road?.gradeTo;
  const heights = [
    ...(content.cutFill === null
      ? []
      : [{ reference: content.heightReference, string: gradeTo ?? null, cutFill: content.cutFill }]),
    ...(content.also && content.also.cutFill !== null
      ? [{ reference: content.also.heightReference, string: content.also.to ?? null, cutFill: content.also.cutFill }]
      : []),
  ];
  const notUsual = (term: StakeTerm | null, usual: readonly StakeTerm[]) =>
    term !== null && usual.length > 0 && !usual.includes(term) ? [{ what: term, usual }] : [];
  return {
    name: plan.name,
    carrier: convention.carrier,
    point: mark.body.written?.point ?? pointOf(work),
    reach: reachOf(plan),
    // The figure that stands on the stake.
    offset:
      convention.offsetFigure === 'plannedWithin' && within
        ? plan.offset
        : (mark.body.offset ?? offsetAsSet(plan, place)),
    to: plan.corner,
    meaning: plan.meaning,
    string: plan.road?.to ?? null,
    heights,
    place: { e: place.e, n: place.n },
    design: plan.design,
    lines: linesNear(work, plan).map((line) => line.map(({ e, n }) => ({ e, n }))),
    unusual: [
      ...notUsual(offsetTerm(content), convention.usual.offsetTo),
      ...(content.cutFill === null
        ? []
        : notUsual(heightTerm(content.heightReference, gradeTo), convention.usual.heightTo)),
    ],
    facing: convention.facing,
    colours: convention.colours.find((each) => each.kind === (work.markKind ?? 'hubAndLath')) ?? null,
    tolerance: content.tolerance,
    words: wordsOnStake(content, stakeStyle(state, work)),
    rounding: work.rounding ? { offset: work.rounding, height: work.rounding } : convention.rounding,
  };
}
