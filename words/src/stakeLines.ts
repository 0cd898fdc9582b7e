import { formatLength, type LengthUnit, type StakeLine } from '@idle-marker/core';
import { HEIGHT_REFERENCE, HEIGHT_REFERENCE_SHORT, LENGTH_DECIMALS, MEANING, UNIT_ABBREVIATION } from './vocabulary.ts';

export type StakeConvention = 'plainWords' | 'shortForms';

/** The words that are written on the stake, one entry a line. */
export function stakeWords(lines: readonly StakeLine[], convention: StakeConvention, unit: LengthUnit): string[] {
  const short = convention === 'shortForms';
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)}${short ? '' : ` ${UNIT_ABBREVIATION[unit]}`}`;
  return lines.map((line) => {
    switch (line.line) {
      case 'offset':
        return short ? `${length(line.offset)} O/S` : `${length(line.offset)} offset`;
      case 'to':
        return `to ${line.to}, ${MEANING[line.meaning]}`;
      case 'cut':
      case 'fill':
        return `${line.line.toUpperCase()} ${length(line.by)} to ${short ? HEIGHT_REFERENCE_SHORT[line.heightReference] : HEIGHT_REFERENCE[line.heightReference]}`;
      case 'grade':
        return `ON GRADE, ${short ? HEIGHT_REFERENCE_SHORT[line.heightReference] : HEIGHT_REFERENCE[line.heightReference]}`;
      case 'noHeight':
        return 'no height';
      case 'name':
        return line.name;
    }
  });
}

/** "CUT 0.120" or "FILL 0.332" or "ON GRADE": never a bare sign. */
export function cutFillWords(cutFill: number | null, unit: LengthUnit): string {
  if (cutFill === null) return 'no height';
  const figure = formatLength(Math.abs(cutFill), unit, LENGTH_DECIMALS);
  if (Number(Math.abs(cutFill).toFixed(LENGTH_DECIMALS)) === 0) return 'ON GRADE';
  return `${cutFill > 0 ? 'CUT' : 'FILL'} ${figure}`;
}
