/**
 * Where hubs are lost: areas on the site and the digs of the packages; and where a package's hubs can stand instead.
 */
import {
  azimuth,
  hindrancesAt,
  METRES_PER_UNIT,
  planDistance,
  polar,
  survivingOffsets,
  type Hindrance,
  type KeepClear,
  type LengthUnit,
  type Metres,
  type OffsetProposal,
  type PlanPoint,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { isOutline, outlinesOf, roundStep } from './packagePlans.ts';
import type { SiteState } from '../site/state.ts';

type Package = FactBody<'package'>;
export type AreaKind = FactBody<'area'>['kind'];

/** What an area of a kind is usually taken for, to begin with. */
export const USUAL_AREA: Readonly<Record<AreaKind, { readonly margin: Metres; readonly blocksSight: boolean }>> = {
  dig: { margin: 1, blocksSight: false },
  spoilHeap: { margin: 0.5, blocksSight: true },
  fence: { margin: 0.3, blocksSight: false },
  machine: { margin: 1, blocksSight: true },
  services: { margin: 0.5, blocksSight: false },
  keepOut: { margin: 0, blocksSight: false },
  traffic: { margin: 0.5, blocksSight: false },
  edge: { margin: 1.5, blocksSight: false },
  overhead: { margin: 3, blocksSight: false },
  building: { margin: 0.3, blocksSight: true },
  boundary: { margin: 0, blocksSight: false },
};

/** Areas that marks keep out of: within a boundary they may stand anywhere. */
export const keptFree = (state: SiteState): readonly Fact<'area'>[] =>
  state.areas.filter(({ body }) => body.kind !== 'boundary');

/** Areas in force, and what the packages dig up or pour over, with their reach beyond the outline. */
export function keepClearOf(state: SiteState): KeepClear[] {
  const drawn = keptFree(state).map(({ body: { name, corners, margin, blocksSight } }) => ({
    name,
    corners,
    margin,
    blocksSight,
  }));
  const dug = state.packages.flatMap(({ body }) =>
    body.ground
      ? body.items.filter(isOutline).map((item) => ({
          name: msg('records.theWorksAt', { name: item.name }),
          corners: item.corners,
          margin: body.ground!.reach,
          blocksSight: false,
        }))
      : [],
  );
  return [...drawn, ...dug];
}

/** The round length beside an offset that is none; null when it is round already. */
export function roundBeside(offset: Metres, unit: LengthUnit): Metres | null {
  const round = Math.max(1, Math.round(offset / roundStep(unit))) * roundStep(unit);
  return Math.abs(round - offset) < roundStep(unit) / 1000 ? null : round;
}

/** Longest offset that is proposed by itself: beyond it a string sags and a tape is misread. */
export const usualLongest = (unit: LengthUnit): Metres => (unit === 'metre' ? 6 : 20 * METRES_PER_UNIT[unit]);

/** For each mark that is not set yet, an offset that stays clear; marks that stand are left where they are. */
export function offsetProposals(
  state: SiteState,
  work: Fact<'package'>,
  isSet: (key: string) => boolean,
  longest: Metres,
  instrument: PlanPoint | null,
): OffsetProposal[] {
  const hubs = work.body.plans
    .filter((plan) => !isSet(plan.key))
    .map(({ key, design, place, offset }) => {
      const reach = planDistance(design, place);
      return { key, design, direction: azimuth(design, place), stretch: offset === 0 ? 1 : reach / offset, offset };
    });
  return survivingOffsets(hubs, {
    step: roundStep(state.settings.lengthUnit),
    longest,
    areas: keepClearOf(state),
    outlines: state.packages.flatMap(outlinesOf),
    instrument,
  });
}

export interface OwnOffset {
  readonly offset: Metres;
  readonly place: PlanPoint;
  /** What speaks against it there. */
  readonly hindrances: readonly Hindrance[];
}

/** A mark put to another offset by hand, rounded to what a crew can tape; null for one that stands on its point. */
export function ownOffset(
  state: SiteState,
  { design, place, offset }: Package['plans'][number],
  wanted: Metres,
  instrument: PlanPoint | null,
): OwnOffset | null {
  if (offset === 0) return null;
  const step = roundStep(state.settings.lengthUnit);
  const rounded = Math.max(step, Math.round(wanted / step) * step);
  const at = polar(design, azimuth(design, place), (rounded * planDistance(design, place)) / offset);
  return {
    offset: rounded,
    place: at,
    hindrances: hindrancesAt(at, {
      areas: keepClearOf(state),
      outlines: state.packages.flatMap(outlinesOf),
      instrument,
    }),
  };
}

/** The offset at which a mark comes nearest to a place that it was dragged to. */
export function draggedOffset({ design, place, offset }: Package['plans'][number], to: PlanPoint): Metres {
  const reach = planDistance(design, place);
  if (reach === 0 || offset === 0) return offset;
  const along = ((to.e - design.e) * (place.e - design.e) + (to.n - design.n) * (place.n - design.n)) / reach;
  return (along * offset) / reach;
}

/** The step that offsets are rounded to. */
export const offsetStep = (unit: LengthUnit): Metres => roundStep(unit);

/** Marks that are set and now stand in an area or too near to it: the work will take them. */
export function setInAreas(
  state: SiteState,
  work: Fact<'package'>,
  isSet: (key: string) => boolean,
): { readonly key: string; readonly hindrances: readonly Hindrance[] }[] {
  const areas = keptFree(state).map(({ body: { name, corners, margin } }) => ({
    name,
    corners,
    margin,
    blocksSight: false,
  }));
  return work.body.plans
    .filter((plan) => isSet(plan.key))
    .map(({ key, place }) => ({ key, hindrances: hindrancesAt(place, { areas, outlines: [], instrument: null }) }))
    .filter(({ hindrances }) => hindrances.length > 0);
}

/** The package with the offsets that were proposed: a new revision. Marks without a proposal stay as they were. */
export function withProposals(work: Fact<'package'>, proposals: readonly OffsetProposal[]): Package {
  const found = new Map(proposals.map((each) => [each.key, each]));
  return {
    ...work.body,
    plans: work.body.plans.map((plan) => {
      const proposal = found.get(plan.key);
      return proposal?.place && proposal.hindrances.length > 0
        ? { ...plan, offset: proposal.offset!, place: proposal.place }
        : plan;
    }),
    supersedes: work.id,
  };
}
