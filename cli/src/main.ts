import { CommandFault } from './caller.ts';
import { HELP, USAGE, type CommandName } from './help.ts';

/** Each is loaded when it is called: what prints papers takes longer to load than what reads a list. */
const COMMANDS: Readonly<Record<CommandName, (args: readonly string[]) => Promise<number>>> = {
  read: async (args) => (await import('./read.ts')).runRead(args),
  compute: async (args) => (await import('./compute.ts')).runCompute(args),
  export: async (args) => (await import('./export.ts')).runExport(args),
  report: async (args) => (await import('./report.ts')).runReport(args),
  check: async (args) => (await import('./check.ts')).runCheck(args),
  schema: async (args) => (await import('./schema.ts')).runSchema(args),
};

const isCommand = (name: string | undefined): name is CommandName => name !== undefined && Object.hasOwn(HELP, name);
const asksForHelp = (args: readonly string[]): boolean => args.some((each) => each === '--help' || each === '-h');

const [command, ...rest] = process.argv.slice(2);
if (isCommand(command)) {
  if (asksForHelp(rest)) process.stdout.write(HELP[command]);
  else if (rest.length === 0 && command !== 'schema') {
    process.stderr.write(HELP[command]);
    process.exitCode = 2;
  } else
    try {
      process.exitCode = await COMMANDS[command](rest);
    } catch (error) {
      if (!(error instanceof CommandFault)) throw error;
      process.stderr.write(`${error.message}\n`);
      process.exitCode = error.status;
    }
} else if (command === undefined || !asksForHelp([command])) {
  process.stderr.write(USAGE);
  process.exitCode = 2;
} else process.stdout.write(USAGE);
