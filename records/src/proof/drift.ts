/** What the proofs of a station say about its height and its direction over the day. */
import { driftOf, planDistance, RADIANS_PER_SECOND, type Drift, type Metres, type Sample } from '@idle-marker/core';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { MM } from '../site/stored.ts';

export interface DayDrift {
  readonly of: 'height' | 'turn';
  readonly drift: Drift;
  /** Instants in milliseconds; heights in metres, turns as metres at 100 m. */
  readonly samples: readonly Sample[];
}

/** Turns are told as what they do at this distance. */
const AT: Metres = 100;
/** Nearer than this a small slip of the pole turns everything. */
const LEAST_DISTANCE: Metres = 5;
const USUAL_SD_MM = 2;
const LEAST_SD_MM = 0.5;

type Figures = Readonly<Record<string, unknown>>;
const figure = (result: Figures, field: string): number | null =>
  typeof result[field] === 'number' ? result[field] : null;
const sdOf = (result: Figures, field: string): Metres =>
  Math.max(figure(result, field) ?? USUAL_SD_MM, LEAST_SD_MM) * MM;

/** Proofs and far directions of one solution, in order. */
export function dayDrift(state: SiteState, solution: AcceptedSolution): DayDrift[] {
  const { body } = solution.occupation;
  const station = solution.fact.body.result;
  const height: Sample[] = [];
  const turn: Sample[] = [];
  for (const proof of state.proofs) {
    if (proof.body.solution !== solution.fact.id) continue;
    const at = Date.parse(proof.at);
    const { result } = proof.body;
    const dZ = figure(result, 'dZMm');
    if (dZ !== null) height.push({ at, value: dZ * MM, sd: sdOf(result, 'sdDZMm') });
    const turnSec = figure(result, 'turnSec');
    if (turnSec !== null)
      turn.push({
        at,
        value: turnSec * RADIANS_PER_SECOND * AT,
        sd: body.instrument.angleSdSec * Math.SQRT2 * RADIANS_PER_SECOND * AT,
      });
    const across = figure(result, 'dAcrossMm');
    const mark = state.control
      .find((each) => each.id === proof.body.control)
      ?.revisions.find((each) => each.id === proof.body.revision)?.body;
    if (across === null || !mark || mark.e === null || mark.n === null) continue;
    const distance = planDistance(station, { e: mark.e, n: mark.n });
    if (distance < LEAST_DISTANCE) continue;
    turn.push({ at, value: (across * MM * AT) / distance, sd: (sdOf(result, 'sdDAcrossMm') * AT) / distance });
  }
  return [
    { of: 'height', drift: driftOf(height), samples: height },
    { of: 'turn', drift: driftOf(turn), samples: turn },
  ];
}
