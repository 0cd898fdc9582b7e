/** Messages of setupSteps. */
export const setupSteps = {
  allThreeFeetOnOneFirmSurface: 'All three feet on one firm surface',
  twoSurfacesMoveDifferentlyTreadTheFeet:
    'Two surfaces move differently. Tread the feet into soil, one after the other, then adjust again. Wood and heavy tripods shake less; light metal reacts to sun and passing plant.',
  legsSpreadHeadAtChestHeightAnd: 'Legs spread, head at chest height and about level, locked',
  closedLegsReachTheChinSpreadThey:
    'Closed legs reach the chin; spread they put the telescope at the eye. Head near level both ways, judged by eye, so that the instrument can’t slide and the foot screws have travel. A narrow base shakes. Tighten levers and set screws, at the least in wind. Higher only where the sights need it.',
  strapOrStarOnTheSmoothFloor: 'Strap or star on the smooth floor, tightened last',
  legsSlideApartOnConcreteAndSteel:
    'Legs slide apart on concrete and steel. Loose while you adjust, tight as the very last step.',
  standGuardedFrameOrBarrierAwayFrom: 'Stand guarded: frame or barrier, away from the walkway',
  aBumpCostsEveryMarkSinceThe:
    'A bump costs every mark since the last check shot. On a deck a bracket on a column stands stiller than any tripod.',
  oneHandOnTheInstrumentUntilThe: 'One hand on the instrument until the screw holds',
  itIsTheMostExpensiveFallOn:
    'It is the most expensive fall on site. Screw snug, not hard; instrument in the middle of the plate, seated in its notch and locked.',
  plummetOverTheMarkLevelledLookedAt: 'Plummet over the mark, leveled, looked at again',
  moveItFlatOnThePlateNever:
    'Move it flat on the plate, never past its edge. Shifting upsets the level, and leveling the centering: repeat until both hold. Put a boot beside the mark to focus on: first the crosshair ring until it is sharp, then the mark.',
  levelBroughtInByStagesHandsOff: 'Level brought in by stages, hands off between',
  openTheLevelPageFirstManyClose:
    'Open the level page first: many close by themselves after a minute, then open it again. Foot screws from the middle of their travel. First the round bubble by the legs: one leg takes it opposite another, that one brings it in. Then the electronic level, coarse to fine; it lags, so wait. If the bubble disagrees, trust the electronic one and have the bubble adjusted. An instrument that levels itself needs only a rough start, but a better one is faster.',
  compensatorOnTelescopeInTheNormalFace: 'Compensator on, telescope in the normal face',
  aMinuteOfTiltThatNothingTakes:
    'A minute of tilt that nothing takes out is 29 mm of elevation at 100 m. Inside the inner circle is good enough: the compensator does the rest, as far as it reaches.',
  batteryAndAChargedSpare: 'Battery, and a charged spare',
  changingItLaterMayTurnTheInstrument:
    'Changing it later may turn the instrument: a check shot is due after it. An active target has its own battery.',
  rightTargetChosenItsHeightReadFrom: 'Right target chosen, its height read from tip to center',
  aWrongKindOfTargetMakesEvery:
    'A wrong kind of target makes every distance wrong by the same amount. Ask again at each change of pole, prism or person. For control: prism low, on legs, pole turned the same way at each mark.',
} as const;
