export { messageParts, msg, presetText, worded, type MessageKey, type MessageValue } from './message.ts';
export {
  ALL_TERMS,
  BRITISH,
  INCH_FRACTIONS,
  NORTH_AMERICAN,
  PRESETS,
  TERMS,
  sayIn,
  wordingFrom,
  wordingKey,
  wordingNow,
  wordingOf,
  type InchFraction,
  type Preset,
  type Term,
  type Wording,
} from './wording.ts';
export { airPressure, airTemperature, airWords, HPA_PER_INCH } from './air.ts';
export { glossaryEntries, glossaryPage, type GlossaryEntry, type GlossaryTerm } from './glossary.ts';
export { shippedNames } from './convention.ts';
export { presetWords, smallLengthChoices, termWords } from './presets.ts';
export { stationErrorSentence } from './stationErrors.ts';
export {
  controlKindWords,
  firmnessWords,
  firmnessOf,
  trendProposalWords,
  VISIT,
  heightReferenceWords,
  CANDIDATE_OF,
  conditionWords,
  drawingUnitWords,
  HEIGHT_FROM,
  LENGTH_DECIMALS,
  meaningWords,
  standingWords,
  standingReasonWords,
  withheldReasonWords,
  unitAbbreviationWords,
  unitNameWords,
} from './vocabulary.ts';
export { angleWords, cutFillWords, hubPlaceWords, leadsToWords, transitionWords } from './stakeLines.ts';
export {
  otherReadings,
  stakeTextOf,
  wordsOnStake,
  writtenStake,
  type StakeStyle,
  type WrittenStake,
} from './stakeText.ts';
export { heightThing, offsetThing, readingSentences, readLength, type ReadingSentence } from './reading.ts';
export { sheetTroubleTexts, sheetTroubleWords } from './sheetTrouble.ts';
export { siteSettingWords } from './siteSetting.ts';
export { tapeBackWords } from './tapeBack.ts';
export { carrierWords, conventionFaultWords, facingWords, stakeMarkKindWords, stakePartWords } from './convention.ts';
export { durationWords } from './duration.ts';
export { rawSightsFaultWords } from './rawSights.ts';
export { activityWords, closingWords } from './closing.ts';
export { stakeNoticeWords } from './stakeNotices.ts';
export { crewWords, filled, allLanguages, type CrewWords } from './languages/index.ts';
export { allCautions, reportCautions } from './cautions.ts';
export {
  millimetres,
  smallLength,
  signedSmall,
  smallFigure,
  offAxes,
  offAxesHead,
  offAxesNamed,
  smallUnit,
  toleranceFigures,
  toleranceWords,
} from './small.ts';
export {
  count,
  obstacleWords,
  reasonWords,
  restateButton,
  restatedReason,
  stepWords,
  VERDICT_TONE,
  type Naming,
} from './judgement.ts';
export {
  directionWords,
  walkingFigures,
  walkingLines,
  walkingUnit,
  type WalkingFigure,
  type WalkingLine,
  moveGradeWords,
  hubOutsideWords,
  keptWords,
  moveParts,
  moveWords,
  nextMarkWords,
  paceWords,
  pushWords,
  shotOffWords,
  tapeWords,
  viewpointWords,
} from './guidance.ts';
export { troubleWords } from './link.ts';
export {
  clearWords,
  effectWords,
  hangsWords,
  proofOutcomeWords,
  proofSentence,
  proofVerdict,
  resightVerdict,
} from './proof.ts';
export {
  columnRoleWords,
  controlFileWords,
  controlRowWords,
  fileUnitWords,
  listRemarkWords,
  listWarningWords,
} from './controlList.ts';
export { outlineErrorWords } from './outline.ts';
export { landXmlFaultWords, landXmlWarningWords } from './landXml.ts';
export {
  alignmentKindWords,
  catchMoveWords,
  slopeStakeWords,
  gradeText,
  gradeWords,
  stringWords,
  junctionWords,
  noHeightHere,
  offsetWords,
  roadPlaceWords,
  readStation,
  regionWords,
  returnFaultWords,
  roadFaultWords,
  roadRemarkWords,
  shapeWords,
  shortStation,
  stationFormatChoices,
  stationListFaultWords,
  stationReasonWords,
  stationText,
  usualStationFormat,
  type StationStyle,
} from './road.ts';
export { templateFaultWords } from './template.ts';
export { designFaultWords } from './designFaults.ts';
export { placeDoubtWords } from './places.ts';
export { missingClassWords } from './missingClass.ts';
export { areaKindWords, clearanceWords, revisedKindWords, hindranceWords } from './areas.ts';
export {
  crossingWords,
  drawingRemarkWords,
  drawingWords,
  farOffWords,
  feetApartWords,
  leftOutWords,
} from './drawing.ts';
export { partWord, proveFirstTitle, thisUnproven, unprovenShort, unprovenWords } from './claim.ts';
export { coarserWords, stationNotices } from './stationNotices.ts';
export { twoReadingsWords } from './lengths.ts';
export { misnamedReason, misnamedWords } from './naming.ts';
export {
  aboutLength,
  addsWords,
  checkabilityWords,
  eitherWay,
  fallenWords,
  goodToWords,
  hardlyChecked,
  heightCheckWords,
  partlyChecked,
  acceptWords,
  sheetCheckWords,
  spreadWords,
  thenWords,
  unnoticedSubject,
  unnoticedWords,
} from './reliability.ts';
export {
  alongHead,
  alongLabel,
  numberedFrom,
  numberedWords,
  allSchools,
  type AlongWord,
  type School,
  type SchoolTopic,
} from './schools.ts';
export { sheetClock, type SheetClock } from './sheetClock.ts';
export { cureWords, geometryWords, gradeOfGeometryWords } from './geometry.ts';
export {
  antennaMisfitWords,
  fixWords,
  heightsWords,
  pairedDueWords,
  pairedDueShort,
  pairedPromiseWords,
  pairedProofSentence,
  pairFaultWords,
  twoHeights,
} from './paired.ts';
export {
  equipmentKindWords,
  fixedTargetHelp,
  polelessHelp,
  usualConstantWords,
  swapWords,
  targetForm,
  targetHeightHelp,
  targetHeightWords,
} from './equipment.ts';
export { allowedRoles, roleWords } from './roles.ts';
export { concernWords, receiverWords, type ConcernFacts } from './concerns.ts';
export { angleAsRead, angleText, coarseAngle, smallAngle } from './angles.ts';
export { proofFigureWords, type ProofFigures } from './proof.ts';
export { openCautionWords } from './care.ts';
export { liftWords } from './claim.ts';
export { levelWait, levelOutWords, levelStepWords } from './level.ts';
export { controlChangeWords } from './controlList.ts';
export { readFaultWords, readWarningWords } from './readWords.ts';
export { exportLines, stationStanding, type StationSaid } from './exportHead.ts';
export { heldBy } from './heldBy.ts';
export { olderControlWords } from './olderControl.ts';
export { driftWords } from './drift.ts';
export { setupSteps } from './setupSteps.ts';
export { whyTexts } from './why.ts';
export { eventKinds, eventWords, type EventKind } from './events.ts';
export {
  alongWords,
  faceEdgeWords,
  faceWords,
  offLineParts,
  heightOffWords,
  offWords,
  overSurfaceWords,
  patternWords,
  sideWords,
} from './asBuilt.ts';
export { cutFillAsWritten, ROUNDING, writtenLength, type Rounding } from './rounding.ts';
export { markKindWords, markToolWords } from './markKinds.ts';
export { rakeWords } from './rakes.ts';
export { careWords, careList, CARE_OF_EQUIPMENT, cautionShort, cautionWords } from './care.ts';
export { nextTrades, type NextTrade } from './nextTrade.ts';
export { withoutStop } from './withoutStop.ts';
