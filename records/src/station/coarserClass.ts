/** A station that is used for finer work than it was accepted for: nobody asked of it then what this work asks. */
import type { Fact } from '@idle-marker/contract';
import type { SiteState, ToleranceClass } from '../site/state.ts';
import { inMm } from '../site/stored.ts';
import { classOf } from '../site/toleranceClass.ts';

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
  // Sheets keep it in millimetres.
  return accepted[part] > asked[part]
    ? { accepted: accepted.name, asked: asked.name, part, acceptedMm: inMm(accepted[part]), askedMm: inMm(asked[part]) }
    : null;
};

/**
 * Null where the station was accepted for what the work asks, or for more; of several works the finest counts.
 *
 * @param works classes of the work, by their ids
 */
export function coarserClass(
  state: SiteState,
  { body }: Fact<'solution'>,
  works: readonly string[],
): CoarserClass | null {
  const accepted = classOf(state, body.class);
  const asked = [...new Set(works)]
    .map((id) => classOf(state, id))
    .sort((a, b) => a.plan - b.plan || a.height - b.height);
  const plan = body.method === 'heightOnly' ? undefined : asked[0];
  const [height] = body.result.z === null ? [] : [...asked].sort((a, b) => a.height - b.height);
  return (plan && inPart(accepted, plan, 'plan')) ?? (height && inPart(accepted, height, 'height')) ?? null;
}
