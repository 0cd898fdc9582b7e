/** Where a caution matters: ground that is dangerous, and marks that need somebody else’s check. */
import { distanceToPolygon, insidePolygon, planDistance, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { twiceAt } from '../work/setTwice.ts';
import { compareNames, decidedSolution, markKey, type AcceptedSolution, type SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';
import { marksOfWork } from '../site/indexes.ts';

export type CautionCode = 'services' | 'traffic' | 'machine' | 'edge' | 'overhead' | 'keepOut' | 'laser' | 'unattended';

export interface Caution {
  readonly code: CautionCode;
  readonly who: 'mark' | 'instrument';
  /** What it is about: an area, the package for what has to be seen to before anything is driven, or the occupation. */
  readonly about: string;
  readonly area: Fact<'area'> | null;
}

const ASKED: Readonly<Partial<Record<FactBody<'area'>['kind'], CautionCode>>> = {
  services: 'services',
  traffic: 'traffic',
  machine: 'machine',
  edge: 'edge',
  overhead: 'overhead',
  keepOut: 'keepOut',
};
/** So much beyond its margin an area still matters to somebody with a pole. */
const NEAR: Metres = 1;

const isNear = ({ body }: Fact<'area'>, point: PlanPoint): boolean =>
  insidePolygon(point, body.corners) || distanceToPolygon(point, body.corners) <= body.margin + NEAR;

const DRIVEN: ReadonlySet<FactBody<'package'>['markKind']> = new Set([undefined, 'hubAndLath', 'nail']);

/** Whether its marks are driven, and so shot again afterwards; what is painted or scribed is where it was shot. */
export const isDriven = ({ markKind }: Pick<FactBody<'package'>, 'markKind'>): boolean => DRIVEN.has(markKind);

/** What was seen to on the day of `now`, by caution and what it is about. */
const seenTo = (state: SiteState, now: Date): ReadonlySet<string> => {
  const today = now.toISOString().slice(0, 10);
  return new Set(
    state.care.filter(({ at }) => at.startsWith(today)).map(({ body }) => `${body.what} ${body.about ?? ''}`),
  );
};

/** Of a beam that can be seen, wherever something is measured with it; null once somebody said what was done. */
export function laserCaution(state: SiteState, solution: AcceptedSolution, now: Date): Caution | null {
  const about = solution.occupation.id;
  return seenTo(state, now).has(`laser ${about}`) ? null : { code: 'laser', who: 'instrument', about, area: null };
}

/** Farther away than this one does not reach the instrument before somebody else does. */
const FAR: Metres = 75;

/**
 * Cautions that nobody has seen to on the day of `now`. One of each for an area, services once for a package, and those
 * about the instrument once for a station.
 */
export function cautionsFor(
  state: SiteState,
  work: Fact<'package'>,
  place: PlanPoint,
  solution: AcceptedSolution,
  now: Date,
): Caution[] {
  const seen = seenTo(state, now);
  const instrument = { e: solution.fact.body.result.e, n: solution.fact.body.result.n };
  const root = state.packageRoots.get(work.id) ?? work.id;
  const near = state.areas.flatMap((area): Caution[] => {
    const code = ASKED[area.body.kind];
    if (!code || code === 'services') return [];
    const who = isNear(area, place) ? ('mark' as const) : isNear(area, instrument) ? ('instrument' as const) : null;
    return who ? [{ code, who, about: area.body.area, area }] : [];
  });
  const services = state.areas.find((area) => area.body.kind === 'services' && isNear(area, place)) ?? null;
  const driving: Caution[] = isDriven(work.body)
    ? [{ code: 'services', who: 'mark', about: services?.body.area ?? root, area: services }]
    : [];
  const alone: Caution[] =
    planDistance(instrument, place) > FAR
      ? [{ code: 'unattended', who: 'instrument', about: solution.occupation.id, area: null }]
      : [];
  return [...driving, ...near, ...alone].filter(({ code, about }) => !seen.has(`${code} ${about}`));
}

/** Classes this fine are for things that are bolted together: a wrong mark shows when the crane hangs there. */
const FINE: Metres = 0.005;

/** What is set this near to a building that stands has to fit it: a misplaced mark is found when the wall is built. */
const BESIDE: Metres = 3;

/**
 * Why a mark wants somebody else's check: things are bolted together there, or it stands beside a building. Null when
 * neither is so.
 */
export function independentCheckFor(
  state: SiteState,
  work: Fact<'package'>,
  place: PlanPoint,
): 'fine' | 'building' | null {
  if (classOf(state, work.body.class).plan <= FINE) return 'fine';
  const beside = ({ body }: Fact<'area'>) =>
    body.kind === 'building' &&
    (insidePolygon(place, body.corners) || distanceToPolygon(place, body.corners) <= BESIDE);
  return state.areas.some(beside) ? 'building' : null;
}

/** Whether a mark was checked by anything but the station that set it: from another station, or by tape. */
export function isIndependentlyChecked(state: SiteState, mark: Fact<'mark'>): boolean {
  const occupationOf = (solution: string) => decidedSolution(state, solution)?.occupation.id;
  const own = occupationOf(mark.body.solution);
  return (
    state.tapes.some(({ body }) => body.within && (body.from === mark.id || body.to === mark.id)) ||
    state.resights.some(
      ({ body }) => body.mark === mark.id && body.plan !== 'outside' && occupationOf(body.solution) !== own,
    )
  );
}

/** Marks of a package that stand and wait for a check by somebody or something else. */
export const uncheckedMarks = (state: SiteState, work: Fact<'package'>): Fact<'mark'>[] =>
  marksOfWork(state, work).filter(
    (mark) => independentCheckFor(state, work, mark.body.place) !== null && !isIndependentlyChecked(state, mark),
  );

export interface OpenCaution {
  readonly code: CautionCode | 'independent' | 'setTwice';
  readonly marks: readonly string[];
}

/**
 * Cautions that nobody had answered on the day when the marks were set, and checks that are still wanted, with the
 * marks they are about.
 */
export function openCautions(state: SiteState, work: Fact<'package'>, marks: readonly Fact<'mark'>[]): OpenCaution[] {
  const root = state.packageRoots.get(work.id) ?? work.id;
  const found = new Map<OpenCaution['code'], string[]>();
  const add = (code: OpenCaution['code'], mark: Fact<'mark'>) =>
    found.set(code, [...(found.get(code) ?? []), mark.body.name]);
  for (const mark of marks) {
    const solution = state.accepted.find((each) => each.fact.id === mark.body.solution);
    const asked = solution ? cautionsFor(state, work, mark.body.place, solution, new Date(mark.at)) : [];
    for (const { code, who } of asked) if (who === 'mark') add(code, mark);
    if (independentCheckFor(state, work, mark.body.place) !== null && !isIndependentlyChecked(state, mark))
      add('independent', mark);
    if (twiceAt(state, work, markKey(root, mark.body.key))) add('setTwice', mark);
  }
  return [...found].map(([code, names]) => ({ code, marks: names.sort(compareNames) }));
}
