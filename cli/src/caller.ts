/** Where the caller stands, what it hands in, and what it gets. */
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { msg } from '@idle-marker/words';

/** npm changes the working directory to the project's root; paths are the caller's. */
export const callerFolder = process.env['INIT_CWD'] ?? process.cwd();

export const callerPath = (name: string): string => resolve(callerFolder, name);

/** Why a command can't go on, all of it, a line each. */
export class CommandFault extends Error {
  /** 2 where it was called wrongly, 1 where what it was given can't be used. */
  readonly status: 1 | 2;

  constructor(status: 1 | 2, lines: readonly string[]) {
    super(lines.join('\n'));
    this.status = status;
  }
}

const LARGEST_FILE_BYTES = 1024 * 1024 * 1024;

/** Bytes of a file, or of standard input where it is called "-". */
export function bytesOf(name: string): Buffer {
  try {
    const path = callerPath(name);
    if (name !== '-' && statSync(path).size > LARGEST_FILE_BYTES)
      throw new CommandFault(1, [`${name}: ${msg('commands.itIsOver1GibSplitIt')}`]);
    return readFileSync(name === '-' ? 0 : path);
  } catch (cause) {
    if (cause instanceof CommandFault) throw cause;
    throw new CommandFault(1, [
      (cause as NodeJS.ErrnoException).code === 'ENOENT'
        ? msg('commands.doesNotExistCheckThePath', { file: name })
        : `${name}: ${msg('commands.itCantBeRead', { message: (cause as Error).message })}`,
    ]);
  }
}

/** Writes to the file that was named, or to standard output. */
export function give(content: string | Uint8Array, file: string | undefined): void {
  if (file === undefined || file === '-') process.stdout.write(content);
  else writeFileSync(callerPath(file), content);
}
