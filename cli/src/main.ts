import { runCompute } from './compute.ts';

const USAGE = `Usage: npm run -s cli -- compute FILE...

  compute FILE...   reads cases { "id", "kind", "input" } from JSON files ("-" for standard input)
                    and prints one JSON line a file, in order.
                    Exit status: 0 all computed, 1 any gave an error, 2 wrong usage.
`;

const [command, ...rest] = process.argv.slice(2);
if (command === 'compute' && rest.length > 0) process.exitCode = runCompute(rest);
else if (command === '--help' || command === '-h') process.stdout.write(USAGE);
else {
  process.stderr.write(USAGE);
  process.exitCode = 2;
}
