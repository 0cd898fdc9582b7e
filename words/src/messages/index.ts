import { board } from './board.ts';
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
import { pole } from './pole.ts';
import { print } from './print.ts';
import { prove } from './prove.ts';
import { road } from './road.ts';
import { settings } from './settings.ts';
import { site } from './site.ts';
import { sites } from './sites.ts';
import { stakes } from './stakes.ts';
import { station } from './station.ts';
import { structure } from './structure.ts';
import { today } from './today.ts';
import { ui } from './ui.ts';

/** All tables of messages, by the part of the application they belong to. */
export const MESSAGES = {
  board,
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
  pole,
  print,
  prove,
  road,
  settings,
  site,
  sites,
  stakes,
  station,
  structure,
  today,
  ui,
} as const;
