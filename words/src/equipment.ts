/** Targets, poles and instruments in words, and what looks like a slip in a target height. */
import { formatLength, type LengthUnit, type TargetHeightNotice } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

export const targetForm = worded(
  () =>
    ({
      round: { name: msg('equipmentWords.roundPrism'), hint: msg('equipmentWords.faceItToTheInstrumentTurnedAway') },
      allRound: {
        name: msg('equipmentWords.allRoundPrism'),
        hint: msg('equipmentWords.needsNoFacingItsConstantDiffersFrom'),
      },
      small: { name: msg('equipmentWords.smallPrism'), hint: msg('equipmentWords.forHubsAndControlLowOnThe') },
      active: { name: msg('equipmentWords.activePrism'), hint: msg('equipmentWords.switchItOnSetItsChannelAs') },
      foil: { name: msg('equipmentWords.reflectiveFoil'), hint: msg('equipmentWords.aimByHandLaserDotAsA') },
      surface: { name: msg('equipmentWords.bareSurface'), hint: msg('equipmentWords.noPrismTheConstantIsZeroAnd') },
    }) as const,
);

/** Why no height of target is asked. */
export const fixedTargetHelp = worded(() => msg('equipmentWords.aTargetOnAWallHasNo'));
export const polelessHelp = worded(() => msg('equipmentWords.heldToTheThingItselfWithoutA'));

/** That a constant is only the one that such targets usually have. */
export const usualConstantWords = (name: string, constant: string): string =>
  msg('equipmentWords.mmIsTheUsualConstantOfSuch', { constant, name: name.toLowerCase() });

export const equipmentKindWords = worded(
  () =>
    ({
      instrument: msg('common.instrument'),
      target: msg('equipmentWords.target'),
      pole: msg('common.pole'),
      pair: msg('equipmentWords.pairWithAReceiver'),
    }) as const,
);

/** How a target's height is read, at the moment it is asked for. */
export const targetHeightHelp = worded(() => msg('equipmentWords.tipOfThePoleToTheCentre'));

/** What looks like a slip, and what it would be if it is one. */
export function targetHeightWords(notice: TargetHeightNotice, unit: LengthUnit): string {
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  switch (notice.code) {
    case 'SAME_AFTER_NEW_TARGET':
      return msg('equipmentWords.theTargetWasChangedAndTheHeight', { length: length(notice.expected) });
    case 'OTHER_UNIT':
      return msg('equipmentWords.thatIsTheLastHeightInAnother', { length: length(notice.likely) });
    case 'NOMINAL_LENGTH':
      return msg('equipmentWords.itDiffersFromTheLastOneBy');
    case 'TOO_TALL':
      return msg('equipmentWords.noPoleIsThatTallIfIt', { length: length(notice.likely) });
  }
}

/** Instrument and target changing places, each on the tripod of the other. */
export const swapWords = worded(
  () =>
    ({
      title: msg('equipmentWords.changePlacesWithATripodTarget'),
      how: msg('equipmentWords.aTripodWithATargetStandsWhere'),
      spot: msg('equipmentWords.centreOfTheTribrach'),
      next: msg('equipmentWords.theInstrumentStandsThereNow'),
    }) as const,
);
