/** Returns of kerbs where two roads meet: the arc that touches a string of each, its points, and their heights. */
import {
  againstAlignment,
  CENTRELINE,
  crossLines,
  fail,
  kerbPartOf,
  kerbReturn,
  ok,
  planDistance,
  polar,
  RADIANS_PER_DEGREE,
  type KerbReturn,
  type Metres,
  type PlanPoint,
  type Result,
  type ReturnPointName,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';
import { againstRoad, placeOnRoad, type Road } from './roads.ts';

type Item = FactBody<'package'>['items'][number];

export interface ReturnSide {
  readonly fact: Pick<Fact<'alignment'>, 'id' | 'body'>;
  readonly road: Road;
  /** The string that the arc touches, and the one that heights are given to. */
  readonly string: string;
  readonly gradeString: string;
  /** Near where it touches, without equations. */
  readonly station: Metres;
  /** Whether the way round the return goes up or down the stations of this road. */
  readonly way: 'up' | 'down';
}
export interface RoadReturn {
  readonly arc: KerbReturn;
  /** Where the arc touches the first and the second string. */
  readonly begin: Metres;
  readonly end: Metres;
  readonly beginZ: Metres | null;
  readonly endZ: Metres | null;
}
export type ReturnError =
  /** The strings run alike there: no arc joins them. */
  | { readonly code: 'RETURN_PARALLEL' }
  | { readonly code: 'RETURN_OFF_THE_LINE'; readonly road: string }
  | { readonly code: 'RETURN_DOES_NOT_SETTLE' };

/** Half the stretch over which the direction of a string is taken. */
const HALF: Metres = 0.05;
const SETTLED: Metres = 1e-5;
const MOST_ROUNDS = 60;

/** The line that touches a string at a station, in the way round the return; null beyond its ends. */
function tangentAt(
  { road, string, way }: Pick<ReturnSide, 'road' | 'string' | 'way'>,
  station: Metres,
): { readonly from: PlanPoint; readonly to: PlanPoint } | null {
  const { startStation, endStation } = road.alignment;
  const [low, high] = [Math.max(startStation, station - HALF), Math.min(endStation, station + HALF)];
  const [a, b] = [placeOnRoad(road, { station: low, string }), placeOnRoad(road, { station: high, string })];
  if (!a || !b || planDistance(a, b) < SETTLED) return null;
  return way === 'up' ? { from: a, to: b } : { from: b, to: a };
}

/** A string that was touched on the plan. */
export interface TouchedString {
  readonly road: Road;
  readonly string: string;
  /** Without equations. */
  readonly station: Metres;
}

/**
 * The string nearest to a place, of all roads that pass it; the line itself only where a road has no other. Of several
 * that can't be told apart the face of a kerb is meant.
 *
 * @param apart as near to one another as this they can't be told apart, metres
 */
export function touchedString(roads: readonly Road[], point: PlanPoint, apart: Metres = 0): TouchedString | null {
  const found = roads.flatMap((road) => {
    const { nearest, outside } = againstRoad(road, point);
    if (outside || !('station' in nearest)) return [];
    const { station, offset } = nearest;
    const own = road.template.names.filter((name) => name !== CENTRELINE);
    return (own.length > 0 ? own : [CENTRELINE]).flatMap((string) => {
      const place = placeOnRoad(road, { station, string });
      return place ? [{ road, string, station, away: Math.abs(place.offset - offset) }] : [];
    });
  });
  const least = Math.min(...found.map(({ away }) => away));
  const near = found.filter(({ away }) => away <= least + apart);
  const best = near.find(({ string }) => kerbPartOf(string) === 'face') ?? near.find(({ away }) => away === least);
  return best ? { road: best.road, string: best.string, station: best.station } : null;
}

/**
 * Which way along each road the return goes from one touched string to the other: by way of where their tangents cross.
 * Null where they run alike.
 */
export function waysRound(
  from: TouchedString,
  to: TouchedString,
): { readonly from: ReturnSide['way']; readonly to: ReturnSide['way'] } | null {
  const [first, second] = [
    tangentAt({ ...from, way: 'up' }, from.station),
    tangentAt({ ...to, way: 'up' }, to.station),
  ];
  if (!first || !second) return null;
  const crossing = crossLines(first, second);
  if (crossing?.status !== 'one') return null;
  const [at] = crossing.points;
  const goesUp = (line: { readonly from: PlanPoint; readonly to: PlanPoint }, a: PlanPoint, b: PlanPoint): boolean =>
    (line.to.e - line.from.e) * (b.e - a.e) + (line.to.n - line.from.n) * (b.n - a.n) >= 0;
  return {
    from: goesUp(first, first.from, at!) ? 'up' : 'down',
    to: goesUp(second, at!, second.from) ? 'up' : 'down',
  };
}

/**
 * The arc of a radius from one string to the other. Curved strings are met by their tangents, again where the arc came
 * to lie.
 */
export function returnBetween(from: ReturnSide, to: ReturnSide, radius: Metres): Result<RoadReturn, ReturnError> {
  let [begin, end] = [from.station, to.station];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const [tangentIn, tangentOut] = [tangentAt(from, begin), tangentAt(to, end)];
    if (!tangentIn) return fail({ code: 'RETURN_OFF_THE_LINE', road: from.road.name });
    if (!tangentOut) return fail({ code: 'RETURN_OFF_THE_LINE', road: to.road.name });
    const arc = kerbReturn(tangentIn, tangentOut, radius);
    if (!arc) return fail({ code: 'RETURN_PARALLEL' });
    const [first, last] = [
      againstAlignment(from.road.alignment, arc.points[0]!),
      againstAlignment(to.road.alignment, arc.points.at(-1)!),
    ];
    if (!('station' in first)) return fail({ code: 'RETURN_OFF_THE_LINE', road: from.road.name });
    if (!('station' in last)) return fail({ code: 'RETURN_OFF_THE_LINE', road: to.road.name });
    const moved = Math.max(Math.abs(first.station - begin), Math.abs(last.station - end));
    [begin, end] = [first.station, last.station];
    if (moved < SETTLED) {
      const heightOf = (side: ReturnSide, station: Metres) =>
        placeOnRoad(side.road, { station, string: side.gradeString })?.z ?? null;
      return ok({ arc, begin, end, beginZ: heightOf(from, begin), endZ: heightOf(to, end) });
    }
  }
  return fail({ code: 'RETURN_DOES_NOT_SETTLE' });
}

const NAME: Readonly<Record<ReturnPointName, string>> = {
  begin: 'begin',
  quarter: 'quarter',
  middle: 'middle',
  threeQuarter: '3 quarter',
  end: 'end',
};
const whyTexts = worded((): Readonly<Record<ReturnPointName, string>> => ({
  begin: msg('records.returnBegins'),
  quarter: msg('records.firstQuarterOfTheReturn'),
  middle: msg('records.middleOfTheReturn'),
  threeQuarter: msg('records.thirdQuarterOfTheReturn'),
  end: msg('records.returnEnds'),
}));

export interface ReturnWork {
  readonly name: string;
  /** On which side of the arc the hubs stand, in the way round it. */
  readonly side: 'on' | 'left' | 'right';
  /** The arc's points, or of a small one the radius point alone, with the heights of both ends. */
  readonly marks: 'arc' | 'radiusPoint' | 'both';
}

/**
 * The item of a package: the points of the arc with heights that run evenly from its begin to its end, and its radius
 * point.
 */
export function returnItem(
  from: ReturnSide,
  to: ReturnSide,
  { arc, begin, end, beginZ, endZ }: RoadReturn,
  work: ReturnWork,
): Item {
  const corners: Item['corners'] = [];
  const stations: NonNullable<Item['road']>['stations'] = [];
  const between = (share: number): Metres | null =>
    beginZ === null || endZ === null ? null : beginZ + (endZ - beginZ) * share;
  if (work.marks !== 'radiusPoint')
    arc.points.forEach((point, i) => {
      corners.push({ name: NAME[point.name], e: point.e, n: point.n, z: between(i / 4) });
      stations.push({
        station: (arc.length * i) / 4,
        azimuthDeg: point.azimuth / RADIANS_PER_DEGREE,
        why: whyTexts()[point.name],
        offset: null,
        alsoZ: null,
      });
    });
  if (work.marks !== 'arc') {
    corners.push({ name: msg('records.radiusPoint'), e: arc.radiusPoint.e, n: arc.radiusPoint.n, z: beginZ });
    stations.push({
      station: 0,
      azimuthDeg: 0,
      why: msg('records.radiusPointStrapTheRadiusAllRound'),
      offset: 0,
      alsoZ: endZ,
      gradeTo: msg('records.beginOf', { name: work.name }).slice(0, 80),
      alsoTo: msg('records.endOf', { name: work.name }).slice(0, 80),
    });
  }
  return {
    name: work.name,
    meaning: 'edge',
    designZ: null,
    rule: 'road',
    corners,
    source: msg('records.to', { name: from.fact.body.name, name2: to.fact.body.name }).slice(0, 80),
    road: {
      alignment: from.fact.id,
      line: from.fact.body.alignment,
      string: from.string,
      gradeString: from.gradeString,
      alsoString: null,
      side: work.side,
      rule: {
        from: begin,
        to: begin,
        interval: null,
        byRadius: [],
        equalParts: null,
        special: false,
        extra: [],
        direction: from.way,
      },
      stations,
      return: {
        alignment: to.fact.id,
        line: to.fact.body.alignment,
        string: to.string,
        gradeString: to.gradeString,
        station: end,
        way: to.way,
        radius: arc.radius,
        marks: work.marks,
      },
    },
  };
}

/** Places along an arc for it to be drawn by. */
export const drawnReturn = ({ arc }: RoadReturn, steps = 24): PlanPoint[] => {
  const [first] = arc.points;
  const hand = Math.sign(arc.delta);
  return Array.from({ length: steps + 1 }, (_, i) =>
    polar(arc.radiusPoint, first!.azimuth + (arc.delta * i) / steps - (hand * Math.PI) / 2, arc.radius),
  );
};
