/** `read`: what a file in an open format is read as; a case of it, or the file itself for people. */
import { basename, dirname, join } from 'node:path';
import { isFileUnit, METRES_PER_FILE_UNIT, type DrawingSaid, type FileUnit } from '@idle-marker/formats';
import { fileUnitWords, msg, readFaultWords, readWarningWords } from '@idle-marker/words';
import { argumentsOf, Wanted } from './arguments.ts';
import { bytesOf, callerFolder, callerPath, CommandFault } from './caller.ts';
import { controlResult, drawingResult, isListOfPoints, type ReadOutcome } from './readResult.ts';

const OPTIONS = {
  unit: { type: 'string' },
  order: { type: 'string' },
  columns: { type: 'string' },
  decimal: { type: 'string' },
  as: { type: 'string' },
  json: { type: 'boolean' },
  help: { type: 'boolean', short: 'h' },
} as const;

interface ReadCase {
  readonly id: string;
  readonly kind: 'drawing' | 'control';
  readonly input: Readonly<Record<string, unknown>> & { readonly file: string };
}

/** A file with `id`, `kind` and `input` is a case; anything else is a file to read. */
function caseIn(bytes: Uint8Array): ReadCase | null {
  if (bytes[0] !== 0x7b || bytes.length > 1e6) return null;
  try {
    const value = JSON.parse(new TextDecoder().decode(bytes)) as Partial<ReadCase>;
    return typeof value.id === 'string' &&
      (value.kind === 'drawing' || value.kind === 'control') &&
      typeof value.input?.file === 'string'
      ? (value as ReadCase)
      : null;
  } catch {
    return null;
  }
}

function saidIn(input: ReadCase['input']): DrawingSaid {
  const { unit, order, columns, decimal } = input;
  return {
    unit: typeof unit === 'string' && isFileUnit(unit) ? unit : null,
    order: order === 'EN' || order === 'NE' ? order : null,
    columns: Array.isArray(columns) ? columns.map(String) : null,
    decimal: decimal === '.' || decimal === ',' ? decimal : null,
  };
}

const unreadable = (message: string): ReadOutcome => ({ ok: false, error: { code: 'UNREADABLE', message } });

/** Bytes of a file, or why there are none. */
function bytesIn(name: string): Uint8Array | ReadOutcome {
  try {
    return bytesOf(name);
  } catch (error) {
    if (error instanceof CommandFault) return unreadable(error.message);
    throw error;
  }
}

/** Prints one line for a case, or a few words for a file; the exit status. */
export function runRead(args: readonly string[]): number {
  const { values, positionals } = argumentsOf(args, OPTIONS);
  const wanted = new Wanted();
  if (positionals.length === 0) wanted.need('FILE', undefined, 'site.dxf');
  const { unit, order, decimal, columns } = values;
  const said: DrawingSaid = {
    unit: unit === undefined ? null : wanted.oneOf('--unit', unit, Object.keys(METRES_PER_FILE_UNIT) as FileUnit[]),
    order: order === undefined ? null : wanted.oneOf('--order', order, ['EN', 'NE'] as const),
    decimal: decimal === undefined ? null : wanted.oneOf('--decimal', decimal, ['.', ','] as const),
    columns: columns === undefined ? null : columns.split(','),
  };
  const as = values.as === undefined ? null : wanted.oneOf('--as', values.as, ['drawing', 'control'] as const);
  wanted.settle();
  let status = 0;
  for (const name of positionals) {
    const bytes = bytesIn(name);
    const found = 'ok' in bytes ? null : caseIn(bytes);
    const outcome = 'ok' in bytes ? bytes : found ? ofCase(found, name) : ofFile(bytes, said, as);
    if (!outcome.ok) status = 1;
    const isJson = found !== null || values.json === true || 'ok' in bytes;
    process.stdout.write(isJson ? `${JSON.stringify({ id: found?.id ?? null, ...outcome })}\n` : told(name, outcome));
  }
  return status;
}

function ofCase({ kind, input }: ReadCase, name: string): ReadOutcome {
  // A case's file lies beside it, and nowhere else is looked.
  if (basename(input.file) !== input.file) return unreadable(msg('commands.nameAFileThatLiesBesideThe'));
  const bytes = bytesIn(join(name === '-' ? callerFolder : dirname(callerPath(name)), input.file));
  if ('ok' in bytes) return bytes;
  return (kind === 'control' ? controlResult : drawingResult)(bytes, saidIn(input));
}

const ofFile = (bytes: Uint8Array, said: DrawingSaid, as: 'drawing' | 'control' | null): ReadOutcome =>
  (as ?? (isListOfPoints(bytes) ? 'control' : 'drawing')) === 'control'
    ? controlResult(bytes, said)
    : drawingResult(bytes, said);

type Counted = readonly unknown[] | undefined;

/** In words: how much of what, what was left out, and what to look at. */
function told(name: string, outcome: ReadOutcome): string {
  if (!outcome.ok) return `${name}: ${outcome.error.message}\n`;
  const { unit, points, paths, texts, surfaces, faults, leftOut, warnings } = outcome.result as {
    readonly unit: { readonly name: string; readonly stated: boolean };
  } & Readonly<Record<'points' | 'paths' | 'texts' | 'surfaces' | 'faults' | 'warnings', Counted>> & {
      readonly leftOut?: readonly { readonly what: string; readonly count: number }[];
    };
  const lines = [
    msg('commands.fileInUnit', {
      name,
      unit: fileUnitWords()[unit.name as FileUnit],
      stated: unit.stated ? msg('commands.asItStates') : '',
    }),
    msg('commands.fileHolds', {
      points: points?.length ?? 0,
      paths: paths?.length ?? 0,
      texts: texts?.length ?? 0,
      surfaces: surfaces?.length ?? 0,
    }),
    ...(leftOut ?? []).map(({ what, count }) => msg('commands.fileLeftOut', { count, what })),
    ...(faults ?? []).map((fault) => {
      const { row, code } = fault as { row: number; code: string };
      return msg('commands.fileRow', { row, code: readFaultWords(code) });
    }),
    ...(warnings ?? []).map((code) => msg('commands.fileLookAt', { code: readWarningWords(String(code)) })),
  ];
  return `${lines.join('\n')}\n`;
}
