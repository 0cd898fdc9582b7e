/** Targets, poles and instruments in words, and what looks like a slip in a target height. */
import { formatLength, type LengthUnit, type TargetHeightNotice } from '@idle-marker/core';
import { LENGTH_DECIMALS, UNIT_ABBREVIATION } from './vocabulary.ts';

export const TARGET_FORM = {
  round: { name: 'Round prism', hint: 'Face it to the instrument: turned away it reads beside itself. Screwed to a wall it has to be square to it and level.' },
  allRound: {
    name: 'All-round prism',
    hint: 'Needs no facing. Its constant differs from a round prism’s: ask again at each change. Above your head where you track over open ground, low for control.',
  },
  small: { name: 'Small prism', hint: 'For hubs and control: low on the pole a lean does little. Without a pole it can stand on the thing itself.' },
  active: { name: 'Active prism', hint: 'Switch it on, set its channel as here, and look at its own battery: dark, it is not found.' },
  foil: { name: 'Reflective foil', hint: 'Aim by hand, laser dot as a helper, from near square on. Never with the prism setting.' },
  surface: { name: 'Bare surface', hint: 'No prism: the constant is zero and the dot has to lie on what is meant. The pole need not be level.' },
} as const;

/** Why no height of target is asked. */
export const FIXED_TARGET_HELP = 'A target on a wall has no pole: its centre is the point, the target height is zero.';
export const POLELESS_HELP = 'Held to the thing itself, without a pole: the target height is zero.';

/** That a constant is only the one that such targets usually have. */
export const usualConstantWords = (name: string, constant: string): string =>
  `${constant} mm is the usual constant of such a target: compare it with what stands on the ${name.toLowerCase()} or in its papers.`;

export const EQUIPMENT_KIND = { instrument: 'Instrument', target: 'Target', pole: 'Pole', pair: 'Pair with a receiver' } as const;

/** How a target's height is read, at the moment it is asked for. */
export const TARGET_HEIGHT_HELP = 'Tip of the pole to the centre of the prism: the pole’s mark, and what the prism adds above it.';

/** What looks like a slip, and what it would be if it is one. */
export function targetHeightWords(notice: TargetHeightNotice, unit: LengthUnit): string {
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]}`;
  switch (notice.code) {
    case 'SAME_AFTER_NEW_TARGET':
      return `The target was changed and the height was not. With this target on the same mark of the pole it would be ${length(notice.expected)}: look at the pole.`;
    case 'OTHER_UNIT':
      return `That is the last height in another unit: feet for metres, or the reverse. Meant is probably ${length(notice.likely)}.`;
    case 'NOMINAL_LENGTH':
      return `It differs from the last one by what a pole of 2 m differs from one of 7 ft. Read the mark on the pole, and add the prism.`;
    case 'TOO_TALL':
      return `No pole is that tall. If it was read in feet, it is ${length(notice.likely)}.`;
  }
}

/** Instrument and target changing places, each on the tripod of the other. */
export const SWAP_WORDS = {
  title: 'Change places with a tripod target',
  how: 'A tripod with a target stands where the instrument goes next. Which prism it is, and its height over the ground, count. The tribrachs stay where they are: instrument and target change places on them, and the sight back is compared with the sight forward.',
  spot: 'centre of the tribrach',
  next: 'The instrument stands there now',
} as const;
