/** What ought to be noticed before a stake is written, in sentences. */
import type { LengthUnit, StakeNotice, StakeSide } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { smallLength } from './small.ts';
import type { StakeTextNotice } from './stakeText.ts';

const sideWords = worded((): Readonly<Record<StakeSide, string>> => ({
  front: 'front',
  back: 'back',
  left: msg('stakeNotices.leftSide'),
  right: msg('stakeNotices.rightSide'),
}));

export function stakeNoticeWords(notice: StakeNotice | StakeTextNotice, unit: LengthUnit): string {
  switch (notice.code) {
    case 'MOVED':
      return msg('stakeNotices.hasNoRoomOnTheItGoes', {
        text: notice.text,
        side: sideWords()[notice.from],
        side2: sideWords()[notice.to],
      });
    case 'NO_ROOM':
      return msg('stakeNotices.hasNoRoomOnAnySideTake', { text: notice.text });
    case 'WORD_TOO_LONG':
      return msg('stakeNotices.isWiderThanTheLathWhichTakes', { text: notice.text, characters: notice.characters });
    case 'AMBIGUOUS':
      return msg('stakeNotices.isAlsoReadAsWrite', {
        short: notice.short,
        meanings: notice.meanings.filter((meaning) => meaning !== notice.better).join(' or '),
        better: notice.better,
      });
    case 'ROUNDED':
      return msg('stakeNotices.isOffTheExactFigureMoreThan', {
        figure: notice.figure,
        smallLength: smallLength(notice.by, unit),
        smallLength2: smallLength(notice.tolerance, unit),
      });
    case 'UNUSUAL':
      return msg('stakeNotices.isNotAsUsualHerePointIt', { text: notice.text });
  }
}
