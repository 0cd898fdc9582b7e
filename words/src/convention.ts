/** How conventions are told about: their parts, choices and faults. */
import type { ConventionFault, StakeConvention, StakeMarkKind, StakePart } from '@idle-marker/core';
import { ENGLISH } from './languages/index.ts';

export const STAKE_PART: Readonly<Record<StakePart, string>> = {
  offset: 'offset',
  to: 'what the offset leads to',
  station: 'station of the road',
  angle: 'how it stands at an angle',
  cutFill: 'cut or fill',
  also: 'cut or fill to a second feature',
  hubHeight: 'height of the hub',
  designHeight: 'design height',
  why: 'what changes there',
  name: 'name of the mark',
  package: 'work package',
  startsAt: 'what exactly is the point',
  tolerance: 'tolerance',
  set: 'when it was set, and by whom',
};

export const CARRIER: Readonly<Record<StakeConvention['carrier'], string>> = {
  lath: 'a lath beside the hub',
  peg: 'the peg itself',
  surface: 'the surface that carries the mark',
};

export const FACING: Readonly<Record<StakeConvention['facing'], string>> = {
  toItem: 'faces what is to be built',
  angled: 'turned halfway toward it, read from the road',
  alongRoad: 'faces along the road',
};

export const STAKE_MARK_KIND: Readonly<Record<StakeMarkKind, string>> = {
  hubAndLath: 'Hub and lath',
  nail: 'Nail',
  paintCross: 'Paint cross',
  plateLine: 'Line on a plate',
  scribedLine: 'Scribed line',
};

/** What has to be changed before a convention can be used. */
export function conventionFaultWords(fault: ConventionFault): string {
  switch (fault.code) {
    case 'NOTHING_ON_FRONT':
      return 'Nothing is on the front: put at least one line there.';
    case 'PART_TWICE':
      return `“${STAKE_PART[fault.part]}” stands on two sides: leave it on one.`;
    case 'NO_LETTER':
      return `The word for ${{ cut: 'cut', fill: 'fill', onGrade: 'on grade' }[fault.which]} has no letter: a bare sign is read the wrong way round by every second crew.`;
    case 'CUT_IS_FILL':
      return 'Cut and fill are the same word.';
    case 'SHORT_TWICE':
      return `${fault.short} stands for ${fault.terms.map((term) => ENGLISH.term[term]).join(' and ')}: give each its own.`;
    case 'ALL_IN_GROUND':
      return 'The lath is in the ground from end to end.';
    case 'LETTERS_TOO_LARGE':
      return 'The letters are too large for the lath.';
  }
}
