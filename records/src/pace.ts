/** How many shots a mark takes: what walking by feel costs. */
import type { SiteState } from './state.ts';

export interface Pace {
  readonly marks: number;
  /** Mean number of shots a mark, that of the driven hub included. */
  readonly shotsPerMark: number;
}

/** Over the marks in force that one person set from one solution; null before the first. */
export function paceOf(state: SiteState, solution: string, who: string): Pace | null {
  const own = [...state.marks.values()].filter((mark) => mark.body.solution === solution && mark.by === who && mark.body.state !== 'rough');
  if (own.length === 0) return null;
  return { marks: own.length, shotsPerMark: own.reduce((sum, mark) => sum + mark.body.shots, 0) / own.length };
}
