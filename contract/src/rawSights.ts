import { msg } from '@idle-marker/words';
/**
 * Raw sights of one set-up as JSON lines: what was read, to what, with which control and which instrument, by names
 * that hold on any site, and the station that came of it. The file is complete: whoever reads it can compute the
 * station again.
 */
import type { Static } from './schema.ts';
import { ControlBody } from './facts/bodies/control.ts';
import { OccupationBody, SightBody, SolutionBody, type SolutionResult } from './facts/bodies/station.ts';
import { AngleUnitName, closed, Instant, LengthUnitName, Name, Type, Words } from './facts/parts.ts';
import { invalidAgainst } from './validation.ts';

export const RAW_SIGHTS_FORMAT = 'idle-marker raw sights';
export const RAW_SIGHTS_VERSION = 1;

const SdMm = Type.Number({ minimum: 0, maximum: 10_000 });
const { e, n, z, sdHMm, sdZMm, kind, usePlan, useHeight } = ControlBody.properties;
const {
  over: _over,
  instrumentItem: _item,
  confirmed: _confirmed,
  checklist: _checklist,
  ...setup
} = OccupationBody.properties;
const { occupation: _occupation, target: _target, carried: _carried, ...sight } = SightBody.properties;

const Header = closed({
  format: Type.Literal(RAW_SIGHTS_FORMAT),
  version: Type.Integer({ minimum: 1 }),
  site: Name,
  lengthUnit: LengthUnitName,
  angleUnit: AngleUnitName,
  combinedScaleFactor: Type.Number({ minimum: 0.9, maximum: 1.1 }),
});
const Control = closed({ name: Name, e, n, z, sdHMm, sdZMm, kind, usePlan, useHeight });
const Setup = closed({
  ...setup,
  at: Instant,
  by: Name,
  /** The mark that the instrument stands over. */
  over: Type.Unsafe<{ name: string; centringSdMm: number } | null>({
    anyOf: [{ type: 'null' }, closed({ name: Name, centringSdMm: SdMm })],
  }),
});
const Sight = closed({
  ...sight,
  at: Instant,
  by: Name,
  /** A control mark by its name, or anything else by what it is called. */
  target: closed({ kind: Words('control', 'other'), name: Name }),
  /** What it was used for in the station below; null for none. */
  used: Type.Unsafe<{ plan: boolean; height: boolean; direction?: boolean; distance?: boolean } | null>({
    anyOf: [
      { type: 'null' },
      closed({
        plan: Type.Boolean(),
        height: Type.Boolean(),
        direction: Type.Optional(Type.Boolean()),
        distance: Type.Optional(Type.Boolean()),
      }),
    ],
  }),
});
const Station = closed({
  name: Name,
  at: Instant,
  method: SolutionBody.properties.method,
  class: SolutionBody.properties.class,
  verdict: Words('accepted', 'provisional', 'refused'),
  reason: Type.String({ maxLength: 2000 }),
  coreVersion: Type.String({ maxLength: 40 }),
  heightFrom: SolutionBody.properties.heightFrom,
  result: Type.Unsafe<SolutionResult>({ type: 'object' }),
});

/** One line each, by the one key that it has. */
export const RAW_LINES = { header: Header, control: Control, setup: Setup, sight: Sight, station: Station } as const;
export type RawKind = keyof typeof RAW_LINES;
export type RawHeader = Static<typeof Header>;
export type RawControl = Static<typeof Control>;
export type RawSetup = Static<typeof Setup>;
export type RawSight = Static<typeof Sight>;
export type RawStation = Static<typeof Station>;

export interface RawSights {
  readonly header: RawHeader;
  readonly control: readonly RawControl[];
  readonly setup: RawSetup;
  readonly sights: readonly RawSight[];
  /** The last station that was decided on; null while none was. */
  readonly station: RawStation | null;
}

export type RawSightsFault =
  | { readonly code: 'RAW_NOT_JSON'; readonly line: number }
  | { readonly code: 'RAW_NOT_RAW' }
  | { readonly code: 'RAW_TOO_LONG'; readonly lines: number; readonly most: number }
  | { readonly code: 'RAW_LATER_VERSION'; readonly version: number }
  | { readonly code: 'RAW_BAD_LINE'; readonly line: number; readonly field: string; readonly message: string }
  | { readonly code: 'RAW_TWICE'; readonly line: number; readonly what: 'header' | 'setup' | 'station' }
  | { readonly code: 'RAW_NO_SETUP' }
  | { readonly code: 'RAW_UNKNOWN_CONTROL'; readonly line: number; readonly name: string };

export const rawSightsText = ({ header, control, setup: placing, sights, station }: RawSights): string =>
  [
    { header },
    ...control.map((each) => ({ control: each })),
    { setup: placing },
    ...sights.map((each) => ({ sight: each })),
    ...(station ? [{ station }] : []),
  ]
    .map((line) => `${JSON.stringify(line)}\n`)
    .join('');

/** More than this in one placing of an instrument is something else. */
const MOST_LINES = 50_000;

export function readRawSights(
  text: string,
): { readonly ok: true; readonly value: RawSights } | { readonly ok: false; readonly error: RawSightsFault } {
  const fail = (error: RawSightsFault) => ({ ok: false as const, error });
  const [headers, control, setups, sights, stations]: [
    RawHeader[],
    RawControl[],
    RawSetup[],
    RawSight[],
    RawStation[],
  ] = [[], [], [], [], []];
  const into: Readonly<Record<RawKind, unknown[]>> = {
    header: headers,
    control,
    setup: setups,
    sight: sights,
    station: stations,
  };
  const lineOf = new Map<RawSight, number>();
  const lines = text.split(/\r?\n/);
  if (lines.length > MOST_LINES) return fail({ code: 'RAW_TOO_LONG', lines: lines.length, most: MOST_LINES });
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue;
    let parsed: unknown;
    try {
      parsed = JSON.parse(line);
    } catch {
      return fail(headers.length === 0 ? { code: 'RAW_NOT_RAW' } : { code: 'RAW_NOT_JSON', line: i + 1 });
    }
    const [found, ...others] = typeof parsed === 'object' && parsed !== null ? Object.entries(parsed) : [];
    if (
      !found ||
      others.length > 0 ||
      !Object.hasOwn(RAW_LINES, found[0]) ||
      (headers.length === 0 && found[0] !== 'header')
    )
      return fail(
        headers.length === 0
          ? { code: 'RAW_NOT_RAW' }
          : {
              code: 'RAW_BAD_LINE',
              line: i + 1,
              field: found?.[0] ?? '',
              message: msg('validation.isNoHeaderControlSetupSightOr'),
            },
      );
    const [what, content] = found as [RawKind, unknown];
    const version = what === 'header' ? (content as { version?: unknown } | null)?.version : undefined;
    if (typeof version === 'number' && version > RAW_SIGHTS_VERSION)
      return fail({ code: 'RAW_LATER_VERSION', version });
    const invalid = invalidAgainst(RAW_LINES[what], content);
    if (invalid)
      return fail({ code: 'RAW_BAD_LINE', line: i + 1, field: `${what}${invalid.path}`, message: invalid.message });
    if ((what === 'header' || what === 'setup' || what === 'station') && into[what].length > 0)
      return fail({ code: 'RAW_TWICE', line: i + 1, what });
    into[what].push(content);
    if (what === 'sight') lineOf.set(content as RawSight, i + 1);
  }
  const [header] = headers;
  const [placing] = setups;
  if (!header) return fail({ code: 'RAW_NOT_RAW' });
  if (!placing) return fail({ code: 'RAW_NO_SETUP' });
  const names = new Set(control.map((each) => each.name));
  const stray = sights.find((each) => each.target.kind === 'control' && !names.has(each.target.name));
  if (stray) return fail({ code: 'RAW_UNKNOWN_CONTROL', line: lineOf.get(stray)!, name: stray.target.name });
  if (placing.over && !names.has(placing.over.name))
    return fail({ code: 'RAW_UNKNOWN_CONTROL', line: 0, name: placing.over.name });
  return { ok: true, value: { header, control, setup: placing, sights, station: stations[0] ?? null } };
}
