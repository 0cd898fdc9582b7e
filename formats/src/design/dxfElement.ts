/**
 * The groups of one DXF element, as they stand in its text: a code and a value each, in their order, and the parts that
 * belong to it (vertices, attributes) apart. Source: DXF reference, "ENTITIES section" and "Group codes in numerical
 * order".
 */

export interface Group {
  readonly code: number;
  readonly value: string;
}

export interface DxfPlace {
  readonly x: number;
  readonly y: number;
  /** NaN where none is given. */
  readonly z: number;
}

/** An element or one of its parts. */
export class DxfRecord {
  readonly type: string;
  readonly #groups: readonly Group[];

  constructor(groups: readonly Group[]) {
    this.type = groups[0]?.value ?? '';
    this.#groups = groups;
  }

  /** The first value under a code; undefined where there is none. */
  text(code: number): string | undefined {
    return this.#groups.find((group) => group.code === code)?.value;
  }

  /** All values under any of these codes, one after the other, as long texts come. */
  texts(...codes: readonly number[]): string {
    return this.#groups
      .filter(({ code }) => codes.includes(code))
      .map(({ value }) => value)
      .join('');
  }

  /** Every group in its order, as boundaries are read. */
  get groups(): readonly Group[] {
    return this.#groups;
  }

  /** All numbers under a code. */
  numbers(code: number): number[] {
    return this.#groups.filter((group) => group.code === code).map(({ value }) => numberOf(value));
  }

  /** NaN where it is missing or no number. */
  number(code: number): number {
    return numberOf(this.text(code));
  }

  /** Flags, 0 where there are none. */
  flags(code: number): number {
    return this.number(code) || 0;
  }

  /** The place whose easting stands under `code`. */
  place(code = 10): DxfPlace {
    return { x: this.number(code), y: this.number(code + 10), z: this.number(code + 20) };
  }

  /** The corners of a light polyline: each begins with its easting, and has a bulge where its side is an arc. */
  corners(): (DxfPlace & { readonly bulge: number })[] {
    const corners: { x: number; y: number; z: number; bulge: number }[] = [];
    for (const { code, value } of this.#groups) {
      if (code === 10) corners.push({ x: numberOf(value), y: NaN, z: NaN, bulge: 0 });
      const corner = corners.at(-1);
      if (corner && code === 20) corner.y = numberOf(value);
      if (corner && code === 42) corner.bulge = numberOf(value);
    }
    return corners;
  }
}

export const numberOf = (value: string | undefined): number =>
  value === undefined || value === '' ? NaN : Number(value);

/**
 * What a line says that a value follows it by; null where it is no whole number of at most four digits, as they all are:
 * a reader that takes anything else for one may never come to an end.
 */
export function groupCode(text: string, from: number, to: number): number | null {
  let [start, end] = [from, to];
  while (start < end && text.charCodeAt(start) <= SPACE) start++;
  while (end > start && text.charCodeAt(end - 1) <= SPACE) end--;
  const isBelow = text[start] === '-';
  if (isBelow) start++;
  if (end === start || end - start > MOST_DIGITS) return null;
  let code = 0;
  for (let i = start; i < end; i++) {
    const digit = text.charCodeAt(i) - NOUGHT;
    if (digit < 0 || digit > 9) return null;
    code = 10 * code + digit;
  }
  return isBelow ? -code : code;
}

const SPACE = 32;
const NOUGHT = 48;
const MOST_DIGITS = 4;

/** The element itself, and its parts in their order; its groups stand in the text from `start` on. */
export function dxfRecords(text: string, start: number, end: number): readonly [DxfRecord, ...DxfRecord[]] {
  const records: Group[][] = [];
  let at = start;
  while (at < end) {
    const codeEnd = text.indexOf('\n', at);
    if (codeEnd < 0 || codeEnd >= end) break;
    const found = text.indexOf('\n', codeEnd + 1);
    const valueEnd = found < 0 || found > end ? end : found;
    const code = groupCode(text, at, codeEnd) ?? NaN;
    if (code === 0 || records.length === 0) records.push([]);
    records.at(-1)!.push({ code, value: text.slice(codeEnd + 1, valueEnd).trim() });
    at = valueEnd + 1;
  }
  const [first = [], ...parts] = records;
  return [new DxfRecord(first), ...parts.map((groups) => new DxfRecord(groups))];
}
