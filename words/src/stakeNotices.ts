/** What ought to be noticed before a stake is written, in sentences. */
import type { LengthUnit, StakeNotice, StakeSide } from '@idle-marker/core';
import { smallLength } from './small.ts';
import type { StakeTextNotice } from './stakeText.ts';

const SIDE: Readonly<Record<StakeSide, string>> = { front: 'front', back: 'back', left: 'left side', right: 'right side' };

export function stakeNoticeWords(notice: StakeNotice | StakeTextNotice, unit: LengthUnit): string {
  switch (notice.code) {
    case 'MOVED':
      return `“${notice.text}” has no room on the ${SIDE[notice.from]}: it goes on the ${SIDE[notice.to]}.`;
    case 'NO_ROOM':
      return `“${notice.text}” has no room on any side: take a longer lath or smaller letters.`;
    case 'WORD_TOO_LONG':
      return `“${notice.text}” is wider than the lath, which takes ${notice.characters} letters.`;
    case 'AMBIGUOUS':
      return `${notice.short} is also read as ${notice.meanings.filter((meaning) => meaning !== notice.better).join(' or ')}: write “${notice.better}”.`;
    case 'ROUNDED':
      return `${notice.figure} is ${smallLength(notice.by, unit)} off the exact figure, more than the ${smallLength(notice.tolerance, unit)} of its class: write it finer.`;
    case 'UNUSUAL':
      return `“${notice.text}” is not as usual here: point it out to the crew.`;
  }
}
