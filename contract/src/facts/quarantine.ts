import { msg } from '@idle-marker/words';
/**
 * Facts that were kept before a rule held for them, such as a coordinate beyond any site: they are what they say they
 * are, and only too large, too long or not on one line. They stay in the ledger, are told, and go along in an archive.
 */
import { invalidAgainst, type Invalid } from '../validation.ts';
import type { TSchema } from '../schema.ts';
import { FACT_BODIES, type FactType } from './bodies.ts';
import { invalidEnvelope, invalidFact, type AnyFact } from './fact.ts';
import { NAME_PATTERN } from './parts.ts';
import { allReferences } from './references.ts';

const BOUNDS: ReadonlySet<string> = new Set([
  'minimum',
  'maximum',
  'exclusiveMinimum',
  'exclusiveMaximum',
  'minLength',
  'maxLength',
  'maxItems',
]);

/** The schema without how large, how long and how many; what something is and what it is made of stay. */
function unbounded(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(unbounded);
  if (typeof schema !== 'object' || schema === null) return schema;
  return Object.fromEntries(
    Object.entries(schema)
      .filter(
        ([name, value]) =>
          !(BOUNDS.has(name) && typeof value === 'number') && !(name === 'pattern' && value === NAME_PATTERN),
      )
      .map(([name, value]) => [name, unbounded(value)]),
  );
}

const shapes = new Map<FactType, TSchema>();

function shapeOf(type: FactType): TSchema {
  const shape = shapes.get(type) ?? (unbounded(FACT_BODIES[type]) as TSchema);
  shapes.set(type, shape);
  return shape;
}

/** What makes a fact something else than it says, whatever its figures are; null where it can be read. */
export function invalidShape(document: unknown): Invalid | null {
  const invalid = invalidEnvelope(document);
  if (invalid) return invalid;
  const fact = document as AnyFact;
  const inBody = invalidAgainst(shapeOf(fact.type), fact.body);
  return inBody && { ...inBody, path: `/body${inBody.path}` };
}

export interface Quarantined {
  readonly fact: AnyFact;
  readonly invalid: Invalid;
}

/** What a fact refers to that is not there; kept before that was held to. */
function pointsNowhere(fact: AnyFact, known: ReadonlySet<string>): Invalid | null {
  const missing = allReferences(fact).find(({ to, isLater }) => isLater && !known.has(to));
  return missing
    ? {
        code: 'INVALID_INPUT',
        path: missing.path,
        message: msg('validation.refersToAnEntryThatIsNot', { pop: missing.path.split('/').pop()! }),
      }
    : null;
}

/** Those of all facts of a site that would not be taken now, each with why. */
export function quarantinedAmong(facts: readonly AnyFact[]): Quarantined[] {
  const known = new Set(facts.map(({ id }) => id));
  return facts.flatMap(({ id, type, at, device, seq, by, body }) => {
    const fact = { id, type, at, device, seq, by, body } as AnyFact;
    const invalid = invalidFact(fact) ?? pointsNowhere(fact, known);
    return invalid ? [{ fact, invalid }] : [];
  });
}
