/** An alignment as it lies on the site: metres, and where the drawing was shifted, turned or scaled with it. */
import type { HorizontalElement, PlanPoint } from '@idle-marker/core';
import type { ReadAlignment } from './landXmlDesign.ts';

/**
 * @param at a place of the file, on the site
 * @param metresPerUnit of the file's lengths and heights
 * @param scale of the placing: what lies along the line grows with it, counted from its start; heights do not
 */
export function placedAlignment(
  { name, definition, profiles, crossSections }: ReadAlignment,
  at: (place: PlanPoint) => PlanPoint,
  metresPerUnit: number,
  scale: number,
): ReadAlignment {
  const along = metresPerUnit * scale;
  const start = definition.startStation;
  const station = (value: number): number => start * metresPerUnit + (value - start) * along;
  const radius = (value: number | null): number | null => (value === null ? null : value * along);
  const element = (each: HorizontalElement): HorizontalElement => {
    const ends = { start: at(each.start), end: at(each.end) };
    if (each.kind === 'line') return { ...each, ...ends };
    if (each.kind === 'curve') return { ...each, ...ends, centre: at(each.centre) };
    return {
      ...each,
      ...ends,
      radiusStart: radius(each.radiusStart),
      radiusEnd: radius(each.radiusEnd),
      length: each.length * along,
    };
  };
  return {
    name,
    definition: {
      startStation: start * metresPerUnit,
      elements: definition.elements.map(element),
      equations: definition.equations.map((each) => ({
        ...each,
        at: station(each.at),
        ahead: each.ahead * metresPerUnit,
      })),
    },
    profiles: profiles.map((profile) => ({
      name: profile.name,
      points: profile.points.map((point) => ({
        station: station(point.station),
        z: point.z * metresPerUnit,
        rounding:
          point.rounding === null
            ? null
            : point.rounding.kind === 'parabola'
              ? { kind: point.rounding.kind, length: point.rounding.length * along }
              : point.rounding.kind === 'circular'
                ? { kind: point.rounding.kind, radius: point.rounding.radius * along }
                : {
                    kind: point.rounding.kind,
                    lengthIn: point.rounding.lengthIn * along,
                    lengthOut: point.rounding.lengthOut * along,
                  },
      })),
    })),
    crossSections: crossSections.map((section) => ({
      station: station(section.station),
      lines: section.lines.map((line) => ({
        name: line.name,
        points: line.points.map(({ offset, z, code }) => ({ offset: offset * along, z: z * metresPerUnit, code })),
      })),
    })),
  };
}
