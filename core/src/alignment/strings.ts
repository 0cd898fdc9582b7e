/**
 * Strings along an alignment: lines that keep an offset and a height to it or to one another (edges, flow lines, the
 * parts of a kerb), both changing along the way by tables. A string is where a crew builds; its crossfall is not
 * carried on into the offset of a hub.
 */
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import { placeAlong, type Alignment, type PlaceAlong } from './alignment.ts';
import { profileAt, type Profile } from './profile.ts';

export interface TableRow {
  /** Along the line, without equations. */
  readonly station: Metres;
  readonly value: number;
}
/**
 * Linear between rows, constant before the first and after the last; of two rows at one station the later holds there.
 */
export type StationTable = readonly TableRow[];
export interface StringHeight {
  /** `fall`: percent, positive falling away from the string it is counted from. `difference`: metres above it. */
  readonly rule: 'fall' | 'difference';
  readonly values: StationTable;
}
export interface StringDefinition {
  readonly name: string;
  /**
   * The string, or the part of a kerb (`NAME.flowLine`, `.face`, `.back`), that its height is counted from; the
   * centreline when null.
   */
  readonly from: string | null;
  /** From the centreline, positive to the right. */
  readonly offset: StationTable;
  readonly height: StringHeight;
}
/** A kerb stands on a flow line; its face and back lie outward, away from the centreline. */
export interface KerbDefinition {
  readonly name: string;
  readonly flowLine: string;
  readonly faceOffset: Metres;
  /** Height of the top above the flow line: along the way it may change, as where a kerb is dropped. */
  readonly topHeight: StationTable;
  /** From the face. */
  readonly backOffset: Metres;
  /** Of the back above the flow line; the top's when null. */
  readonly backHeight: StationTable | null;
}
export interface TemplateDefinition {
  readonly strings: readonly StringDefinition[];
  readonly kerbs: readonly KerbDefinition[];
}
export interface Template {
  /**
   * The centreline first, then in the order of the definition; of kerbs `NAME.flowLine`, `NAME.face` and `NAME.back`.
   */
  readonly names: readonly string[];
  readonly strings: ReadonlyMap<string, (station: Metres) => Across | null>;
  /** The string that each is built on from; none for the centreline. */
  readonly from: ReadonlyMap<string, string>;
  /** Stations where a string bends or steps, by name. */
  readonly changes: ReadonlyMap<string, readonly Metres[]>;
}
/** Where a string lies across the line, and how far above the centreline. */
export interface Across {
  readonly offset: Metres;
  readonly rise: Metres;
}
export interface PlaceOnString extends PlaceAlong {
  readonly offset: Metres;
  readonly z: Metres | null;
  readonly stringOffset: Metres;
  readonly stringZ: Metres | null;
  readonly centrelineZ: Metres | null;
}
export type TemplateError =
  | { readonly code: 'STRING_TWICE'; readonly name: string }
  | { readonly code: 'STRING_UNKNOWN'; readonly name: string; readonly wantedBy: string }
  | { readonly code: 'STRINGS_IN_A_RING'; readonly name: string }
  | { readonly code: 'TABLE_EMPTY'; readonly name: string }
  | { readonly code: 'TABLE_NOT_RISING'; readonly name: string; readonly station: Metres };

export const CENTRELINE = 'centreline';

export function valueAt(table: StationTable, station: Metres): number {
  let [low, high] = [-1, table.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (table[middle]!.station <= station) low = middle;
    else high = middle - 1;
  }
  const [row, next] = [table[low], table[low + 1]];
  if (!row) return table[0]!.value;
  if (!next) return row.value;
  return row.value + ((next.value - row.value) * (station - row.station)) / (next.station - row.station);
}

const KERB_PARTS = ['flowLine', 'face', 'back'] as const;
interface KerbPart {
  readonly kerb: KerbDefinition;
  readonly part: (typeof KERB_PARTS)[number];
}

export function templateOf({ strings, kerbs }: TemplateDefinition): Result<Template, TemplateError> {
  const across = new Map<string, (station: Metres) => Across | null>([[CENTRELINE, () => ({ offset: 0, rise: 0 })]]);
  const changes = new Map<string, Metres[]>([[CENTRELINE, []]]);
  const parents = new Map<string, string>();
  const faultOf = (name: string, table: StationTable): TemplateError | null => {
    if (table.length === 0) return { code: 'TABLE_EMPTY', name };
    const falling = table.find((row, i) => i > 0 && row.station < table[i - 1]!.station);
    return falling ? { code: 'TABLE_NOT_RISING', name, station: falling.station } : null;
  };
  const stationsOf = (...tables: StationTable[]) =>
    tables.flatMap((table) => (table.length > 1 ? table.map(({ station }) => station) : []));
  const defined = new Map<string, StringDefinition>();
  for (const string of strings) {
    if (string.name === CENTRELINE || defined.has(string.name))
      return fail({ code: 'STRING_TWICE', name: string.name });
    const fault = faultOf(string.name, string.offset) ?? faultOf(string.name, string.height.values);
    if (fault) return fail(fault);
    defined.set(string.name, string);
  }
  const parts = new Map<string, KerbPart>();
  for (const kerb of kerbs) {
    if (parts.has(`${kerb.name}.flowLine`)) return fail({ code: 'STRING_TWICE', name: kerb.name });
    const fault = faultOf(kerb.name, kerb.topHeight) ?? (kerb.backHeight && faultOf(kerb.name, kerb.backHeight));
    if (fault) return fail(fault);
    for (const part of KERB_PARTS) {
      if (defined.has(`${kerb.name}.${part}`)) return fail({ code: 'STRING_TWICE', name: `${kerb.name}.${part}` });
      parts.set(`${kerb.name}.${part}`, { kerb, part });
    }
  }
  /** Makes a string or a part of a kerb, after what it counts from; a string may count from any part of a kerb. */
  const make = (name: string, wantedBy: string, wanting: readonly string[]): TemplateError | null => {
    if (across.has(name)) return null;
    if (wanting.includes(name)) return { code: 'STRINGS_IN_A_RING', name };
    const string = defined.get(name);
    const part = parts.get(name);
    if (!string && !part) return { code: 'STRING_UNKNOWN', name, wantedBy };
    const base = part ? part.kerb.flowLine : (string!.from ?? CENTRELINE);
    // A kerb stands at the edge of something, never on the centreline.
    if (part && base === CENTRELINE) return { code: 'STRING_UNKNOWN', name: base, wantedBy: part.kerb.name };
    const fault = make(base, part?.kerb.name ?? name, [...wanting, name]);
    if (fault) return fault;
    if (part) makePart(name, part);
    else makeString(string!, base);
    return null;
  };
  const makeString = (string: StringDefinition, from: string): void => {
    parents.set(string.name, from);
    const base = across.get(from)!;
    const { rule, values } = string.height;
    across.set(string.name, (station) => {
      const below = base(station)!;
      const offset = valueAt(string.offset, station);
      const value = valueAt(values, station);
      return {
        offset,
        rise: rule === 'difference' ? below.rise + value : below.rise - (Math.abs(offset - below.offset) * value) / 100,
      };
    });
    changes.set(string.name, [...changes.get(from)!, ...stationsOf(string.offset, values)]);
  };
  const makePart = (name: string, { kerb, part }: KerbPart): void => {
    const flow = across.get(kerb.flowLine)!;
    const own = changes.get(kerb.flowLine)!;
    const height = part === 'flowLine' ? null : part === 'face' ? kerb.topHeight : (kerb.backHeight ?? kerb.topHeight);
    const by = part === 'flowLine' ? 0 : part === 'face' ? kerb.faceOffset : kerb.faceOffset + kerb.backOffset;
    across.set(name, (station) => {
      const { offset, rise } = flow(station)!;
      return { offset: offset + (offset < 0 ? -by : by), rise: rise + (height ? valueAt(height, station) : 0) };
    });
    parents.set(name, part === 'back' ? `${kerb.name}.face` : kerb.flowLine);
    changes.set(name, height ? [...own, ...stationsOf(height)] : own);
  };
  const names = [CENTRELINE, ...defined.keys(), ...parts.keys()];
  for (const name of names) {
    const fault = make(name, name, []);
    if (fault) return fail(fault);
  }
  return ok({ names, strings: across, from: parents, changes });
}

/**
 * The place of a string at a station, moved by an extra offset (positive to the right) and height. The heights are null
 * where there is no profile.
 *
 * @returns null before the start and after the end of the line, and for a string that the template has not
 */
export function placeOnString(
  alignment: Alignment,
  profile: Profile | null,
  template: Template | null,
  at: {
    readonly station: Metres;
    readonly string: string;
    readonly extraOffset?: Metres;
    readonly extraHeight?: Metres;
  },
): PlaceOnString | null {
  const across = at.string === CENTRELINE ? { offset: 0, rise: 0 } : template?.strings.get(at.string)?.(at.station);
  if (!across) return null;
  const offset = across.offset + (at.extraOffset ?? 0);
  const place = placeAlong(alignment, at.station, offset);
  if (!place) return null;
  const centrelineZ = (profile && profileAt(profile, at.station)?.z) ?? null;
  const stringZ = centrelineZ === null ? null : centrelineZ + across.rise;
  return {
    ...place,
    offset,
    z: stringZ === null ? null : stringZ + (at.extraHeight ?? 0),
    stringOffset: across.offset,
    stringZ,
    centrelineZ,
  };
}
