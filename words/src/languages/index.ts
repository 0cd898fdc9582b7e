import { worded } from '../message.ts';
/** The languages that a crew can be written to. Another one is a table beside these and a line here. */
import type { CrewWords } from './crewWords.ts';
import { english } from './english.ts';
import { SPANISH } from './spanish.ts';

export type { CrewWords };
export const allLanguages = worded((): readonly CrewWords[] => [english(), SPANISH]);
export { english };

/** The table of a language; English where there is none. */
export const crewWords = (code: string | undefined): CrewWords =>
  allLanguages().find((each) => each.code === code) ?? english();

/** Puts figures into a sentence of a table. */
export const filled = (template: string, facts: Readonly<Record<string, string>>): string =>
  template.replace(/\{(\w+)\}/g, (whole, name: string) => facts[name] ?? whole);
