/** What the judgement said of a station when somebody decided on it: from what was known then, and nothing since. */
import { inOrder, type Checkability } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { reasonWords } from '@idle-marker/words';
import { askedOf } from '../site/asked.ts';
import { checkOf } from './checked.ts';
import { namingOf } from '../site/naming.ts';
import { draftAsUsed } from './stationDraft.ts';
import { siteState } from '../fold/fold.ts';
import type { SiteState } from '../site/state.ts';

export interface JudgedThen {
  readonly verdict: 'checked' | 'unchecked' | 'refused';
  /** Why, the weightiest first. */
  readonly because: readonly string[];
  /** How checkable it was called then, where the decision was made by rules that are not those of now; null else. */
  readonly byRulesOfThen: Checkability | null;
}

/** A decision stands for good, and so does what was known when it was made. */
const known = new WeakMap<Fact<'decision'>, JudgedThen | null>();

/** Null where nothing was solved: heights alone, and what the sights of then give no station for. */
export function judgedThen(state: SiteState, decision: Fact<'decision'>): JudgedThen | null {
  const before = known.get(decision);
  if (before !== undefined) return before;
  const judged = judge(state, decision);
  known.set(decision, judged);
  return judged;
}

function judge({ timeline }: SiteState, decision: Fact<'decision'>): JudgedThen | null {
  const solution = timeline.find(
    (fact): fact is Fact<'solution'> => fact.type === 'solution' && fact.id === decision.body.solution,
  );
  if (!solution || solution.body.method === 'paired' || solution.body.method === 'heightOnly') return null;
  const then = siteState(timeline.filter((fact) => inOrder(fact, decision) <= 0));
  const occupation = then.occupations.find((each) => each.id === solution.body.occupation);
  if (!occupation) return null;
  const { outcome, contradiction } = draftAsUsed(then, occupation, solution.body, askedOf(then, solution.body.class));
  const judgement = outcome?.ok ? outcome.value.judgement : contradiction;
  if (!judgement) return null;
  const naming = namingOf(then);
  const because = judgement.because.map((reason) => {
    const { title, text } = reasonWords(reason, naming);
    return text ? `${title}. ${text}` : title;
  });
  const check = checkOf(then, { fact: solution, decision, occupation });
  return {
    verdict: decision.body.judged?.verdict ?? judgement.verdict,
    because,
    byRulesOfThen: check?.byRulesOfThen ? check.then : null,
  };
}
