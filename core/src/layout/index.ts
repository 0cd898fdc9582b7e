/** Where marks go: outlines, grids, bolts, piles, offsets, references. */
export type { DesignFault } from './designFault.ts';
export { anglePoint } from './anglePoint.ts';
export {
  againstGridLine,
  columnGrid,
  gridCrossing,
  gridIntersections,
  gridLine,
  placeInGrid,
  type ColumnGrid,
  type ColumnGridDefinition,
  type GridError,
  type GridLine,
} from './columnGrid.ts';
export { beyondEnd, rectangleMarks } from './recoveryMarks.ts';
export { measuredAgainstLine, pointOnReferenceLine, referenceLineFacts } from './referenceLine.ts';
export { measuredAgainstArc, pointOnReferenceArc, referenceArc } from './referenceArc.ts';
export { offsetHubs, type Corner, type HubPlan, type OutlineError } from './outline.ts';
export { linePairs } from './linePairs.ts';
export { lineEndHubs, type LineEndsError } from './lineEnds.ts';
export { markOn, pointMarks, pointsError, pointsWithRecoveries, type PointsError } from './pointMarks.ts';
export {
  againstPath,
  bulgeOf,
  drawnSide,
  marksAlongPath,
  measuredAgainstSide,
  pointOnSide,
  pathOf,
  pointOnPath,
  type AgainstSide,
  type PathCorner,
  type PathError,
  type PathSide,
  type ReferenceSide,
} from './path.ts';
export { snapAt, type Snap, type SnapKind } from './snap.ts';
export { batterShift, movedOutline, type MovedOutlineError } from './movedOutline.ts';
export { boltMarks, boltsOf, type BoltsError } from './boltPattern.ts';
export { rakedAt, rakedLength } from './rakedPile.ts';
export { otherOffsets, type OtherOffset } from './otherOffsets.ts';
export {
  hindrancesAt,
  survivingOffsets,
  type Hindrance,
  type KeepClear,
  type OffsetProposal,
} from './survivingOffsets.ts';
export { walkingOrder, walkingSteps } from './round.ts';
export { tapedPairs, type Recovery, type TapedPair } from './tapeBack.ts';
export { heightStands, type HeightStand } from './heightStands.ts';
export { besideReturn, kerbReturn, type KerbReturn, type ReturnPointName } from './kerbReturn.ts';
