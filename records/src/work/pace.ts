/** How many shots a mark takes: what walking by feel costs. */
import type { SiteState } from '../site/state.ts';

export interface Pace {
  readonly marks: number;
  /** Mean number of shots a mark, that of the driven hub included. */
  readonly shotsPerMark: number;
  /** Median time from one mark to the next; null before the third. */
  readonly minutesPerMark: number | null;
}

const MS_PER_MINUTE = 60_000;

/** Over the marks in force that one person set from one solution; null before the first. */
export function paceOf(state: SiteState, solution: string, who: string): Pace | null {
  const own = [...state.marks.values()].filter(
    (mark) => mark.body.solution === solution && mark.by === who && mark.body.state !== 'rough',
  );
  if (own.length === 0) return null;
  const times = own.map((mark) => Date.parse(mark.at)).sort((a, b) => a - b);
  const gaps = times
    .slice(1)
    .map((time, i) => (time - times[i]!) / MS_PER_MINUTE)
    .sort((a, b) => a - b);
  return {
    marks: own.length,
    shotsPerMark: own.reduce((sum, mark) => sum + mark.body.shots, 0) / own.length,
    minutesPerMark: gaps.length < 2 ? null : gaps[Math.floor(gaps.length / 2)]!,
  };
}
