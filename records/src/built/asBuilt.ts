/**
 * What was measured as it stands: against the design of the packages, bolts as groups, faces of columns against their
 * lines.
 */
import {
  alongOff,
  distanceToPolygon,
  faceAgainstLine,
  fitPattern,
  gridCrossing,
  gridLine,
  insidePolygon,
  measuredAgainstSide,
  measurePoint,
  planDistance,
  reduceReading,
  type AgainstSide,
  type ColumnGrid,
  type FaceResult,
  type FaceShot,
  type GridLine,
  type Metres,
  type PatternFit,
  type PlanPoint,
  type SitePoint,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { compareNames, type AcceptedSolution, type PairedSolution, type SiteState } from '../site/state.ts';
import { precisionOf, readingOf, reductionFrom, setupOf, stationOfSolution } from '../station/observations.ts';
import { keptPlace } from '../station/paired.ts';
import { ownControlBody } from '../control/ownControl.ts';
import { isOutline } from '../work/packagePlans.ts';
import { gridOf } from '../work/siteGrids.ts';
import { classOf } from '../site/toleranceClass.ts';

type AsBuilt = Fact<'asBuilt'>;
type Against = NonNullable<FactBody<'asBuilt'>['against']>;
type FaceOf = Extract<Against, { kind: 'face' }>;
type Plan = FactBody<'package'>['plans'][number];

export interface MeanPlace {
  readonly place: SitePoint;
  /** Largest distance of a shot from the mean; null for a single shot. */
  readonly spread: { readonly plan: Metres | null; readonly height: Metres | null };
}

/** The mean of several shots to one thing; null when none of them has a distance. */
export function meanPlace(
  state: SiteState,
  solution: AcceptedSolution,
  sights: readonly Fact<'sight'>[],
): MeanPlace | null {
  const { body } = solution.occupation;
  const station = stationOfSolution(solution.fact.body.result);
  return meanOf(
    sights.flatMap((sight) => {
      const measured = measurePoint(
        station,
        setupOf(body),
        reduceReading(readingOf(sight.body), precisionOf(body), reductionFrom(state, solution)),
      );
      return measured ? [measured] : [];
    }),
  );
}

/** The same with plan from a receiver and height from the instrument; null when none has a plan. */
export const meanPairedPlace = (
  state: SiteState,
  paired: PairedSolution,
  shots: readonly { readonly sight: Fact<'sight'>; readonly position: Fact<'position'> }[],
): MeanPlace | null =>
  meanOf(
    shots.flatMap(({ sight, position }) => {
      const { plan, height } = keptPlace(state, paired, position, sight);
      return plan ? [{ e: plan.e, n: plan.n, z: height?.z ?? null }] : [];
    }),
  );

function meanOf(places: readonly SitePoint[]): MeanPlace | null {
  if (places.length === 0) return null;
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
  const heights = places.flatMap(({ z }) => (z === null ? [] : [z]));
  const place = {
    e: mean(places.map(({ e }) => e)),
    n: mean(places.map(({ n }) => n)),
    z: heights.length === places.length ? mean(heights) : null,
  };
  const { z } = place;
  return {
    place,
    spread:
      places.length === 1
        ? { plan: null, height: null }
        : {
            plan: Math.max(...places.map((each) => planDistance(each, place))),
            height: z === null ? null : Math.max(...heights.map((each) => Math.abs(each - z))),
          },
  };
}

const tenthMm = (metres: Metres | null): number | null => (metres === null ? null : Math.round(metres * 1e4) / 10);

/** A thing as measured; a later one of the same thing supersedes it. */
export function asBuiltBody(
  solution: Fact<'solution'>,
  sights: readonly Fact<'sight'>[],
  { place, spread }: MeanPlace,
  about: Pick<FactBody<'asBuilt'>, 'name' | 'code' | 'against' | 'note' | 'supersedes' | 'positions'>,
): FactBody<'asBuilt'> {
  return {
    ...about,
    solution: solution.id,
    sights: sights.map(({ id }) => id),
    place,
    spread: { planMm: tenthMm(spread.plan), heightMm: tenthMm(spread.height) },
  };
}

/** A thing that was measured, as a control mark to go on from: it carries its station and that one's uncertainty. */
export function controlFromBuilt(state: SiteState, fact: AsBuilt, mark: string): FactBody<'control'> | null {
  const solution = state.accepted.find((each) => each.fact.id === fact.body.solution);
  const sight = fact.body.sights.map((id) => state.sights.get(id)).find((each) => each !== undefined);
  if (!solution || !sight) return null;
  const { body } = solution.occupation;
  const measured = measurePoint(
    stationOfSolution(solution.fact.body.result),
    setupOf(body),
    reduceReading(readingOf(sight.body), precisionOf(body), reductionFrom(state, solution)),
  );
  // One reading's uncertainty for the mean of several: rather too much than too little.
  return (
    measured && {
      ...ownControlBody(
        solution,
        { ...measured, ...fact.body.place },
        { mark, name: fact.body.name, kind: 'other', note: fact.body.note, spot: fact.body.code },
      ),
      from: 'asBuilt',
    }
  );
}

export interface Clearance {
  /** Name of the item whose outline is nearest. */
  readonly item: string;
  readonly distance: Metres;
  /** It stands inside: what is built there and what is to be built overlap. */
  readonly inside: boolean;
}

/**
 * How much room is left between something that stands there and the nearest outline; null where there is none within
 * `most`.
 */
export function clearanceOf(state: SiteState, place: PlanPoint, most: Metres): Clearance | null {
  const found = state.packages
    .flatMap(({ body }) => body.items.filter(isOutline))
    .map(({ name, corners }): Clearance => ({
      item: name,
      distance: distanceToPolygon(place, corners),
      inside: insidePolygon(place, corners),
    }))
    .sort((a, b) => a.distance - b.distance);
  return found[0] && found[0].distance <= most ? found[0] : null;
}

/** Codes that were used on the site, the most used first. */
export function usedCodes(state: SiteState): string[] {
  const counts = new Map<string, number>();
  for (const { body } of state.asBuilt) if (body.code !== '') counts.set(body.code, (counts.get(body.code) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || compareNames(a[0], b[0])).map(([code]) => code);
}

/** The next free name after one with a number at its end: B7 after B6. */
export function nextName(state: SiteState, name: string): string {
  const taken = new Set(state.asBuilt.map(({ body }) => body.name));
  const [, stem = name, digits] = /^(.*?)(\d+)$/.exec(name) ?? [];
  let number = digits === undefined ? 1 : Number(digits);
  let next: string;
  do next = `${stem}${String(++number).padStart(digits?.length ?? 1, '0')}`;
  while (taken.has(next));
  return next;
}

export interface DesignDifference {
  readonly fact: AsBuilt;
  readonly work: Fact<'package'>;
  readonly plan: Plan;
  /** Measured less design. */
  readonly dE: Metres;
  readonly dN: Metres;
  readonly off: Metres;
  /** Null when the design or the station has no height. */
  readonly dZ: Metres | null;
  readonly within: boolean;
}

/** What was measured to be compared with a mark's design, against the package's revision in force. */
export function designDifferences(state: SiteState): DesignDifference[] {
  const roots = state.packageRoots;
  return state.asBuilt.flatMap((fact): DesignDifference[] => {
    const { against, place } = fact.body;
    if (against?.kind !== 'plan') return [];
    const root = roots.get(against.package);
    const work = state.packages.find((each) => roots.get(each.id) === root);
    const plan = work?.body.plans.find((each) => each.key === against.key);
    if (!work || !plan) return [];
    const [dE, dN] = [place.e - plan.design.e, place.n - plan.design.n];
    const dZ = place.z === null || plan.designZ === null ? null : place.z - plan.designZ;
    const tolerance = classOf(state, work.body.class);
    const off = Math.hypot(dE, dN);
    const within = off <= tolerance.plan && (dZ === null || Math.abs(dZ) <= tolerance.height);
    return [{ fact, work, plan, dE, dN, off, dZ, within }];
  });
}

export interface BoltGroup {
  readonly work: Fact<'package'>;
  readonly item: string;
  /** Name of the group's centre. */
  readonly name: string;
  readonly bolts: readonly { readonly plan: Plan; readonly difference: DesignDifference | null }[];
  /** Null with fewer than two bolts measured. */
  readonly fit: PatternFit | null;
  readonly tolerance: Metres;
}

/** Bolts are named by their centre and a number: P1.3 is one of P1, and not of P1.3's neighbours. */
const isBoltOf = (centre: string, corner: string): boolean =>
  corner.startsWith(`${centre}.`) && /^\d+$/.test(corner.slice(centre.length + 1));

/** Bolts by their groups, those with something measured first. */
export function boltGroups(state: SiteState): BoltGroup[] {
  const differences = designDifferences(state);
  const groups = state.packages.flatMap((work) =>
    work.body.items
      .filter((item) => item.rule === 'bolts')
      .flatMap((item) =>
        item.corners.map((centre): BoltGroup => {
          const bolts = work.body.plans
            .filter((plan) => plan.item === item.name && plan.offset === 0 && isBoltOf(centre.name, plan.corner))
            .map((plan) => ({
              plan,
              difference: differences.find((each) => each.work.id === work.id && each.plan.key === plan.key) ?? null,
            }));
          const built = bolts.flatMap(({ plan, difference }) =>
            difference
              ? [
                  {
                    name: plan.corner,
                    design: plan.design,
                    built: { e: difference.fact.body.place.e, n: difference.fact.body.place.n },
                  },
                ]
              : [],
          );
          const fit = fitPattern(built);
          return {
            work,
            item: item.name,
            name: centre.name,
            bolts,
            fit: fit.ok ? fit.value : null,
            tolerance: classOf(state, work.body.class).plan,
          };
        }),
      ),
  );
  const measured = ({ bolts }: BoltGroup) => bolts.filter(({ difference }) => difference !== null).length;
  return groups.sort((a, b) => Number(measured(b) > 0) - Number(measured(a) > 0) || compareNames(a.name, b.name));
}

export interface ColumnRow {
  readonly grid: Fact<'grid'>;
  readonly line: GridLine;
  readonly crossing: GridLine;
  /** The column is named by its two lines. */
  readonly name: string;
  readonly shots: readonly AsBuilt[];
  /** Taped, across the line; null while it was not. */
  readonly width: Metres | null;
  readonly face: FaceResult | null;
  /** Where the crossing line meets the line, along it from its start. */
  readonly crossingAlong: Metres;
}

const faceOf = (fact: AsBuilt): FaceOf | null => (fact.body.against?.kind === 'face' ? fact.body.against : null);

/**
 * Every column along a line of a grid, in order along it. Null when the grid has no such line.
 *
 * @param taped widths by the name of the column, which count before what was kept with the shots
 */
export function columnsAlong(
  state: SiteState,
  gridFact: Fact<'grid'>,
  label: string,
  taped: ReadonlyMap<string, Metres | null> = new Map(),
): ColumnRow[] | null {
  const built = gridOf(gridFact.body);
  const line = built.ok ? gridLine(built.value, label) : null;
  if (!built.ok || !line) return null;
  return crossingLines(built.value, line).map((crossing) => {
    const shots = state.asBuilt.filter((fact) => {
      const face = faceOf(fact);
      return face?.grid === gridFact.body.grid && face.line === label && face.crossing === crossing.label;
    });
    const name = `${label}-${crossing.label}`;
    const kept = shots.map((fact) => faceOf(fact)!.width).findLast((each) => each !== null) ?? null;
    const width = taped.has(name) ? taped.get(name)! : kept;
    const [first] = shots;
    const segment = { from: line.from, to: line.to };
    const face = first
      ? faceAgainstLine({
          line: segment,
          shots: shots.map((fact): FaceShot => ({
            edge: faceOf(fact)!.edge,
            level: faceOf(fact)!.level,
            place: fact.body.place,
          })),
          targetOffset: faceOf(first)!.targetOffset,
          width,
        })
      : null;
    const at = gridCrossing(line, crossing)!;
    return {
      grid: gridFact,
      line,
      crossing,
      name,
      shots,
      width,
      face,
      crossingAlong: alongOff(at, line.from, line.to)?.along ?? 0,
    };
  });
}

const crossingLines = (grid: ColumnGrid, line: GridLine): readonly GridLine[] =>
  grid.letters.some((each) => each.label === line.label) ? grid.numbers : grid.letters;

export interface LineDifference extends AgainstSide {
  readonly fact: AsBuilt;
  readonly name: string;
}

/** What was measured to be read against a line. */
export const lineDifferences = (state: SiteState): LineDifference[] =>
  state.asBuilt.flatMap((fact): LineDifference[] => {
    const { against, place } = fact.body;
    if (against?.kind !== 'line') return [];
    const found = measuredAgainstSide({ from: against.from, to: against.to, bulge: against.bulge ?? 0 }, place);
    return found ? [{ ...found, fact, name: against.name }] : [];
  });

/** The same over the string of the road that it was measured along. */
export const heightOverRoad = ({ against, place }: Pick<FactBody<'asBuilt'>, 'against' | 'place'>): Metres | null =>
  against?.kind !== 'road' || against.designZ === null || place.z === null ? null : place.z - against.designZ;

/**
 * How high a thing stands over the surface that it was measured against; null when it was not, or either has no height
 * there.
 */
export const heightOverSurface = ({ against, place }: Pick<FactBody<'asBuilt'>, 'against' | 'place'>): Metres | null =>
  against?.kind !== 'surface' || against.z === null || place.z === null ? null : place.z - against.z;
