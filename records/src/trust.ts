/** From the facts of a site to the records that the standing of marks is judged by. */
import { judgeTrust, type TrustRecord, type TrustResult } from '@idle-marker/core';
import type { AnyFact } from '@idle-marker/contract';
import { proofInterval } from './proofInterval.ts';
import type { SiteState } from './state.ts';

export function trustRecords(state: SiteState): TrustRecord[] {
  const accepted = new Map(state.accepted.map((each) => [each.fact.id, each]));
  return state.timeline.flatMap((fact) => recordsOf(fact, accepted));
}

const stamp = ({ id, at, device, seq }: AnyFact) => ({ id, at, device, seq });

function recordsOf(fact: AnyFact, accepted: ReadonlyMap<string, SiteState['accepted'][number]>): TrustRecord[] {
  switch (fact.type) {
    case 'control':
      return [{ type: 'controlRevision', ...stamp(fact), control: fact.body.mark, condition: fact.body.condition }];
    case 'solution': {
      const decided = accepted.get(fact.id);
      if (!decided) return [];
      // A solution counts from the moment it was accepted, not from when it was computed.
      const { at, device, seq } = decided.decision;
      const uses = fact.body.uses.map(({ control, revision, plan, height }) => ({ control, revision, plan, height }));
      const { occupation, supersedes } = fact.body;
      const acceptedAs = decided.decision.body.verdict === 'provisional' ? 'provisional' : 'good';
      return [
        {
          type: 'solution',
          id: fact.id,
          at,
          device,
          seq,
          occupation,
          instrument: decided.occupation.body.instrument.name,
          acceptedAs,
          supersedes,
          uses,
          directions: [],
        },
      ];
    }
    case 'close':
      return [{ type: 'close', ...stamp(fact), occupation: fact.body.occupation }];
    case 'event':
      return [{ type: 'event', ...stamp(fact), occupation: fact.body.occupation, kind: fact.body.kind }];
    case 'proof': {
      const { solution, control, revision, plan, height, supersedes } = fact.body;
      return [{ type: 'proof', ...stamp(fact), solution, target: { kind: 'control', id: control, revision }, plan, height, supersedes }];
    }
    case 'mark': {
      const { solution, needs, measured, supersedes } = fact.body;
      return [{ type: 'mark', ...stamp(fact), solution, class: fact.body.class, needs, measured, supersedes }];
    }
    case 'withdrawal':
      return [{ type: 'withdrawal', ...stamp(fact), record: fact.body.record, occupation: fact.body.occupation }];
    default:
      return [];
  }
}

const MM = 1e-3;
const classTolerances = (state: SiteState) =>
  Object.fromEntries(state.settings.classes.map(({ id, planMm, heightMm }) => [id, { plan: planMm * MM, height: heightMm * MM }]));

/** Standing of all marks and solutions at `now` (ISO 8601). A rough mark replaces a hub that was pulled, but nothing hangs on it. */
export function trustOf(state: SiteState, now: string): TrustResult {
  const result = judgeTrust({ now, intervalMinutes: proofInterval(state), classes: classTolerances(state), records: trustRecords(state) });
  const rough = new Set(state.timeline.filter((fact) => fact.type === 'mark' && fact.body.state === 'rough').map((fact) => fact.id));
  return { ...result, marks: result.marks.filter((mark) => !rough.has(mark.id)) };
}
