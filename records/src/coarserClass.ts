/** A station that is used for finer work than it was accepted for: nobody asked of it then what this work asks. */
import type { Fact, FactBody } from '@idle-marker/contract';
import type { SiteState } from './state.ts';
import { classOf } from './toleranceClass.ts';

type ToleranceClass = FactBody<'site'>['classes'][number];

export interface CoarserClass {
  /** For which the station was accepted. */
  readonly accepted: string;
  /** Of the work that asks for more. */
  readonly asked: string;
  readonly part: 'plan' | 'height';
  readonly acceptedMm: number;
  readonly askedMm: number;
}

const inPart = (accepted: ToleranceClass, asked: ToleranceClass, part: CoarserClass['part']): CoarserClass | null => {
  const [acceptedMm, askedMm] = part === 'plan' ? [accepted.planMm, asked.planMm] : [accepted.heightMm, asked.heightMm];
  return acceptedMm > askedMm ? { accepted: accepted.name, asked: asked.name, part, acceptedMm, askedMm } : null;
};

/**
 * Null where the station was accepted for what the work asks, or for more; of several works the finest counts.
 *
 * @param works classes of the work, by their ids
 */
export function coarserClass(state: SiteState, { body }: Fact<'solution'>, works: readonly string[]): CoarserClass | null {
  const accepted = classOf(state, body.class);
  const asked = [...new Set(works)].map((id) => classOf(state, id)).sort((a, b) => a.planMm - b.planMm || a.heightMm - b.heightMm);
  const plan = body.method === 'heightOnly' ? undefined : asked[0];
  const [height] = body.result.z === null ? [] : [...asked].sort((a, b) => a.heightMm - b.heightMm);
  return (plan && inPart(accepted, plan, 'plan')) ?? (height && inPart(accepted, height, 'height')) ?? null;
}
