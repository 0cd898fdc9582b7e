export { messageParts, msg, type MessageKey, type MessageValue } from './message.ts';
export { stationErrorSentence } from './stationErrors.ts';
export {
  CONTROL_KIND,
  FIRMNESS,
  firmnessOf,
  TREND_PROPOSAL,
  VISIT,
  HEIGHT_REFERENCE,
  CANDIDATE_OF,
  HEIGHT_FROM,
  LENGTH_DECIMALS,
  MEANING,
  STANDING,
  STANDING_REASON,
  WITHHELD_REASON,
  UNIT_ABBREVIATION,
  UNIT_NAME,
} from './vocabulary.ts';
export { angleWords, cutFillWords, hubPlaceWords } from './stakeLines.ts';
export {
  otherReadings,
  stakeTextOf,
  wordsOnStake,
  writtenStake,
  type StakeStyle,
  type WrittenStake,
} from './stakeText.ts';
export { heightThing, offsetThing, readingSentences, readLength, type ReadingSentence } from './reading.ts';
export { SHEET_TROUBLE, sheetTroubleWords } from './sheetTrouble.ts';
export { SITE_SETTING } from './siteSetting.ts';
export { tapeBackWords } from './tapeBack.ts';
export { CARRIER, conventionFaultWords, FACING, STAKE_MARK_KIND, STAKE_PART } from './convention.ts';
export { durationWords } from './duration.ts';
export { rawSightsFaultWords } from './rawSights.ts';
export { ACTIVITY, closingWords } from './closing.ts';
export { stakeNoticeWords } from './stakeNotices.ts';
export { crewWords, filled, LANGUAGES, type CrewWords } from './languages/index.ts';
export { CAUTIONS, REPORT_CAUTIONS } from './cautions.ts';
export { millimetres, smallLength, smallUnit, toleranceWords } from './small.ts';
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
  DIRECTION_WORDS,
  GRADE_WORD,
  hubOutsideWords,
  moveParts,
  moveWords,
  paceWords,
  pushWords,
  tapeWords,
  VIEWPOINT_NAME,
} from './guidance.ts';
export { troubleWords } from './link.ts';
export {
  clearWords,
  effectWords,
  hangsWords,
  PROOF_OUTCOME,
  proofSentence,
  proofVerdict,
  resightVerdict,
} from './proof.ts';
export { controlFileWords, controlRowWords, listRemarkWords } from './controlList.ts';
export { outlineErrorWords } from './outline.ts';
export { landXmlFaultWords, landXmlWarningWords } from './landXml.ts';
export {
  ALIGNMENT_KIND,
  catchMoveWords,
  slopeStakeWords,
  gradeText,
  gradeWords,
  stringWords,
  JUNCTION,
  NO_HEIGHT_HERE,
  offsetWords,
  roadPlaceWords,
  readStation,
  returnFaultWords,
  roadFaultWords,
  roadRemarkWords,
  shapeWords,
  shortStation,
  STATION_FORMAT,
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
export { AREA_KIND, REVISED_KIND, hindranceWords } from './areas.ts';
export { crossingWords, drawingWords, farOffWords, leftOutWords } from './drawing.ts';
export { proveFirstTitle, thisUnproven, unprovenShort, unprovenWords } from './claim.ts';
export { coarserWords, stationNotices } from './stationNotices.ts';
export { twoReadingsWords } from './lengths.ts';
export { misnamedReason, misnamedWords } from './naming.ts';
export {
  aboutLength,
  ADDS,
  CHECKABILITY_WORDS,
  eitherWay,
  fallenWords,
  goodToWords,
  hardlyChecked,
  heightCheckWords,
  partlyChecked,
  ACCEPT_WORDS,
  sheetCheckWords,
  spreadWords,
  thenWords,
  unnoticedSubject,
  unnoticedWords,
} from './reliability.ts';
export {
  ALONG_HEAD,
  ALONG_WORD,
  NUMBERED_FROM,
  NUMBERED_NAME,
  SCHOOLS,
  type AlongWord,
  type School,
  type SchoolTopic,
} from './schools.ts';
export { sheetClock, type SheetClock } from './sheetClock.ts';
export { cureWords, geometryWords, GRADE_OF_GEOMETRY } from './geometry.ts';
export {
  antennaMisfitWords,
  FIX_WORD,
  heightsWords,
  PAIRED_DUE,
  PAIRED_DUE_SHORT,
  pairedPromiseWords,
  pairedProofSentence,
  pairFaultWords,
  TWO_HEIGHTS,
} from './paired.ts';
export {
  EQUIPMENT_KIND,
  FIXED_TARGET_HELP,
  POLELESS_HELP,
  usualConstantWords,
  SWAP_WORDS,
  TARGET_FORM,
  TARGET_HEIGHT_HELP,
  targetHeightWords,
} from './equipment.ts';
export { allowedRoles, ROLE_NAME } from './roles.ts';
export { concernWords, receiverWords, type ConcernFacts } from './concerns.ts';
export { angleAsRead, angleText, coarseAngle, smallAngle } from './angles.ts';
export { proofFigureWords, type ProofFigures } from './proof.ts';
export { openCautionWords } from './care.ts';
export { liftWords } from './claim.ts';
export { LEVEL_WAIT, levelOutWords, levelStepWords } from './level.ts';
export { controlChangeWords } from './controlList.ts';
export { heldBy } from './heldBy.ts';
export { olderControlWords } from './olderControl.ts';
export { driftWords } from './drift.ts';
export { SETUP_STEPS } from './setupSteps.ts';
export { WHY } from './why.ts';
export { EVENT_KINDS, EVENT_WORDS, type EventKind } from './events.ts';
export {
  alongWords,
  FACE_EDGE,
  faceWords,
  offLineParts,
  heightOffWords,
  offWords,
  overSurfaceWords,
  patternWords,
  sideWords,
} from './asBuilt.ts';
export { ROUNDING, writtenLength, type Rounding } from './rounding.ts';
export { MARK_KIND, MARK_TOOLS } from './markKinds.ts';
export { rakeWords } from './rakes.ts';
export { CARE, CARE_LIST, CARE_OF_EQUIPMENT, cautionWords } from './care.ts';
export { NEXT_TRADES, type NextTrade } from './nextTrade.ts';
export { withoutStop } from './withoutStop.ts';
