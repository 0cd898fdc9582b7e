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
  /**
   * The server's instant, beside a stamp that it could not be of: everything orders the fact by it. It is no part of
   * the fact's digest.
   */
  readonly orderedAt?: string;
};

/**
 * Clocks that differ by no more than this, milliseconds, are put right in silence; a stamp farther ahead is of a wrong
 * clock.
 */
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
