import { fail } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { Type } from '../schema.ts';
import { invalidAgainst, invalidsAgainst } from '../validation.ts';
import type { OpenDesignFile } from './designFiles.ts';
import type { Path } from './kind.ts';
import { KINDS } from './kinds.ts';

export interface ComputeError {
  readonly code: string;
  readonly message: string;
  /** JSON Pointer from the root of the case. */
  readonly path: string;
  /** Where more than one thing is wrong: all of them, the first one too. */
  readonly all?: readonly { readonly code: string; readonly message: string; readonly path: string }[];
}

export type ComputeOutcome =
  | { readonly id: string; readonly ok: true; readonly result: object }
  | { readonly id: string | null; readonly ok: false; readonly error: ComputeError };

const CaseSchema = Type.Object({
  id: Type.String(),
  kind: Type.String(),
  file: Type.Optional(Type.String()),
  input: Type.Object({}),
});

/** Names of fields in degrees at the edge that core calls without the suffix. */
const EDGE_FIELD: Readonly<Record<string, string>> = {
  zenith: 'zenithDeg',
  circle: 'circleDeg',
  orientation: 'orientationDeg',
  sdPlan: 'sdHMm',
  sdHeight: 'sdZMm',
};

function pointerOf(path: Path): string {
  const parts = path.map((part) => (typeof part === 'string' ? (EDGE_FIELD[part] ?? part) : String(part)));
  return parts[0] === '..' ? ['', ...parts.slice(1)].join('/') : ['', 'input', ...parts].join('/');
}

/** What the input of each kind has to be. */
export const computeSchemas = (): Readonly<Record<string, object>> =>
  Object.fromEntries(Object.entries(KINDS).map(([kind, { schema }]) => [kind, schema]));

const noFiles: OpenDesignFile = () => fail(msg('validation.designFilesAreNotReadHere'));

/**
 * Runs one case `{ id, kind, input }`, some with the design file that they name under `file`; other fields are ignored.
 */
export function compute(document: unknown, open: OpenDesignFile = noFiles): ComputeOutcome {
  const id = (document as { id?: unknown } | null)?.id;
  const known = typeof id === 'string' ? id : null;
  const shape = invalidAgainst(CaseSchema, document);
  if (shape)
    return { id: known, ok: false, error: { code: 'INVALID_INPUT', message: shape.message, path: shape.path } };
  const { kind: kindName, file, input } = document as { id: string; kind: string; file?: string; input: object };
  const kind = Object.hasOwn(KINDS, kindName) ? KINDS[kindName] : undefined;
  if (!kind) {
    const message = msg('validation.isNotAKindThatIsComputed', { kindName, keys: Object.keys(KINDS).join(', ') });
    return { id: known, ok: false, error: { code: 'UNKNOWN_KIND', message, path: '/kind' } };
  }
  const all = invalidsAgainst(kind.schema, input).map((each) => ({ ...each, path: `/input${each.path}` }));
  const [first] = all;
  if (first)
    return {
      id: known,
      ok: false,
      error: { code: first.code, message: first.message, path: first.path, ...(all.length > 1 ? { all } : {}) },
    };
  const outcome = kind.run(input as never, { file: file ?? null, open });
  if (!outcome.ok) {
    return {
      id: known,
      ok: false,
      error: { code: outcome.error.code, message: outcome.error.message, path: pointerOf(outcome.error.path) },
    };
  }
  return { id: known!, ok: true, result: outcome.value };
}
