import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { compute } from '@idle-marker/contract';
import { designFilesIn } from '../src/designFiles.ts';

/** Every reference case with its own tolerances: a number, a matrix of tolerances, or none (then it must be equal). */
const folders = ['station', 'trust', 'geometry', 'checkable'].map(
  (kind) => `${import.meta.dirname}/reference/${kind}/`,
);

interface Case {
  readonly id: string;
  readonly kind: string;
  readonly title: string;
  readonly input: object;
  readonly expected?: object;
  readonly expectError?: string;
  readonly tolerance?: Readonly<Record<string, number | number[][]>>;
}

const cases = folders.flatMap((folder) =>
  readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .map((file) => JSON.parse(readFileSync(folder + file, 'utf8')) as Case),
);

/** A tolerance by the path of a figure, by its name, or by what kind of figure it is. */
function toleranceOf(tolerance: Case['tolerance'], path: string): number | number[][] {
  const name = path.split('.').at(-1)!;
  const kinds = [
    path,
    name,
    /^[en]$/.test(name) && 'coordinate',
    /azimuth/i.test(name) && 'azimuthDeg',
    /Deg$/.test(name) && 'angle',
    /^shift/.test(name) && 'shift',
    /(^z|Z)$/.test(name) && 'z',
    /cutFill/.test(name) && 'z',
    /percent$/i.test(name) && 'gradePercent',
    /station/i.test(name) && 'station',
    /chainage/i.test(name) && 'chainage',
    /offset/i.test(name) && 'offset',
  ];
  for (const kind of [
    ...kinds,
    path.startsWith('transformations.residuals') && 'residual',
    path.endsWith('Difference') && 'z',
    'distance',
    'coordinate',
  ])
    if (kind && tolerance?.[kind] !== undefined) return tolerance[kind];
  return 0;
}

/** Where two values differ by more than their tolerance. */
function differences(
  expected: unknown,
  got: unknown,
  tolerance: Case['tolerance'],
  path: string,
  cell: readonly number[] = [],
  /** The path with the indices of lists. */
  exact: string = path,
): string[] {
  if (Array.isArray(expected)) {
    if (!Array.isArray(got) || got.length !== expected.length) return [`${path}: another length`];
    const isMatrix = Array.isArray(tolerance?.[path]);
    return expected.flatMap((each, i) =>
      differences(each, (got as unknown[])[i], tolerance, path, isMatrix ? [...cell, i] : [], `${exact}[${i}]`),
    );
  }
  if (expected !== null && typeof expected === 'object') {
    return Object.entries(expected).flatMap(([key, each]) =>
      differences(
        each,
        (got as Record<string, unknown> | null)?.[key],
        tolerance,
        path === '' ? key : `${path}.${key}`,
        [],
        exact === '' ? key : `${exact}.${key}`,
      ),
    );
  }
  if (typeof expected !== 'number')
    return Object.is(expected, got) ? [] : [`${path}: ${String(got)} in place of ${String(expected)}`];
  const allowed = tolerance?.[exact] ?? toleranceOf(tolerance, path);
  const limit = Array.isArray(allowed) ? allowed[cell[0]!]![cell[1]!]! : allowed;
  let off = Math.abs(expected - Number(got));
  if (path.endsWith('azimuthDeg')) off = Math.min(off, Math.abs(off - 180), Math.abs(off - 360));
  else if (path.endsWith('Deg')) off = Math.min(off, Math.abs(off - 360));
  return off <= limit * (1 + 1e-9) ? [] : [`${path}: ${String(got)} in place of ${expected}, allowed ${limit}`];
}

describe('reference cases of stationing, of trust, and of lines, grids and alignments', () => {
  it('are all here', () => {
    expect(cases.length).toBeGreaterThanOrEqual(67);
  });

  it.each(cases.filter(({ kind }) => kind !== 'malformed').map((each) => [each.id, each] as const))(
    '%s',
    (_id, each) => {
      const outcome = compute(each, designFilesIn(folders[2]!));
      expect(outcome.id).toBe(each.id);
      if (each.expectError !== undefined) {
        expect(outcome).toMatchObject({ ok: false, error: { code: each.expectError } });
        return;
      }
      if (!outcome.ok) throw new Error(outcome.error.message);
      expect(differences(each.expected, outcome.result, each.tolerance, '')).toEqual([]);
    },
  );
});

interface Outcome {
  readonly file: string;
  readonly outcome: string;
  readonly message: string;
  readonly mentionsAnyOf: readonly string[];
  readonly value?: number;
}

describe('design files that are bad', () => {
  const malformed = cases.filter(({ kind }) => kind === 'malformed');
  const expected = malformed.flatMap((each) => (each.expected as { outcomes: Outcome[] }).outcomes);

  it.each(expected.map((each) => [each.file, each] as const))(
    '%s is judged and put in words',
    (file, { outcome, mentionsAnyOf, value }) => {
      const computed = compute({ id: 'a', kind: 'malformed', input: { files: [file] } }, designFilesIn(folders[2]!));
      if (!computed.ok) throw new Error(computed.error.message);
      const [got] = (computed.result as { outcomes: Outcome[] }).outcomes;
      expect(got!.outcome).toBe(outcome);
      if (mentionsAnyOf.length > 0)
        expect(mentionsAnyOf.some((word) => new RegExp(`\\b${word}\\b`, 'i').test(got!.message))).toBe(true);
      if (value !== undefined)
        expect(
          (got!.message.match(/\d+\.\d+/g) ?? []).some((figure) => Math.abs(Number(figure) - value) < 0.0005),
        ).toBe(true);
    },
  );

  it('are asked for where a case names none, or one that is not beside it', () => {
    const surface = cases.find(({ kind }) => kind === 'surface')!;
    const open = designFilesIn(folders[2]!);
    const fault = (file: string | undefined, alone = false) => {
      const outcome = compute({ ...surface, file }, alone ? undefined : open);
      return outcome.ok ? null : outcome.error;
    };
    expect(fault(undefined)).toMatchObject({ code: 'FILE_MISSING', path: '/file' });
    expect(fault('../geometry/meadow-basin.xml')).toMatchObject({ code: 'FILE_UNREADABLE', path: '/file' });
    expect(fault('nowhere.xml')?.message).toBe('nowhere.xml: there is no such file beside the case');
    expect(fault('meadow-basin.xml', true)?.code).toBe('FILE_UNREADABLE');
    expect(compute({ ...surface, input: { ...surface.input, surfaceName: 'Elsewhere' } }, open)).toMatchObject({
      error: { path: '/input/surfaceName', message: 'The file has no surface “Elsewhere”: it has Meadow Basin.' },
    });
  });
});

describe('what the command line says of bad input', () => {
  const good = cases.find((each) => each.id === 'resection-04-six-points')!;
  const changed = (path: string, value: unknown, from: Case = good): object => {
    const copy = structuredClone(from) as unknown as Record<string, unknown>;
    const parts = path.split('/').slice(1);
    let at = copy;
    for (const part of parts.slice(0, -1)) at = at[part] as Record<string, unknown>;
    if (value === undefined) delete at[parts.at(-1)!];
    else at[parts.at(-1)!] = value;
    return copy;
  };

  it.each([
    ['/input/observations/2/circleDeg', 'NaN', 'INVALID_NUMBER'],
    ['/input/observations/2/zenithDeg', 'Infinity', 'INVALID_NUMBER'],
    ['/input/points/0/e', '-Infinity', 'INVALID_NUMBER'],
    ['/input/instrument/angleSdSec', undefined, 'INVALID_NUMBER'],
    ['/input/observations/1/slope', 0, 'INVALID_SLOPE'],
    ['/input/observations/1/zenithDeg', 180, 'INVALID_ZENITH'],
    ['/input/observations/1/point', 'nowhere', 'MISSING_COORDINATES'],
    ['/input/points/1/name', 'K1', 'DUPLICATE_NAME'],
    ['/input/observations', 'none', 'INVALID_INPUT'],
    ['/input/observations/0/face', 3, 'INVALID_INPUT'],
    ['/input/observations/0/useH', 'yes', 'INVALID_INPUT'],
    ['/input/instrument/angleSdSec', -1, 'INVALID_INPUT'],
    ['/input/reduction/combinedScaleFactor', 0, 'INVALID_INPUT'],
    ['/kind', 'levelling', 'UNKNOWN_KIND'],
  ])('%s = %s gives %s there', (path, value, code) => {
    expect(compute(changed(path, value))).toMatchObject({ id: good.id, ok: false, error: { code, path } });
  });

  it('reports a bad number before anything else that is wrong', () => {
    const copy = changed('/input/observations/0/slope', -1) as typeof good;
    (copy.input as { observations: { circleDeg: unknown }[] }).observations[3]!.circleDeg = 'NaN';
    expect(compute(copy)).toMatchObject({ error: { code: 'INVALID_NUMBER', path: '/input/observations/3/circleDeg' } });
  });

  it.each([
    [
      'grid-1',
      '/input/numbers/spacings/1',
      0,
      'GRID_SPACING_NOT_POSITIVE',
      'Spacing 2 of the numbered lines is 0.000 m: it must be over 0.',
    ],
    ['grid-1', '/input/letters/labels/2', 'A', 'GRID_LABEL_TWICE', null],
    ['grid-1', '/input/measured/0/line', 'Q', 'UNKNOWN_GRID_LINE', 'The grid has no line Q: take one of its labels.'],
    ['reference-line-1', '/input/lines/1/to', { e: 250, n: 100, z: 1 }, 'LINE_WITHOUT_LENGTH', null],
    ['intersections-1', '/input/queries/5/circle/radius', -1, 'INVALID_INPUT', null],
    ['units-1', '/input/items/0/denominator', 0, 'INVALID_INPUT', null],
  ])('of %s with %s = %j gives a code, the place and a sentence', (id, path, value, code, message) => {
    const outcome = compute(
      changed(
        path,
        value,
        cases.find((each) => each.id === id),
      ),
    );
    expect(outcome).toMatchObject({ id, ok: false, error: { code, ...(message === null ? {} : { message }) } });
    if (!outcome.ok && !['GRID_LABEL_TWICE'].includes(code)) expect(outcome.error.path).toBe(path);
  });

  it('knows no kind of an object’s own making', () => {
    expect(compute({ id: 'a', kind: 'constructor', input: {} })).toMatchObject({ error: { code: 'UNKNOWN_KIND' } });
    expect(compute(null)).toMatchObject({ id: null, ok: false, error: { code: 'INVALID_INPUT' } });
  });
});
