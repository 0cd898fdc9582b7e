/**
 * A road on the plan: its centreline and strings, ticks at round stations, the points where it changes, and where its
 * stations jump.
 */
import {
  equationJumps,
  keyPoints,
  lengthFromMetres,
  METRES_PER_UNIT,
  placeAlong,
  polar,
  stationsShown,
  wrapTurn,
  type Metres,
  type PlanPoint,
} from '@idle-marker/core';
import { placeOnRoad, type Road } from '@idle-marker/records';
import { msg, junctionWords, shortStation, stationText, type StationStyle } from '@idle-marker/words';
import type { Scene, SceneLine, SceneText } from './scene.ts';

/** Places along a line so that arcs look round: by how much they turn, and no farther apart than this. */
const TURN = 0.05;
const FARTHEST: Metres = 25;

/** Stations at which a line is drawn: all ends of its elements, and in between as its bends ask for. */
export function drawnStations({ alignment }: Road): number[] {
  const stations: number[] = [];
  for (const { startStation, length, curvatureStart, curvatureEnd } of alignment.elements) {
    const turn = Math.max(Math.abs(curvatureStart), Math.abs(curvatureEnd)) * length;
    const parts = Math.max(1, Math.ceil(turn / TURN), turn > 0 ? Math.ceil(length / FARTHEST) : 1);
    for (let i = 0; i < parts; i++) stations.push(startStation + (length * i) / parts);
  }
  return [...stations, alignment.endStation];
}

/** Where the pieces of a string are drawn: on the way, and at both sides of every change of its tables. */
export function stringLine(road: Road, string: string, stations: readonly number[]): PlanPoint[] {
  const own = [...new Set([...stations, ...(road.template.changes.get(string) ?? [])])].sort((a, b) => a - b);
  return own.flatMap((station) => {
    const place = placeOnRoad(road, { station, string });
    return place ? [{ e: place.e, n: place.n }] : [];
  });
}

/** Round stations of a road, as they are shown, each with a place and a direction. */
function ticks(road: Road, interval: Metres) {
  const { alignment } = road;
  const shown: { readonly station: Metres; readonly displayed: Metres }[] = [];
  const limits = [alignment.startStation, ...alignment.equations.map(({ at }) => at), alignment.endStation];
  limits.slice(0, -1).forEach((from, i) => {
    const equation = alignment.equations[i - 1];
    const displayedAt = (station: Metres) =>
      equation ? equation.ahead + equation.counts * (station - equation.at) : station;
    const [a, b] = [displayedAt(from), displayedAt(limits[i + 1]!)];
    for (let k = Math.ceil(Math.min(a, b) / interval - 1e-9); k * interval <= Math.max(a, b) + 1e-9; k++) {
      const found = stationsShown(alignment, k * interval).find((each) => each.region === i);
      if (found) shown.push({ station: found.station, displayed: k * interval });
    }
  });
  return shown;
}

const TICK: Metres = 1.6;
const LABEL: Metres = 6;

export function roadScene(road: Road, style: StationStyle, look: 'active' | 'other' = 'active'): Partial<Scene> {
  const { alignment, shift } = road;
  const stations = drawnStations(road);
  const isActive = look === 'active';
  const centre: SceneLine = {
    points: stringLine(road, 'centreline', stations),
    ink: 'pencil',
    dash: [14, 3, 2, 3],
    width: isActive ? 2 : 1,
  };
  if (!isActive) return { lines: [centre], texts: [nameOf(road)] };
  const strings = road.template.names
    .filter((name) => name !== 'centreline' && !name.endsWith('.flowLine'))
    .map((name): SceneLine => ({ points: stringLine(road, name, stations), ink: 'pencil', width: 1 }));
  const unit = METRES_PER_UNIT[style.unit];
  const interval = (style.unit === 'metre' ? 20 : 50) * unit;
  const across = (station: Metres, from: Metres, to: Metres): PlanPoint[] =>
    [from, to].flatMap((offset) => {
      const place = placeAlong(alignment, station, offset + shift);
      return place ? [{ e: place.e, n: place.n }] : [];
    });
  const round = ticks(road, interval);
  const special = keyPoints(alignment).filter(({ name }) => name !== 'BOP' && name !== 'EOP');
  const texts: SceneText[] = [
    nameOf(road),
    ...equationJumps(alignment).flatMap(({ at: station, back, ahead }) => {
      const at = across(station, -2 * LABEL, -2 * LABEL)[0];
      return at
        ? [
            {
              at,
              text: msg('board.backAhead', {
                station: stationText(back, style, 2),
                station2: stationText(ahead, style, 2),
              }),
              ink: 'ochre' as const,
            },
          ]
        : [];
    }),
    ...round
      .filter(
        ({ displayed }) =>
          Math.round(lengthFromMetres(displayed, style.unit)) % (style.unit === 'metre' ? 40 : 100) === 0,
      )
      .flatMap(({ station, displayed }) => {
        const at = across(station, -LABEL, -LABEL)[0];
        return at ? [{ at, text: shortStation(displayed, style), ink: 'ink2' as const }] : [];
      }),
    ...special.flatMap(({ station, name }) => {
      const at = across(station, LABEL, LABEL)[0];
      return at ? [{ at, text: junctionWords()[name], ink: 'pencil' as const }] : [];
    }),
  ];
  return {
    lines: [
      centre,
      ...strings,
      ...round.map(({ station }): SceneLine => ({ points: across(station, -TICK, TICK), ink: 'ink2', width: 1 })),
      ...special.map(({ station }): SceneLine => ({
        points: across(station, -TICK, 2 * TICK),
        ink: 'pencil',
        width: 1.5,
      })),
      ...alignment.equations.map(({ at }): SceneLine => ({
        points: across(at, -2 * LABEL, 2 * TICK),
        ink: 'ochre',
        width: 2,
      })),
    ],
    texts,
  };
}

/** Its name stands before its start. */
function nameOf({ alignment, name }: Road): SceneText {
  const [first] = alignment.elements;
  return { at: polar(first!.start, wrapTurn(first!.azimuthStart + Math.PI), LABEL), text: name, ink: 'pencil' };
}
