import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  judgeTrust,
  type MarkStanding,
  type ProofOutcome,
  type TrustInput,
  type TrustRecord,
  type TrustResult,
} from '../src/index.ts';
import { trustSite } from './trustSite.ts';

const SIZE = { stations: 4, marksEach: 4, proofsEach: 3, resightsEach: 3, badShare: 0.25 };
const seeds = fc.integer({ min: 1, max: 1_000_000 });

describe('standing of a site of any kind', () => {
  it('depends on the set of records alone, not on their order or repetition', () => {
    fc.assert(
      fc.property(seeds, fc.infiniteStream(fc.nat()), (seed, keys) => {
        const input = trustSite(SIZE, seed);
        const twice = [...input.records, ...input.records.slice(0, 5)];
        const shuffled = twice
          .map((record) => ({ record, key: keys.next().value as number }))
          .sort((a, b) => a.key - b.key);
        expect(judgeTrust({ ...input, records: shuffled.map(({ record }) => record) })).toEqual(judgeTrust(input));
      }),
      { numRuns: 60 },
    );
  });

  it('takes a withdrawn sight, mark, event or finding for never said', () => {
    fc.assert(
      fc.property(seeds, fc.nat(), (seed, pick) => {
        const input = trustSite(SIZE, seed);
        const sayable = input.records.filter((record) =>
          ['proof', 'resight', 'mark', 'event', 'close', 'finding'].includes(record.type),
        );
        const record = sayable[pick % sayable.length]!;
        const withdrawal: TrustRecord = {
          type: 'withdrawal',
          id: 'gone',
          at: input.now,
          device: 'tablet',
          seq: 1e6,
          record: record.id,
          occupation: null,
        };
        const without = input.records.filter((each) => each !== record);
        expect(judgeTrust({ ...input, records: [...input.records, withdrawal] })).toEqual(
          judgeTrust({ ...input, records: without }),
        );
      }),
      { numRuns: 100 },
    );
  });

  it('judges plan and height apart', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const input = trustSite(SIZE, seed);
        const flip: Readonly<Record<ProofOutcome, ProofOutcome>> = {
          good: 'outside',
          moreThanChance: 'outside',
          outside: 'good',
          notMeasured: 'good',
        };
        const records = input.records.map((record) =>
          record.type === 'proof' || record.type === 'resight' ? { ...record, height: flip[record.height] } : record,
        );
        const plan = (result: TrustResult) => result.marks.map((mark) => [mark.id, mark.plan]);
        // Which records supersede depends on what they measured, so only those that measured the same parts are
        // compared.
        const measured = input.records.every((record) => !('height' in record) || record.height !== 'notMeasured');
        fc.pre(measured);
        expect(plan(judgeTrust({ ...input, records }))).toEqual(plan(judgeTrust(input)));
      }),
      { numRuns: 40 },
    );
  });

  it('never calls held what nothing good came after', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const input = trustSite(SIZE, seed);
        const byId = new Map(input.records.map((record) => [record.id, record]));
        for (const mark of judgeTrust(input).marks) {
          for (const part of ['plan', 'height'] as const) {
            if (mark[part].standing !== 'held') continue;
            const evidence = byId.get(mark[part].evidence!) as {
              readonly plan: ProofOutcome;
              readonly height: ProofOutcome;
              readonly at: string;
            };
            expect(['good', 'moreThanChance']).toContain(evidence[part]);
            expect(Date.parse(evidence.at)).toBeGreaterThanOrEqual(Date.parse(byId.get(mark.id)!.at));
          }
        }
      }),
      { numRuns: 100 },
    );
  });
});

/** A story in minutes, told record by record. */
class Story {
  readonly records: TrustRecord[] = [];
  private stamp(id: string, minute: number) {
    return {
      id,
      at: new Date(Date.UTC(2031, 4, 6, 8, minute)).toISOString(),
      device: 'tablet',
      seq: this.records.length,
    };
  }
  station(id: string, minute: number, uses: readonly string[], occupation = id): this {
    const used = uses.map((control) => ({ control, revision: `${control}r`, plan: true, height: true }));
    const from = {
      occupation,
      instrument: occupation,
      acceptedAs: 'good',
      supersedes: null,
      uses: used,
      directions: [],
    } as const;
    this.records.push({ type: 'solution', ...this.stamp(id, minute), ...from });
    return this;
  }
  mark(id: string, minute: number, solution: string): this {
    const both = { plan: true, height: true };
    this.records.push({
      type: 'mark',
      ...this.stamp(id, minute),
      solution,
      class: 'grid',
      needs: both,
      measured: both,
      supersedes: null,
    });
    return this;
  }
  proof(id: string, minute: number, solution: string, control: string, plan: ProofOutcome): this {
    const target = { kind: 'control', id: control, revision: `${control}r` } as const;
    this.records.push({
      type: 'proof',
      ...this.stamp(id, minute),
      solution,
      target,
      plan,
      height: 'good',
      supersedes: null,
    });
    return this;
  }
  resight(id: string, minute: number, solution: string, mark: string, plan: ProofOutcome): this {
    this.records.push({
      type: 'resight',
      ...this.stamp(id, minute),
      solution,
      mark,
      plan,
      height: 'good',
      supersedes: null,
    });
    return this;
  }
  moved(id: string, minute: number, control: string, effects: Readonly<Record<string, number>>): this {
    const list = Object.entries(effects).map(([mark, plan]) => ({ mark, plan, height: null }));
    this.records.push({
      type: 'finding',
      ...this.stamp(id, minute),
      cause: 'controlMoved',
      revision: `${control}r`,
      plan: true,
      height: false,
      effects: list,
      supersedes: null,
    });
    return this;
  }
  input(minute = 200): TrustInput {
    const now = new Date(Date.UTC(2031, 4, 6, 8, minute)).toISOString();
    return { now, intervalMinutes: 60, classes: { grid: { plan: 0.006, height: 0.005 } }, records: this.records };
  }
  judge(minute = 200): TrustResult {
    return judgeTrust(this.input(minute));
  }
  plan(mark: string): MarkStanding['plan'] {
    return this.judge().marks.find((each) => each.id === mark)!.plan;
  }
}

describe('who may bear witness', () => {
  it('is no station that has nothing but the other to prove it', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .mark('M1', 5, 'S1')
      .station('S2', 10, ['K1', 'K2'])
      .mark('M2', 15, 'S2')
      .resight('R1', 20, 'S2', 'M1', 'good')
      .resight('R2', 25, 'S1', 'M2', 'good');
    expect(story.plan('M1')).toEqual({ standing: 'unproven', because: ['NEVER_PROVEN'], evidence: null });
    expect(story.plan('M2').standing).toBe('unproven');
  });

  it('is worth what it is itself worth: open vouches for open, held for held', () => {
    const story = () =>
      new Story()
        .station('S1', 0, ['K1', 'K2'])
        .mark('M1', 5, 'S1')
        .mark('M2', 7, 'S1')
        .station('S2', 10, ['K1', 'K2'])
        .proof('P1', 12, 'S2', 'K5', 'good')
        .resight('R1', 20, 'S2', 'M2', 'good');
    expect(story().plan('M2')).toEqual({ standing: 'open', because: ['RESIGHTED'], evidence: 'R1' });
    expect(story().plan('M1')).toEqual({ standing: 'open', because: ['VOUCHED_BY_OPEN'], evidence: 'R1' });
    const proven = story().proof('P2', 30, 'S2', 'K6', 'good');
    expect(proven.plan('M2')).toEqual({ standing: 'held', because: ['RESIGHTED'], evidence: 'R1' });
    expect(proven.plan('M1')).toEqual({ standing: 'held', because: ['PROVEN_AFTER'], evidence: 'R1' });
    // A bad proof between the re-sight and the next good one takes the voice away.
    expect(proven.proof('P3', 25, 'S2', 'K7', 'outside').plan('M2').standing).toBe('unproven');
  });

  it('loses its voice when a re-sight puts it in doubt', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .mark('M1', 5, 'S1')
      .station('S2', 10, ['K1', 'K2'])
      .proof('P1', 12, 'S2', 'K5', 'good')
      .mark('M2', 15, 'S2')
      .resight('R1', 20, 'S2', 'M1', 'good')
      .station('S3', 30, ['K3', 'K4'])
      .proof('P2', 32, 'S3', 'K6', 'good')
      .resight('R2', 40, 'S3', 'M2', 'outside')
      .proof('P3', 50, 'S3', 'K7', 'good');
    expect(story.plan('M2')).toEqual({ standing: 'inDoubt', because: ['PROOF_FAILED'], evidence: 'R2' });
    expect(story.plan('M1')).toEqual({ standing: 'unproven', because: ['NEVER_PROVEN'], evidence: null });
  });
});

describe('targets that disagree', () => {
  const twoBad = () =>
    new Story()
      .station('S1', 0, ['K1', 'K2'])
      .mark('M1', 5, 'S1')
      .proof('P1', 10, 'S1', 'K3', 'outside')
      .proof('P2', 12, 'S1', 'K4', 'outside')
      .proof('P3', 14, 'S1', 'K5', 'good')
      .proof('P4', 16, 'S1', 'K6', 'good');

  it('stay undecided two against two; a third good one outvotes both', () => {
    expect(twoBad().plan('M1')).toEqual({ standing: 'inDoubt', because: ['PROOFS_DISAGREE'], evidence: 'P1' });
    const decided = twoBad().proof('P5', 18, 'S1', 'K7', 'good');
    expect(decided.plan('M1')).toEqual({ standing: 'held', because: ['PROVEN_AFTER'], evidence: 'P3' });
    expect(decided.judge().targetsSuspect.map((each) => each.target)).toEqual(['K3', 'K4']);
  });

  it('are no evidence at another station while under review, and are cleared by a good proof from anywhere', () => {
    const decided = twoBad()
      .proof('P5', 18, 'S1', 'K7', 'good')
      .station('S2', 20, ['K1', 'K2'])
      .mark('M2', 22, 'S2')
      .proof('P6', 24, 'S2', 'K3', 'outside');
    expect(decided.plan('M2').standing).toBe('unproven');
    decided.proof('P7', 26, 'S2', 'K4', 'good');
    expect(decided.judge().targetsSuspect.map((each) => each.target)).toEqual(['K3']);
    expect(decided.plan('M2').standing).toBe('held');
  });
});

describe('a re-sight from the own station', () => {
  it('tells that mark or instrument moved, and asks for a proof at once', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .proof('P1', 2, 'S1', 'K5', 'good')
      .mark('M1', 5, 'S1')
      .resight('R1', 10, 'S1', 'M1', 'outside');
    expect(story.plan('M1')).toEqual({ standing: 'inDoubt', because: ['REPEAT_FAILED'], evidence: 'R1' });
    expect(story.judge(12).solutions[0]!.due).toBe('EVENT');
    story.proof('P2', 14, 'S1', 'K6', 'good');
    expect(story.plan('M1')).toEqual({ standing: 'inDoubt', because: ['MARK_DISTURBED'], evidence: 'R1' });
    story.resight('R2', 16, 'S1', 'M1', 'good');
    expect(story.plan('M1')).toEqual({ standing: 'held', because: ['PROVEN_AFTER'], evidence: 'P2' });
    expect(story.judge().marks[0]!.notes).toEqual(['REPEATED']);
  });
});

describe('control found moved', () => {
  it('concerns the stations accepted after the last good independent proof on it', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .mark('M1', 5, 'S1')
      .proof('P1', 8, 'S1', 'K5', 'good')
      .station('S2', 10, ['K3', 'K4'])
      .proof('P2', 20, 'S2', 'K1', 'good')
      .station('S3', 30, ['K1', 'K2'])
      .mark('M3', 35, 'S3')
      .proof('P3', 38, 'S3', 'K5', 'good')
      .moved('F1', 60, 'K1', { M1: 0.02 });
    expect(story.plan('M1')).toEqual({ standing: 'held', because: ['PROVEN_AFTER'], evidence: 'P1' });
    expect(story.plan('M3')).toEqual({ standing: 'inDoubt', because: ['CONTROL_MOVED'], evidence: 'F1' });
    expect(story.judge().propose).toContainEqual({
      action: 'resight',
      occupation: 'S3',
      solution: 'S3',
      because: 'CONTROL_MOVED',
      mark: 'M3',
    });
  });
});

describe('what would clear it', () => {
  it('is proposed for every mark in doubt, whichever part it is in doubt in', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const input = trustSite(SIZE, seed);
        const { marks, propose } = judgeTrust(input);
        const solutionOf = new Map(
          input.records.flatMap((record) => (record.type === 'mark' ? [[record.id, record.solution] as const] : [])),
        );
        for (const { id, standing } of marks) {
          if (standing !== 'inDoubt') continue;
          expect(propose.some((each) => each.solution === solutionOf.get(id))).toBe(true);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('is a third target, also where proofs disagree about a height that the station itself did not use', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .proof('P1', 2, 'S1', 'K5', 'outside')
      .mark('M1', 5, 'S1')
      .proof('P2', 8, 'S1', 'K6', 'good');
    const records = story.records.map((record) => {
      if (record.type === 'solution') return { ...record, uses: record.uses.map((use) => ({ ...use, height: false })) };
      return record.type === 'proof' ? { ...record, height: record.plan, plan: 'good' as const } : record;
    });
    const { marks, solutions, propose } = judgeTrust({ ...story.input(), records });
    expect(marks[0]).toMatchObject({
      standing: 'inDoubt',
      height: { because: ['PROOFS_DISAGREE', 'SET_AFTER_FAILURE'] },
    });
    expect(solutions[0]!.height).toBe('notUsed');
    expect(propose).toEqual([{ action: 'thirdTarget', occupation: 'S1', solution: 'S1', because: 'PROOFS_DISAGREE' }]);
  });

  it('asks for no proof at once after a bad re-sight of its own that was settled', () => {
    const story = new Story()
      .station('S1', 0, ['K1', 'K2'])
      .proof('P1', 2, 'S1', 'K5', 'good')
      .mark('M1', 5, 'S1')
      .resight('R1', 10, 'S1', 'M1', 'outside');
    expect(story.judge(12).solutions[0]!.due).toBe('EVENT');
    story.resight('R2', 14, 'S1', 'M1', 'good');
    expect(story.judge(16).solutions[0]!.due).toBeNull();
    expect(story.judge(70).solutions[0]!.due).toBe('CLOCK');
  });
});
