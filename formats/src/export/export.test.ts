/** What is written for other programs, read back by readers of other makers and by this project's own. */
import { describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import Papa from 'papaparse';
import { SaxesParser } from 'saxes';
import {
  layerName,
  pointsCsv,
  readControlCsv,
  siteDxf,
  siteGeoJson,
  siteLandXml,
  type SitePoint,
  type SurveySetup,
} from '../index.ts';
import { ABOUT } from './siteAboutExample.ts';
import { readRawGeoJson } from '../design/geoJson.ts';

const POINT: SitePoint = {
  name: '=K1 <Süd> "a"',
  group: 'control',
  code: '',
  note: 'nail & washer',
  e: 4012.34567,
  n: 8001.2,
  z: 6.25,
  designZ: null,
  offset: 2,
  cutFill: -0.3321,
  dEMm: -1.25,
  dNMm: 0,
  station: 'S1',
  standing: 'held',
  at: '2031-05-06T08:00:00.000Z',
};
const POINTS: readonly SitePoint[] = [POINT, { ...POINT, name: 'H-B3', group: 'marks', code: 'Hall hubs', z: null }];
const DESIGN = [
  {
    name: 'Hall',
    closed: true,
    points: [
      { e: 0, n: 0 },
      { e: 10, n: 0 },
      { e: 10, n: 5 },
    ],
  },
] as const;
const SETUP: SurveySetup = {
  id: 'setup-1',
  name: 'S1',
  instrument: 'TS <1″>',
  instrumentHeight: 1.55,
  at: POINT.at,
  place: { e: 4030, n: 8000, z: 5.6 },
  sights: [
    {
      target: 'K1',
      at: POINT.at,
      purpose: 'station',
      face: 1,
      horizontal: 12.3456789,
      zenith: 89.5,
      slope: 31.234,
      targetHeight: 1.6,
    },
    {
      target: 'K2',
      at: POINT.at,
      purpose: 'proof',
      face: 2,
      horizontal: 359.9999999,
      zenith: 270.5,
      slope: null,
      targetHeight: 0,
    },
  ],
};

describe('points as CSV', () => {
  it('have the columns that were asked for, in their order and unit, and no formula', () => {
    const { data } = Papa.parse<string[]>(
      pointsCsv(POINTS, ['n', 'e', 'name', 'z', 'cutFill', 'dEMm'], { unit: 'foot', lines: [] }).trim(),
    );
    expect(data[0]).toEqual([
      'Northing (ft)',
      'Easting (ft)',
      'Point',
      'Height (ft)',
      'Hub over design (ft)',
      'East off mm',
    ]);
    expect(data[1]).toEqual([
      (8001.2 / 0.3048).toFixed(4),
      (4012.34567 / 0.3048).toFixed(4),
      `'${POINT.name}`,
      (6.25 / 0.3048).toFixed(4),
      (-0.3321 / 0.3048).toFixed(4),
      '-1.3',
    ]);
    expect(data[2]![3]).toBe('');
  });
  it('come back as a control list', () => {
    const read = readControlCsv(pointsCsv(POINTS, ['name', 'e', 'n', 'z'], ABOUT), {
      lengthUnit: 'metre',
      axisOrder: 'EN',
    } as never);
    if (!read.ok) throw new Error('no list');
    expect(read.value.rows.map(({ e, n, z }) => [e, n, z])).toEqual([
      [4012.3457, 8001.2, 6.25],
      [4012.3457, 8001.2, null],
    ]);
  });
});

describe('a site as DXF', () => {
  it('has a layer for each group and code, points with heights, names, and the design', () => {
    const read = new DxfParser().parseSync(new TextDecoder('windows-1252').decode(siteDxf(POINTS, DESIGN, ABOUT)))!;
    expect(Object.keys(read.tables.layer.layers)).toEqual(['DESIGN', 'ABOUT', 'CONTROL', 'MARKS-HALL-HUBS']);
    const points = read.entities.filter(({ type }) => type === 'POINT') as unknown as {
      layer: string;
      position: { x: number; y: number; z: number };
    }[];
    expect(points.map(({ layer }) => layer)).toEqual(['CONTROL', 'MARKS-HALL-HUBS']);
    expect(points[0]!.position).toEqual({ x: 4012.34567, y: 8001.2, z: 6.25 });
    expect(layerName('Mö: x/y')).toBe('MO-X-Y');
    expect(layerName('///')).toBe('0');
  });
});

describe('a site as GeoJSON', () => {
  it('comes back as a drawing, and says that its figures are no degrees', () => {
    const text = siteGeoJson(POINTS, DESIGN, ABOUT);
    expect((JSON.parse(text) as { coordinateSystem: string }).coordinateSystem).toBe('site grid, metres: Quay grid');
    const read = readRawGeoJson(text);
    if (!read.ok) throw new Error(read.error.code);
    expect(read.value.points.map(({ name, layer, z }) => [name, layer, z])).toEqual([
      [POINT.name, 'control', 6.25],
      ['H-B3', 'marks Hall hubs', null],
    ]);
    expect(read.value.paths).toMatchObject([{ closed: true, layer: 'design' }]);
    expect(read.value.paths[0]!.corners).toHaveLength(3);
  });
});

describe('a site as LandXML', () => {
  const elements: { name: string; attributes: Record<string, string>; text: string }[] = [];
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  parser.on('opentag', ({ name, attributes }) => elements.push({ name, attributes: attributes, text: '' }));
  parser.on('text', (text) => {
    const last = elements.at(-1);
    if (last && text.trim() !== '') last.text = text.trim();
  });
  parser.write(siteLandXml(POINTS, [SETUP], { ...ABOUT, unit: 'usSurveyFoot' })).close();
  const of = (name: string) => elements.filter((each) => each.name === name);
  const feet = (metres: number) => ((metres * 3937) / 1200).toFixed(4);

  it('has points by group in northing, easting, height, and survey feet', () => {
    expect(of('Imperial')[0]!.attributes['linearUnit']).toBe('USSurveyFoot');
    expect(of('CgPoints').map(({ attributes }) => attributes['name'])).toEqual(['control', 'marks']);
    expect(of('CgPoint')[0]).toMatchObject({
      attributes: { name: POINT.name, desc: 'nail & washer' },
      text: `${feet(8001.2)} ${feet(4012.34567)} ${feet(6.25)}`,
    });
    expect(of('CgPoint')[1]!.text.split(' ')).toHaveLength(2);
  });
  it('has every sight with its set-up, as it was read', () => {
    expect(of('InstrumentSetup')[0]!.attributes).toMatchObject({
      id: 'setup-1',
      stationName: 'S1',
      instrumentHeight: feet(1.55),
    });
    expect(
      of('RawObservation').map(({ attributes }) => [
        attributes['horizAngle'],
        attributes['slopeDistance'],
        attributes['directFace'],
        attributes['purpose'],
      ]),
    ).toEqual([
      ['12.3456789', feet(31.234), 'true', 'resection'],
      ['359.9999999', undefined, 'false', 'check'],
    ]);
    expect(of('TargetPoint').map(({ attributes }) => attributes['name'])).toEqual(['K1', 'K2']);
  });
});
