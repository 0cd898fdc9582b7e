/**
 * Stations as they are shown where a design numbers on afresh: from each equation on, the station ahead counts. Source:
 * LandXML.org, LandXML-1.2 schema (StaEquation).
 */
import type { Metres } from '../quantity/unit.ts';

export interface StationEquation {
  /** Where it holds from: distance along the line, counted from the station of its start without equations. */
  readonly at: Metres;
  /** What is shown there. */
  readonly ahead: Metres;
  /** -1 where the stations count down ahead; 1 where they count up. */
  readonly counts: 1 | -1;
}
export interface DisplayedStation {
  readonly displayed: Metres;
  /** Equations passed: 0 before the first. */
  readonly region: number;
}
interface Numbered {
  readonly startStation: Metres;
  readonly endStation: Metres;
  /** In order along the line. */
  readonly equations: readonly StationEquation[];
}

/** Two stations nearer than this are one. */
export const SAME_STATION: Metres = 1e-6;

/** The station shown for a distance along the line; at an equation the one ahead. */
export function displayedStation({ equations }: Pick<Numbered, 'equations'>, station: Metres): DisplayedStation {
  let region = 0;
  while (region < equations.length && equations[region]!.at <= station + SAME_STATION) region++;
  const equation = equations[region - 1];
  return { displayed: equation ? equation.ahead + equation.counts * (station - equation.at) : station, region };
}

/** What is shown just before an equation, as the line comes to it. */
export function stationBack(numbered: Pick<Numbered, 'equations'>, index: number): Metres {
  const { at } = numbered.equations[index]!;
  const before = numbered.equations[index - 1];
  return before ? before.ahead + before.counts * (at - before.at) : at;
}

/**
 * Every distance along the line that shows this station, ascending, with the region it lies in; none in a gap or
 * outside.
 */
export function stationsShown(
  numbered: Numbered,
  displayed: Metres,
): { readonly station: Metres; readonly region: number }[] {
  const found: { readonly station: Metres; readonly region: number }[] = [];
  for (let region = 0; region <= numbered.equations.length; region++) {
    const equation = numbered.equations[region - 1];
    const from = equation ? equation.at : numbered.startStation;
    const to = numbered.equations[region]?.at ?? numbered.endStation;
    const station = equation ? equation.at + equation.counts * (displayed - equation.ahead) : displayed;
    if (station < from - SAME_STATION || station > to + SAME_STATION) continue;
    const within = Math.min(Math.max(station, from), to);
    const same = found.findIndex((each) => Math.abs(each.station - within) < SAME_STATION);
    if (same < 0) found.push({ station: within, region });
    // An equation without a jump shows the same on both sides: one place, counted ahead.
    else found[same] = { station: within, region };
  }
  return found.sort((a, b) => a.station - b.station);
}
