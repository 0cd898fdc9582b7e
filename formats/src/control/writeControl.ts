/** Control lists as files for others: CSV and LandXML, in the unit of the site. */
import { lengthFromMetres, type LengthUnit, type Metres } from '@idle-marker/core';
import { csvText } from '../csvText.ts';
import { EXPORT_DECIMALS, UNIT_WORD } from '../export/sitePoint.ts';
import { unitsElement, xmlText } from '../export/siteLandXml.ts';

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

export function controlCsv(marks: readonly WrittenMark[], unit: LengthUnit): string {
  const word = UNIT_WORD[unit];
  return csvText(
    [
      'Point',
      `Easting (${word})`,
      `Northing (${word})`,
      `Height (${word})`,
      'sd plan mm',
      'sd height mm',
      'Kind',
      'Condition',
      'Note',
    ],
    marks.map((mark) => [
      mark.name,
      figure(mark.e, unit),
      figure(mark.n, unit),
      figure(mark.z, unit),
      mark.sdHMm,
      mark.sdZMm,
      mark.kind,
      mark.condition,
      mark.note,
    ]),
  );
}

/**
 * LandXML 1.2, with the version of the list, and with the marks that have a place; a height alone has no form there.
 * `date`: YYYY-MM-DD, `time`: HH:MM:SS.
 */
export function controlLandXml(
  marks: readonly WrittenMark[],
  unit: LengthUnit,
  stamp: { readonly date: string; readonly time: string; readonly version: number },
): string {
  const points = marks
    .filter((mark) => mark.e !== null && mark.n !== null)
    .map((mark) => {
      const place = [mark.n, mark.e, ...(mark.z === null ? [] : [mark.z])]
        .map((value) => figure(value, unit))
        .join(' ');
      return `    <CgPoint name="${xmlText(mark.name)}" desc="${xmlText(mark.note)}">${place}</CgPoint>`;
    });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2" date="${stamp.date}" time="${stamp.time}">`,
    `  <Units>${unitsElement(unit)}</Units>`,
    `  <CgPoints name="control" desc="list version ${stamp.version}">`,
    ...points,
    '  </CgPoints>',
    '</LandXML>',
    '',
  ].join('\n');
}
