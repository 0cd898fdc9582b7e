import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import {
  gridFromLines,
  namedCorners,
  placeDrawing,
  readDxf,
  readRawDrawing,
  readRawDxf,
  usualExtent,
  type Drawing,
} from '../index.ts';

const pairs = (...codes: (readonly [number, string | number])[]) =>
  codes.map(([code, value]) => `${code}\n${value}`).join('\n');
const line = (layer: string, e1: number, n1: number, e2: number, n2: number) =>
  pairs([0, 'LINE'], [8, layer], [10, e1], [20, n1], [30, 0], [11, e2], [21, n2], [31, 0]);
const drawing = (entities: readonly string[], unit?: number) =>
  [
    ...(unit === undefined ? [] : [pairs([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, unit], [0, 'ENDSEC'])]),
    pairs([0, 'SECTION'], [2, 'ENTITIES']),
    ...entities,
    pairs([0, 'ENDSEC'], [0, 'EOF']),
    '',
  ].join('\n');
const read = (text: string, unit: Parameters<typeof readDxf>[1] = 'metre'): Drawing => {
  const result = readDxf(text, unit);
  if (!result.ok) throw new Error(result.error.code);
  return result.value;
};

describe('drawings', () => {
  it('give closed polylines, and lines that join up, as outlines', () => {
    const square = pairs(
      [0, 'LWPOLYLINE'],
      [8, 'SLAB'],
      [90, 4],
      [70, 1],
      [10, 0],
      [20, 0],
      [10, 10],
      [20, 0],
      [10, 10],
      [20, 8],
      [10, 0],
      [20, 8],
    );
    const joined = [
      line('WALL', 20, 0, 26, 0),
      line('WALL', 26, 5, 26, 0),
      line('WALL', 26, 5, 20, 5),
      line('WALL', 20, 5, 20, 0),
    ];
    const { outlines } = read(drawing([square, ...joined]));
    expect(outlines).toMatchObject([
      { layer: 'SLAB', area: 80 },
      { layer: 'WALL', area: 30 },
    ]);
    expect(outlines[1]!.corners).toHaveLength(4);
  });

  it('take the unit from the header, and ask when there is none', () => {
    expect(read(drawing([line('A', 0, 0, 1000, 0)], 4))).toMatchObject({
      unitFromFile: 'millimetres',
      lines: [{ to: { e: 1 } }],
    });
    expect(read(drawing([line('A', 0, 0, 3937, 0)]), 'usSurveyFoot').lines[0]!.to.e).toBeCloseTo(1200, 9);
    expect(read(drawing([line('A', 0, 0, 1, 0)])).unitFromFile).toBeNull();
  });

  it('keep arcs: sides with a bulge, arcs and circles, drawn from above or below', () => {
    const bulged = pairs(
      [0, 'LWPOLYLINE'],
      [8, 'KERB'],
      [90, 3],
      [70, 1],
      [10, 0],
      [20, 0],
      [42, 0.5],
      [10, 10],
      [20, 0],
      [10, 10],
      [20, 8],
    );
    const circle = pairs([0, 'CIRCLE'], [8, 'DETAIL'], [10, 3], [20, 4], [40, 2]);
    const arc = (...more: (readonly [number, number])[]) =>
      pairs([0, 'ARC'], [8, 'KERB'], [10, 10], [20, 20], [40, 5], ...more, [50, 0], [51, 90]);
    const found = read(drawing([bulged, circle, arc(), arc([210, 0], [220, 0], [230, -1])]));
    expect(found.outlines).toEqual([]);
    expect(found.circles).toEqual([{ layer: 'DETAIL', centre: { e: 3, n: 4 }, radius: 2 }]);
    expect(found.paths[0]).toMatchObject({ closed: true, corners: [{ bulge: 0.5 }, { bulge: 0 }, { bulge: 0 }] });
    const quarter = Math.tan(Math.PI / 8);
    expect(found.paths[1]!.corners).toMatchObject([
      { e: 15, n: 20, bulge: expect.closeTo(quarter, 12) },
      { e: expect.closeTo(10, 9), n: 25, bulge: 0 },
    ]);
    // Seen from below, X runs the other way, and so does the arc.
    expect(found.paths[2]!.corners).toMatchObject([
      { e: -15, n: 20, bulge: expect.closeTo(-quarter, 12) },
      { e: expect.closeTo(-10, 9), n: 25 },
    ]);
    expect(found.layers).toEqual([
      { name: 'DETAIL', elements: 1 },
      { name: 'KERB', elements: 3 },
    ]);
  });

  it('give points, and blocks as points under the name that they carry', () => {
    const point = pairs([0, 'POINT'], [8, 'PILES'], [10, 1], [20, 2], [30, 3.5]);
    const block = pairs([0, 'INSERT'], [8, 'SLEEVES'], [2, 'SLEEVE-100'], [10, 5], [20, 6], [30, 0]);
    const named = pairs(
      [0, 'INSERT'],
      [8, 'SLEEVES'],
      [66, 1],
      [2, 'SLEEVE-100'],
      [10, 7],
      [20, 6],
      [0, 'ATTRIB'],
      [8, 'SLEEVES'],
      [10, 7],
      [20, 6],
      [1, 'S-12'],
      [2, 'No'],
      [0, 'SEQEND'],
      [8, 'SLEEVES'],
    );
    expect(read(drawing([point, block, named])).points).toEqual([
      { layer: 'PILES', at: { e: 1, n: 2 }, z: 3.5, name: null },
      { layer: 'SLEEVES', at: { e: 5, n: 6 }, z: null, name: 'SLEEVE-100', isBlockOnly: true },
      { layer: 'SLEEVES', at: { e: 7, n: 6 }, z: null, name: 'S-12' },
    ]);
  });

  it('name and count what they left out, and lose nothing else by it', () => {
    const proxy = pairs([0, 'SOME_PROXY'], [8, 'MEP'], [10, 1], [20, 1]);
    const face = pairs(
      [0, '3DFACE'],
      [8, 'ROOF'],
      [10, 0],
      [20, 0],
      [30, 0],
      [11, 1],
      [21, 0],
      [31, 0],
      [12, 1],
      [22, 1],
      [32, 0],
      [13, 0],
      [23, 1],
      [33, 0],
    );
    const openPolyline = pairs([0, 'POLYLINE'], [8, 'OLD'], [66, 1], [0, 'VERTEX'], [8, 'OLD'], [10, 0], [20, 0]);
    const emptyPolyline = pairs([0, 'LWPOLYLINE'], [8, 'BAD'], [90, 0], [70, 0], [10, 1], [20, 1]);
    const found = read(
      drawing([proxy, proxy, face, openPolyline, emptyPolyline, line('A', 3, 3, 3, 3), line('A', 0, 0, 1, 0)]),
    );
    expect(found.lines).toHaveLength(1);
    expect(Object.fromEntries(found.leftOut.map(({ what, layer, count }) => [`${what} on ${layer}`, count]))).toEqual({
      'SOME_PROXY on MEP': 2,
      '3DFACE at height 0 on ROOF': 2,
      'POLYLINE without an end on OLD': 1,
      'NO_LENGTH on BAD': 1,
      'NO_LENGTH on A': 1,
    });
  });

  it('end with what has no group codes, and name its line', () => {
    const broken = line('BAD', 0, 0, 5, 5).replace(/^10$/m, '-');
    const found = read(drawing([line('A', 0, 0, 1, 0), broken]));
    expect(found.lines).toHaveLength(1);
    expect(found.leftOut).toEqual([
      { what: expect.stringMatching(/^LINE with no group code on line \d+$/), layer: 'BAD', count: 1 },
    ]);
    // Groups that come in no order that a corner has.
    const shuffled = pairs(
      [0, 'LWPOLYLINE'],
      [8, 'BAD'],
      [90, 3],
      [70, 1],
      [20, 0],
      [42, 1],
      [10, 0],
      [23, 0],
      [10, 10],
      [80, 4],
    );
    expect(read(drawing([line('A', 0, 0, 1, 0), shuffled])).leftOut).toEqual([
      { what: 'LWPOLYLINE without a place', layer: 'BAD', count: 1 },
    ]);
  });

  it('leave out what lies farther away than a site can be, and show the rest', () => {
    const found = read(drawing([line('A', 0, 0, 10, 0), line('A', 0, 0, 0, 10), line('FAR', 1e9, 1e9, 1e9 + 1, 1e9)]));
    expect(found.lines).toHaveLength(2);
    expect(found.leftOut).toEqual([{ what: 'too far from the site', layer: 'FAR', count: 1 }]);
    const stray = read(
      drawing([...Array.from({ length: 60 }, (_, i) => line('A', i, 0, i + 1, 5)), line('A', 9e6, 0, 9e6, 1)]),
    );
    expect(usualExtent(stray)).toEqual([0, 0, expect.closeTo(60, 6), 5]);
  });

  it('come onto the site by unit, turn and shift', () => {
    const raw = readRawDxf(
      drawing([line('A', 0, 0, 1000, 0), pairs([0, 'CIRCLE'], [8, 'A'], [10, 0], [20, 1000], [40, 500])], 4),
    );
    if (!raw.ok) throw new Error(raw.error.code);
    const placed = placeDrawing(raw.value, {
      metresPerUnit: 0.001,
      similarity: { scale: 1, rotation: Math.PI / 2, shift: { e: 100, n: 200 } },
    });
    // Turned clockwise by a quarter: what ran east runs south.
    expect(placed.lines[0]).toMatchObject({
      layer: 'A',
      from: { e: 100, n: 200, z: null },
      to: { e: expect.closeTo(100, 9), n: 199, z: null },
    });
    expect(placed.circles[0]).toMatchObject({ centre: { e: 101, n: expect.closeTo(200, 9) }, radius: 0.5 });
  });

  it('have heights where an element has one, and 0 is one only beside another', () => {
    const inSpace = (z1: number, z2: number) =>
      pairs([0, 'LINE'], [8, 'A'], [10, 0], [20, 0], [30, z1], [11, 5], [21, 0], [31, z2]);
    const flat = pairs([0, 'LWPOLYLINE'], [8, 'A'], [38, 2.5], [90, 2], [10, 0], [20, 0], [10, 4], [20, 0]);
    const raw = readRawDxf(drawing([inSpace(0, 0), inSpace(0, 1.5), flat], 6));
    if (!raw.ok) throw new Error(raw.error.code);
    expect(raw.value.paths.map(({ corners }) => corners.map(({ z }) => z))).toEqual([
      [null, null],
      [0, 1.5],
      [2.5, 2.5],
    ]);
  });

  it('tell how far they have come', () => {
    const told: number[] = [];
    const lines = Array.from({ length: 4500 }, (_, i) => line('A', i, 0, i + 1, 0));
    readRawDxf(drawing(lines), (done) => told.push(done));
    expect(told).toEqual([2000, 4000, 4500]);
  });

  it.each([
    ['nothing at all', 'NOT_A_DRAWING'],
    ['<svg/>', 'NOT_A_DRAWING'],
    [drawing([]), 'EMPTY_DRAWING'],
    [drawing([line('A', 0, 0, 1, 0)]).slice(0, -12), 'CUT_OFF'],
  ])('%# are refused', (text, code) => {
    expect(readDxf(text, 'metre')).toMatchObject({ ok: false, error: { code } });
  });
});

describe('files of any kind', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  const whole = (text: string) => {
    const result = readRawDrawing(bytes(text), 'metre');
    if (!result.ok) throw new Error(JSON.stringify(result.error));
    return result.value;
  };
  const fault = (data: Uint8Array) => {
    const result = readRawDrawing(data, 'metre');
    return result.ok ? null : result.error;
  };

  it('are told apart by what stands in them', () => {
    expect(whole(`999\nmade by hand\n${drawing([line('A', 0, 0, 1, 0)])}`).format).toBe('dxf');
    expect(whole('name,e,n,z,code\nP1,10,20,3,VALVE\n')).toMatchObject({
      format: 'csv',
      points: [{ name: 'P1', at: { e: 10, n: 20 }, z: 3, code: 'VALVE' }],
    });
    expect(fault(bytes('Some program Binary DXF\r\n\u001a\0AB'))).toEqual({ code: 'BINARY_DRAWING' });
    expect(fault(bytes('AC1032\0\0\0'))).toEqual({ code: 'PACKED_DRAWING' });
    expect(fault(new Uint8Array([1, 2, 0, 4]))).toMatchObject({ code: 'NOT_A_DRAWING' });
    expect(fault(new Uint8Array())).toMatchObject({ code: 'NOT_A_DRAWING', detail: 'the file is empty' });
    // A row with a fault costs itself.
    expect(whole('name,e,n\nP1,10,20\nP2,x,20\n')).toMatchObject({
      points: [{ name: 'P1' }],
      leftOut: [{ what: 'ROW', layer: 'points', count: 1 }],
    });
    expect(fault(bytes('name,e,n\nP2,x,20\n'))).toMatchObject({ code: 'BAD_ROW', row: 2 });
  });

  it('in lists with a head that is none are refused at once, whatever stands in it', () => {
    for (const head of [
      '['.repeat(200_000),
      `name,e,${'('.repeat(200_000)}`,
      `name,e,n\nP,${'1'.repeat(200_000)}m,2\n`,
    ]) {
      const began = Date.now();
      expect(fault(bytes(`${head}\nA,1,\n`))).toHaveProperty('code');
      expect(Date.now() - began).toBeLessThan(2000);
    }
  });

  it('in GeoJSON give points, lines and polygons with their names and layers', () => {
    const feature = (type: string, coordinates: unknown, properties: object = {}) => ({
      type: 'Feature',
      properties,
      geometry: { type, coordinates },
    });
    const found = whole(
      JSON.stringify({
        type: 'FeatureCollection',
        coordinateSystem: 'site grid, metres',
        features: [
          feature('Point', [10, 20, 1.5], { name: 'B7', layer: 'piles' }),
          feature(
            'Polygon',
            [
              [
                [0, 0],
                [4, 0],
                [4, 4],
                [0, 0],
              ],
            ],
            { layer: 'slab' },
          ),
          feature('MultiLineString', [
            [
              [0, 0],
              [1, 1],
            ],
            [
              [2, 2],
              [3, 3],
            ],
          ]),
          feature('Volume', []),
        ],
      }),
    );
    expect(found.points).toEqual([{ layer: 'piles', at: { e: 10, n: 20 }, z: 1.5, name: 'B7' }]);
    expect(found.paths.map(({ layer, closed, corners }) => [layer, closed, corners.length])).toEqual([
      ['slab', true, 3],
      ['features', false, 2],
      ['features', false, 2],
    ]);
    expect(found.leftOut).toEqual([{ what: 'Volume', layer: 'features', count: 1 }]);
    // Without a word of metres, figures that small may be degrees, on which nothing can be set out.
    const small = { type: 'FeatureCollection', features: [feature('Point', [10, 20])] };
    expect(fault(bytes(JSON.stringify(small)))).toEqual({ code: 'DEGREES_NOT_METRES' });
    expect(whole(JSON.stringify({ ...small, features: [feature('Point', [4010, 8020])] }))).toMatchObject({
      unit: null,
      remarks: ['UNIT_ASSUMED'],
    });
    const inFeet = { ...small, crs: { properties: { name: 'urn:ogc:def:crs:EPSG::2225' } } };
    expect(whole(JSON.stringify(inFeet)).unit).toMatchObject({ name: 'US survey feet' });
    expect(fault(bytes(JSON.stringify({ ...small, crs: { properties: { name: 'EPSG:4326' } } })))).toEqual({
      code: 'DEGREES_NOT_METRES',
    });
    expect(fault(bytes('{"type":"FeatureCollection","features":['))).toMatchObject({ code: 'NOT_A_DRAWING' });
    expect(fault(bytes(JSON.stringify({ type: 'FeatureCollection', features: [feature('Point', ['a', 2])] })))).toEqual(
      {
        code: 'BAD_ROW',
        row: 1,
        detail: 'has a point without two numbers',
      },
    );
  });

  it('in LandXML give surfaces of triangles, without the faces that are holes', () => {
    const surface = (name: string, faces: string) => `<Surface name="${name}"><Definition surfType="TIN"><Pnts>
      <P id="11">200 100 5</P><P id="12">200 110 6</P><P id="13">210 110 7</P><P id="14">210 100 8</P></Pnts>
      <Faces>${faces}</Faces></Definition></Surface>`;
    const found = whole(`<LandXML><Units><Imperial linearUnit="foot"/></Units><Surfaces>
      ${surface('Finished', '<F>11 12 13</F><F n="1 0 0">11 13 14</F><F i="1">12 13 14</F>')}${surface('Finished', '<F>11 12 13</F>')}
      ${surface('Bare', '')}</Surfaces></LandXML>`);
    expect(found.unit?.name).toBe('feet');
    expect(found.surfaces.map(({ layer, triangles }) => [layer, [...triangles.faces]])).toEqual([
      ['Finished', [0, 1, 2, 0, 2, 3]],
      ['Finished 2', [0, 1, 2]],
    ]);
    expect([...found.surfaces[0]!.triangles.places.slice(0, 6)]).toEqual([100, 200, 5, 110, 200, 6]);
    expect(found.leftOut.map(({ what, count }) => [what, count])).toEqual([['Surface without triangles', 1]]);
    const placed = placeDrawing(found, { metresPerUnit: 0.3048, similarity: null });
    expect(placed.surfaces[0]!.triangles.places[2]).toBeCloseTo(5 * 0.3048, 12);
    expect(placed.layers).toEqual([
      { name: 'Finished', elements: 2 },
      { name: 'Finished 2', elements: 1 },
    ]);
    expect(usualExtent(placed)!.map((each) => Math.round(each * 100) / 100)).toEqual([30.48, 60.96, 33.53, 64.01]);
  });

  it('in DXF give the faces of a layer as one surface, quadrangles as two triangles', () => {
    const face = (...at: readonly (readonly [number, number, number])[]) =>
      pairs(
        [0, '3DFACE'],
        [8, 'GRADE'],
        ...at.flatMap(([x, y, z], i): [number, number][] => [
          [10 + i, x],
          [20 + i, y],
          [30 + i, z],
        ]),
        [70, 5],
      );
    const found = whole(
      drawing([
        face([0, 0, 1], [10, 0, 2], [10, 10, 3], [0, 10, 2]),
        face([10, 0, 2], [20, 0, 3], [10, 10, 3], [10, 10, 3]),
      ]),
    );
    expect(found.surfaces).toHaveLength(1);
    expect(found.surfaces[0]!.layer).toBe('GRADE');
    expect([...found.surfaces[0]!.triangles.faces]).toEqual([0, 1, 2, 0, 2, 3, 1, 4, 2]);
    expect(found.surfaces[0]!.triangles.places).toHaveLength(15);
  });

  it('in LandXML give points and planar features, northing first, arcs by their centre', () => {
    const found = whole(`<?xml version="1.0"?><LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units>
      <CgPoints><CgPoint name="P1">200 100 5.5</CgPoint></CgPoints>
      <PlanFeatures><PlanFeature name="kerb"><CoordGeom>
        <Line><Start>0 0</Start><End>0 20</End></Line>
        <Curve rot="ccw" crvType="arc"><Start>0 20</Start><Center>10 20</Center><End>10 30</End></Curve>
        <Line><Start>50 50</Start><End>60 50</End></Line>
      </CoordGeom></PlanFeature></PlanFeatures></LandXML>`);
    expect(found.points).toEqual([{ layer: 'points', at: { e: 100, n: 200 }, z: 5.5, name: 'P1' }]);
    expect(found.paths).toHaveLength(2);
    expect(found.paths[0]!.corners).toMatchObject([
      { e: 0, n: 0, bulge: 0 },
      { e: 20, n: 0, bulge: expect.closeTo(Math.tan(Math.PI / 8), 9) },
      { e: 30, n: 10 },
    ]);
    expect(
      fault(bytes('<!DOCTYPE LandXML [<!ENTITY x SYSTEM "file:///etc/passwd">]><LandXML><CgPoints/></LandXML>')),
    ).toMatchObject({
      code: 'LANDXML',
      fault: { code: 'XML_DOCTYPE' },
    });
    expect(fault(bytes('<gpx/>'))).toMatchObject({ code: 'LANDXML', fault: { code: 'XML_OTHER_ROOT' } });
  });
});

describe('the demo drawing', () => {
  const hall = read(readFileSync(`${import.meta.dirname}/../../../demo/ternhaven/ticket-hall.dxf`, 'utf8'));

  it('has the hall with its corners named, and its grid', () => {
    const outline = hall.outlines.find((each) => each.layer === 'WALL-OUTSIDE')!;
    expect(namedCorners(outline.corners, hall.texts).map((corner) => corner.name)).toEqual([
      'A1',
      'D1',
      'D4',
      'C4',
      'C5',
      'A5',
    ]);
    const grid = gridFromLines('GRID', hall.lines, hall.texts);
    if (!grid.ok) throw new Error(grid.error.code);
    expect([...grid.value.first].sort()).toEqual(['A', 'B', 'C', 'D']);
    expect([...grid.value.second].sort()).toEqual(['1', '2', '3', '4', '5']);
    expect(grid.value.crossings).toHaveLength(20);
    const b3 = grid.value.crossings.find((each) => each.name === 'B3')!;
    const turn = (12 * Math.PI) / 180;
    expect(b3.e).toBeCloseTo(4150 + 7.2 * Math.cos(turn) + 12 * Math.sin(turn), 3);
    expect(b3.n).toBeCloseTo(8080 - 7.2 * Math.sin(turn) + 12 * Math.cos(turn), 3);
  });

  it('gives its grid by directions and spacings, from which the drawn crossings come again', () => {
    const grid = gridFromLines('GRID', hall.lines, hall.texts);
    if (!grid.ok) throw new Error(grid.error.code);
    const { definition, misfit } = grid.value;
    expect(definition.letters).toMatchObject({ labels: ['A', 'B', 'C', 'D'], spacings: [7.2, 7.2, 7.2] });
    expect(definition.numbers).toMatchObject({ labels: ['1', '2', '3', '4', '5'], spacings: [6, 6, 6, 6] });
    expect(misfit).toBeLessThan(0.001);
    // One line turned by half a degree at most still counts to the family; the misfit tells.
    const bent = hall.lines.map((line) =>
      line.layer === 'GRID' && line === hall.lines.find((each) => each.layer === 'GRID')
        ? { ...line, to: { ...line.to, e: line.to.e + 0.05 } }
        : line,
    );
    const uneven = gridFromLines('GRID', bent, hall.texts);
    if (!uneven.ok) throw new Error(uneven.error.code);
    expect(uneven.value.misfit).toBeGreaterThan(0.005);
  });

  it('has no grid on a layer that is none', () => {
    expect(gridFromLines('NAMES', hall.lines, hall.texts)).toMatchObject({
      ok: false,
      error: { code: 'GRID_TOO_FEW_LINES' },
    });
    const star = [0, 1, 2].flatMap((i) => [
      { layer: 'S', from: { e: 0, n: 0, z: null }, to: { e: Math.sin(i), n: Math.cos(i), z: null } },
      { layer: 'S', from: { e: 5, n: 0, z: null }, to: { e: 5 + Math.sin(i), n: Math.cos(i), z: null } },
    ]);
    expect(gridFromLines('S', star, [])).toMatchObject({
      ok: false,
      error: { code: 'GRID_MANY_DIRECTIONS', directions: 3 },
    });
  });
});
