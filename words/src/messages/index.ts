import { air } from './air.ts';
import { angles } from './angles.ts';
import { answers } from './answers.ts';
import { areas } from './areas.ts';
import { asBuilt } from './asBuilt.ts';
import { board } from './board.ts';
import { book } from './book.ts';
import { care } from './care.ts';
import { cautions } from './cautions.ts';
import { claim } from './claim.ts';
import { closing } from './closing.ts';
import { commands } from './commands.ts';
import { common } from './common.ts';
import { concerns } from './concerns.ts';
import { control } from './control.ts';
import { controlList } from './controlList.ts';
import { convention } from './convention.ts';
import { data } from './data.ts';
import { design } from './design.ts';
import { designFaults } from './designFaults.ts';
import { drawing } from './drawing.ts';
import { drawings } from './drawings.ts';
import { drift } from './drift.ts';
import { duration } from './duration.ts';
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
import { lengths } from './lengths.ts';
import { level } from './level.ts';
import { link } from './link.ts';
import { linkWords } from './linkWords.ts';
import { lists } from './lists.ts';
import { mark } from './mark.ts';
import { markKinds } from './markKinds.ts';
import { missingClass } from './missingClass.ts';
import { naming } from './naming.ts';
import { nextTrade } from './nextTrade.ts';
import { olderControl } from './olderControl.ts';
import { outline } from './outline.ts';
import { packages } from './packages.ts';
import { paired } from './paired.ts';
import { pairedWords } from './pairedWords.ts';
import { papers } from './papers.ts';
import { places } from './places.ts';
import { pole } from './pole.ts';
import { presets } from './presets.ts';
import { print } from './print.ts';
import { proof } from './proof.ts';
import { prove } from './prove.ts';
import { rakes } from './rakes.ts';
import { rawSights } from './rawSights.ts';
import { records } from './records.ts';
import { reliability } from './reliability.ts';
import { road } from './road.ts';
import { roadWords } from './roadWords.ts';
import { roles } from './roles.ts';
import { rounding } from './rounding.ts';
import { schools } from './schools.ts';
import { settings } from './settings.ts';
import { setupSteps } from './setupSteps.ts';
import { sheetTrouble } from './sheetTrouble.ts';
import { site } from './site.ts';
import { siteSetting } from './siteSetting.ts';
import { sites } from './sites.ts';
import { sketches } from './sketches.ts';
import { small } from './small.ts';
import { stakeLines } from './stakeLines.ts';
import { stakeNotices } from './stakeNotices.ts';
import { stakeText } from './stakeText.ts';
import { stakes } from './stakes.ts';
import { station } from './station.ts';
import { stationErrors } from './stationErrors.ts';
import { stationNotices } from './stationNotices.ts';
import { structure } from './structure.ts';
import { template } from './template.ts';
import { today } from './today.ts';
import { ui } from './ui.ts';
import { validation } from './validation.ts';
import { vocabulary } from './vocabulary.ts';
import { why } from './why.ts';

/** All tables of messages, by the part of the application they belong to. */
export const MESSAGES = {
  air,
  angles,
  answers,
  areas,
  asBuilt,
  board,
  book,
  care,
  cautions,
  claim,
  closing,
  commands,
  common,
  concerns,
  control,
  controlList,
  convention,
  data,
  design,
  designFaults,
  drawing,
  drawings,
  drift,
  duration,
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
  lengths,
  level,
  link,
  linkWords,
  lists,
  mark,
  markKinds,
  missingClass,
  naming,
  nextTrade,
  olderControl,
  outline,
  packages,
  paired,
  pairedWords,
  papers,
  places,
  pole,
  presets,
  print,
  proof,
  prove,
  rakes,
  rawSights,
  records,
  reliability,
  road,
  roadWords,
  roles,
  rounding,
  schools,
  settings,
  setupSteps,
  sheetTrouble,
  site,
  siteSetting,
  sites,
  sketches,
  small,
  stakeLines,
  stakeNotices,
  stakeText,
  stakes,
  station,
  stationErrors,
  stationNotices,
  structure,
  template,
  today,
  ui,
  validation,
  vocabulary,
  why,
} as const;
