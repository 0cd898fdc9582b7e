import { describe, expect, it } from '@jest/globals';
import { receiverWords } from '@idle-marker/words';
import { markTrend, type MarkLook } from '@idle-marker/records';

const look = (change: Partial<MarkLook>): MarkLook => ({
  at: '2026-05-04T07:00:00.000Z',
  station: 'S1',
  as: 'used',
  dEMm: 12,
  dNMm: 0,
  dZMm: 0,
  offInPlan: false,
  offInHeight: false,
  ...change,
});

describe('what a receiver found at a mark', () => {
  it('neither confirms nor clears what the instrument finds', () => {
    const off = look({ offInPlan: true });
    const received = look({ as: 'receiver', radius95Mm: 24 });
    expect(markTrend([received]).propose).toBe('nothing');
    expect(markTrend([{ ...received, offInPlan: true }]).propose).toBe('nothing');
    expect(markTrend([off, received]).propose).toBe('sightAgain');
    expect(markTrend([off, { ...received, offInPlan: true }]).propose).toBe('sightAgain');
    expect(markTrend([off, received, off]).propose).toBe('newRevision');
  });

  it('is told with its precision, and blames nobody within it', () => {
    expect(receiverWords('K3', { planMm: 18, radius95Mm: 24, isBeyond: false }, 'metre')).toBe(
      'K3: a satellite receiver put it 18 mm from where it is listed, good to 24 mm (95 %). Its precision explains that; nothing disagrees.',
    );
    expect(receiverWords('K3', { planMm: 90, radius95Mm: 24, isBeyond: true }, 'metre')).toMatch(
      /sight the mark with the instrument before you decide/,
    );
  });
});
