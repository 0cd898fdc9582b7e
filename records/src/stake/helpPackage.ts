/** A whole set-up packed for a colleague: its facts, the control as it was listed, and what the judgement said. */
import type { Judgement } from '@idle-marker/core';
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import { factsOfOccupation } from '../book/setupPage.ts';
import type { SiteState } from '../site/state.ts';

export interface HelpPackage {
  readonly form: 'idle-marker-set-up';
  readonly version: 1;
  readonly site: FactBody<'site'>;
  readonly station: string;
  readonly packedAt: string;
  readonly question: string;
  /** What the judgement says, in its own codes and in words. */
  readonly judgement: Judgement | null;
  readonly sentences: readonly string[];
  readonly control: readonly Fact<'control'>[];
  readonly facts: readonly AnyFact[];
}

/** Everything that somebody elsewhere needs to look at a station: nothing of it has to be asked for again. */
export function helpPackage(
  state: SiteState,
  occupation: Fact<'occupation'>,
  about: {
    readonly at: string;
    readonly question: string;
    readonly judgement: Judgement | null;
    readonly sentences: readonly string[];
  },
): HelpPackage {
  const sighted = new Set<string>();
  for (const { body } of state.sights.values())
    if (body.occupation === occupation.id && body.target.kind === 'control') sighted.add(body.target.mark);
  return {
    form: 'idle-marker-set-up',
    version: 1,
    site: state.settings,
    station: occupation.body.name,
    packedAt: about.at,
    question: about.question,
    judgement: about.judgement,
    sentences: about.sentences,
    // All revisions of what was sighted, and what else is listed now: a wrong name is looked for among all.
    control: state.control.flatMap((mark) => (sighted.has(mark.id) ? mark.revisions : [mark.revision])),
    facts: factsOfOccupation(state, occupation.id),
  };
}
