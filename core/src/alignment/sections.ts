/**
 * Cross sections as they were designed: lines of offsets and heights at stations. Between two of them heights run
 * evenly along the way, at one offset, as in the usual reckoning of earthworks (Schofield, Breach, Engineering
 * Surveying, chapter 11).
 */
import type { Metres } from '../quantity/unit.ts';

export interface SectionPoint {
  /** Positive to the right, looking up the stations. */
  readonly offset: Metres;
  readonly z: Metres;
}

export interface SectionLine {
  readonly name: string;
  /** From left to right. */
  readonly points: readonly SectionPoint[];
}

export interface DesignedSection {
  /** Without equations. */
  readonly station: Metres;
  readonly lines: readonly SectionLine[];
}

const SAME: Metres = 0.005;

/** Heights at an offset of one line; null beyond its ends. Where it stands upright, the higher end. */
function heightAt({ points }: SectionLine, offset: Metres): Metres | null {
  let found: Metres | null = null;
  for (let i = 0; i + 1 < points.length; i++) {
    const [left, right] = [points[i]!, points[i + 1]!];
    if (offset < left.offset - 1e-9 || offset > right.offset + 1e-9) continue;
    const span = right.offset - left.offset;
    const z = span < 1e-9 ? Math.max(left.z, right.z) : left.z + ((right.z - left.z) * (offset - left.offset)) / span;
    found = found === null ? z : Math.max(found, z);
  }
  return found;
}

/** In order along the way, lines from left to right; sections without a line of two points are left away. */
export const orderedSections = (sections: readonly DesignedSection[]): DesignedSection[] =>
  sections
    .map(({ station, lines }) => ({
      station,
      lines: lines
        .filter(({ points }) => points.length > 1)
        .map(({ name, points }) => ({ name, points: [...points].sort((a, b) => a.offset - b.offset) })),
    }))
    .filter(({ lines }) => lines.length > 0)
    .sort((a, b) => a.station - b.station);

/**
 * Those on either side of a station, and how far from the first to the second it is; null before the first and after
 * the last.
 */
function around(
  sections: readonly DesignedSection[],
  station: Metres,
): { from: DesignedSection; to: DesignedSection; share: number } | null {
  const next = sections.findIndex((each) => each.station >= station - SAME);
  if (next < 0) return null;
  const to = sections[next]!;
  if (Math.abs(to.station - station) <= SAME) return { from: to, to, share: 0 };
  const from = sections[next - 1];
  return from ? { from, to, share: (station - from.station) / (to.station - from.station) } : null;
}

/**
 * The section as it runs at a station, between those that were drawn. @param sections in order, as `orderedSections`
 * gives them
 */
export function sectionAt(sections: readonly DesignedSection[], station: Metres): SectionLine[] {
  const near = around(sections, station);
  if (!near) return [];
  const { from, to, share } = near;
  if (from === to) return [...from.lines];
  return from.lines.flatMap((line): SectionLine[] => {
    const other = to.lines.find(({ name }) => name === line.name);
    if (!other) return [];
    const offsets = [...new Set([...line.points, ...other.points].map(({ offset }) => offset))].sort((a, b) => a - b);
    const points = offsets.flatMap((offset): SectionPoint[] => {
      const [a, b] = [heightAt(line, offset), heightAt(other, offset)];
      return a === null || b === null ? [] : [{ offset, z: a + (b - a) * share }];
    });
    return points.length > 1 ? [{ name: line.name, points }] : [];
  });
}

/** The height of one line of the sections at a station and offset; null where it has none. */
export function sectionHeight(
  sections: readonly DesignedSection[],
  name: string,
  station: Metres,
  offset: Metres,
): Metres | null {
  const near = around(sections, station);
  const heightOf = (section: DesignedSection) => {
    const line = section.lines.find((each) => each.name === name);
    return line ? heightAt(line, offset) : null;
  };
  if (!near) return null;
  const [a, b] = [heightOf(near.from), heightOf(near.to)];
  return a === null || b === null ? null : a + (b - a) * near.share;
}
