/** Messages of judgement. */
export const judgement = {
  nothingIsWrong: 'No error found',
  theSightsFitAsTheyAre: 'The sights fit as they are.',
  hasMoved: '{name} has moved',
  leftOutWouldSitOfItsListed: 'Without it, {name} measures {length} {compassWord} of its listed position.',
  theHeightOfDoesNotFit: 'The elevation of {name} doesn’t fit',
  itStandsThanListedAHeavedMark:
    'It stands {length} {dZ} than listed. A heaved mark shifts the station’s elevation by its share; it tilts nothing.',
  theTargetHeightAtIsWrong: 'The target height at {name} is wrong',
  itWasTakenTooARoundFigure:
    'The target height was {metresOrFeet} too {error}: a round figure, and no other height disagrees.',
  andWereExchanged: '{name} and {other} were swapped',
  withTheTwoNamesTheOtherWay: 'With the two names the other way round everything fits.',
  thisLooksLikeNot: 'This looks like {other}, not {name}',
  theSightNamedFitsWhereIsListed: 'The sight named {name} fits where {other} is listed.',
  allDistancesAreToo: 'All distances are {length} too {constant}',
  theSameAtEveryMarkNearOr:
    'The same at every mark, near or far: the prism constant, or the kind of target, is set wrong.',
  distancesInFeetWereTakenForMetres: 'Distances in feet were taken for meters',
  multipliedBy03048EverythingFits: 'Multiplied by 0.3048 everything fits.',
  distancesInMetresWereTakenForFeet: 'Distances in meters were taken for feet',
  dividedBy03048EverythingFits: 'Divided by 0.3048 everything fits.',
  distancesArePpmToo: 'Distances are {ratio} ppm too {ratio2}',
  theMisfitGrowsWithDistanceAndTurns:
    'The residual grows with distance and turns nothing: grid and ground distances are mixed, or the scale factor is wrong. Elevations don’t mind.',
  theDirectionToWasMisread: 'The direction to {name} was misread',
  itIsOffByItsDistanceFits: 'It is off by {smallAngle}; its distance fits.',
  sightedAgainASlipAtWouldNot: 'Sighted again, a slip at {name} wouldn’t repeat; a mark that moved would.',
  lookAtThePoleIsTheTarget: 'Check the pole: is the target height at {name} what was entered?',
  aMarkAtAVeryDifferentDistance:
    'A mark at a very different distance would tell: a constant is the same at all, a scale grows.',
  anotherMarkBestInADirectionThat: 'Another mark, best in a direction that is still open, would tell.',
  theyAreWorstAtTheNearMarks:
    'They are worst at the near marks. Look at the pole first: is it hand-held? Use a bipod, and test its bubble.',
  theyAreWorstAtTheFarMarks:
    'They are worst at the far marks. Look at the air first: heat over the ground, wind on the tripod. Sight nearer marks, or wait.',
  theyAreWorstInTheDistancesLook:
    'They are worst in the distances. Look at the prism and its constant first, then at the weather that was entered.',
  lookAtThePoleFirstByHand:
    'Look at the pole first (by hand? a worn bubble?), then at heat over the ground, then at the precision that is entered for the instrument.',
  solvableButUnchecked: 'Solvable, but unchecked',
  onlyTheDistanceBetweenIsComparedIf:
    'Only the distance between {names} is compared. If it is wrong, half of the error shows at each and neither can be blamed; a mark that moved across their line doesn’t show at all.',
  twoPlacesDetermineAStationAndCheck: 'Two places determine a station and check nothing; a third would.',
  onePlaceDeterminesNoStation: 'One place determines no station.',
  standOnOnePostThatIsOne:
    '{list} stand on one post: that is one place. If it moved, all its targets moved along, and nothing would show it. {places}',
  thatIsMoreThanTheAskedProve:
    '{unnoticed} That is more than the {length} asked: prove this station on a mark that it didn’t use, before the first stake.',
  notKnownWellEnough: 'Not known well enough',
  thisStationIsGoodTo95Which:
    'This station is good to {length} (95 %), which the work doesn’t allow. Sights that agree don’t make up for marks that lie too near to each other, or too far away.',
  marksAgree: '{capital} marks agree',
  theLargestDifferenceIs: 'The largest difference is {length}.',
  doesNotFitTheOther: '{name} doesn’t fit the other {count}',
  theRestAgreeWithin: 'The rest agree within {length}. ',
  thatExplainsOfTheMisfit: '{rest}{text} That explains {share} % of the residual.',
  somethingDoesNotFitButItCant: 'The sights disagree, but the cause isn’t clear',
  or: '; or {lower}',
  mostLikely: 'Most likely: {lower}{second}. {apart}',
  noisierThanTheInstrumentShouldBe: 'Noisier than the instrument should be',
  theMisfitsAreTimesWhatInstrumentPole:
    'The residuals are {s0} times what instrument, pole and marks should give, and no single error explains them. {noiseWords}',
  theHeightMisfitGrowsWithDistance: 'The elevation residual grows with distance',
  byIn100MAMarkThat:
    'By {length} in 100 m. A mark that moved wouldn’t do that: think of the level, the compensator, the index error.',
  wasSightedTimes: '{name} was sighted {count} times',
  allOfThemCountTogetherAsTheir:
    'All of them count together, as their mean. More of the same makes the figure prettier, not truer: a further mark would help.',
  planOnly: 'Plan only',
  theseMarksHaveHeightsAndNoneIs:
    'These marks have elevations, but none is used: marks set from here get no cut or fill.',
  noHeightYet: 'No elevation yet',
  pointsOnLinesGiveNoneNothingSet: 'Points on lines have none: marks set from here get no cut or fill.',
  noneOfTheseMarksGivesAHeight:
    'None of these marks gives an elevation. Sight one that has one, or work in plan alone.',
  oneBacksightHardlyChecked: 'One backsight: hardly checked',
  nothingIsTested: 'Nothing is tested.',
  oneDistanceIsAllThatIsTested: 'One distance is all that is tested: {length} {distanceOff} than listed.',
  thatTheInstrumentStandsOverIsTaken:
    'Nothing checks that the instrument stands over {name}, and the direction to {name2} is forced to fit. {distanceOff} A second backsight would show a wrong mark.',
  backsightsFrom: '{capital} backsights from {name}',
  theyCheckEachOthersDirectionsAPoor:
    'They check each other’s directions. A poor centering over the mark shows only as far as they disagree.',
  theDistanceToDoesNotFit: 'The distance to {name} doesn’t fit',
  measuredThanListedEitherEndMayBe:
    'Measured {distanceOff}than listed. Either end may be wrong: the mark under the instrument, or the one that was sighted.',
  theBacksightsDoNotAgreeInDirection: 'The backsights don’t agree in direction',
  timesWhatTheyShouldOneOfThe:
    '{s0} times what they should. One of the marks, or the one under the instrument, isn’t where it is listed.',
  measuredItsListedHeightItsTargetHeight:
    'Measured {length} {dZ} its listed elevation: its target height, or the mark itself; what else is known of the elevation agrees.',
  theHeightOfDoesNotFit2: 'The elevation of {station} doesn’t fit',
  everythingSetFromHereWouldBeOff: 'Everything set from here would be off by that.',
  theStationsHeightComesFromThe: 'The station’s elevation comes from the benchmarks, so that neither matters here.',
  agreeWithEachOtherAndByThem:
    '{names} agree with each other, and by them {station} stands {length} {dZ} than listed. Either it does, or the instrument stands at another height over it than was entered. {isUsed}',
  theHeightsOfDisagree: 'The elevations of {names} disagree',
  aThirdHeightWouldTell: 'A third elevation would tell.',
  sightAnotherBenchmark: 'Sight another benchmark.',
  byUpToFromTheirMeanAnd: 'By up to {length} from their mean, and it can’t be told which of them is wrong. {names}',
  andTogether: '{names} and {station} together',
  theHeightsAgree: 'The elevations agree',
  theStationsHeightComesFromByStands:
    'The station’s elevation comes from {from}. By {names}, {station} stands {length} {dZ} its listed elevation: no more than chance.',
  theInstrumentHeightIsZero: 'The instrument height is zero',
  overAMarkEveryHeightIsWrong:
    'Over a mark every elevation is wrong by the instrument’s height when it isn’t given. Measure it from the mark to the tilting axis, or work in plan alone.',
  theDirectionIsAssumed: 'The direction is assumed',
  itWasTypedNotMeasuredFromEverything:
    'It was typed, not measured: from {name} everything may be turned, and nothing would show it. Good for a job in a system of its own. A backsight to a second mark makes it true.',
  theTypedDirectionDoesNotFit: 'The typed direction doesn’t fit {name}',
  everythingSetFromHereWouldBeTurned: 'Everything set from here would be turned by that.',
  theDirectionIsTakenFromTheSights: 'The direction is taken from the sights, not from what was typed.',
  byWhereIsListedItLiesTo:
    'By where {name} is listed, it lies {length} to the {across} of where the typed direction puts it ({smallAngle}). {isUsed}',
  theTypedDirectionOut: '{list}{names, plural, one { bears} other { bear}} the typed direction out',
  withinAcrossTheLineOfSight: 'Within {length} across the line of sight.',
  carriedForwardFrom: 'Carried forward from {from}',
  nothingIsTestedByTheLookBack: 'The backsight checks nothing.',
  theLookBackIsThanTheLook: 'The look back is {list} than the look forward was: that is all that is tested.',
  itsUncertaintyAndThatOfTheNew:
    'Its uncertainty and that of the new mark go along. {compared} A mark that {from} didn’t use would prove both.',
  solvableNotCheckable: 'Computed, but not checked',
  eachSightToALineGivesOne:
    'Each sight to a line gives one coordinate, and three give a station with nothing left over. Sight another line, best one that runs across the others.',
  pointsOnLines: 'Points on lines',
  theOthersTheLargestDistanceOffA:
    '{capital} {surplus, plural, one {sight checks} other {sights check}} the others; the largest distance off a line is {length}. A line gives no position along itself: prove the station on a mark before the first stake.',
  aSightToDoesNotFit: 'A sight to {name} doesn’t fit',
  itLiesBesideTheLineWasThe:
    'It lies {length} beside the line. Was the pole on this line, or is the line chalked at an offset? Read it again.',
  theHeightOfIsHardlyChecked: 'The elevation of {list} is hardly checked',
  upToOfAMistakeInIt:
    'Up to {aboutLength} of an error in it would go unseen and put the station’s elevation {aboutLength2} off. Sight another mark with an elevation.',
  oneMarkGivesTheHeight: 'One mark gives the elevation',
  everythingHangsOnTheHeightOfA: 'Everything depends on the elevation of {name}. A second one would check it.',
  isItAtAllReadItsLabel: 'Is it {name} at all? Read its label.',
  readTheLabelsOr: 'Read the labels: {name} or {name2}?',
  isTheTargetAtAndItsHeight: 'Is the target at {name}, and its height, what was entered?',
  setTheTargetThatIsReallyOn: 'Set the target that is really on the pole; the sights are computed again.',
  setTheUnitInWhichTheDistances: 'Set the unit in which the distances were read.',
  askWhetherTheCoordinatesAreGridOr:
    'Ask whether the coordinates are grid or ground, and set the scale factor of the site.',
  holdThePolePlumbOnPrismLow: 'Hold the pole plumb on {name}, prism low.',
  sightAgain: 'Sight {name} again.',
  itRepeats: 'It repeats:',
  ifItRepeats: 'If it repeats,',
  leaveOutOfPlanAndTellWhoever: '{repeated} leave {name} out of plan and tell whoever owns the control.',
  leaveOutOfHeightAndTellWhoever: '{repeated} leave {name} out of elevation and tell whoever owns the control.',
  withoutItTooFewMarksWouldBe: 'Without it too few marks would be left to check anything: find other control.',
  sightAnotherMarkBestInADirection: 'Sight another mark, best in a direction that is still open.',
  wouldBringWhatCouldGoUnseenTo: ' would bring what could go unseen to {aboutLength}',
  sightAnotherMarkBestToThe: 'Sight another mark, best to the {compassWord}',
  aNewOne: '; a new one{brings}',
  noneIsListedThere: '{to}: none is listed there{brings}.',
  noListedMarkWouldCheckThisStation:
    'No listed mark would check this station: prove it on one that it didn’t use, before the first stake.',
  oneMoreMarkWouldNotCheckThis:
    'One more mark wouldn’t check this station yet. Sight {name}, which does most, and others after it; or keep {name} and prove the station on it before the first stake.',
  measureTheInstrumentsHeightOverTheMark: 'Measure the instrument’s height over the mark again.',
  ifItIsRightTakeTheHeight:
    'If it is right, take the elevation from the benchmarks, and tell whoever owns the control.',
  lookAtTheLevelAndTheCompensator: 'Look at the level and the compensator, and take one mark in both faces.',
  nothingStandsAgainstGoingOn: 'Good to continue.',
  withMarksUsedTheClassAsksFor:
    '{used, plural, one {# place} other {# places}} with marks used, the class asks for {needed}',
  nothingChecksIt: 'nothing checks it',
  byAnyAmount: 'by any amount',
  whatIsSetFromHereUpTo: 'what is set from here up to',
  andPutOff: 'and put {at} {aboutLength} off',
  couldBeWrongUnseenUpToMay: '{unnoticedSubject} could be wrong unseen {size}; up to {length} may stay hidden',
  theHeightOfCouldBeWrongUnseen:
    'the elevation of {list} could be wrong unseen and put the station’s elevation {aboutLength} off; up to {length} may stay hidden',
  goodToInPlan95TheClass: 'good to {length} in plan (95 %), the class asks for {length2}',
  somethingDoesNotFitAndItCant: 'the sights disagree, so its accuracy in plan can’t be stated',
  goodToInHeight95TheClass: 'good to {length} in elevation (95 %), the class asks for {length2}',
  itHasNoHeight: 'it has no elevation',
  theSightsDisagreeInPlanTimesWhat: 'the sights disagree in plan, {s0} times what they should',
  theHeightsDisagreeTimesWhatTheyShould: 'the elevations disagree, {s0} times what they should',
  theSightsDisagreeTimesWhatTheyShould: 'the sights disagree, {s0} times what they should',
  or2: ', or {lower}',
  somethingDoesNotFitAndItCant2: 'the sights disagree, and the cause isn’t clear: {lower}{second}',
  aSightToLiesBesideTheLine: 'a sight to {name} lies {length} beside the line and is still used',
  andStillUsed: ' and still used',
  isOffInPlan: '{name} is {length} off in plan{isUsed}',
  isOffInHeightAndStillUsed: '{name} is {length} off in elevation and still used',
  byTheBenchmarksStandsThanListedAnd:
    'by the benchmarks {name} stands {length} {dZ} than listed, and the elevation is taken from it',
  theHeightsOfDisagreeByUpTo: 'the elevations of {list} disagree by up to {length}',
  isOfOurOwnMakingAndNo: '{name} is secondary control not confirmed from a second station',
  itWas: 'It was {other}',
  exchangeAnd: 'Exchange {name} and {other}',
  correctAllDistancesBy: 'Correct all distances by {smallLength}',
  correctTheTargetHeightAt: 'Correct the target height at {name}',
  theyWereReadInFeet: 'They were read in feet',
  theyWereReadInMetres: 'They were read in meters',
  enteredAnewWithWhatFits: '{title}: entered again with what fits.',
} as const;
