/**
 * What a fact refers to, read from the schema of its body: a field that names another fact says so there, and nowhere
 * else is it said again. Each schema is read once, into steps that go where a reference can be.
 */
import { REFERS_SINCE_LATER, REFERS_TO } from '../schema.ts';
import { FACT_BODIES, type FactType } from './bodies.ts';
import type { AnyFact } from './fact.ts';

export interface Reference {
  readonly to: string;
  /** Where it stands in the fact, a JSON Pointer. */
  readonly path: string;
  /** Facts were kept before this was held to: it may point at nothing. */
  readonly isLater: boolean;
}

type Found = (reference: Reference) => void;
/** Tells the references within a value; null where a schema has none. */
type Step = (value: unknown, path: string, found: Found) => void;

interface Schema {
  readonly [REFERS_TO]?: string;
  readonly [REFERS_SINCE_LATER]?: boolean;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly enum?: readonly unknown[];
  readonly required?: readonly string[];
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Of several forms a value has the one that has all it needs, and whose words are the value's. */
function hasForm({ properties = {}, required = [] }: Schema, value: Readonly<Record<string, unknown>>): boolean {
  return (
    required.every((name) => name in value) &&
    Object.entries(properties).every(
      ([name, { enum: words }]) => !words || !(name in value) || words.includes(value[name]),
    )
  );
}

const NOTHING: Step = () => undefined;

function stepOf(schema: Schema): Step {
  if (schema[REFERS_TO] !== undefined) {
    const isLater = schema[REFERS_SINCE_LATER] === true;
    return (value, path, found) => {
      if (typeof value === 'string') found({ to: value, path, isLater });
    };
  }
  if (schema.items) {
    const each = stepOf(schema.items);
    if (each === NOTHING) return NOTHING;
    return (value, path, found) => {
      if (Array.isArray(value)) value.forEach((item, i) => each(item, `${path}/${i}`, found));
    };
  }
  const forms = schema.anyOf ?? schema.oneOf;
  if (forms) {
    const steps = forms.map((form) => ({ form, step: stepOf(form) })).filter(({ step }) => step !== NOTHING);
    if (steps.length === 0) return NOTHING;
    return (value, path, found) => {
      if (isObject(value)) steps.find(({ form }) => hasForm(form, value))?.step(value, path, found);
    };
  }
  const fields = Object.entries(schema.properties ?? {})
    .map(([name, field]) => ({ name, step: stepOf(field) }))
    .filter(({ step }) => step !== NOTHING);
  if (fields.length === 0) return NOTHING;
  return (value, path, found) => {
    if (isObject(value)) for (const { name, step } of fields) step(value[name], `${path}/${name}`, found);
  };
}

const steps = Object.fromEntries(
  Object.entries(FACT_BODIES).map(([type, body]) => [type, stepOf(body as Schema)]),
) as Readonly<Record<FactType, Step>>;

/** Everything that a fact refers to, who said it first. */
export function allReferences(fact: AnyFact): Reference[] {
  const found: Reference[] = fact.by === fact.id ? [] : [{ to: fact.by, path: '/by', isLater: false }];
  steps[fact.type](fact.body, '/body', (reference) => found.push(reference));
  return found;
}

/** Ids of facts that this one can't be understood without, each once. */
export const referencesOf = (fact: AnyFact): string[] => [...new Set(allReferences(fact).map(({ to }) => to))];
