/** What goes along with a station on every paper that hangs on it. */
import type { Checkability, LengthUnit, Part } from '@idle-marker/core';
import { partsWords } from './claim.ts';
import { listOf } from './lists.ts';
import { sheetCheckWords } from './reliability.ts';
import { smallLength } from './small.ts';

interface OnPaper {
  readonly name: string;
  readonly provisionalBecause: string | null;
  readonly notConfirmed?: readonly string[];
  readonly checked?: { readonly checkability: Checkability; readonly fell: boolean; readonly hiddenMm: number | null } | null;
  readonly evidence?: { readonly unproven: readonly Part[]; readonly failed: readonly Part[] };
  readonly coarser?: CoarserFacts | null;
}

export interface CoarserFacts {
  readonly accepted: string;
  readonly asked: string;
  readonly part: Part;
  readonly acceptedMm: number;
  readonly askedMm: number;
}

/** That a station is used for finer work than it was accepted for. */
export const coarserWords = (name: string, { accepted, asked, part, acceptedMm, askedMm }: CoarserFacts, unit: LengthUnit): string =>
  `Station ${name} was accepted for ${accepted.toLowerCase()}, ${smallLength(acceptedMm / 1000, unit)} in ${part}; ${asked.toLowerCase()} asks for ${smallLength(askedMm / 1000, unit)}.`;

const full = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`);

/** Sentences that have to be read before anybody builds from it; none for a station that is checked and proved. */
export function stationNotices({ name, provisionalBecause, notConfirmed = [], checked, evidence, coarser }: OnPaper, unit: LengthUnit): string[] {
  // A proof that stands has checked what its own sights did not.
  const isOpen = !evidence || evidence.unproven.includes('plan') || evidence.failed.length > 0;
  return [
    ...(checked && (checked.fell || (checked.checkability === 'unchecked' && isOpen)) ? [`Station ${name} is ${sheetCheckWords(checked, unit)}.`] : []),
    ...(provisionalBecause === null ? [] : [full(`Station ${name} is provisional: ${provisionalBecause}`)]),
    ...(coarser ? [coarserWords(name, coarser, unit)] : []),
    ...(notConfirmed.length > 0 ? [`At station ${name} nobody confirmed the ${listOf(notConfirmed)}, carried over from the placing before.`] : []),
    ...(evidence && evidence.failed.length > 0 ? [`A proof of station ${name} failed in ${partsWords(evidence.failed)}, and nothing has answered it.`] : []),
    ...(evidence && evidence.unproven.length > 0 ? [`Nothing independent has proved station ${name} in ${partsWords(evidence.unproven)}.`] : []),
  ];
}
