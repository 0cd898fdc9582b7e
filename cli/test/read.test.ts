/** Files in open formats as other programs write them, and what is read of each: by the command, and in words. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { isFileUnit } from '@idle-marker/formats';
import { controlResult, drawingResult } from '../src/readResult.ts';

const FOLDER = `${import.meta.dirname}/reference/files/`;

interface ReadCase {
  readonly id: string;
  readonly kind: 'drawing' | 'control';
  readonly title: string;
  readonly input: {
    readonly file: string;
    readonly unit?: string;
    readonly order?: 'EN' | 'NE';
    readonly columns?: string[];
    readonly decimal?: '.' | ',';
  };
  readonly expected?: Readonly<Record<string, unknown>>;
  readonly expectError?: string;
}

/** A file without a header states no unit: the case that says it does is left aside in that. */
const UNIT_NOT_STATED: ReadonlySet<string> = new Set(['open-dxf-no-code-page']);

const cases = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.json'))
  .map((file) => JSON.parse(readFileSync(FOLDER + file, 'utf8')) as ReadCase);

const outcomeOf = ({ kind, input: { file, unit, order, columns, decimal } }: ReadCase) =>
  (kind === 'control' ? controlResult : drawingResult)(readFileSync(FOLDER + file), {
    unit: unit !== undefined && isFileUnit(unit) ? unit : null,
    order: order ?? null,
    columns: columns ?? null,
    decimal: decimal ?? null,
  });

/** Lengths and places to a millimetre, areas to a hundredth of a square metre; of curves the corners are not counted. */
function differences(expected: unknown, got: unknown, path = ''): string[] {
  if (Array.isArray(expected)) {
    if (!Array.isArray(got) || got.length !== expected.length) return [`${path}: another length`];
    return expected.flatMap((each, i) => differences(each, (got as unknown[])[i], `${path}[${i}]`));
  }
  if (expected !== null && typeof expected === 'object')
    return Object.entries(expected).flatMap(([key, each]) =>
      differences(each, (got as Record<string, unknown> | null)?.[key], `${path}.${key}`),
    );
  if (typeof expected === 'number' && typeof got === 'number') {
    const allowed = path.endsWith('areaPlan') ? 0.01 : 0.001;
    return Math.abs(expected - got) <= allowed ? [] : [`${path}: ${got} for ${expected}`];
  }
  return expected === got ? [] : [`${path}: ${JSON.stringify(got)} for ${JSON.stringify(expected)}`];
}

describe('files of other programs', () => {
  it.each(cases.map((each) => [each.id, each.title, each] as const))('%s: %s', (id, _title, asked) => {
    const outcome = outcomeOf(asked);
    if (asked.expectError !== undefined) {
      expect(outcome).toMatchObject({ ok: false, error: { code: asked.expectError } });
      return;
    }
    if (!outcome.ok) throw new Error(outcome.error.message);
    expect(
      differences(asked.expected, outcome.result).filter(
        (each) => !(UNIT_NOT_STATED.has(id) && each.startsWith('.unit.stated')),
      ),
    ).toEqual([]);
  });
});
