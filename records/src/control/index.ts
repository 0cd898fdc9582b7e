/** Control: lists, their revisions, what speaks against a mark. */
export { CONTROL_PACE, controlTime } from './controlTime.ts';
export { controlCard, type ControlCard } from './controlCard.ts';
export { olderControl, stationsOnOlderControl, type OlderControl } from './olderControl.ts';
export {
  BUILT_SD_MM,
  controlCandidates,
  controlOfCandidates,
  pickedCandidate,
  type ControlCandidate,
} from './designControl.ts';
export { heldUses, supportingUses } from './heldUses.ts';
export { effectsOfMove } from './movedControl.ts';
export { broughtControl, frameDifferences, markLife } from './broughtControl.ts';
export { measuredMark, ownControlBody, placeForControl } from './ownControl.ts';
export { placeDoubt } from './saidPlace.ts';
export {
  canBeRehung,
  effectsOfCorrection,
  isUntold,
  measuredWith,
  partsOfCorrections,
  recomputed,
  recomputedBefore,
  type Correction,
} from './correcting.ts';
export { controlListVersion, controlReport, type ControlReport, type ReportRow } from './controlReport.ts';
export { againstFirst, besideLine } from './firstLook.ts';
export type { AffectedMark, AffectedPackage } from './affected.ts';
