/**
 * Which stations of a line are marked: round ones at an interval, closer on curves, and every point where something
 * changes. Sources: W. Schofield, M. Breach, Engineering Surveying, chapter 10 (setting out by chords); the height of a
 * chord over its arc is chord² / 8R.
 */
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import { equationJumps, junctionName, type Alignment, type AlignmentElement, type JunctionName } from './alignment.ts';
import { displayedStation, type DisplayedStation } from './equations.ts';
import { profileExtremes, type Profile } from './profile.ts';
import type { Template } from './strings.ts';

export interface StationListRule {
  /** Without equations; null for the ends of the line. */
  readonly from: Metres | null;
  readonly to: Metres | null;
  /** Of the stations shown, counted from round ones; null for special points alone. */
  readonly interval: Metres | null;
  /** On curves and spirals whose smallest radius is no larger than `upTo`, in the place of the other one. */
  readonly byRadius: readonly { readonly upTo: Metres; readonly interval: Metres }[];
  /**
   * Every curve and every spiral in equal parts, in the place of round stations: this many, or none wider than a chord
   * or than an arc over its chord allows.
   */
  readonly equalParts: { readonly parts: number } | { readonly chord: Metres } | { readonly rise: Metres } | null;
  readonly special: boolean;
  /** Further ones, without equations. */
  readonly extra: readonly Metres[];
  readonly direction: 'up' | 'down';
}
/** Why a station is in the list. */
export type StationReason =
  | { readonly kind: 'interval' }
  | { readonly kind: 'start' }
  | { readonly kind: 'end' }
  | { readonly kind: 'junction'; readonly name: JunctionName }
  | { readonly kind: 'verticalBegin' }
  | { readonly kind: 'verticalEnd' }
  | { readonly kind: 'gradeBreak' }
  | { readonly kind: 'high' }
  | { readonly kind: 'low' }
  | { readonly kind: 'equation'; readonly back: Metres }
  | { readonly kind: 'stringChange'; readonly string: string }
  /** Part `part` of `parts` of a curve or spiral. */
  | { readonly kind: 'part'; readonly part: number; readonly parts: number }
  | { readonly kind: 'extra' };
export interface ListedStation extends DisplayedStation {
  readonly station: Metres;
  readonly because: readonly StationReason[];
}
export type StationListError =
  | { readonly code: 'INTERVAL_NOT_POSITIVE'; readonly interval: Metres }
  | { readonly code: 'TOO_MANY_STATIONS'; readonly stations: number }
  | { readonly code: 'NOTHING_BETWEEN'; readonly from: Metres; readonly to: Metres };

/**
 * A round station, or a part, this near to a place where something changes, or to one that was asked for, is left out: a
 * tenth of the interval, and never more than this.
 */
const BESIDE: Metres = 0.5;
/** Two that lie nearer are marked once. */
const SAME: Metres = 0.005;
const MOST: number = 100_000;

/**
 * @param strings names of the strings whose bends and steps count; all of the template when null
 */
export function stationList(
  alignment: Alignment,
  profile: Profile | null,
  template: Template | null,
  strings: readonly string[] | null,
  rule: StationListRule,
): Result<ListedStation[], StationListError> {
  const from = Math.max(rule.from ?? -Infinity, alignment.startStation);
  const to = Math.min(rule.to ?? Infinity, alignment.endStation);
  if (!(from <= to)) return fail({ code: 'NOTHING_BETWEEN', from: rule.from ?? from, to: rule.to ?? to });
  const intervals = [
    ...(rule.interval === null ? [] : [rule.interval]),
    ...rule.byRadius.map(({ interval }) => interval),
  ];
  if (rule.equalParts && 'chord' in rule.equalParts) intervals.push(rule.equalParts.chord);
  if (rule.equalParts && 'rise' in rule.equalParts) intervals.push(rule.equalParts.rise);
  const bad = intervals.find((interval) => !(interval > 0));
  if (bad !== undefined) return fail({ code: 'INTERVAL_NOT_POSITIVE', interval: bad });
  const least = Math.min(...intervals.filter((_, i) => i < (rule.interval === null ? 0 : 1) + rule.byRadius.length));
  if ((to - from) / least > MOST) return fail({ code: 'TOO_MANY_STATIONS', stations: Math.ceil((to - from) / least) });
  const found: Found[] = [];
  const add = (station: Metres, because: StationReason) => {
    if (station >= from - 1e-9 && station <= to + 1e-9) found.push({ station, because });
  };
  for (const element of alignment.elements) {
    const parted = rule.equalParts !== null && element.kind !== 'line';
    const interval = parted ? null : intervalOn(element, rule);
    if (interval !== null)
      for (const station of roundStations(alignment, element, interval)) add(station, { kind: 'interval' });
    if (rule.equalParts && element.kind !== 'line') {
      const parts = partsOf(element, rule.equalParts);
      if (parts > MOST) return fail({ code: 'TOO_MANY_STATIONS', stations: parts });
      for (let part = 1; part < parts; part++)
        add(element.startStation + (element.length * part) / parts, { kind: 'part', part, parts });
    }
  }
  if (rule.special)
    for (const [station, because] of specialStations(alignment, profile, template, strings)) add(station, because);
  for (const station of rule.extra) add(station, { kind: 'extra' });
  const beside = Math.min(BESIDE, Math.min(...intervals, Infinity) / 10);
  const list = merged(withoutBeside(found, beside)).map(({ station, because }): ListedStation => ({
    station,
    ...displayedStation(alignment, station),
    because,
  }));
  return ok(rule.direction === 'up' ? list : list.reverse());
}

function intervalOn(
  { kind, curvatureStart, curvatureEnd }: AlignmentElement,
  { interval, byRadius }: StationListRule,
): Metres | null {
  if (kind === 'line') return interval;
  const radius = 1 / Math.max(Math.abs(curvatureStart), Math.abs(curvatureEnd));
  const closer = [...byRadius].sort((a, b) => a.upTo - b.upTo).find(({ upTo }) => radius <= upTo);
  return closer ? closer.interval : interval;
}

/** Stations of an element that show whole multiples of the interval. */
function* roundStations(
  alignment: Alignment,
  { startStation, endStation }: AlignmentElement,
  interval: Metres,
): Generator<Metres> {
  const limits = [
    startStation,
    ...alignment.equations.map(({ at }) => at).filter((at) => at > startStation && at < endStation),
    endStation,
  ];
  for (let i = 0; i + 1 < limits.length; i++) {
    const [low, high] = [limits[i]!, limits[i + 1]!];
    const { displayed, region } = displayedStation(alignment, low);
    const counts = alignment.equations[region - 1]?.counts ?? 1;
    const shownEnd = displayed + counts * (high - low);
    const first = Math.ceil((Math.min(displayed, shownEnd) - 1e-9) / interval);
    const last = Math.floor((Math.max(displayed, shownEnd) + 1e-9) / interval);
    for (let k = first; k <= last; k++) yield low + counts * (k * interval - displayed);
  }
}

function partsOf(
  { length, curvatureStart, curvatureEnd }: AlignmentElement,
  rule: NonNullable<StationListRule['equalParts']>,
): number {
  if ('parts' in rule) return Math.max(1, Math.floor(rule.parts));
  const radius = 1 / Math.max(Math.abs(curvatureStart), Math.abs(curvatureEnd));
  const chord = 'chord' in rule ? rule.chord : 2 * Math.sqrt(Math.max(0, 2 * radius * rule.rise - rule.rise ** 2));
  const arc = chord >= 2 * radius ? Math.PI * radius : 2 * radius * Math.asin(chord / (2 * radius));
  return Math.max(1, Math.ceil(length / arc - 1e-9));
}

/** Every station where something changes, with what. */
export function specialStations(
  alignment: Alignment,
  profile: Profile | null,
  template: Template | null,
  strings: readonly string[] | null,
): (readonly [Metres, StationReason])[] {
  const { elements, startStation, endStation } = alignment;
  const special: [Metres, StationReason][] = [
    [startStation, { kind: 'start' }],
    [endStation, { kind: 'end' }],
  ];
  elements.forEach((element, i) => {
    const name = i > 0 && junctionName(elements[i - 1], element);
    if (name) special.push([element.startStation, { kind: 'junction', name }]);
  });
  for (const { at, back } of equationJumps(alignment)) special.push([at, { kind: 'equation', back }]);
  for (const { begin, end } of profile?.curves ?? [])
    special.push([begin.station, { kind: 'verticalBegin' }], [end.station, { kind: 'verticalEnd' }]);
  for (const { station } of profile?.breaks ?? []) special.push([station, { kind: 'gradeBreak' }]);
  for (const { station, kind } of profile ? profileExtremes(profile) : []) special.push([station, { kind }]);
  for (const string of strings ?? template?.names ?? [])
    for (const station of template?.changes.get(string) ?? [])
      special.push([station, { kind: 'stringChange', string }]);
  return special;
}

interface Found {
  readonly station: Metres;
  readonly because: StationReason;
}

/** How much a station counts against another beside it: what changes there, what was asked for, parts, round ones. */
const weightOf = ({ because: { kind } }: Found): number =>
  kind === 'interval' ? 0 : kind === 'part' ? 1 : kind === 'extra' ? 3 : 2;

/** Without round stations and parts that lie right beside one that counts more. */
function withoutBeside(found: readonly Found[], beside: Metres): Found[] {
  const sorted = [...found].sort((a, b) => a.station - b.station);
  const near = (i: number, way: 1 | -1): boolean => {
    const own = sorted[i]!;
    for (let j = i + way; j >= 0 && j < sorted.length; j += way) {
      const other = sorted[j]!;
      if (Math.abs(other.station - own.station) >= beside) return false;
      if (weightOf(other) > weightOf(own) && Math.abs(other.station - own.station) > SAME) return true;
    }
    return false;
  };
  return sorted.filter((each, i) => weightOf(each) > 1 || !(near(i, 1) || near(i, -1)));
}

/**
 * In order, those at one place together; where a special point lies beside a round station, the special one is exact.
 */
function merged(found: readonly Found[]): { station: Metres; because: StationReason[] }[] {
  const list: { station: Metres; because: StationReason[] }[] = [];
  for (const { station, because } of [...found].sort((a, b) => a.station - b.station)) {
    const last = list.at(-1);
    if (!last || station - last.station > SAME) list.push({ station, because: [because] });
    else {
      if (last.because.every(({ kind }) => kind === 'interval')) last.station = station;
      if (!last.because.some((each) => isSame(each, because))) last.because.push(because);
    }
  }
  return list;
}

const isSame = (a: StationReason, b: StationReason): boolean =>
  a.kind === b.kind &&
  (a.kind !== 'stringChange' || a.string === (b as typeof a).string) &&
  (a.kind !== 'junction' || a.name === (b as typeof a).name);
