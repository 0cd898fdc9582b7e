import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import { msg, worded } from '@idle-marker/words';
import { REFERS_SINCE_LATER, REFERS_TO, type TSchema } from './schema.ts';

/** What is wrong with a document: the code, where (a JSON Pointer), and a sentence for the person who wrote it. */
export interface Invalid {
  readonly code: 'INVALID_NUMBER' | 'INVALID_INPUT';
  readonly path: string;
  readonly message: string;
}

// One instance: schemas are compiled once. `verbose` gives the schema of a missing property, to tell a missing number.
const ajv = new Ajv({
  allErrors: true,
  verbose: true,
  strict: true,
  strictRequired: false,
  allowUnionTypes: true,
  discriminator: true,
});
ajv.addKeyword(REFERS_TO);
ajv.addKeyword(REFERS_SINCE_LATER);
ajv.addFormat('date-time', { type: 'string', validate: isInstant });
const compiled = new WeakMap<object, ValidateFunction>();

function validatorOf(schema: TSchema): ValidateFunction {
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile(schema);
    compiled.set(schema, validate);
  }
  return validate;
}

const INSTANT = /^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2})(:\d{2})?(\.\d{1,3})?(Z|[+-]\d{2}:\d{2})$/;

/** With its zone. A calendar rolls the 31st of February over into March; here it does not exist. */
function isInstant(text: string): boolean {
  const [, minute, second = ':00'] = INSTANT.exec(text) ?? [];
  // Calendars have no year 0, and a database keeps none.
  if (minute === undefined || minute.startsWith('0000') || Number.isNaN(Date.parse(text))) return false;
  const local = Date.parse(`${minute}${second}Z`);
  return !Number.isNaN(local) && new Date(local).toISOString().startsWith(minute + second);
}

const acceptsNumber = (schema: unknown): boolean => {
  const type = (schema as { type?: string | string[] } | undefined)?.type;
  return type === 'number' || type === 'integer' || (Array.isArray(type) && type.includes('number'));
};

const pointerPart = (name: string): string => name.replace(/~/g, '~0').replace(/\//g, '~1');

/** How a bound is said. */
const boundWords = worded((): Readonly<Record<string, string>> => ({
  minimum: msg('validation.atLeast'),
  maximum: msg('validation.atMost'),
  exclusiveMinimum: msg('validation.moreThan'),
  exclusiveMaximum: msg('validation.lessThan'),
}));

function invalidOf(error: ErrorObject): Invalid {
  if (error.keyword === 'required') {
    const name = (error.params as { missingProperty: string }).missingProperty;
    const expected = (error.parentSchema as { properties?: Record<string, unknown> }).properties?.[name];
    const path = `${error.instancePath}/${pointerPart(name)}`;
    return acceptsNumber(expected)
      ? { code: 'INVALID_NUMBER', path, message: msg('validation.isMissingGiveANumber', { name }) }
      : { code: 'INVALID_INPUT', path, message: msg('validation.isMissing', { name }) };
  }
  if (error.keyword === 'additionalProperties') {
    const name = (error.params as { additionalProperty: string }).additionalProperty;
    return {
      code: 'INVALID_INPUT',
      path: `${error.instancePath}/${pointerPart(name)}`,
      message: msg('validation.isNotAFieldHereLeaveIt', { name }),
    };
  }
  const field = error.instancePath.split('/').pop() || msg('validation.theDocument');
  if (error.keyword === 'type' && error.schema === 'integer' && typeof error.data === 'number')
    return {
      code: 'INVALID_INPUT',
      path: error.instancePath,
      message: msg('validation.mustBeAWholeNumber', { field }),
    };
  if (error.keyword === 'type' && acceptsNumber(error.parentSchema)) {
    return {
      code: 'INVALID_NUMBER',
      path: error.instancePath,
      message: msg('validation.mustBeAFiniteNumberButIs', {
        field,
        stringify: JSON.stringify(error.data)?.slice(0, 60),
      }),
    };
  }
  if (error.keyword === 'format')
    return {
      code: 'INVALID_INPUT',
      path: error.instancePath,
      message: msg('validation.isNotADateAndTimeThat', { field }),
    };
  if (error.keyword === 'minimum' && (error.params as { limit: number }).limit === 0)
    return { code: 'INVALID_INPUT', path: error.instancePath, message: msg('validation.mustNotBeNegative', { field }) };
  if (error.keyword === 'exclusiveMinimum' && (error.params as { limit: number }).limit === 0)
    return {
      code: 'INVALID_INPUT',
      path: error.instancePath,
      message: msg('validation.mustBeMoreThanZero', { field }),
    };
  if (error.keyword in boundWords())
    return {
      code: 'INVALID_INPUT',
      path: error.instancePath,
      message: msg('validation.mustBe', {
        field,
        bound: boundWords()[error.keyword],
        limit: (error.params as { limit: number }).limit,
      }),
    };
  return {
    code: 'INVALID_INPUT',
    path: error.instancePath,
    message: `${field} ${error.message?.replace('NOT', 'not') ?? msg('validation.isNotValid')}`,
  };
}

/** A text that no database keeps: with a null character, or with half of a character. */
const UNWRITABLE = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

function unwritable(value: unknown, path: string): Invalid | null {
  if (typeof value === 'string') {
    if (!UNWRITABLE.test(value)) return null;
    const field = path.split('/').pop() || msg('validation.theDocument');
    return { code: 'INVALID_INPUT', path, message: msg('validation.holdsACharacterThatCanNotBe', { field }) };
  }
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, part] of Object.entries(value)) {
    const found = unwritable(part, `${path}/${pointerPart(name)}`);
    if (found) return found;
  }
  return null;
}

/** Most things that are told to be wrong with one document. */
const MOST_TOLD = 50;

/** Everything that is wrong with a document, numbers that are none before anything else; nothing where it fits. */
export function invalidsAgainst(schema: TSchema, document: unknown): readonly Invalid[] {
  const validate = validatorOf(schema);
  if (validate(document)) {
    const found = unwritable(document, '');
    return found ? [found] : [];
  }
  const found = (validate.errors ?? []).map(invalidOf);
  const told = [
    ...found.filter(({ code }) => code === 'INVALID_NUMBER'),
    ...found.filter(({ code }) => code !== 'INVALID_NUMBER'),
  ];
  return told.length > 0
    ? told.slice(0, MOST_TOLD)
    : [{ code: 'INVALID_INPUT', path: '', message: msg('validation.theDocumentIsNotValid') }];
}

/** Checks a document against a schema. Null when it fits; numbers that are none are told before anything else. */
export const invalidAgainst = (schema: TSchema, document: unknown): Invalid | null =>
  invalidsAgainst(schema, document)[0] ?? null;
