/** Points of the design, and of what stands, as control: building corners, crossings of a grid, something measured. */
import { planDistance, type Metres, type PlanPoint, type SitePoint } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { controlFromBuilt } from '../built/asBuilt.ts';
import { alikeName, freeName } from '../site/names.ts';
import { crossingsOf, gridOf } from '../work/siteGrids.ts';
import { compareNames, type SiteState } from '../site/state.ts';

type From = NonNullable<FactBody<'control'>['from']>;

/** A point that can become control, with what it would be listed with. */
export interface ControlCandidate {
  readonly from: From;
  /** The grid, the package, the station or the drawing that it is of. */
  readonly of: string;
  readonly name: string;
  readonly place: Omit<SitePoint, 'z'> & { readonly z: Metres | null };
  readonly sdHMm: number;
  readonly sdZMm: number | null;
  /** The station that measured it; null for what is only drawn. */
  readonly parent: string | null;
  /** The mark that was made of it already. */
  readonly listedAs: string | null;
}

/** What is built stands about so near to where it was drawn, one standard deviation. */
export const BUILT_SD_MM = 5;

/** What was made control lies where it was taken from, but for the rounding of a list. */
const SAME_PLACE: Metres = 0.001;

/** The mark of the same origin that is listed at a place; one that is lost is none. */
function listedAt({ control }: SiteState, from: From, place: PlanPoint): string | null {
  const body = control.find(
    ({ revision: { body } }) =>
      body.from === from &&
      body.condition !== 'lost' &&
      body.e !== null &&
      body.n !== null &&
      planDistance({ e: body.e, n: body.n }, place) < SAME_PLACE,
  )?.revision.body;
  return body?.name ?? null;
}

/** A point that was picked on a drawing. */
export const pickedCandidate = (
  state: SiteState,
  drawing: string,
  name: string,
  { e, n }: PlanPoint,
): ControlCandidate => ({
  from: 'drawing',
  of: drawing,
  name,
  place: { e, n, z: null },
  sdHMm: BUILT_SD_MM,
  sdZMm: null,
  parent: null,
  listedAs: listedAt(state, 'drawing', { e, n }),
});

/** Everything that has coordinates in the design, or was measured, by name. */
export function controlCandidates(state: SiteState): ControlCandidate[] {
  const drawn = (from: From, of: string, name: string, place: ControlCandidate['place']): ControlCandidate => ({
    from,
    of,
    name,
    place,
    sdHMm: BUILT_SD_MM,
    sdZMm: place.z === null ? null : BUILT_SD_MM,
    parent: null,
    listedAs: listedAt(state, from, place),
  });
  const grids = state.grids.flatMap(({ body }) => {
    const grid = gridOf(body);
    return grid.ok
      ? crossingsOf(grid.value).map(({ name, e, n }) => drawn('grid', body.name, name, { e, n, z: null }))
      : [];
  });
  const packages = state.packages.flatMap(({ body }) => {
    const corners = new Map(body.plans.map((plan) => [`${plan.design.e} ${plan.design.n}`, plan]));
    return [...corners.values()].map((plan) =>
      drawn('package', body.name, plan.corner, { ...plan.design, z: plan.designZ }),
    );
  });
  const built = state.asBuilt.flatMap((fact): ControlCandidate[] => {
    const body = controlFromBuilt(state, fact, fact.id);
    if (!body || body.e === null || body.n === null || body.sdHMm === null) return [];
    const { name, e, n, z, sdHMm, sdZMm, parent = null } = body;
    const station = state.accepted.find((each) => each.fact.id === parent)?.fact.body.name ?? '';
    return [
      {
        from: 'asBuilt',
        of: station,
        name,
        place: { e, n, z },
        sdHMm,
        sdZMm,
        parent,
        listedAs: listedAt(state, 'asBuilt', { e, n }),
      },
    ];
  });
  return [...built, ...packages, ...grids].sort((a, b) => compareNames(a.of, b.of) || compareNames(a.name, b.name));
}

const SOURCE: Readonly<Record<From, (of: string) => string>> = {
  drawing: (of) => msg('records.pointOfTheDrawing', { ofValue: of }),
  grid: (of) => msg('records.crossingOfTheGrid', { ofValue: of }),
  package: (of) => msg('records.cornerOfFromTheDesign', { ofValue: of }),
  asBuilt: (of) => msg('records.measuredAsItStandsFrom', { ofValue: of }),
};

/** The marks that points become, each with an id of its own; those that are listed already become none. */
export const controlOfCandidates = (
  state: SiteState,
  ids: () => string,
  candidates: readonly ControlCandidate[],
): FactBody<'control'>[] =>
  candidates
    .filter((each) => each.listedAs === null)
    .reduce<FactBody<'control'>[]>((bodies, each) => {
      const taken = [...state.control.map(({ revision }) => revision.body.name), ...bodies.map((body) => body.name)];
      return [...bodies, controlOfCandidate(taken, ids(), each)];
    }, []);

/** The mark that a point becomes. A height that is only drawn is listed, and not used: what was built has its own. */
function controlOfCandidate(
  taken: readonly string[],
  mark: string,
  { from, of, name, place, sdHMm, sdZMm, parent }: ControlCandidate,
): FactBody<'control'> {
  return {
    mark,
    name: alikeName(name, taken) === null ? name.slice(0, 80) : freeName(name.slice(0, 70), taken),
    ...place,
    sdHMm,
    sdZMm,
    kind: 'other',
    usePlan: true,
    useHeight: place.z !== null && from === 'asBuilt',
    forProof: false,
    condition: 'usable',
    note: '',
    source: SOURCE[from](of).slice(0, 200),
    from,
    parent,
    supersedes: null,
  };
}
