import { invalidAgainst, type Invalid } from '../validation.ts';
import { FACT_BODIES, FACT_TYPES, type FactBody, type FactType } from './bodies.ts';
import { closed, Device, Instant, Sequence, Type, Uuid } from './parts.ts';

/** One thing that was said or measured on a site, kept for ever as it was. */
export interface Fact<T extends FactType = FactType> {
  readonly id: string;
  readonly type: T;
  /** Field clock. With `device` and `seq` it gives the order of the site. */
  readonly at: string;
  readonly device: string;
  readonly seq: number;
  /** Member who did it. Who joins a site does so by himself or by somebody who is there. */
  readonly by: string;
  readonly body: FactBody<T>;
}

export type AnyFact = { [T in FactType]: Fact<T> }[FactType];

/** A fact as the server gives it back. */
export type StoredFact = AnyFact & {
  readonly receivedAt: string;
  /** The server's instant, beside a stamp that it could not be of: everything orders the fact by it. It is no part of the fact's digest. */
  readonly orderedAt?: string;
};

/** Clocks that differ by no more than this, milliseconds, are put right in silence; a stamp farther ahead is of a wrong clock. */
export const CLOCKS_AGREE_MS = 60_000;

/** The instant that a fact is ordered by: its stamp, unless the server has put another one beside it. */
export const instantOf = (fact: AnyFact & { readonly orderedAt?: string }): string => fact.orderedAt ?? fact.at;

export const FactEnvelope = closed({
  id: Uuid,
  type: Type.Unsafe<FactType>({ type: 'string', enum: [...FACT_TYPES] }),
  at: Instant,
  device: Device,
  seq: Sequence,
  by: Uuid,
  body: Type.Object({}),
});

export const invalidEnvelope = (document: unknown): Invalid | null => invalidAgainst(FactEnvelope, document);

/** What is wrong with a fact; null when it may be kept. Unknown fields are refused. */
export function invalidFact(document: unknown): Invalid | null {
  const invalid = invalidEnvelope(document);
  if (invalid) return invalid;
  const fact = document as AnyFact;
  const inBody = invalidAgainst(FACT_BODIES[fact.type], fact.body);
  return inBody && { ...inBody, path: `/body${inBody.path}` };
}

/** Ids of facts that this one can't be understood without. */
export function referencesOf(fact: AnyFact): string[] {
  const refs: (string | null)[] = [fact.by === fact.id ? null : fact.by];
  switch (fact.type) {
    case 'sight':
      refs.push(fact.body.occupation);
      if (fact.body.target.kind === 'plan' || fact.body.target.kind === 'line') refs.push(fact.body.target.package);
      if (fact.body.target.kind === 'mark') refs.push(fact.body.target.mark);
      break;
    case 'pairing':
      refs.push(fact.body.occupation, fact.body.supersedes);
      break;
    case 'position':
      refs.push(fact.body.occupation, fact.body.pairing, fact.body.sight);
      if (fact.body.target.kind === 'plan') refs.push(fact.body.target.package);
      break;
    case 'solution':
      refs.push(fact.body.pairing ?? null, fact.body.occupation, fact.body.supersedes, ...fact.body.uses.flatMap((use) => [use.sight, use.revision]));
      break;
    case 'decision':
      refs.push(fact.body.solution);
      break;
    case 'proof':
      refs.push(fact.body.solution, fact.body.sight, fact.body.revision, fact.body.direction ?? null, fact.body.position ?? null, fact.body.supersedes);
      break;
    case 'direction':
      refs.push(fact.body.solution, fact.body.sight);
      break;
    case 'resight':
      refs.push(fact.body.solution, fact.body.sight, fact.body.mark, fact.body.supersedes);
      break;
    case 'finding':
      refs.push(fact.body.revision, fact.body.supersedes, ...fact.body.effects.map((effect) => effect.mark));
      break;
    case 'deferral':
      refs.push(fact.body.solution);
      break;
    case 'tape':
      refs.push(fact.body.from, fact.body.to);
      break;
    case 'correction':
      refs.push(fact.body.occupation, ...fact.body.sights);
      if (fact.body.what === 'station') refs.push(fact.body.station);
      break;
    case 'event':
    case 'close':
      refs.push(fact.body.occupation);
      break;
    case 'control':
      refs.push(fact.body.supersedes, fact.body.parent ?? null);
      break;
    case 'package':
      refs.push(
        fact.body.supersedes,
        ...fact.body.items.flatMap((item) => [item.drawing ?? null, item.road?.alignment ?? null, item.road?.return?.alignment ?? null]),
      );
      break;
    case 'mark':
      refs.push(fact.body.package, fact.body.solution, fact.body.sight, fact.body.position ?? null, fact.body.supersedes);
      break;
    case 'asBuilt':
      refs.push(fact.body.solution, fact.body.supersedes, ...fact.body.sights);
      if (fact.body.against?.kind === 'plan') refs.push(fact.body.against.package);
      if (fact.body.against?.kind === 'road') refs.push(fact.body.against.alignment);
      break;
    case 'obstruction':
      refs.push(fact.body.package);
      break;
    case 'handover':
      refs.push(fact.body.package, ...fact.body.marks, ...fact.body.withheld);
      break;
    case 'report':
    case 'writing':
      refs.push(fact.body.mark);
      break;
    case 'withdrawal':
      refs.push(fact.body.record, fact.body.occupation);
      break;
    case 'occupation':
      refs.push(fact.body.over?.revision ?? null);
      break;
    case 'equipment':
    case 'convention':
    case 'grid':
    case 'area':
    case 'drawing':
      refs.push(fact.body.supersedes);
      break;
    case 'alignment':
      refs.push(fact.body.supersedes, fact.body.drawing);
      break;
    case 'photo':
    case 'site':
    case 'member':
    case 'visit':
    case 'care':
    case 'note':
    case 'dayEnd':
      break;
  }
  return [...new Set(refs.filter((ref) => ref !== null))];
}
