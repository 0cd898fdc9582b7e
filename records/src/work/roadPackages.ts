/** Work packages along a road: which stations of which string, how far off, and the marks that come of it. */
import {
  angleAlong,
  anglePoint,
  CENTRELINE,
  ok,
  placeAlong,
  kerbOf,
  polar,
  RADIANS_PER_DEGREE,
  stationList,
  type Metres,
  type PlaceOnString,
  type PlanPoint,
  type Radians,
  type Result,
  type StationListError,
  type StationListRule,
  type StationReason,
  type StationTerm,
  transitionsAt,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { placeOnRoad, roadOf, type Road } from './roads.ts';
import type { SiteState } from '../site/state.ts';

type Item = FactBody<'package'>['items'][number];
export type RoadOptions = NonNullable<Item['road']>;

export interface RoadWork {
  readonly name: string;
  /** The string that offsets are measured to, and the one that heights are given to. */
  readonly string: string;
  readonly gradeString: string;
  /** A second one for heights; null for one height alone. */
  readonly alsoString: string | null;
  /** On which side of the string the hubs stand, looking up the stations. */
  readonly side: RoadOptions['side'];
  readonly rule: StationListRule;
  /** Offsets of their own, by the station without equations. */
  readonly own: readonly { readonly station: Metres; readonly offset: Metres }[];
  /** How stations and reasons are written. */
  readonly write: (displayed: Metres) => string;
  readonly why: (reason: StationReason) => string;
  readonly transition: (change: StationTransition) => string;
}

type Station = RoadOptions['stations'][number];
type StationTransition = NonNullable<Station['transitions']>[number];

/** Nearer than this an offset of its own is meant for the station. */
const MEANT: Metres = 0.02;
/** Said of the stations where something changes; a round one needs no reason. */
const isPlain = ({ kind }: StationReason): boolean => kind === 'interval' || kind === 'extra';
const LONGEST_WHY = 200;

/** Beyond this turn a mark off both lines would stand far out from the corner. */
const SHARPEST: Radians = 150 * RADIANS_PER_DEGREE;

interface Stand {
  readonly at: PlanPoint;
  /** Hubs stand square to it. */
  readonly azimuth: Radians;
  readonly angle: NonNullable<RoadOptions['stations'][number]['angle']> | null;
}

/**
 * Where a station is on its string and what hubs are square to. At an angle of the line two hubs stand outside of it,
 * each square to its own line, so that the two offsets strapped in meet in the corner; inside of it one stands off both
 * lines.
 */
function standsAt(road: Road, station: Metres, place: PlaceOnString, side: RoadOptions['side']): readonly Stand[] {
  const angle = angleAlong(road.alignment, station);
  const middle = angle && placeAlong(road.alignment, station);
  if (!angle || !middle) return [{ at: place, azimuth: place.azimuth, angle: null }];
  const { azimuthBack, azimuthAhead, deflection } = angle;
  const off = place.offset + road.shift;
  const corner = anglePoint(polar(middle, azimuthBack, -1), middle, polar(middle, azimuthAhead, 1), off, off)?.mitre;
  // Where a line turns back on itself no corner of the string can be told.
  if (!corner) return [{ at: place, azimuth: place.azimuth, angle: null }];
  const deflectionDeg = deflection / RADIANS_PER_DEGREE;
  const between = azimuthBack + deflection / 2;
  if (side === 'on') return [{ at: corner, azimuth: between, angle: null }];
  const inside = (side === 'right') === deflection > 0 && Math.abs(deflection) <= SHARPEST;
  if (inside) return [{ at: corner, azimuth: between, angle: { part: 'inside', deflectionDeg } }];
  return [
    { at: corner, azimuth: azimuthBack, angle: { part: 'back', deflectionDeg } },
    { at: corner, azimuth: azimuthAhead, angle: { part: 'ahead', deflectionDeg } },
  ];
}

/** The kerbs that strings are parts of, and what of their height changes at a station. */
const transitionsHere = (road: Road, strings: readonly string[], station: Metres): StationTransition[] =>
  road.kerbs
    .filter(({ name }) => strings.some((string) => kerbOf(string) === name))
    .flatMap((kerb) =>
      transitionsAt(kerb, station).map(({ part, begin, end, from, to, here }) => ({
        kerb: kerb.name,
        part,
        from,
        to,
        over: end - begin,
        here,
      })),
    )
    .slice(0, MOST_TRANSITIONS);

const MOST_TRANSITIONS = 8;

/** The term that a reason has a short form by. */
function termOf(reason: StationReason): StationTerm | undefined {
  if (reason.kind === 'gradeBreak') return 'gradeBreak';
  if (reason.kind === 'high') return 'highPoint';
  if (reason.kind === 'low') return 'lowPoint';
  if (reason.kind !== 'junction') return undefined;
  const terms: { readonly [K in typeof reason.name]?: StationTerm } = {
    PC: 'curveBegins',
    SC: 'curveBegins',
    PT: 'curveEnds',
    CS: 'curveEnds',
    PI: 'anglePoint',
  };
  return terms[reason.name];
}

/** Why a station is marked, once each; that a kerb changes is told by its change. */
function reasonsHere(
  because: readonly StationReason[],
  transitions: readonly StationTransition[],
  why: RoadWork['why'],
): NonNullable<Station['reasons']> {
  const told = because.filter(
    (reason) =>
      !isPlain(reason) &&
      !(reason.kind === 'stringChange' && transitions.some(({ kerb }) => kerb === kerbOf(reason.string))),
  );
  const said = told.map((reason) => {
    const term = termOf(reason);
    return { words: why(reason), ...(term ? { term } : {}) };
  });
  return said.filter(({ words }, i) => said.findIndex((each) => each.words === words) === i);
}

/** The item of a package: one corner a station, on the string itself. */
export function roadItem(
  fact: Pick<Fact<'alignment'>, 'id' | 'body'>,
  road: Road,
  work: RoadWork,
): Result<Item, StationListError> {
  const strings = [work.string, work.gradeString, ...(work.alsoString === null ? [] : [work.alsoString])];
  const list = stationList(
    road.alignment,
    road.profile,
    road.template,
    work.string === CENTRELINE ? strings : [...new Set(strings)],
    work.rule,
  );
  if (!list.ok) return list;
  const taken = new Set<string>();
  const corners: Item['corners'] = [];
  const stations: RoadOptions['stations'] = [];
  for (const { station, displayed, because } of list.value) {
    const place = placeOnRoad(road, { station, string: work.string });
    if (!place) continue;
    const z = placeOnRoad(road, { station, string: work.gradeString })?.z ?? null;
    const also = work.alsoString === null ? null : (placeOnRoad(road, { station, string: work.alsoString })?.z ?? null);
    const own = work.own.find((each) => Math.abs(each.station - station) < MEANT);
    const transitions = transitionsHere(road, strings, station);
    const reasons = reasonsHere(because, transitions, work.why);
    const shared = {
      station,
      displayed,
      why: [...reasons.map(({ words }) => words), ...transitions.map(work.transition)].join(', ').slice(0, LONGEST_WHY),
      ...(reasons.length > 0 || transitions.length > 0 ? { reasons } : {}),
      ...(transitions.length > 0 ? { transitions } : {}),
      offset: own?.offset ?? null,
      alsoZ: also,
    };
    for (const { at, azimuth, angle } of standsAt(road, station, place, work.side)) {
      const written = `${work.write(displayed)}${angle && angle.part !== 'inside' ? ` ${angle.part}` : ''}`;
      // Where the stations jump back, two places are written alike.
      let name = written;
      for (let i = 2; taken.has(name); i++) name = `${written} (${i})`;
      taken.add(name);
      corners.push({ name, e: at.e, n: at.n, z });
      stations.push({ ...shared, azimuthDeg: azimuth / RADIANS_PER_DEGREE, ...(angle ? { angle } : {}) });
    }
  }
  const { from, to, interval, byRadius, equalParts, special, extra, direction } = work.rule;
  return ok({
    name: work.name,
    meaning: 'edge',
    designZ: null,
    rule: 'road',
    corners,
    source: fact.body.name,
    road: {
      alignment: fact.id,
      line: fact.body.alignment,
      string: work.string,
      gradeString: work.gradeString,
      alsoString: work.alsoString,
      side: work.side,
      rule: {
        from,
        to,
        interval,
        byRadius: byRadius.map((each) => ({ ...each })),
        equalParts: equalParts && { ...equalParts },
        special,
        extra: [...extra],
        direction,
      },
      stations,
    },
  });
}

/** Roads that a package was made along and that have been revised since. */
export const olderRoads = (state: SiteState, work: Fact<'package'>): Fact<'alignment'>[] =>
  state.alignments.filter((fact) =>
    work.body.items.some(({ road }) =>
      [road, road?.return].some(
        (each) => each !== undefined && each.line === fact.body.alignment && each.alignment !== fact.id,
      ),
    ),
  );

/** What a road package asked for, to be asked again. */
export function roadWorkOf(item: Item): { readonly options: RoadOptions; readonly own: RoadWork['own'] } | null {
  if (item.rule !== 'road' || !item.road || item.road.return) return null;
  return {
    options: item.road,
    own: item.road.stations.flatMap(({ station, offset }) => (offset === null ? [] : [{ station, offset }])),
  };
}

/** A height from the strings of a road against another source at the same place. */
export interface CrossCheck {
  readonly name: string;
  readonly fromRoad: Metres;
  readonly fromSurface: Metres;
  readonly difference: Metres;
}

/** Where two sources of heights do not agree, the worst first. */
export function crossCheck(
  item: Pick<Item, 'corners'>,
  surface: readonly (Metres | null)[],
  allowed: Metres,
): CrossCheck[] {
  return item.corners
    .flatMap((corner, i): CrossCheck[] => {
      const [fromRoad, fromSurface] = [corner.z ?? null, surface[i] ?? null];
      if (fromRoad === null || fromSurface === null) return [];
      const difference = fromRoad - fromSurface;
      return Math.abs(difference) > allowed ? [{ name: corner.name, fromRoad, fromSurface, difference }] : [];
    })
    .sort((a, b) => Math.abs(b.difference) - Math.abs(a.difference));
}

/** The road of a package's item as it is now; null when it is gone or can't be made. */
export function roadOfItem(
  state: SiteState,
  item: Item,
): { readonly fact: Fact<'alignment'>; readonly road: Road } | null {
  const fact = state.alignments.find(({ body }) => body.alignment === item.road?.line);
  const road = fact && roadOf(fact.body);
  return fact && road?.ok ? { fact, road: road.value } : null;
}
