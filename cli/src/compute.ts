import { readFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { compute, type ComputeOutcome } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { callerFolder } from './caller.ts';
import { designFilesIn } from './designFiles.ts';

/** Largest case read: a case is a handful of sights, not a data set. */
const LARGEST_CASE_BYTES = 64 * 1024 * 1024;

function unreadable(message: string): ComputeOutcome {
  return { id: null, ok: false, error: { code: 'UNREADABLE', message, path: '' } };
}

function outcomeOf(file: string): ComputeOutcome {
  let text: string;
  try {
    const bytes = readFileSync(file === '-' ? 0 : resolve(callerFolder, file));
    if (bytes.length > LARGEST_CASE_BYTES) return unreadable(msg('commands.isOver64MibSplitIt', { file }));
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch (cause) {
    const code = (cause as NodeJS.ErrnoException).code;
    return unreadable(
      code === 'ENOENT'
        ? msg('commands.doesNotExistCheckThePath', { file })
        : msg('commands.cantBeReadAsUtf8Text', { file, message: (cause as Error).message }),
    );
  }
  try {
    return compute(JSON.parse(text), designFilesIn(file === '-' ? callerFolder : dirname(resolve(callerFolder, file))));
  } catch (cause) {
    if (!(cause instanceof SyntaxError)) throw cause;
    return unreadable(msg('commands.isNotJson', { file, message: cause.message }));
  }
}

/** Prints one line a file, in order; the exit status. */
export function runCompute(files: readonly string[]): number {
  let status = 0;
  for (const file of files) {
    const outcome = outcomeOf(file);
    if (!outcome.ok) status = 1;
    process.stdout.write(`${JSON.stringify(outcome)}\n`);
  }
  return status;
}
