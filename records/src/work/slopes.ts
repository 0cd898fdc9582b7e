/** Slopes that start at a string of a road: where they meet the ground, and what to do at the pole. */
import {
  catchGuidance,
  catchPoint,
  type CatchGuidance,
  type CatchOutcome,
  type Metres,
  type PlanPoint,
  type SlopeAsked,
} from '@idle-marker/core';
import { placeOnRoad, type Road } from './roads.ts';

export interface RoadSlope {
  /** The string that it starts at. */
  readonly hinge: string;
  /** To which side it runs, looking up the stations. */
  readonly side: 'left' | 'right';
  /** Metres out for a metre of height. */
  readonly cutRun: number;
  readonly fillRun: number;
}
export interface Hinge {
  readonly offset: Metres;
  readonly z: Metres;
}

/** How far out a slope is followed, and how closely the ground is looked at. */
export const SLOPE_REACH: Metres = 40;
const STEP: Metres = 0.25;

/** Where a slope starts at a station; null where the string has no height. */
export function hingeAt(road: Road, { hinge }: Pick<RoadSlope, 'hinge'>, station: Metres): Hinge | null {
  const place = placeOnRoad(road, { station, string: hinge });
  return place && place.stringZ !== null ? { offset: place.stringOffset, z: place.stringZ } : null;
}

const outward = ({ side }: Pick<RoadSlope, 'side'>): 1 | -1 => (side === 'right' ? 1 : -1);

const askedOf = ({ cutRun, fillRun }: RoadSlope, { z }: Hinge): SlopeAsked => ({
  hingeZ: z,
  cutRun,
  fillRun,
  farthest: SLOPE_REACH,
});

/** Places from the hinge outward, square to the road, whose ground has to be known. */
export function slopePlaces(road: Road, slope: RoadSlope, station: Metres): readonly PlanPoint[] {
  const places: PlanPoint[] = [];
  for (let i = 0; i * STEP <= SLOPE_REACH; i++) {
    const place = placeOnRoad(road, { station, string: slope.hinge, extraOffset: outward(slope) * i * STEP });
    if (!place) return [];
    places.push({ e: place.e, n: place.n });
  }
  return places;
}

/** @param ground heights at `slopePlaces`, null for those without */
export function designedCatch(slope: RoadSlope, hinge: Hinge, ground: readonly (Metres | null)[]): CatchOutcome {
  return catchPoint(
    (distance) => {
      const at = distance / STEP;
      const [low, share] = [Math.floor(at), at - Math.floor(at)];
      const [a, b] = [ground[low] ?? null, ground[Math.min(low + 1, ground.length - 1)] ?? null];
      return a === null || (b === null && share > 1e-9) ? null : a + share * ((b ?? a) - a);
    },
    askedOf(slope, hinge),
  );
}

export interface AtSlope extends CatchGuidance {
  /** Of the pole from the hinge, outward. */
  readonly distance: Metres;
  /** Ground at the pole above the hinge, negative below it: what the stake says. */
  readonly overHinge: Metres;
  readonly hinge: Hinge;
}

/** What to do where the pole is; null inside of the hinge, or where the hinge has no height. */
export function atSlope(road: Road, slope: RoadSlope, station: Metres, offset: Metres, z: Metres): AtSlope | null {
  const hinge = hingeAt(road, slope, station);
  if (!hinge) return null;
  const distance = (offset - hinge.offset) * outward(slope);
  return distance < 0
    ? null
    : { ...catchGuidance(askedOf(slope, hinge), distance, z), distance, overHinge: z - hinge.z, hinge };
}
