/** What goes along with a station on every paper that hangs on it. */
import type { Checkability, LengthUnit, Part } from '@idle-marker/core';
import { msg } from './message.ts';
import { partsWords } from './claim.ts';
import { listOf } from './lists.ts';
import { sheetCheckWords } from './reliability.ts';
import { smallLength } from './small.ts';

interface OnPaper {
  readonly name: string;
  readonly provisionalBecause: string | null;
  readonly notConfirmed?: readonly string[];
  readonly checked?: {
    readonly checkability: Checkability;
    readonly fell: boolean;
    readonly hiddenMm: number | null;
  } | null;
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
export const coarserWords = (
  name: string,
  { accepted, asked, part, acceptedMm, askedMm }: CoarserFacts,
  unit: LengthUnit,
): string =>
  msg('stationNotices.stationWasAcceptedForInAsksFor', {
    name,
    accepted: accepted.toLowerCase(),
    smallLength: smallLength(acceptedMm / 1000, unit),
    part,
    asked: asked.toLowerCase(),
    smallLength2: smallLength(askedMm / 1000, unit),
  });

const full = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`);

/** Sentences that have to be read before anybody builds from it; none for a station that is checked and proved. */
export function stationNotices(
  { name, provisionalBecause, notConfirmed = [], checked, evidence, coarser }: OnPaper,
  unit: LengthUnit,
): string[] {
  // A proof that stands has checked what its own sights did not.
  const isOpen = !evidence || evidence.unproven.includes('plan') || evidence.failed.length > 0;
  return [
    ...(checked && (checked.fell || (checked.checkability === 'unchecked' && isOpen))
      ? [msg('stationNotices.stationIs', { name, sheetCheck: sheetCheckWords(checked, unit) })]
      : []),
    ...(provisionalBecause === null
      ? []
      : [full(msg('stationNotices.stationIsProvisional', { name, provisionalBecause }))]),
    ...(coarser ? [coarserWords(name, coarser, unit)] : []),
    ...(notConfirmed.length > 0
      ? [msg('stationNotices.atStationNobodyConfirmedTheCarriedOver', { name, list: listOf(notConfirmed) })]
      : []),
    ...(evidence && evidence.failed.length > 0
      ? [msg('stationNotices.aProofOfStationFailedInAnd', { name, parts: partsWords(evidence.failed) })]
      : []),
    ...(evidence && evidence.unproven.length > 0
      ? [msg('stationNotices.nothingIndependentHasProvedStationIn', { name, parts: partsWords(evidence.unproven) })]
      : []),
  ];
}
