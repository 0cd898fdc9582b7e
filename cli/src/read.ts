/** `read`: what a file in an open format is read as; a case of it, or the file itself for people. */
import { readFileSync, statSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { isFileUnit, type DrawingSaid } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import { controlResult, drawingResult, isListOfPoints, type ReadOutcome } from './readResult.ts';

const LARGEST_FILE_BYTES = 1024 * 1024 * 1024;
const callerFolder = process.env['INIT_CWD'] ?? process.cwd();

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

function bytesOf(path: string, name: string): Uint8Array | ReadOutcome {
  try {
    if (path !== '-' && statSync(path).size > LARGEST_FILE_BYTES)
      return unreadable(msg('commands.itIsOver1GibSplitIt'));
    return readFileSync(path === '-' ? 0 : path);
  } catch (cause) {
    return unreadable(
      (cause as NodeJS.ErrnoException).code === 'ENOENT'
        ? msg('commands.doesNotExistCheckThePath', { file: name })
        : msg('commands.itCantBeRead', { message: (cause as Error).message }),
    );
  }
}

/** Prints one line for a case, or a few words for a file; the exit status. */
export function runRead(files: readonly string[]): number {
  let status = 0;
  for (const name of files) {
    const path = name === '-' ? name : resolve(callerFolder, name);
    const bytes = bytesOf(path, name);
    if ('ok' in bytes) {
      status = 1;
      process.stdout.write(`${JSON.stringify({ id: null, ...bytes })}\n`);
      continue;
    }
    const found = caseIn(bytes);
    const outcome = found ? ofCase(found, path) : ofFile(bytes);
    if (!outcome.ok) status = 1;
    process.stdout.write(found ? `${JSON.stringify({ id: found.id, ...outcome })}\n` : told(name, outcome));
  }
  return status;
}

function ofCase({ kind, input }: ReadCase, path: string): ReadOutcome {
  // A case's file lies beside it, and nowhere else is looked.
  if (basename(input.file) !== input.file) return unreadable(msg('commands.nameAFileThatLiesBesideThe'));
  const bytes = bytesOf(join(path === '-' ? callerFolder : dirname(path), input.file), input.file);
  if ('ok' in bytes) return bytes;
  return (kind === 'control' ? controlResult : drawingResult)(bytes, saidIn(input));
}

const ofFile = (bytes: Uint8Array): ReadOutcome =>
  isListOfPoints(bytes) ? controlResult(bytes, { order: 'EN' }) : drawingResult(bytes, {});

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
    msg('commands.fileInUnit', { name, unit: unit.name, stated: unit.stated ? msg('commands.asItStates') : '' }),
    msg('commands.fileHolds', {
      points: points?.length ?? 0,
      paths: paths?.length ?? 0,
      texts: texts?.length ?? 0,
      surfaces: surfaces?.length ?? 0,
    }),
    ...(leftOut ?? []).map(({ what, count }) => msg('commands.fileLeftOut', { count, what })),
    ...(faults ?? []).map((fault) => {
      const { row, code } = fault as { row: number; code: string };
      return msg('commands.fileRow', { row, code });
    }),
    ...(warnings ?? []).map((code) => msg('commands.fileLookAt', { code: String(code) })),
  ];
  return `${lines.join('\n')}\n`;
}
