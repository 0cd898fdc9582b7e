/** Messages of equipmentWords. */
export const equipmentWords = {
  roundPrism: 'Round prism',
  faceItToTheInstrumentTurnedAway:
    'Face it to the instrument: turned away it reads beside itself. Screwed to a wall it has to be square to it and level.',
  allRoundPrism: '360° prism',
  needsNoFacingItsConstantDiffersFrom:
    'Needs no facing. Its constant differs from a round prism’s: ask again at each change. Above your head where you track over open ground, low for control.',
  smallPrism: 'Mini prism',
  forHubsAndControlLowOnThe:
    'For hubs and control: low on the pole a lean does little. Without a pole it can stand on the thing itself.',
  activePrism: 'Active prism',
  switchItOnSetItsChannelAs:
    'Turn it on, set its channel as here, and check its own battery: an active target that is off can’t be found.',
  reflectiveFoil: 'Reflective target',
  aimByHandLaserDotAsA: 'Aim by hand, laser dot as a helper, from near square on. Never with the prism setting.',
  bareSurface: 'Reflectorless',
  noPrismTheConstantIsZeroAnd:
    'No prism: the constant is zero and the dot has to lie on what is meant. The pole need not be level.',
  aTargetOnAWallHasNo: 'A target on a wall has no pole: its center is the point, the target height is zero.',
  heldToTheThingItselfWithoutA: 'Held to the thing itself, without a pole: the target height is zero.',
  mmIsTheUsualConstantOfSuch:
    '{constant} mm is the usual constant of such a target: compare it with what stands on the {name} or in its papers.',
  target: 'Target',
  pairWithAReceiver: 'GNSS and prism',
  tipOfThePoleToTheCentre:
    'Tip of the pole to the center of the prism: the pole’s mark, and what the prism adds above it.',
  theTargetWasChangedAndTheHeight:
    'The target was changed but not the height. With this target on the same mark of the pole it would be {length}: check the pole.',
  thatIsTheLastHeightInAnother:
    'That is the last height in another unit: feet for meters, or the reverse. Meant is probably {length}.',
  itDiffersFromTheLastOneBy:
    'It differs from the last one by what a pole of 2 m differs from one of 7 ft. Read the mark on the pole, and add the prism.',
  noPoleIsThatTallIfIt: 'No pole is that tall. If it was read in feet, it is {length}.',
  changePlacesWithATripodTarget: 'Change places with a tripod target',
  aTripodWithATargetStandsWhere:
    'A tripod with a target stands where the instrument goes next. Which prism it is, and its height over the ground, count. The tribrachs stay where they are: instrument and target change places on them, and the sight back is compared with the sight forward.',
  centreOfTheTribrach: 'center of the tribrach',
  theInstrumentStandsThereNow: 'The instrument stands there now',
} as const;
