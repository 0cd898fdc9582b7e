/** Control lists as files for others: CSV and LandXML, in the unit of the site. */
import { lengthFromMetres, type LengthUnit, type Metres } from '@idle-marker/core';
import { FEATURE } from './controlLandXml.ts';
import { csvText } from '../csvText.ts';
import type { SiteAbout, TableAbout } from '../export/siteAbout.ts';
import { EXPORT_DECIMALS, UNIT_WORD } from '../export/sitePoint.ts';
import { aboutElements, xmlText } from '../export/siteLandXml.ts';

export interface WrittenMark {
  readonly name: string;
  readonly e: Metres | null;
  readonly n: Metres | null;
  readonly z: Metres | null;
  readonly sdHMm: number | null;
  readonly sdZMm: number | null;
  readonly kind: string;
  readonly condition: string;
  readonly note: string;
}

const figure = (value: Metres | null, unit: LengthUnit): string =>
  value === null ? '' : lengthFromMetres(value, unit).toFixed(EXPORT_DECIMALS);

/** @param about unit and order, and the lines above the headings: none for a bare table */
export function controlCsv(marks: readonly WrittenMark[], { unit, axes, lines }: TableAbout): string {
  const word = UNIT_WORD[unit];
  const inOrder = <T>(east: T, north: T): readonly T[] => (axes === 'NE' ? [north, east] : [east, north]);
  return csvText(
    [
      'Point',
      ...inOrder(`Easting (${word})`, `Northing (${word})`),
      `Height (${word})`,
      'sd plan mm',
      'sd height mm',
      'Kind',
      'Condition',
      'Note',
    ],
    marks.map((mark) => [
      mark.name,
      ...inOrder(figure(mark.e, unit), figure(mark.n, unit)),
      figure(mark.z, unit),
      mark.sdHMm,
      mark.sdZMm,
      mark.kind,
      mark.condition,
      mark.note,
    ]),
    { comments: lines },
  );
}

/**
 * LandXML 1.2, with the version of the list, and with the marks that have a place; a height alone has no form there.
 */
export function controlLandXml(marks: readonly WrittenMark[], about: SiteAbout, version: number): string {
  const { unit } = about;
  const points = marks
    .filter((mark) => mark.e !== null && mark.n !== null)
    .map((mark, i) => {
      const place = [mark.n, mark.e, ...(mark.z === null ? [] : [mark.z])]
        .map((value) => figure(value, unit))
        .join(' ');
      const feature = `mark-${i + 1}`;
      const said = [
        [FEATURE.sdPlan, mark.sdHMm],
        [FEATURE.sdHeight, mark.sdZMm],
        [FEATURE.kind, mark.kind],
        [FEATURE.condition, mark.condition],
      ] as const;
      return [
        `    <CgPoint name="${xmlText(mark.name)}" desc="${xmlText(mark.note)}" featureRef="${feature}">${place}</CgPoint>`,
        `    <Feature name="${feature}" code="${FEATURE.code}">`,
        ...said
          .filter(([, value]) => value !== null)
          .map(([label, value]) => `      <Property label="${label}" value="${xmlText(String(value))}"/>`),
        '    </Feature>',
      ].join('\n');
    });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2" date="${about.at.slice(0, 10)}" time="${about.at.slice(11, 19)}">`,
    ...aboutElements(about),
    `  <CgPoints name="control" desc="list version ${version}">`,
    ...points,
    '  </CgPoints>',
    '</LandXML>',
    '',
  ].join('\n');
}
