/** What was measured along a road: ground shots and points of a cross section at their stations, and slope stakes. */
import type { Metres, SitePoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { againstRoad, placeOnRoad, type Road } from './roads.ts';
import { atSlope, type RoadSlope } from './slopes.ts';
import type { SiteState } from '../site/state.ts';

export type RoadShot = Extract<NonNullable<FactBody<'asBuilt'>['against']>, { kind: 'road' }>;

/**
 * A place as it lies along a road; null beyond its ends, where there is no station. `slope`: the place is where that
 * one is caught.
 */
export function roadShot(
  fact: Pick<Fact<'alignment'>, 'id' | 'body'>,
  road: Road,
  gradeString: string,
  place: SitePoint,
  slope: RoadSlope | null = null,
): RoadShot | null {
  const { nearest } = againstRoad(road, place);
  if (!('station' in nearest)) return null;
  const caught = slope && place.z !== null ? atSlope(road, slope, nearest.station, nearest.offset, place.z) : null;
  return {
    kind: 'road',
    alignment: fact.id,
    line: fact.body.alignment,
    name: road.name,
    station: nearest.station,
    displayed: nearest.displayed,
    offset: nearest.offset,
    gradeString,
    designZ: placeOnRoad(road, { station: nearest.station, string: gradeString })?.z ?? null,
    ...(slope && caught
      ? {
          slope: {
            hinge: slope.hinge,
            side: slope.side,
            kind: caught.kind,
            run: caught.kind === 'cut' ? slope.cutRun : slope.fillRun,
            distance: caught.distance,
            overHinge: caught.overHinge,
          },
        }
      : {}),
  };
}

export interface RoadMeasured {
  readonly fact: Fact<'asBuilt'>;
  readonly shot: RoadShot;
}

/** Everything measured along a road, in the order of its stations, from left to right at one. */
export const measuredAlong = (state: SiteState, line: string): RoadMeasured[] =>
  state.asBuilt
    .flatMap((fact): RoadMeasured[] =>
      fact.body.against?.kind === 'road' && fact.body.against.line === line ? [{ fact, shot: fact.body.against }] : [],
    )
    .sort((a, b) => a.shot.station - b.shot.station || a.shot.offset - b.shot.offset);

/** Those that belong to the cross section at a station. */
export const measuredAt = (
  measured: readonly RoadMeasured[],
  station: Metres,
  within: Metres,
): readonly RoadMeasured[] => measured.filter(({ shot }) => Math.abs(shot.station - station) <= within);
