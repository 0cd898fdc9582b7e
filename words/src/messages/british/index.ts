import { answers } from './answers.ts';
import { asBuilt } from './asBuilt.ts';
import { book } from './book.ts';
import { care } from './care.ts';
import { cautions } from './cautions.ts';
import { claim } from './claim.ts';
import { closing } from './closing.ts';
import { commands } from './commands.ts';
import { common } from './common.ts';
import { control } from './control.ts';
import { controlList } from './controlList.ts';
import { convention } from './convention.ts';
import { design } from './design.ts';
import { drawing } from './drawing.ts';
import { drawings } from './drawings.ts';
import { drift } from './drift.ts';
import { equipment } from './equipment.ts';
import { equipmentWords } from './equipmentWords.ts';
import { events } from './events.ts';
import { evidence } from './evidence.ts';
import { exports } from './exports.ts';
import { field } from './field.ts';
import { fieldbook } from './fieldbook.ts';
import { frame } from './frame.ts';
import { geometry } from './geometry.ts';
import { glossary } from './glossary.ts';
import { guidance } from './guidance.ts';
import { handover } from './handover.ts';
import { heldBy } from './heldBy.ts';
import { judgement } from './judgement.ts';
import { landXml } from './landXml.ts';
import { linkWords } from './linkWords.ts';
import { mark } from './mark.ts';
import { markKinds } from './markKinds.ts';
import { nextTrade } from './nextTrade.ts';
import { olderControl } from './olderControl.ts';
import { outline } from './outline.ts';
import { packages } from './packages.ts';
import { paired } from './paired.ts';
import { pairedWords } from './pairedWords.ts';
import { papers } from './papers.ts';
import { pole } from './pole.ts';
import { proof } from './proof.ts';
import { prove } from './prove.ts';
import { rakes } from './rakes.ts';
import { records } from './records.ts';
import { reliability } from './reliability.ts';
import { road } from './road.ts';
import { roadWords } from './roadWords.ts';
import { rounding } from './rounding.ts';
import { schools } from './schools.ts';
import { settings } from './settings.ts';
import { setupSteps } from './setupSteps.ts';
import { siteSetting } from './siteSetting.ts';
import { sites } from './sites.ts';
import { sketches } from './sketches.ts';
import { stakeLines } from './stakeLines.ts';
import { stakeNotices } from './stakeNotices.ts';
import { stakeText } from './stakeText.ts';
import { stakes } from './stakes.ts';
import { station } from './station.ts';
import { stationNotices } from './stationNotices.ts';
import { structure } from './structure.ts';
import { template } from './template.ts';
import { today } from './today.ts';
import { ui } from './ui.ts';
import { vocabulary } from './vocabulary.ts';
import { why } from './why.ts';

/** What is said otherwise in British and Commonwealth wording, by the same keys. */
export const BRITISH_MESSAGES = {
  answers,
  asBuilt,
  book,
  care,
  cautions,
  claim,
  closing,
  commands,
  common,
  control,
  controlList,
  convention,
  design,
  drawing,
  drawings,
  drift,
  equipment,
  equipmentWords,
  events,
  evidence,
  exports,
  field,
  fieldbook,
  frame,
  geometry,
  glossary,
  guidance,
  handover,
  heldBy,
  judgement,
  landXml,
  linkWords,
  mark,
  markKinds,
  nextTrade,
  olderControl,
  outline,
  packages,
  paired,
  pairedWords,
  papers,
  pole,
  proof,
  prove,
  rakes,
  records,
  reliability,
  road,
  roadWords,
  rounding,
  schools,
  settings,
  setupSteps,
  siteSetting,
  sites,
  sketches,
  stakeLines,
  stakeNotices,
  stakeText,
  stakes,
  station,
  stationNotices,
  structure,
  template,
  today,
  ui,
  vocabulary,
  why,
} as const;
