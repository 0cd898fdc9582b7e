import type { BritishOf } from './britishOf.ts';
import type { glossary as whole } from '../glossary.ts';

export const glossary: BritishOf<typeof whole> = {
  backsightHow: 'Circle reading to it minus the bearing between the two coordinates.',
  residualHow: 'From the adjustment, in plan and in level, at each mark.',
  residualUsual: 'A few millimetres. All of them similar is better than one small and one large.',
  checkShot: 'Check sight',
  checkIntervalWhat: 'Longest time between two check sights.',
  toleranceClassWhat: 'What the work allows in plan and in level, and how many control marks it takes.',
  scaleFactorHow: 'Projection scale at the site times the reduction to its level.',
  heightDatumWhat: 'What levels refer to.',
  heightDatumUsual: 'One datum for everything on a site: two of them differ by decimetres or more.',
  siteZero: 'Site datum',
  siteZeroWhat: 'The level that drawings call 0.000, often the finished floor.',
  siteZeroHow: 'Listed level minus site datum gives the figure above zero.',
  siteZeroUsual: 'Leave it empty where drawings carry true levels.',
  trigLeveling: 'Range for trig levelling',
  trigLevelingWhat: 'How far levels by zenith angle and distance stay good enough.',
  stabilityUsual: 'Rock and structures are stable; pegs, nails in asphalt and posts are not.',
  hingePointHow: 'Edge of the template at its design level.',
  catchPointHow: 'Found step by step: observe, compare with the slope, move the distance shown.',
  catchPointUsual: 'Within 30 mm in level after two or three readings.',
  midOrdinateUsual: '10 mm where shutters or string lines follow the chord.',
  calibrationResidualHow: 'From the report of the calibration: plan and level.',
  calibrationResidualUsual: '10 mm in plan, 20 mm in level. It is part of every position.',
};
