/** What is written on a stake, line by line, as data: the words are put to it in one place. */
import type { Metres } from '../quantity/unit.ts';

/** Feature that heights are given to. */
export type HeightReference = 'finishedFloor' | 'topOfWall' | 'underside' | 'invert' | 'topOfKerb' | 'subgrade' | 'surface';

/** What the corner of an item means. */
export type CornerMeaning = 'outsideFace' | 'insideFace' | 'wallCentre' | 'gridLine' | 'waterLine' | 'centre' | 'edge';

export interface StakeContent {
  readonly name: string;
  /** Level distance from hub to feature. */
  readonly offset: Metres;
  /** Name of the corner or line that the offset leads to. */
  readonly to: string;
  readonly meaning: CornerMeaning;
  /** Hub height minus design height: positive cut, negative fill. Null when no height was measured or asked. */
  readonly cutFill: Metres | null;
  readonly heightReference: HeightReference;
  /** A second feature that the same hub is written for. */
  readonly also?: { readonly cutFill: Metres | null; readonly heightReference: HeightReference } | null;
}

export type StakeLine =
  | { readonly line: 'offset'; readonly offset: Metres }
  | { readonly line: 'to'; readonly to: string; readonly meaning: CornerMeaning; /** The mark stands on it. */ readonly on: boolean }
  | { readonly line: 'cut' | 'fill' | 'grade'; readonly by: Metres; readonly heightReference: HeightReference }
  | { readonly line: 'noHeight' }
  | { readonly line: 'name'; readonly name: string };

/** Cut and fill that round to nothing at `decimals` of metres are "on grade". */
export function stakeLines(content: StakeContent, decimals = 3): StakeLine[] {
  const lines: StakeLine[] = [
    { line: 'offset', offset: content.offset },
    { line: 'to', to: content.to, meaning: content.meaning, on: content.offset === 0 },
  ];
  const heightLine = (cutFill: Metres, heightReference: HeightReference): StakeLine => {
    const rounded = Number(cutFill.toFixed(decimals));
    return { line: rounded > 0 ? 'cut' : rounded < 0 ? 'fill' : 'grade', by: Math.abs(cutFill), heightReference };
  };
  lines.push(content.cutFill === null ? { line: 'noHeight' } : heightLine(content.cutFill, content.heightReference));
  if (content.also && content.also.cutFill !== null) lines.push(heightLine(content.also.cutFill, content.also.heightReference));
  lines.push({ line: 'name', name: content.name });
  return lines;
}
