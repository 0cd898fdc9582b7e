/** What is written on a stake, line by line, as data: the words are put to it in one place. */
import type { Metres } from '../quantity/unit.ts';

/** Feature that heights are given to; `string` is a line of a road, named at each mark. */
export type HeightReference = 'finishedFloor' | 'topOfWall' | 'underside' | 'invert' | 'topOfKerb' | 'subgrade' | 'surface' | 'string';

/** What the corner of an item means. */
export type CornerMeaning = 'outsideFace' | 'insideFace' | 'wallCentre' | 'gridLine' | 'waterLine' | 'centre' | 'edge';

/** A mark at an angle of a line: square to the line behind or ahead of it, or inside, off both lines and farther from the corner than that. */
export interface AngleMark {
  readonly part: 'back' | 'ahead' | 'inside';
  /** Level distance from the mark to the corner. */
  readonly toCorner: Metres;
}

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
  readonly also?: {
    readonly cutFill: Metres | null;
    readonly heightReference: HeightReference;
    /** Its own name, before the reference. */ readonly to?: string;
  } | null;
  /** Along a road: the names of what offset and height lead to, and what changes at the station. */
  readonly road?: { readonly name: string; readonly to: string; readonly gradeTo: string; readonly why: string; readonly angle?: AngleMark | undefined } | null;
}

export type StakeLine =
  | { readonly line: 'offset'; readonly offset: Metres }
  | { readonly line: 'to'; readonly to: string; readonly meaning: CornerMeaning; /** The mark stands on it. */ readonly on: boolean }
  | { readonly line: 'string'; readonly string: string; /** The mark stands on it. */ readonly on: boolean }
  | { readonly line: 'station'; readonly station: string; readonly road: string }
  | { readonly line: 'why'; readonly why: string }
  | ({ readonly line: 'angle' } & AngleMark)
  | {
      readonly line: 'cut' | 'fill' | 'grade';
      readonly by: Metres;
      readonly heightReference: HeightReference;
      /** The string that it leads to, instead. */ readonly string?: string;
    }
  | { readonly line: 'noHeight' }
  | { readonly line: 'name'; readonly name: string };

/** Cut and fill that round to nothing at `decimals` of metres are "on grade". */
export function stakeLines(content: StakeContent, decimals = 3): StakeLine[] {
  const { road } = content;
  const on = content.offset === 0;
  const lines: StakeLine[] = [
    { line: 'offset', offset: content.offset },
    ...(road
      ? [
          ...(road.angle ? [{ line: 'angle' as const, ...road.angle }] : []),
          { line: 'string' as const, string: road.to, on },
          { line: 'station' as const, station: content.to, road: road.name },
        ]
      : [{ line: 'to' as const, to: content.to, meaning: content.meaning, on }]),
  ];
  const heightLine = (cutFill: Metres, heightReference: HeightReference, string?: string): StakeLine => {
    const rounded = Number(cutFill.toFixed(decimals));
    const line = rounded > 0 ? 'cut' : rounded < 0 ? 'fill' : 'grade';
    return { line, by: Math.abs(cutFill), heightReference, ...(string === undefined ? {} : { string }) };
  };
  lines.push(content.cutFill === null ? { line: 'noHeight' } : heightLine(content.cutFill, content.heightReference, road?.gradeTo));
  if (content.also && content.also.cutFill !== null) lines.push(heightLine(content.also.cutFill, content.also.heightReference, content.also.to));
  if (road && road.why !== '') lines.push({ line: 'why', why: road.why });
  lines.push({ line: 'name', name: content.name });
  return lines;
}
