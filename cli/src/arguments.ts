/** What a command was called with. */
import { parseArgs, type ParseArgsConfig } from 'node:util';
import { msg } from '@idle-marker/words';
import { CommandFault } from './caller.ts';

type Options = NonNullable<ParseArgsConfig['options']>;

/**
 * Options and files of a command.
 *
 * @throws CommandFault for options that it does not have
 */
export function argumentsOf<O extends Options>(args: readonly string[], options: O) {
  try {
    return parseArgs({ args: [...args], options, allowPositionals: true });
  } catch (cause) {
    throw new CommandFault(2, [(cause as Error).message]);
  }
}

/** Gathers what is missing or can't be, so that all of it is said at once. */
export class Wanted {
  private readonly faults: string[] = [];

  fault(line: string): void {
    this.faults.push(line);
  }

  /** A value that has to be there. */
  need(option: string, value: string | undefined, example: string): string {
    if (value === undefined || value === '') this.fault(msg('commands.isMissing', { option, example }));
    return value ?? '';
  }

  /** One of some words. */
  oneOf<W extends string>(option: string, value: string | undefined, words: readonly W[], usual: W | null = null): W {
    const found = words.find((word) => word === value);
    if (found) return found;
    if (value === undefined && usual !== null) return usual;
    if (value === undefined) this.fault(msg('commands.isMissing', { option, example: words.join(' | ') }));
    else this.fault(msg('commands.isNoneOf', { option, value, words: words.join(', ') }));
    return words[0]!;
  }

  /** @throws CommandFault with everything that was found */
  settle(): void {
    if (this.faults.length > 0) throw new CommandFault(2, this.faults);
  }
}
