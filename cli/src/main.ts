import { runCompute } from './compute.ts';
import { runRead } from './read.ts';

const USAGE = `Usage: npm run -s cli -- compute FILE...
       npm run -s cli -- read FILE...

  compute FILE...   reads cases { "id", "kind", "input" } from JSON files ("-" for standard input)
                    and prints one JSON line a file, in order.
                    Exit status: 0 all computed, 1 any gave an error, 2 wrong usage.

  read FILE...      reads drawings (DXF, GeoJSON, LandXML) and lists of points (CSV), and says what is in them.
                    Of a case { "id", "kind": "drawing" | "control", "input": { "file", "unit", "order",
                    "columns", "decimal" } } it reads the file beside it and prints one JSON line.
                    Exit status: 0 all read, 1 any could not be, 2 wrong usage.
`;

const [command, ...rest] = process.argv.slice(2);
if (command === 'compute' && rest.length > 0) process.exitCode = runCompute(rest);
else if (command === 'read' && rest.length > 0) process.exitCode = runRead(rest);
else if (command === '--help' || command === '-h') process.stdout.write(USAGE);
else {
  process.stderr.write(USAGE);
  process.exitCode = 2;
}
