/** Work packages, grids, roads, and marks as they are set. */
export {
  alternativesFor,
  heightsOfItem,
  usualHeights,
  hubPlans,
  surfacePlaces,
  isForPlan,
  keepMoved,
  leftOutHubs,
  roundStep,
  outwardOf,
  prefixOf,
  shapesOf,
  withOffset,
} from './packagePlans.ts';
export { allSetAnew, setTwice, thisOneStands, twiceAt, type SetTwice } from './setTwice.ts';
export { nearCode } from './nearCode.ts';
export { placeAtGround, stakeAt } from './setting.ts';
export { paceOf } from './pace.ts';
export { cornerStops, isRoughCorner, paintedCorners, roughCorners } from './roughCorners.ts';
export { isOpen, isOrdered, nextOpen, walkSteps, roundOf, roundRows, type RoundStop } from './round.ts';
export { controlSources, progressOf, type PackageProgress } from './progress.ts';
export { familyOf, isProvenControl, markHistory, markTrend, type MarkLook } from './markHistory.ts';
export { broughtFrom, isGroundOf } from './carriedForward.ts';
export { crossingsOf, gridCorners, gridGeometry, gridOf, lineEndsOf, midpointsOf } from './siteGrids.ts';
export {
  draggedOffset,
  keepClearOf,
  offsetProposals,
  offsetStep,
  ownOffset,
  type OwnOffset,
  setInAreas,
  USUAL_AREA,
  roundBeside,
  usualLongest,
  withProposals,
  type AreaKind,
} from './keepClear.ts';
export { clearancesOf, packageTooNear, tooNear, type Clearance } from './clearance.ts';
export { lineName, siteLines, type DrawnLine } from './siteLines.ts';
export { measuredAlong, measuredAt, roadShot } from './roadShots.ts';
export {
  affectedPackages,
  drawingOfRevision,
  fromRetired,
  heightsToAsk,
  packagesFrom,
  type HeightOf,
} from './drawingEffects.ts';
export {
  againstRoad,
  alignmentPart,
  crossSection,
  keepsSections,
  placeBeyondRoad,
  placeOnRoad,
  roadOf,
  roadRemarks,
  toolFor,
  type AgainstRoad,
  type AlignmentFactBody,
  type Road,
} from './roads.ts';
export { crossCheck, olderRoads, roadItem, roadOfItem, roadWorkOf, type RoadWork } from './roadPackages.ts';
export { atSlope, designedCatch, hingeAt, slopePlaces, type AtSlope, type RoadSlope } from './slopes.ts';
export { drawnReturn, returnBetween, returnItem, touchedString, waysRound, type ReturnSide } from './kerbReturns.ts';
export { affectedByGrid, olderGrids } from './gridEffects.ts';
export { hindranceFrom, withProofDue } from './roundPlan.ts';
export { builtCorner, controlCorner, knownPoints, markCorner, type KnownPoints } from './knownPoints.ts';
export { withSinglePoint, type SinglePoint, type SinglePointNames } from './singlePoints.ts';
