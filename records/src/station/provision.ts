/**
 * A station that was accepted as provisional because its marks were of one's own making, and nothing stands against it
 * any more.
 */
import { obstaclesTo, type AskedOfStation, type Judgement } from '@idle-marker/core';
import { askedOf } from '../site/asked.ts';
import { isProvedOnGiven, isProvenControl } from '../work/markHistory.ts';
import { controlAsUsed, draftAsUsed } from './stationDraft.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

export interface LiftedProvision {
  readonly judgement: Judgement;
  readonly asked: AskedOfStation;
  /** Own marks that its proofs confirm. */
  readonly marks: readonly string[];
}

/**
 * What it can be accepted with, without the provision; null while it has none, or something still stands against it.
 */
export function provisionToLift(state: SiteState, solution: AcceptedSolution): LiftedProvision | null {
  const { fact, decision, occupation, withdrawn } = solution;
  const { body } = fact;
  if (withdrawn || decision.body.verdict !== 'provisional' || body.method === 'heightOnly' || body.method === 'paired')
    return null;
  const own = state.control.filter(
    (mark) => mark.revision.body.parent && body.uses.some((use) => use.control === mark.id && (use.plan || use.height)),
  );
  if (own.length === 0 || !isProvedOnGiven(state, solution)) return null;
  const given = classOf(state, body.class);
  const asked = askedOf(state, body.class);
  const then = { ...state, control: controlAsUsed(state, body) };
  const { outcome, alsoHeld } = draftAsUsed(then, occupation, body, asked);
  if (!outcome?.ok) return null;
  const unproven = new Set(state.control.filter((mark) => !isProvenControl(state, mark)).map((mark) => mark.id));
  if (obstaclesTo(outcome.value, given, body.result.z !== null, alsoHeld, unproven).length > 0) return null;
  return { judgement: outcome.value.judgement, asked, marks: own.map((mark) => mark.revision.body.name) };
}
