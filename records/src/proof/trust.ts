/** From the facts of a site to the records that the standing of marks is judged by. */
import {
  isBeginning,
  judgeTrust,
  newTrustMemory,
  trustSteps,
  type ProofTarget,
  type TrustInput,
  type TrustMemory,
  type TrustRecord,
  type TrustResult,
} from '@idle-marker/core';
import type { AnyFact, Fact, FactType } from '@idle-marker/contract';
import { supportingUses } from '../control/heldUses.ts';
import { proofInterval } from './proofInterval.ts';
import type { SiteState } from '../site/state.ts';
import { effectOf } from '../site/stored.ts';

/** Types that trust is judged from. */
const JUDGED: ReadonlySet<FactType> = new Set([
  'control',
  'solution',
  'close',
  'event',
  'proof',
  'resight',
  'finding',
  'mark',
  'withdrawal',
]);

/** Passed from one judgement of a site to the next. */
export interface SiteTrustMemory {
  readonly judged: TrustMemory;
  timeline: SiteState['timeline'];
  rehung: SiteState['rehung'] | null;
  /** The facts of the timeline that are judged from, and the records of each. */
  facts: readonly AnyFact[];
  made: readonly (readonly TrustRecord[])[];
  marks: SiteState['ofType']['mark'];
  /** Ids of rough marks among them. */
  rough: Set<string>;
}

export const newSiteTrustMemory = (): SiteTrustMemory => ({
  judged: newTrustMemory(),
  timeline: [],
  rehung: null,
  facts: [],
  made: [],
  marks: [],
  rough: new Set(),
});

export function trustRecords(state: SiteState, memory: SiteTrustMemory = newSiteTrustMemory()): TrustRecord[] {
  const context: Context = {
    decided: new Map<string, Decided>([
      ...state.accepted.map((each) => [each.fact.id, each] as const),
      ...state.paired.map((each) => [each.solution.id, each] as const),
    ]),
    directionsOf: new Map<string, string[]>(),
    rehung: state.rehung,
    firstAccepted: new Map(
      state.ofType.decision
        .filter((fact) => fact.body.verdict !== 'refused' && !state.withdrawn.has(fact.id))
        .reverse()
        .map((fact) => [fact.body.solution, fact]),
    ),
  };
  for (const { id, body } of state.directions)
    context.directionsOf.set(body.solution, [...(context.directionsOf.get(body.solution) ?? []), id]);
  // A fact is never changed: what was made of one holds, but for solutions, which others have a say in.
  const goesOn = memory.rehung === state.rehung && isBeginning(memory.timeline, state.timeline);
  const known = goesOn ? memory.facts : [];
  const facts = [
    ...known,
    ...state.timeline.slice(goesOn ? memory.timeline.length : 0).filter(({ type }) => JUDGED.has(type)),
  ];
  const made = facts.map((fact, i) =>
    i < known.length && fact.type !== 'solution' ? memory.made[i]! : recordsFor(fact, context),
  );
  Object.assign(memory, { timeline: state.timeline, rehung: state.rehung, facts, made });
  const records: TrustRecord[] = [];
  for (const each of made) for (const record of each) records.push(record);
  return records;
}

interface SolutionMade {
  readonly from: readonly unknown[];
  readonly records: readonly TrustRecord[];
}
/** Records of solutions, with what else had a say in them. */
const solutionRecords = new WeakMap<AnyFact, SolutionMade>();

function recordsFor(fact: AnyFact, context: Context): readonly TrustRecord[] {
  if (fact.type !== 'solution') return recordsOf(fact, context);
  const { decision, occupation } = context.decided.get(fact.id) ?? {};
  const from = [decision, occupation, context.firstAccepted.get(fact.id), context.directionsOf.get(fact.id)?.join()];
  let made = solutionRecords.get(fact);
  if (!made?.from.every((each, i) => each === from[i])) {
    made = { from, records: recordsOf(fact, context) };
    solutionRecords.set(fact, made);
  }
  return made.records;
}

type Decided = Pick<SiteState['accepted'][number], 'decision' | 'occupation'>;

interface Context {
  readonly decided: ReadonlyMap<string, Decided>;
  /** Fixed directions first taken with each solution. */
  readonly directionsOf: Map<string, string[]>;
  readonly rehung: SiteState['rehung'];
  /** The first decision by which each solution was accepted. */
  readonly firstAccepted: ReadonlyMap<string, Fact<'decision'>>;
}

const stamp = ({ id, at, device, seq }: AnyFact) => ({ id, at, device, seq });

function recordsOf(fact: AnyFact, { decided: decisions, directionsOf, rehung, firstAccepted }: Context): TrustRecord[] {
  switch (fact.type) {
    case 'control':
      return [{ type: 'controlRevision', ...stamp(fact), control: fact.body.mark, condition: fact.body.condition }];
    case 'solution': {
      const decided = decisions.get(fact.id);
      if (!decided) return [];
      // A solution counts from the moment it was accepted, not from when it was computed. Accepted again without a
      // provision, it counts from when it was first accepted: what was set meanwhile hangs on it.
      const { at, device, seq } = firstAccepted.get(fact.id) ?? decided.decision;
      const uses = supportingUses(fact, decided.occupation).map(({ control, revision, plan, height }) => ({
        control,
        revision,
        plan,
        height,
      }));
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
          directions: directionsOf.get(fact.id) ?? [],
        },
      ];
    }
    case 'close':
      return [{ type: 'close', ...stamp(fact), occupation: fact.body.occupation }];
    case 'event':
      return [{ type: 'event', ...stamp(fact), occupation: fact.body.occupation, kind: fact.body.kind }];
    case 'proof': {
      const { solution, control, revision, direction, plan, height, supersedes } = fact.body;
      const target: ProofTarget | null =
        control !== null && revision !== null
          ? { kind: 'control', id: control, revision }
          : direction
            ? { kind: 'direction', id: direction }
            : null;
      return target ? [{ type: 'proof', ...stamp(fact), solution, target, plan, height, supersedes }] : [];
    }
    case 'resight': {
      const { solution, mark, plan, height, supersedes } = fact.body;
      return [{ type: 'resight', ...stamp(fact), solution, mark, plan, height, supersedes }];
    }
    case 'finding': {
      const { cause, revision, plan, height, effects, supersedes } = fact.body;
      const moves = effects.map((effect) => ({ mark: effect.mark, ...effectOf(effect) }));
      return [{ type: 'finding', ...stamp(fact), cause, revision, plan, height, effects: moves, supersedes }];
    }
    case 'mark': {
      const { needs, measured, supersedes } = fact.body;
      return [
        {
          type: 'mark',
          ...stamp(fact),
          solution: rehung.get(fact.id) ?? fact.body.solution,
          class: fact.body.class,
          needs,
          measured,
          supersedes,
        },
      ];
    }
    case 'withdrawal':
      return [{ type: 'withdrawal', ...stamp(fact), record: fact.body.record, occupation: fact.body.occupation }];
    default:
      return [];
  }
}

const classTolerances = (state: SiteState) =>
  Object.fromEntries(state.classes.map(({ id, plan, height }) => [id, { plan, height }]));

/** Everything that standing follows from, as it is judged at `now` (ISO 8601). */
export const trustInput = (state: SiteState, now: string, memory?: SiteTrustMemory): TrustInput => ({
  now,
  intervalMinutes: proofInterval(state),
  classes: classTolerances(state),
  records: trustRecords(state, memory),
});

function roughMarks({ ofType }: SiteState, memory: SiteTrustMemory): ReadonlySet<string> {
  const goesOn = isBeginning(memory.marks, ofType.mark);
  if (!goesOn) memory.rough = new Set();
  for (const fact of goesOn ? ofType.mark.slice(memory.marks.length) : ofType.mark)
    if (fact.body.state === 'rough') memory.rough.add(fact.id);
  memory.marks = ofType.mark;
  return memory.rough;
}

/**
 * Standing of all marks and solutions at `now` (ISO 8601). A rough mark replaces a hub that was pulled, but nothing
 * hangs on it.
 * @param memory of the judgement before, where one follows upon another
 */
export function trustOf(state: SiteState, now: string, memory: SiteTrustMemory = newSiteTrustMemory()): TrustResult {
  return withoutRough(state, memory, judgeTrust(trustInput(state, now, memory), memory.judged));
}

/** The same in steps, between which something else may be done. */
export function* siteTrustSteps(state: SiteState, now: string, memory: SiteTrustMemory): Generator<void, TrustResult> {
  const input = trustInput(state, now, memory);
  yield;
  return withoutRough(state, memory, yield* trustSteps(input, memory.judged));
}

function withoutRough(state: SiteState, memory: SiteTrustMemory, result: TrustResult): TrustResult {
  const rough = roughMarks(state, memory);
  return rough.size === 0 ? result : { ...result, marks: result.marks.filter((mark) => !rough.has(mark.id)) };
}
