/**
 * How often the right fault is named: simulated stations, a tenth of them faultless, the rest with one fault (or two),
 * under the noise that was stated and under others. Run with `npm run study -- [COUNT] [SEED]`. Not a test: it prints
 * tables and takes its time. `npm run study:checked` asks what stations promise.
 */
import { explainMisfit, freeStation } from '@idle-marker/core';
import { dice, FAULTS, make, type Dice, type Fault, type Mix } from './simulatedStations.ts';

const [countText = '2000', seedText = '1'] = process.argv.slice(2);
const COUNT = Number(countText);

const EIGHT = { marks: [8, 8], distance: [15, 150], noise: 1, faults: 1 } as const;
const MIXES: readonly Mix[] = [
  { name: 'as stated', marks: [4, 8], distance: [15, 150], noise: 1, faults: 1 },
  { name: 'three marks', marks: [3, 3], distance: [15, 150], noise: 1, faults: 1 },
  { name: 'five marks at 20 to 60 m', marks: [5, 5], distance: [20, 60], noise: 1, faults: 1 },
  { name: 'noise 1.3 times the stated one', ...EIGHT, noise: 1.3 },
  { name: 'noise twice the stated one', ...EIGHT, noise: 2 },
  { name: 'heavy tails', ...EIGHT, errors: 'tails' },
  { name: '5 in 100 errors four times as large', ...EIGHT, errors: 'outliers' },
  { name: 'centring 5 mm where 2 is stated', ...EIGHT, centring: 0.005 },
  { name: 'two faults at once', marks: [4, 8], distance: [15, 150], noise: 1, faults: 2 },
];

interface Row {
  cases: number;
  right: number;
  cannotTell: number;
  wrong: number;
  missed: number;
}

function study(mix: Mix, seed: number): Map<string, Row> {
  const rows = new Map<string, Row>();
  for (let i = 0; i < COUNT; i++) {
    const die = dice(seed * 1_000_003 + i * 7919);
    const faults: Fault[] = mix.faults === 2 ? twoFaults(die) : i % 10 === 0 ? [] : [FAULTS[i % FAULTS.length]!];
    const { input, truth } = make(die, mix, faults);
    const key = mix.faults === 2 ? 'two faults' : (faults[0] ?? 'NONE');
    const row = rows.get(key) ?? { cases: 0, right: 0, cannotTell: 0, wrong: 0, missed: 0 };
    rows.set(key, row);
    row.cases++;
    const station = freeStation(input);
    const explained = station.ok ? explainMisfit(station.value) : null;
    if (!explained?.best) row.cannotTell++;
    else {
      const { best, also } = explained;
      // What is named in the second place is an accusation, too.
      const named = [best, ...(also ? [also] : [])];
      const isTrue = (each: typeof best) =>
        truth.some((fault) => fault.code === each.code && fault.points.join() === each.points.join());
      if (truth.length === 0) row[best.code === 'NONE' && !also ? 'right' : 'wrong']++;
      else if (best.code === 'NONE') row.missed++;
      else row[named.every(isTrue) ? 'right' : 'wrong']++;
    }
  }
  return rows;
}

function twoFaults(die: Dice): Fault[] {
  const first = die.pick(FAULTS);
  return [first, die.pick(FAULTS.filter((each) => each !== first))];
}

for (const mix of MIXES) {
  console.log(`\n${mix.name}, ${COUNT} stations, seed ${seedText}; in 100 of each kind`);
  console.log('fault               cases   right  can’t tell   wrong  missed');
  const rows = study(mix, Number(seedText));
  const all: Row = { cases: 0, right: 0, cannotTell: 0, wrong: 0, missed: 0 };
  for (const row of rows.values()) for (const field of Object.keys(all) as (keyof Row)[]) all[field] += row[field];
  for (const [name, row] of [...[...rows].sort(([a], [b]) => a.localeCompare(b)), ['all', all] as const]) {
    const share = (value: number) => ((100 * value) / row.cases).toFixed(1).padStart(8);
    console.log(
      `${name.padEnd(18)}${String(row.cases).padStart(7)}${share(row.right)}${share(row.cannotTell)}    ${share(row.wrong)}${share(row.missed)}`,
    );
  }
}
