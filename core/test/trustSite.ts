/**
 * Made-up sites for the judgement of trust: stations, proofs, marks, re-sights and whatever else befalls them, from a
 * seed.
 */
import type { Draw } from '../src/index.ts';
import type { ProofOutcome, TrustInput, TrustRecord } from '../src/index.ts';
import { uniform } from '../src/index.ts';

const START = Date.UTC(2031, 4, 6, 7);
const CONTROL = ['K1', 'K2', 'K3', 'K4', 'K5', 'K6', 'K7', 'K8'];

export interface SiteSize {
  readonly stations: number;
  readonly marksEach: number;
  readonly proofsEach: number;
  readonly resightsEach: number;
  /** How often a sight comes out bad, 0 to 1. */
  readonly badShare: number;
}

/** Records in the order in which they were made; the seed decides everything. */
export function trustSite(size: SiteSize, seed: number): TrustInput {
  let state: Draw['state'] = seed;
  const random = (): number => {
    const draw = uniform(state);
    state = draw.state;
    return draw.value;
  };
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const outcome = (): ProofOutcome =>
    random() < size.badShare ? 'outside' : random() < 0.1 ? 'moreThanChance' : random() < 0.05 ? 'notMeasured' : 'good';
  const records: TrustRecord[] = [];
  let minute = 0;
  const stamp = (id: string) => ({
    id,
    at: new Date(START + (minute += 1 + Math.floor(random() * 3)) * 60_000).toISOString(),
    device: 'tablet',
    seq: records.length,
  });
  for (const control of CONTROL) {
    records.push({
      type: 'controlRevision',
      ...stamp(`${control}r`),
      control,
      condition: random() < 0.1 ? 'doubtful' : 'secure',
    });
  }
  const marks: string[] = [];
  for (let s = 0; s < size.stations; s += 1) {
    const solution = `S${s}`;
    const used = CONTROL.filter(() => random() < 0.5);
    records.push({
      type: 'solution',
      ...stamp(solution),
      occupation: `O${s}`,
      instrument: pick(['one', 'two']),
      acceptedAs: random() < 0.1 ? 'provisional' : 'good',
      supersedes: null,
      uses: used.map((control) => ({ control, revision: `${control}r`, plan: true, height: random() < 0.8 })),
      directions: [`D${s}`],
    });
    const steps = ['proof', 'mark', 'resight'].flatMap((type) =>
      Array.from(
        { length: { proof: size.proofsEach, mark: size.marksEach, resight: size.resightsEach }[type]! },
        () => ({ type, order: random() }),
      ),
    );
    let lastProof: string | null = null;
    for (const { type } of steps.sort((a, b) => a.order - b.order)) {
      const id = `${type}${records.length}`;
      const parts = { plan: outcome(), height: outcome() };
      if (type === 'proof') {
        const control = pick(CONTROL);
        const target =
          random() < 0.1
            ? ({ kind: 'direction', id: `D${s}` } as const)
            : ({ kind: 'control', id: control, revision: `${control}r` } as const);
        records.push({
          type: 'proof',
          ...stamp(id),
          solution,
          target,
          ...parts,
          supersedes: random() < 0.2 ? lastProof : null,
        });
        lastProof = id;
      } else if (type === 'mark') {
        const needs = { plan: true, height: random() < 0.8 };
        records.push({
          type: 'mark',
          ...stamp(id),
          solution,
          class: pick(['grid', 'bolts']),
          needs,
          measured: { plan: true, height: random() < 0.9 },
          supersedes: random() < 0.05 ? (marks.at(-1) ?? null) : null,
        });
        marks.push(id);
      } else if (marks.length > 0) {
        records.push({ type: 'resight', ...stamp(id), solution, mark: pick(marks), ...parts, supersedes: null });
      }
    }
    if (random() < 0.3) records.push({ type: 'event', ...stamp(`E${s}`), occupation: `O${s}`, kind: 'bump' });
    if (random() < 0.5) records.push({ type: 'close', ...stamp(`C${s}`), occupation: `O${s}` });
  }
  if (random() < 0.5 && marks.length > 0) {
    const effects = marks
      .filter(() => random() < 0.5)
      .map((mark) => ({ mark, plan: random() * 0.02, height: random() * 0.01 }));
    records.push({
      type: 'finding',
      ...stamp('F'),
      cause: 'controlMoved',
      revision: 'K1r',
      plan: true,
      height: false,
      effects,
      supersedes: null,
    });
  }
  if (random() < 0.3) records.push({ type: 'withdrawal', ...stamp('W'), record: pick(records).id, occupation: null });
  return {
    now: new Date(START + (minute + 30) * 60_000).toISOString(),
    intervalMinutes: 60,
    classes: { grid: { plan: 0.006, height: 0.005 }, bolts: { plan: 0.004, height: 0.003 } },
    records,
  };
}
