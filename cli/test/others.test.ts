/**
 * What is written for other programs, read by readers of other makers as Debian has them: GDAL, ezdxf, openpyxl. Where
 * they have to be there, one that is not is a fault.
 */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pointsCsv, siteDxf, siteGeoJson, siteLandXml, type SiteAbout, type SitePoint } from '@idle-marker/formats';
import { sheetXlsx } from '@idle-marker/press';
import { SHEET } from './sheet.ts';

const PYTHON = '/usr/bin/python3';
const isRequired = process.env['IDLE_OTHER_READERS'] === 'required';
const runs = (program: string, ...args: string[]): boolean =>
  isRequired || spawnSync(program, args, { stdio: 'ignore' }).status === 0;
const withGdal = runs('ogrinfo', '--version') ? describe : describe.skip;
const withEzdxf = runs(PYTHON, '-c', 'import ezdxf') ? describe : describe.skip;
const withOpenpyxl = runs(PYTHON, '-c', 'import openpyxl') ? describe : describe.skip;

const ABOUT: SiteAbout = {
  site: 'Kai „Süd“ & co',
  coordinateSystem: 'Quay grid',
  heightDatum: 'bolt',
  unit: 'usSurveyFoot',
  axes: 'NE',
  scaleFactor: 0.9999,
  at: '2031-05-06T08:00:00.000Z',
  by: 'Rosa',
  stations: [{ name: 'S1', standing: 'accepted' }],
  lines: ['Site: Kai „Süd“ & co', 'Station S1: accepted, 5\' 3"'],
};
const POINTS: readonly SitePoint[] = [
  ['Süd-1', 'Höhe', 4012.34567, 8001.2, 6.25],
  ['Ž 2', '', 4020, 8010, null],
].map(([name, code, e, n, z]) => ({
  name: name as string,
  group: 'marks',
  code: code as string,
  note: 'a "b"',
  e: e as number,
  n: n as number,
  z: z as number | null,
  designZ: null,
  offset: 2,
  cutFill: -0.1,
  dEMm: 1,
  dNMm: -1,
  station: 'S1',
  standing: 'verified',
  at: '2031-05-06T08:00:00.000Z',
}));
const LINES = [
  {
    name: 'Hall',
    closed: true,
    points: [
      { e: 4000, n: 8000 },
      { e: 4010, n: 8000 },
      { e: 4010, n: 8005 },
    ],
  },
];
const FEET = 3937 / 1200;

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'idle-marker-others-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

function written(name: string, content: string | Uint8Array): string {
  const file = join(folder, name);
  writeFileSync(file, content);
  return file;
}
const python = (program: string, ...args: string[]): unknown =>
  JSON.parse(execFileSync(PYTHON, ['-W', 'ignore', '-c', program, ...args], { encoding: 'utf8' }));
const ogr = (file: string): string => execFileSync('ogrinfo', ['-ro', '-al', file], { encoding: 'utf8' });

withGdal('GDAL', () => {
  it('takes GeoJSON for a local system in metres, not for degrees', () => {
    const said = ogr(written('site.geojson', siteGeoJson(POINTS, LINES, ABOUT)));
    expect(said).toContain('ENGCRS["Quay grid"');
    expect(said).not.toContain('WGS 84');
    expect(said).toContain('POINT Z (4012.3457 8001.2 6.25)');
    expect(said).toContain('name (String) = Süd-1');
  });
  it('reads DXF with its letters', () => {
    const said = ogr(written('site.dxf', siteDxf(POINTS, LINES, ABOUT)));
    expect(said).toContain('Text (String) = Ž 2');
    expect(said).toContain('Site: Kai „Süd“ & co');
    expect(said).toContain(`POINT Z (${(4012.34567 * FEET).toFixed(6).replace(/0+$/, '')}`);
  });
  it('reads LandXML as XML, and CSV without its head as a table', () => {
    const xml = written('site.xml', siteLandXml(POINTS, [], ABOUT));
    expect(
      python(
        'import sys,json,xml.etree.ElementTree as t; r=t.parse(sys.argv[1]).getroot(); print(json.dumps([c.tag.split("}")[1] for c in r]))',
        xml,
      ),
    ).toEqual(['Units', 'CoordinateSystem', 'Project', 'Application', 'CgPoints']);
    const csv = ogr(written('points.csv', pointsCsv(POINTS, ['name', 'n', 'e', 'z'], { ...ABOUT, lines: [] })));
    expect(csv).toContain('Feature Count: 2');
    expect(csv).toContain('Point (String) = Ž 2');
  });
});

withEzdxf('ezdxf', () => {
  it('finds no fault in DXF, its unit, its points with what is known of them, and what it is', () => {
    const file = written('audit.dxf', siteDxf(POINTS, LINES, ABOUT));
    const found = python(
      `import sys, json, ezdxf
d = ezdxf.readfile(sys.argv[1]); m = d.modelspace(); a = d.audit()
print(json.dumps({
  'faults': len(a.errors) + len(a.fixes), 'unit': d.header['$INSUNITS'],
  'points': [[list(p.dxf.location), [t.value for t in p.get_xdata('IDLE_MARKER')]] for p in m.query('POINT')],
  'about': [t.dxf.text for t in m.query('TEXT') if t.dxf.layer == 'ABOUT'],
  'names': [t.dxf.text for t in m.query('TEXT') if t.dxf.layer != 'ABOUT']}))`,
      file,
    ) as { faults: number; unit: number; points: [number[], unknown[]][]; about: string[]; names: string[] };
    expect([found.faults, found.unit]).toEqual([0, 21]);
    expect(found.about).toEqual(ABOUT.lines);
    expect(found.points.map(([, known]) => known[0])).toEqual(['Süd-1', 'Ž 2']);
    expect(found.points.map(([, known]) => known[2])).toEqual([1, 0]);
    expect(found.points[0]![0][2]).toBeCloseTo(6.25 * FEET, 5);
    expect(found.names[1]).toBe('Ž 2');
  });
});

withOpenpyxl('openpyxl', () => {
  it('reads a workbook with figures, dates, print areas and frozen heads, and no formula', async () => {
    const file = written('sheet.xlsx', await sheetXlsx(SHEET));
    const found = python(
      `import sys, json, openpyxl
w = openpyxl.load_workbook(sys.argv[1]); s = w.worksheets[0]
heads = [c.value for c in s[1]]; row = dict(zip(heads, s[2]))
print(json.dumps({
  'freeze': s.freeze_panes, 'area': str(s.print_area or ''), 'rows': s.print_title_rows, 'fit': s.sheet_properties.pageSetUpPr.fitToPage,
  'lies': s.page_setup.orientation, 'heads': heads, 'types': {h: c.data_type for h, c in row.items()},
  'set': row['Time set'].value.isoformat(), 'hub': row['Hub elevation (m)'].value, 'over': row['Hub over design (m)'].value,
  'names': [n for n in w.defined_names.definedName and [d.name for d in w.defined_names.definedName] or []],
  'about': [c.value for c in w.worksheets[1]['B'] if c.value]}))`,
      file,
    ) as {
      freeze: string;
      rows: string;
      fit: boolean;
      lies: string;
      heads: string[];
      types: Record<string, string>;
      set: string;
      hub: number;
      over: number;
      about: string[];
    };
    expect([found.freeze, found.fit, found.lies]).toEqual(['B2', true, 'landscape']);
    // The clock of the place, five hours behind.
    expect(found.set).toBe('2031-05-06T04:10:00');
    expect([found.hub, found.over]).toEqual([5.9, -0.35]);
    expect(found.types['Mark']).toBe('s');
    expect(found.types['Date set']).toBe('d');
    expect(found.heads.indexOf('North (m)')).toBeLessThan(found.heads.indexOf('East (m)'));
    expect(found.about.join(' ')).toContain('northing first');
    const xml = execFileSync('unzip', ['-p', file, 'xl/workbook.xml'], { encoding: 'utf8' });
    expect(xml).toMatch(/_xlnm\.Print_Area" localSheetId="0">'Marks'!\$A\$1:\$\w+\$2</);
    expect(xml).toContain('_xlnm.Print_Titles');
  });
});
