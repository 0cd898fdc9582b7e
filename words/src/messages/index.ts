import { answers } from './answers.ts';
import { board } from './board.ts';
import { book } from './book.ts';
import { commands } from './commands.ts';
import { common } from './common.ts';
import { control } from './control.ts';
import { data } from './data.ts';
import { design } from './design.ts';
import { drawings } from './drawings.ts';
import { equipment } from './equipment.ts';
import { evidence } from './evidence.ts';
import { field } from './field.ts';
import { fieldbook } from './fieldbook.ts';
import { frame } from './frame.ts';
import { handover } from './handover.ts';
import { link } from './link.ts';
import { mark } from './mark.ts';
import { packages } from './packages.ts';
import { paired } from './paired.ts';
import { papers } from './papers.ts';
import { pole } from './pole.ts';
import { print } from './print.ts';
import { prove } from './prove.ts';
import { records } from './records.ts';
import { road } from './road.ts';
import { settings } from './settings.ts';
import { site } from './site.ts';
import { sites } from './sites.ts';
import { sketches } from './sketches.ts';
import { stakes } from './stakes.ts';
import { station } from './station.ts';
import { structure } from './structure.ts';
import { today } from './today.ts';
import { ui } from './ui.ts';
import { validation } from './validation.ts';

/** All tables of messages, by the part of the application they belong to. */
export const MESSAGES = {
  answers,
  board,
  book,
  commands,
  common,
  control,
  data,
  design,
  drawings,
  equipment,
  evidence,
  field,
  fieldbook,
  frame,
  handover,
  link,
  mark,
  packages,
  paired,
  papers,
  pole,
  print,
  prove,
  records,
  road,
  settings,
  site,
  sites,
  sketches,
  stakes,
  station,
  structure,
  today,
  ui,
  validation,
} as const;
