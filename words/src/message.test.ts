import { describe, expect, it } from '@jest/globals';
import { messageParts, msg } from './message.ts';

describe('a message', () => {
  it('is its text, with its values put in', () => {
    expect(msg('pole.setMark')).toBe('Set mark');
    expect(msg('common.of2', { index: 3, stops: 12 })).toBe('3 of 12');
  });
  it('has the form that its number asks for', () => {
    expect([0, 1, 2].map((taken) => msg('control.bring', { taken }))).toEqual([
      'Copy 0 marks',
      'Copy 1 mark',
      'Copy 2 marks',
    ]);
  });
  it('writes a count without marks between its thousands', () => {
    expect(msg('control.bring', { taken: 20_292 })).toBe('Copy 20292 marks');
  });
  it('leaves out what is missing or false, and keeps a zero', () => {
    expect(msg('common.of2', { index: 0, stops: null })).toBe('0 of ');
    expect(msg('common.of2', { index: false, stops: undefined })).toBe(' of ');
  });
  it('comes in pieces where a value is more than text', () => {
    const link = { bold: true };
    expect(messageParts('common.of2', { index: link, stops: 12 })).toEqual([link, ' of 12']);
    expect(messageParts('pole.setMark')).toEqual(['Set mark']);
  });
  it('is refused under a key that is none', () => {
    expect(() => msg('pole.thereIsNone' as 'pole.setMark')).toThrow('no message pole.thereIsNone');
  });
});
