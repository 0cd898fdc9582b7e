/** Bodies of all facts. A correction is a new fact that supersedes, never a change. */
import type { Static } from '../schema.ts';
import { AlignmentBody } from './bodies/alignment.ts';
import { AsBuiltBody } from './bodies/asBuilt.ts';
import { CareBody } from './bodies/care.ts';
import { ControlBody, PhotoBody, VisitBody } from './bodies/control.ts';
import { AreaBody, DrawingBody, GridBody } from './bodies/design.ts';
import { ConventionBody } from './bodies/convention.ts';
import { EquipmentBody } from './bodies/equipment.ts';
import { DeferralBody, DirectionBody, FindingBody, ProofBody, ResightBody, TapeBody } from './bodies/proof.ts';
import { DayEndBody, MemberBody, NoteBody, SiteBody, WithdrawalBody } from './bodies/site.ts';
import { PairingBody, PositionBody } from './bodies/receiver.ts';
import {
  CloseBody,
  CorrectionBody,
  DecisionBody,
  EventBody,
  OccupationBody,
  SightBody,
  SolutionBody,
} from './bodies/station.ts';
import { HandoverBody, MarkBody, ObstructionBody, PackageBody, ReportBody, WritingBody } from './bodies/work.ts';

export { IMAGE_TYPES } from './bodies/control.ts';
export type { SolutionResult } from './bodies/station.ts';

export const FACT_BODIES = {
  site: SiteBody,
  member: MemberBody,
  control: ControlBody,
  visit: VisitBody,
  photo: PhotoBody,
  equipment: EquipmentBody,
  convention: ConventionBody,
  occupation: OccupationBody,
  sight: SightBody,
  pairing: PairingBody,
  position: PositionBody,
  solution: SolutionBody,
  decision: DecisionBody,
  proof: ProofBody,
  direction: DirectionBody,
  resight: ResightBody,
  finding: FindingBody,
  deferral: DeferralBody,
  tape: TapeBody,
  correction: CorrectionBody,
  event: EventBody,
  close: CloseBody,
  grid: GridBody,
  area: AreaBody,
  alignment: AlignmentBody,
  drawing: DrawingBody,
  package: PackageBody,
  mark: MarkBody,
  writing: WritingBody,
  obstruction: ObstructionBody,
  asBuilt: AsBuiltBody,
  care: CareBody,
  handover: HandoverBody,
  report: ReportBody,
  withdrawal: WithdrawalBody,
  note: NoteBody,
  dayEnd: DayEndBody,
} as const;

export type FactType = keyof typeof FACT_BODIES;
export type FactBody<T extends FactType> = Static<(typeof FACT_BODIES)[T]>;
export const FACT_TYPES = Object.keys(FACT_BODIES) as FactType[];
