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

/** The element itself, and its parts in their order. */
export function dxfRecords(text: string): readonly [DxfRecord, ...DxfRecord[]] {
  const records: Group[][] = [];
  const lines = text.split('\n');
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const group = { code: Number(lines[i]), value: lines[i + 1]!.trim() };
    if (group.code === 0 || records.length === 0) records.push([]);
    records.at(-1)!.push(group);
  }
  const [first = [], ...parts] = records;
  return [new DxfRecord(first), ...parts.map((groups) => new DxfRecord(groups))];
}
