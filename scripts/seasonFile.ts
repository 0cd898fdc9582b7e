/**
 * The facts of a season as JSON on standard output, for the benches: node scripts/run.mjs scripts/seasonFile.ts 20000
 */
import { seasonFacts } from './seasonFacts.ts';

const MINUTES_AGO = 20;
process.stdout.write(JSON.stringify(seasonFacts(Number(process.argv[2] ?? 20_000), Date.now() - MINUTES_AGO * 60_000)));
