import { describe, expect, it } from '@jest/globals';
import { alignmentOf, placeAlong, planDistance, transformed } from '@idle-marker/core';
import { placedAlignment } from './placedAlignment.ts';
import { readLandXml } from './readLandXml.ts';

const METRIC = '<Units><Metric linearUnit="meter"/></Units>';
const file = (inner: string, units = METRIC) =>
  `<?xml version="1.0"?>\n<LandXML version="1.2">${units}\n${inner}\n</LandXML>`;
const alignment = (geometry: string, more = '', attributes = 'name="Test" staStart="0"') =>
  `<Alignments><Alignment ${attributes}><CoordGeom>${geometry}</CoordGeom>${more}</Alignment></Alignments>`;
const LINE = '<Line><Start>0 0</Start><End>100 0</End></Line>';
const profile = (points: string) => `<Profile><ProfAlign name="design">${points}</ProfAlign></Profile>`;
const surface = (points: string, faces: string) =>
  `<Surfaces><Surface name="Ground"><Definition surfType="TIN"><Pnts>${points}</Pnts><Faces>${faces}</Faces></Definition></Surface></Surfaces>`;
const CORNERS = '<P id="1">0 0 1</P><P id="2">0 10 2</P><P id="3">10 0 3</P>';

const bytes = (text: string) => new TextEncoder().encode(text);
function read(text: string | Uint8Array) {
  const result = readLandXml(typeof text === 'string' ? bytes(text) : text);
  if (!result.ok) throw new Error(JSON.stringify(result.error));
  return result.value;
}
const fault = (text: string | Uint8Array) => {
  const result = readLandXml(typeof text === 'string' ? bytes(text) : text);
  return result.ok ? null : result.error;
};

describe('LandXML', () => {
  it('gives alignments with curves of both hands, spirals, equations, profiles and cross sections', () => {
    const { alignments, warnings, leftOut, linearUnit } = read(
      file(
        alignment(
          `<Line><Start>0 0</Start><End>50 0</End></Line>
           <Curve rot="ccw" radius="20" crvType="chord"><Start>50 0</Start><Center>50 -20</Center><End>70 -20</End></Curve>`,
          `<StaEquation staInternal="40" staBack="40" staAhead="100"/><StaEquation staInternal="60" staAhead="50" staIncrement="decreasing"/>
           ${profile('<PVI>0 5</PVI><ParaCurve length="20">30 6</ParaCurve><UnsymParaCurve lengthIn="5" lengthOut="8">55 5</UnsymParaCurve><PVI>80 6</PVI>')}
           <CrossSects><CrossSect sta="10"><DesignCrossSectSurf name="finished" side="right"><CrossSectPnt code="edge">3.5 4.9</CrossSectPnt><CrossSectPnt>5 4.8</CrossSectPnt></DesignCrossSectSurf></CrossSect></CrossSects>
           <Superelevation staStart="10"/><Feature name="x"><Property label="a" value="b"/></Feature>`,
        ),
      ),
    );
    expect(linearUnit).toBe('metre');
    expect(warnings).toEqual([]);
    expect(leftOut).toEqual([{ what: 'Superelevation of Alignment', layer: 'LandXML', count: 1 }]);
    const [one] = alignments;
    expect(one!.definition.equations).toEqual([
      { at: 40, ahead: 100, counts: 1 },
      { at: 60, ahead: 50, counts: -1 },
    ]);
    expect(one!.definition.elements[1]).toMatchObject({ kind: 'curve', rotation: 'ccw', centre: { e: -20, n: 50 } });
    expect(one!.profiles[0]).toMatchObject({
      name: 'design',
      points: [{ station: 0, z: 5 }, { rounding: { kind: 'parabola', length: 20 } }, { rounding: { lengthIn: 5 } }, {}],
    });
    expect(one!.crossSections).toEqual([
      {
        station: 10,
        lines: [
          {
            name: 'finished',
            points: [
              { offset: 3.5, z: 4.9, code: 'edge' },
              { offset: 5, z: 4.8, code: '' },
            ],
          },
        ],
      },
    ]);
  });

  it('is read in any legal form: prefix, byte order mark, comments, CRLF, CDATA, references that come later, UTF-16 and Latin', () => {
    const plain = file(
      `<!-- a road --><Alignments>
        <Alignment name="Quay &amp; Co" staStart=" 10 "><CoordGeom><Line><Start pntRef="A"/><End>\n 100\n 0 </End></Line></CoordGeom></Alignment>
        <Alignment name="Quay &amp; Co"><CoordGeom><Line><Start><![CDATA[0 0]]></Start><End>1e1 .5 7</End></Line></CoordGeom></Alignment>
      </Alignments><CgPoints><CgPoint name="A" pntRef="B"/><CgPoint name="B">5 6 7<!-- here --></CgPoint></CgPoints>`,
    );
    const expected = read(plain);
    expect(expected.alignments.map(({ name }) => name)).toEqual(['Quay & Co', 'Quay & Co (2)']);
    expect(expected.alignments[0]!.definition).toMatchObject({
      startStation: 10,
      elements: [{ start: { e: 6, n: 5 }, end: { e: 0, n: 100 } }],
    });
    expect(expected.alignments[1]!.definition.elements[0]).toMatchObject({ end: { e: 0.5, n: 10 } });
    const prefixed = plain.replace(/<(\/?)([A-Z])/g, '<$1land:$2').replace(/\n/g, '\r\n');
    expect(read(`\uFEFF${prefixed}`)).toEqual(expected);
    const utf16 = new Uint8Array(new Uint16Array([...`\uFEFF${plain}`].map((each) => each.charCodeAt(0))).buffer);
    expect(read(utf16)).toEqual(expected);
    const latin = Uint8Array.from(
      [
        ...file(alignment(LINE, '', 'name="Gr\u00fcnweg"')).replace(
          'version="1.0"',
          'version="1.0" encoding="ISO-8859-1"',
        ),
      ].map((each) => each.charCodeAt(0)),
    );
    expect(read(latin).alignments[0]!.name).toBe('Grünweg');
    expect(fault(Uint8Array.from([...bytes('<LandXML>'), 0xff, 0xfe, 0xff]))).toEqual({
      code: 'XML_ENCODING',
      encoding: 'utf-8',
    });
  });

  it('joins the places of an irregular line, and draws planar features with arcs and spirals', () => {
    const { alignments, paths } = read(
      file(
        `${alignment('<IrregularLine><Start>0 0</Start><End>30 0</End><PntList2D>0 0 10 0 20 5 30 0</PntList2D></IrregularLine>')}
        <PlanFeatures><PlanFeature name="kerb"><CoordGeom><Line><Start>0 0 1</Start><End>0 20 2</End></Line>
          <Spiral length="30" radiusStart="INF" radiusEnd="60" rot="cw" spiType="clothoid"><Start>0 20 2</Start><PI>0 40</PI><End>-2.49 49.83 3</End></Spiral></CoordGeom></PlanFeature></PlanFeatures>`,
      ),
    );
    expect(alignments[0]!.definition.elements).toHaveLength(3);
    expect(paths).toHaveLength(1);
    expect(paths[0]!.corners).toHaveLength(18);
    // Turning right the bulge is negative.
    expect(paths[0]!.corners[10]!.bulge).toBeLessThan(0);
    expect(paths[0]!.corners.at(-1)).toMatchObject({
      e: expect.closeTo(49.83, 9),
      n: expect.closeTo(-2.49, 9),
      z: 3,
      bulge: expect.closeTo(0, 12),
    });
  });

  it.each([
    ['', { code: 'XML_EMPTY' }],
    ['<Drawing/>', { code: 'XML_OTHER_ROOT', root: 'Drawing' }],
    [file(alignment(LINE)).slice(0, -30), { code: 'XML_BROKEN', line: 3 }],
    [`<LandXML>${'<A>'.repeat(150)}`, { code: 'XML_TOO_DEEP', line: 1, most: 100 }],
    [`<LandXML>${'</A>'.repeat(200_000)}`, { code: 'XML_BROKEN', line: 1 }],
    [file(alignment('<Line><Start>1 1</Start><End>1 1e300</End></Line>')), { code: 'XML_TOO_FAR', text: '1e300' }],
    [
      file(alignment('<Curve rot="cw"><Start>0 0</Start><Center>0 2147483648</Center><End>0 4294967296</End></Curve>')),
      { code: 'XML_ELEMENT', at: { element: 'Curve' }, fault: { code: 'ELEMENT_TOO_LONG' } },
    ],
    [
      '<!DOCTYPE LandXML [<!ENTITY a SYSTEM "file:///etc/passwd">]><LandXML>&a;</LandXML>',
      { code: 'XML_DOCTYPE', line: 1 },
    ],
    [file(alignment(LINE), ''), { code: 'XML_UNITS_MISSING' }],
    [
      file(alignment(LINE), '<Units><Metric linearUnit="furlong"/></Units>'),
      { code: 'XML_UNIT_UNKNOWN', text: 'furlong' },
    ],
    [file(alignment(LINE), '<Units><Imperial/></Units>'), { code: 'XML_UNIT_UNKNOWN', text: '' }],
    [
      file(alignment('<Line><Start>0 0x10</Start><End>1 1</End></Line>')),
      {
        code: 'XML_NOT_A_NUMBER',
        text: '0x10',
        at: { element: 'Start of Line', number: 1, owner: 'Alignment “Test”', line: 3 },
      },
    ],
    [file(alignment('<Line><Start>0 1e309</Start><End>1 1</End></Line>')), { code: 'XML_NOT_A_NUMBER', text: '1e309' }],
    [
      file(alignment('<Line><Start>0</Start><End>1 1</End></Line>')),
      { code: 'XML_NUMBER_COUNT', given: 1, wanted: '2 or 3' },
    ],
    [
      file(alignment(`${LINE}<Line><Start>100 0</Start></Line>`)),
      { code: 'XML_PART_MISSING', part: 'End', at: { element: 'Line', number: 2 } },
    ],
    [
      file(alignment('<Curve rot="cw"><Start>0 0</Start><End>1 1</End></Curve>')),
      { code: 'XML_PART_MISSING', part: 'Center' },
    ],
    [
      file(alignment('<Curve rot="left"><Start>0 0</Start><End>1 1</End></Curve>')),
      { code: 'XML_WORD_UNKNOWN', attribute: 'rot', text: 'left' },
    ],
    [file(alignment('<Line><Start pntRef="K9"/><End>1 1</End></Line>')), { code: 'XML_POINT_UNKNOWN', name: 'K9' }],
    [file('<CgPoints><CgPoint name="A" pntRef="A"/></CgPoints>'), { code: 'XML_POINT_UNKNOWN', name: 'A' }],
    [
      file(
        alignment(
          '<Spiral length="10" radiusStart="INF" radiusEnd="9" rot="cw" spiType="bloss"><Start>0 0</Start><End>9 1</End></Spiral>',
        ),
      ),
      { code: 'XML_SPIRAL_TYPE', type: 'bloss' },
    ],
    [
      file(
        alignment(
          '<Spiral length="10" radiusStart="INF" radiusEnd="INF" rot="cw" spiType="clothoid"><Start>0 0</Start><End>9 1</End></Spiral>',
        ),
      ),
      { code: 'XML_ELEMENT', fault: { code: 'SPIRAL_STRAIGHT_AT_BOTH_ENDS' } },
    ],
    [
      file(
        alignment(
          '<Spiral length="0" radiusStart="INF" radiusEnd="9" rot="cw" spiType="clothoid"><Start>0 0</Start><End>9 1</End></Spiral>',
        ),
      ),
      { code: 'XML_ELEMENT', fault: { code: 'ELEMENT_WITHOUT_LENGTH' } },
    ],
    [
      file(alignment(LINE, profile('<PVI>50 1</PVI><PVI>40 2</PVI>'))),
      { code: 'XML_PROFILE', fault: { code: 'PROFILE_NOT_RISING', station: 40, before: 50 } },
    ],
    [
      file(alignment(LINE, profile('<PVI>0 1</PVI><ParaCurve>40 2</ParaCurve><PVI>90 1</PVI>'))),
      { code: 'XML_PART_MISSING', part: 'length' },
    ],
    [
      file(alignment(LINE, '<StaEquation staInternal="10" staAhead="5"/><StaEquation staInternal="10" staAhead="9"/>')),
      { code: 'XML_ALIGNMENT', fault: { code: 'EQUATIONS_AT_ONE_PLACE', at: 10 } },
    ],
    [file(alignment(LINE, '<StaEquation staInternal="10"/>')), { code: 'XML_PART_MISSING', part: 'staAhead' }],
    [
      file(surface(`${CORNERS}<P id="2">5 5 5</P>`, '<F>1 2 3</F>')),
      { code: 'XML_CORNER_TWICE', id: '2', at: { element: 'P', number: 4, owner: 'Surface “Ground”' } },
    ],
    [
      file(surface(CORNERS, '<F>1 2 3</F><F i="1">1 2 9</F>')),
      { code: 'XML_CORNER_UNKNOWN', id: '9', at: { element: 'F', number: 2 } },
    ],
    [file(surface('<P id="1">0 0</P>', '')), { code: 'XML_NUMBER_COUNT', wanted: '3' }],
  ])('refuses what it can not rely on, with the element and the line: %s', (text, error) => {
    expect(fault(text)).toMatchObject(error);
  });

  it('asks about gaps, radii, spirals and equations that do not fit, in metres whatever the unit', () => {
    const feet = '<Units><Imperial linearUnit="foot"/></Units>';
    const { warnings } = read(
      file(
        alignment(
          `${LINE}<Line><Start>100.02 0</Start><End>150 0</End></Line>
          <Curve rot="cw" radius="20.1"><Start>150 0</Start><Center>150 20</Center><End>170 20</End></Curve>`,
          '<StaEquation staInternal="50" staBack="49" staAhead="80"/>',
        ),
        feet,
      ),
    );
    expect(warnings).toMatchObject([
      { code: 'XML_RADIUS_OFF', size: expect.closeTo(0.1 * 0.3048, 9) },
      { code: 'XML_GAP', size: expect.closeTo(0.02 * 0.3048, 9), at: { element: 'Line', number: 2 } },
      { code: 'XML_EQUATION_BACK', size: expect.closeTo(0.3048, 9) },
    ]);
  });

  it('never expands an entity, however often it is named', () => {
    const laughs = `<!DOCTYPE LandXML [<!ENTITY a "ha">${Array.from({ length: 30 }, (_, i) => `<!ENTITY a${i} "${'&a;'.repeat(50)}">`).join('')}]><LandXML>&a29;</LandXML>`;
    expect(fault(laughs)).toMatchObject({ code: 'XML_DOCTYPE' });
    expect(fault(file(alignment('<Line><Start>&start;</Start><End>1 1</End></Line>')))).toMatchObject({
      code: 'XML_BROKEN',
    });
  });

  it('lies on the site as it is placed: in metres, turned, shifted and scaled, with its stations', () => {
    const [one] = read(
      file(
        alignment(
          `<Line><Start>0 0</Start><End>100 0</End></Line><Curve rot="cw"><Start>100 0</Start><Center>100 50</Center><End>150 50</End></Curve>
           <Spiral length="40" radiusStart="50" radiusEnd="INF" rot="cw" spiType="clothoid"><Start>150 50</Start><PI>150 63.4</PI><End>144.719 89.368</End></Spiral>`,
          `<StaEquation staInternal="1100" staAhead="2000"/>${profile('<PVI>1000 10</PVI><CircCurve radius="500">1060 11</CircCurve><PVI>1150 10</PVI>')}`,
          'name="Test" staStart="1000"',
        ),
        '<Units><Imperial linearUnit="foot"/></Units>',
      ),
    ).alignments;
    const turn = { scale: 1.001, rotation: 0.3, shift: { e: 500, n: 700 } };
    const placed = placedAlignment(
      one!,
      ({ e, n }) => transformed(turn, { e: e * 0.3048, n: n * 0.3048 }),
      0.3048,
      turn.scale,
    );
    const [inFeet, onSite] = [alignmentOf(one!.definition), alignmentOf(placed.definition)];
    if (!inFeet.ok || !onSite.ok) throw new Error('not made');
    for (const share of [0, 0.3, 0.7, 0.95, 1]) {
      const from = placeAlong(inFeet.value, 1000 + share * inFeet.value.length)!;
      const to = placeAlong(onSite.value, onSite.value.startStation + share * onSite.value.length)!;
      expect(planDistance(transformed(turn, { e: from.e * 0.3048, n: from.n * 0.3048 }), to)).toBeLessThan(1e-6);
    }
    expect(placed.definition.startStation).toBeCloseTo(304.8, 9);
    expect(placed.definition.equations[0]).toEqual({
      at: expect.closeTo(304.8 + 30.48 * 1.001, 9),
      ahead: expect.closeTo(609.6, 9),
      counts: 1,
    });
    expect(placed.profiles[0]!.points[1]).toEqual({
      station: expect.closeTo(304.8 + 60 * 0.3048 * 1.001, 9),
      z: expect.closeTo(11 * 0.3048, 9),
      rounding: { kind: 'circular', radius: expect.closeTo(500 * 0.3048 * 1.001, 9) },
    });
  });
});
