import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { pino } from 'pino';
import request from 'supertest';
import type { AnyFact } from '@idle-marker/contract';
import { asBuiltReport, siteState } from '@idle-marker/records';
import { faceWords, patternWords } from '@idle-marker/words';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { id, startHarness, type Harness } from './harness.ts';

const DEMO = `${import.meta.dirname}/../../demo/ternhaven`;
const NOW = '2031-05-06T12:00:00.000Z';
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';

let harness: Harness;
let facts: AnyFact[];
beforeAll(async () => {
  harness = await startHarness('as_built');
  await loadDemo(harness.orm, DEMO, NOW, pino({ level: 'silent' }));
  facts = (await request(harness.app).get(`/api/v1/sites/${SITE}/facts?after=0`).expect(200)).body.facts as AnyFact[];
});
afterAll(() => harness.stop());

const member = () => facts.find((fact) => fact.type === 'member')!.id;
const ask = (what: string, query: object = {}) =>
  request(harness.app)
    .get(`/api/v1/sites/${SITE}/${what}`)
    .query({ at: NOW, by: member(), timeZone: 'UTC', ...query });

describe('what stands there', () => {
  it('is a table for the office, differences from the design with it', async () => {
    const answer = await ask('as-built.csv').expect(200);
    expect(answer.headers['content-disposition']).toContain('as-built.csv');
    const lines = answer.text.trim().split('\r\n');
    expect(lines[1]).toMatch(/^# Coordinates: Ternhaven site grid/);
    const rows = lines.filter((line) => !/^\uFEFF?# /.test(line));
    expect(rows[0]).toMatch(/^.?Name,Code,East \(m\),North \(m\),Elevation \(m\),Compare with,dE \(m\)/);
    expect((await ask('as-built.csv', { head: 'no' }).expect(200)).text.replace('\uFEFF', '').trim()).toBe(
      rows.join('\r\n').replace('\uFEFF', ''),
    );
    const bolts = rows.filter((row) => row.startsWith('GB.'));
    expect(bolts).toHaveLength(8);
    // The bolt that is bent is out of its class, and no other.
    expect(bolts.filter((row) => row.includes(',no,')).map((row) => row.slice(0, 4))).toEqual(['GB.6']);
    expect(rows.filter((row) => row.startsWith('A-'))).toHaveLength(12);
  });

  it('is a report that says which bolt is bent and which columns are twisted, off and leaning', async () => {
    const answer = await ask('as-built.pdf')
      .expect(200)
      .expect('Content-Type', /application\/pdf/);
    expect((answer.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    const report = asBuiltReport(siteState(facts), NOW, member());
    const { groups, columns, columnTolerance, lengthUnit, angleUnit, rows, stations } = report;
    expect(rows).toHaveLength(20);
    expect(stations).toMatchObject([{ name: 'S3', evidence: { className: expect.any(String), failed: [] } }]);
    const [group] = groups;
    expect(patternWords(group!.fit!, 8, group!.tolerance, report)).toMatchObject({
      tone: 'brick',
      title: expect.stringMatching(/^GB\.6 is out of the pattern by \d mm$/),
    });
    const titles = columns.map(
      ({ face, line, crossing, crossingAlong }) =>
        faceWords(face!, {
          line: line.label,
          azimuth: line.azimuth,
          crossing: crossing.label,
          crossingAlong,
          tolerance: columnTolerance,
          unit: lengthUnit,
          angleUnit,
        }).title,
    );
    expect(titles).toEqual([
      'Column A-1 is in tolerance',
      'Column A-2 is in tolerance',
      'Column A-3: twisted',
      'Column A-4: off line',
      'Column A-5: leaning',
    ]);
  });

  it('is asked for with whom and when, of a site that is there', async () => {
    await ask('as-built.csv', { timeZone: 'Nowhere/At' }).expect(422);
    await ask('as-built.csv', { at: 'today' }).expect(422);
    await request(harness.app)
      .get(`/api/v1/sites/${id()}/as-built.csv`)
      .query({ at: NOW, by: member(), timeZone: 'UTC' })
      .expect(404);
  });
});

describe('notes and drawings that were laid over pins', () => {
  it('stand in the report', async () => {
    const built = facts.find((fact): fact is Extract<AnyFact, { type: 'asBuilt' }> => fact.type === 'asBuilt')!;
    const drawing = facts.find((fact): fact is Extract<AnyFact, { type: 'drawing' }> => fact.type === 'drawing')!;
    const placing = {
      scale: 1.00002,
      rotationDeg: 0,
      shiftE: 0,
      shiftN: 0,
      pairs: 2,
      misfitMm: 4,
      misfits: [
        { name: 'pin 1', dEMm: 4, dNMm: 0 },
        { name: 'pin 2', dEMm: -4, dNMm: 0 },
      ],
    };
    const put = async (type: string, body: object, seq: number) => {
      const fact = { id: id(), type, by: member(), device: id(), seq, at: NOW, body };
      await request(harness.app).put(`/api/v1/sites/${SITE}/facts/${fact.id}`).send(fact).expect(201);
    };
    await put('asBuilt', { ...built.body, note: 'fence 0.30 behind', supersedes: built.id }, 1);
    await put('drawing', { ...drawing.body, placing, supersedes: drawing.id }, 1);
    const csv = await ask('as-built.csv').expect(200);
    expect(csv.text).toContain('fence 0.30 behind');
    const after = (await request(harness.app).get(`/api/v1/sites/${SITE}/facts?after=0`).expect(200)).body
      .facts as AnyFact[];
    expect(asBuiltReport(siteState(after), NOW, member()).laid).toEqual([
      { drawing: drawing.body.name, scale: 1.00002, misfits: placing.misfits },
    ]);
    expect(((await ask('as-built.pdf').expect(200)).body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });
});

describe('the file of a design', () => {
  const DXF = Buffer.from('0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nA\n10\n0\n20\n0\n11\n1\n21\n0\n0\nENDSEC\n0\nEOF\n');
  const send = (file: string, bytes: Buffer, at = SITE) =>
    request(harness.app)
      .put(`/api/v1/sites/${at}/sources/${file}`)
      .set('Content-Type', 'application/octet-stream')
      .send(bytes);

  it('is kept whole, once, and given back to be saved', async () => {
    const file = id();
    expect((await send(file, DXF).expect(201)).body).toMatchObject({ id: file, bytes: DXF.length });
    await send(file, DXF).expect(200);
    expect((await send(file, Buffer.concat([DXF, DXF])).expect(409)).body).toMatchObject({ code: 'CONFLICT' });
    const answer = await request(harness.app)
      .get(`/api/v1/sites/${SITE}/sources/${file}`)
      .responseType('blob')
      .expect(200);
    expect(answer.headers['content-disposition']).toBe('attachment');
    expect(Buffer.compare(answer.body as Buffer, DXF)).toBe(0);
  });

  it('is refused empty, in a form that can not be read, and for a site that is not there', async () => {
    expect((await send(id(), Buffer.alloc(0)).expect(422)).body).toMatchObject({ code: 'INVALID_FILE' });
    const packed = (await send(id(), Buffer.from('AC1032\0\0')).expect(415)).body as { detail: string };
    expect(packed.detail).toMatch(/save it as text \(ASCII\) DXF.*Nothing was saved/);
    expect((await send(id(), DXF, id()).expect(409)).body).toMatchObject({ code: 'MISSING_REFERENCE' });
    await request(harness.app).get(`/api/v1/sites/${SITE}/sources/${id()}`).expect(404);
  });

  it('of the demo is there as it is shipped', async () => {
    const drawing = facts.find((fact) => fact.type === 'drawing');
    if (drawing?.type !== 'drawing') throw new Error('no drawing');
    const answer = await request(harness.app)
      .get(`/api/v1/sites/${SITE}/sources/${drawing.body.file}`)
      .responseType('blob')
      .expect(200);
    expect((answer.body as Buffer).length).toBe(drawing.body.bytes);
  });
});
