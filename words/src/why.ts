import { msg, worded } from './message.ts';
/** Why the rules are as they are, for whoever asks at the spot. */
export const whyTexts = worded((): readonly (readonly [string, string])[] => [
  [msg('why.whyAtRightAngles'), msg('why.eachMarkHoldsTheStationAlongIts')],
  [msg('why.whyThreeMarks'), msg('why.twoGiveAPlaceAndOneDistance')],
  [msg('why.whyThePrismLow'), msg('why.aPoleThatLeansByHalfA')],
  [msg('why.whyTurnThePoleTheSameWay'), msg('why.ifItsBubbleIsOutEveryMark')],
  [msg('why.whyNotSightUntilItLooksGood'), msg('why.theMeanOfAllReadingsIsThe')],
  [msg('why.whatIsARatio'), msg('why.theMisfitOfASightOverIts')],
  [msg('why.doesTheTemperatureMatter'), msg('why.oneDegreeIsAboutOneMillionthA')],
]);
