import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { judgeTrust, type MarkStanding, type SolutionStanding, type TrustInput, type TrustRecord } from '../src/index.ts';

const folder = `${import.meta.dirname}/trust/`;
interface Case {
  readonly id: string;
  readonly title: string;
  readonly input: TrustInput;
  readonly expected: { readonly marks: readonly MarkStanding[]; readonly solutions: readonly SolutionStanding[] };
}
const cases = readdirSync(folder).map((file) => JSON.parse(readFileSync(folder + file, 'utf8')) as Case);

describe('standing of marks and stations', () => {
  it.each(cases.map((each) => [`${each.id}: ${each.title}`, each] as const))('%s', (_title, each) => {
    const result = judgeTrust(each.input);
    expect(result.marks).toEqual(each.expected.marks);
    expect(result.solutions).toEqual(each.expected.solutions);
  });

  it('depends on the set of records alone, not on their order or repetition', () => {
    for (const each of cases) {
      const expected = judgeTrust(each.input);
      fc.assert(
        fc.property(
          fc.shuffledSubarray([...each.input.records, ...each.input.records], { minLength: 2 * each.input.records.length }),
          (records: TrustRecord[]) => {
            expect(judgeTrust({ ...each.input, records })).toEqual(expected);
          },
        ),
        { numRuns: 10 },
      );
    }
  });

  it('gives a mark back its standing when the failed proof is withdrawn', () => {
    const at = (minutes: number) => new Date(Date.UTC(2031, 4, 6, 8, minutes)).toISOString();
    const stamp = (id: string, minutes: number, seq: number) => ({ id, at: at(minutes), device: 'tablet', seq });
    const records: TrustRecord[] = [
      {
        type: 'solution',
        ...stamp('S1', 0, 0),
        occupation: 'O1',
        instrument: 'i',
        acceptedAs: 'good',
        supersedes: null,
        uses: [{ control: 'K1', revision: 'K1r', plan: true, height: true }],
        directions: [],
      },
      {
        type: 'proof',
        ...stamp('P1', 5, 1),
        solution: 'S1',
        target: { kind: 'control', id: 'K9', revision: 'K9r' },
        plan: 'good',
        height: 'good',
        supersedes: null,
      },
      {
        type: 'mark',
        ...stamp('M1', 10, 2),
        solution: 'S1',
        class: 'grid',
        needs: { plan: true, height: true },
        measured: { plan: true, height: true },
        supersedes: null,
      },
      {
        type: 'proof',
        ...stamp('P2', 15, 3),
        solution: 'S1',
        target: { kind: 'control', id: 'K8', revision: 'K8r' },
        plan: 'outside',
        height: 'good',
        supersedes: null,
      },
    ];
    const judge = (more: TrustRecord[]) => judgeTrust({ now: at(20), intervalMinutes: 60, records: [...records, ...more] }).marks[0]!;
    expect(judge([])).toMatchObject({ standing: 'inDoubt', plan: { because: ['PROOF_FAILED'], evidence: 'P2' }, height: { standing: 'held' } });
    expect(judge([{ type: 'withdrawal', ...stamp('W1', 16, 4), record: 'P2', occupation: null }])).toMatchObject({ standing: 'open' });
    expect(judge([{ type: 'withdrawal', ...stamp('W1', 16, 4), record: null, occupation: 'O1' }])).toMatchObject({
      standing: 'inDoubt',
      plan: { because: ['STATION_WITHDRAWN'] },
    });
  });
});
