/** What all stations and proofs so far have found at one control mark, and since when it disagrees. */
import { ELLIPSE_95_FACTOR } from '@idle-marker/core';
import { decidedSolution, type AcceptedSolution, type ControlMark, type SiteState } from '../site/state.ts';

export interface MarkLook {
  readonly at: string;
  readonly station: string;
  /**
   * Used by the station in some part, sighted but left out, sighted as a proof, or measured by a receiver that gives
   * the plan.
   */
  readonly as: 'used' | 'leftOut' | 'proof' | 'receiver';
  /** By a receiver: what its plan is good to, 95 %, millimetres. */
  readonly radius95Mm?: number | null;
  /** Measured minus listed, millimetres; null where not compared. For what was used: without the mark itself. */
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
  readonly offInPlan: boolean;
  readonly offInHeight: boolean;
}

interface PointJson {
  readonly name: string;
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
  readonly leaveOneOut?: { readonly dEMm: number; readonly dNMm: number; readonly exceeds: boolean } | null;
  readonly leaveOneOutHeight?: { readonly dZMm: number; readonly exceeds: boolean } | null;
}

/** From here on a difference of a mark that was left out is no chance any more; proofs are judged by their class. */
const FAR_OFF_MM = 10;

/** All looks at the mark, oldest first. */
export function markHistory(state: SiteState, mark: string): MarkLook[] {
  const stations = state.accepted
    .filter((each) => !each.withdrawn)
    .flatMap(({ fact, decision }): MarkLook[] => {
      const uses = fact.body.uses.filter((use) => use.control === mark);
      const point = ((fact.body.result.points ?? []) as readonly PointJson[]).find((each) => each.name === mark);
      if (uses.length === 0 || !point) return [];
      const inPlan = uses.some((use) => use.plan);
      const inHeight = uses.some((use) => use.height);
      const plan = inPlan && point.leaveOneOut ? point.leaveOneOut : point;
      const dZMm = inHeight && point.leaveOneOutHeight ? point.leaveOneOutHeight.dZMm : point.dZMm;
      return [
        {
          at: decision.at,
          station: fact.body.name,
          as: inPlan || inHeight ? 'used' : 'leftOut',
          dEMm: plan.dEMm,
          dNMm: plan.dNMm,
          dZMm,
          offInPlan: inPlan
            ? (point.leaveOneOut?.exceeds ?? false)
            : Math.hypot(plan.dEMm ?? 0, plan.dNMm ?? 0) > FAR_OFF_MM,
          offInHeight: inHeight ? (point.leaveOneOutHeight?.exceeds ?? false) : Math.abs(dZMm ?? 0) > FAR_OFF_MM,
        },
      ];
    });
  const proofs = state.proofs
    .filter((proof) => proof.body.control === mark)
    .map((proof): MarkLook => {
      const figure = (field: string) =>
        typeof proof.body.result[field] === 'number' ? proof.body.result[field] : null;
      const isByReceiver = proof.body.position !== undefined && proof.body.position !== null;
      return {
        at: proof.at,
        station: decidedSolution(state, proof.body.solution)?.fact.body.name ?? '?',
        ...(isByReceiver
          ? { as: 'receiver', radius95Mm: radiusOf(figure('sdDEMm'), figure('sdDNMm')) }
          : { as: 'proof' }),
        dEMm: figure('dEMm'),
        dNMm: figure('dNMm'),
        dZMm: figure('dZMm'),
        // What lies within the receiver's own precision speaks against nobody.
        offInPlan: proof.body.plan === 'outside' && (!isByReceiver || proof.body.result['significantH'] === true),
        offInHeight: proof.body.height === 'outside',
      };
    });
  return [...stations, ...proofs].sort((a, b) => a.at.localeCompare(b.at));
}

const radiusOf = (sdE: number | null, sdN: number | null): number | null =>
  sdE === null || sdN === null ? null : ELLIPSE_95_FACTOR * Math.max(sdE, sdN);

export interface MarkTrend {
  /** When it started to disagree, and has done so since; null while it does not. */
  readonly since: string | null;
  readonly part: 'plan' | 'height' | 'both' | null;
  readonly propose: 'nothing' | 'sightAgain' | 'leaveOutOfHeight' | 'newRevision';
}

const trailing = (looks: readonly MarkLook[], isOff: (look: MarkLook) => boolean): readonly MarkLook[] =>
  looks.slice(looks.findLastIndex((look) => !isOff(look)) + 1);

/** One look that disagrees asks for another; what repeats is left out of height, or surveyed anew. */
export function markTrend(looks: readonly MarkLook[]): MarkTrend {
  // A receiver is no second opinion in plan: it neither confirms nor clears what the instrument finds.
  const plan = trailing(
    looks.filter((look) => look.as !== 'receiver'),
    (look) => look.offInPlan,
  );
  const height = trailing(looks, (look) => look.offInHeight);
  if (plan.length === 0 && height.length === 0) return { since: null, part: null, propose: 'nothing' };
  const since = [plan[0]?.at, height[0]?.at].filter((at) => at !== undefined).sort()[0]!;
  const part = plan.length > 0 ? (height.length > 0 ? 'both' : 'plan') : 'height';
  if (Math.max(plan.length, height.length) < 2) return { since, part, propose: 'sightAgain' };
  return { since, part, propose: part === 'height' ? 'leaveOutOfHeight' : 'newRevision' };
}

/** Own control and what it comes from: the station that measured it, the marks that station used, and so on up. */
export interface FamilyLine {
  readonly mark: ControlMark;
  /** 0 for marks that were given, one more for each station between. */
  readonly generation: number;
  readonly station: string | null;
  readonly parents: readonly string[];
}

export function familyOf(state: SiteState, mark: ControlMark, seen: ReadonlySet<string> = new Set()): FamilyLine {
  const { parent } = mark.revision.body;
  const solution = state.accepted.find((each) => each.fact.id === parent)?.fact;
  if (!solution || seen.has(mark.id)) return { mark, generation: 0, station: null, parents: [] };
  const used = [...new Set(solution.body.uses.filter((use) => use.plan || use.height).map((use) => use.control))];
  const above = used.flatMap((id) => state.control.find((each) => each.id === id) ?? []);
  const generations = above.map((each) => familyOf(state, each, new Set([...seen, mark.id])).generation);
  return {
    mark,
    generation: Math.max(0, ...generations) + 1,
    station: solution.body.name,
    parents: above.map((each) => each.revision.body.name),
  };
}

/**
 * Whether a mark of one's own making has been proven by a second, fresh station, from an occupation other than the one
 * that measured it: by a good proof on it, or by a station that was made from it and then proved on marks that were
 * given. Given marks need none.
 */
export function isProvenControl(state: SiteState, mark: ControlMark): boolean {
  const { parent } = mark.revision.body;
  if (!parent) return true;
  const occupation = state.accepted.find((each) => each.fact.id === parent)?.occupation.id;
  const isFresh = (from: AcceptedSolution) => from.occupation.id !== occupation && !from.withdrawn;
  if (
    state.accepted.some(
      (from) =>
        isFresh(from) &&
        from.fact.body.uses.some((use) => use.control === mark.id && use.plan) &&
        isProvedOnGiven(state, from),
    )
  )
    return true;
  return state.proofs.some((proof) => {
    if (proof.body.control !== mark.id || [proof.body.plan, proof.body.height].includes('outside')) return false;
    const from = state.accepted.find((each) => each.fact.id === proof.body.solution);
    return from !== undefined && isFresh(from);
  });
}

/** Whether the last proof on each given mark that a station did not use was good, and there is one. */
export function isProvedOnGiven(state: SiteState, { fact }: AcceptedSolution): boolean {
  const used = new Set(fact.body.uses.filter((use) => use.plan).map((use) => use.control));
  const last = new Map(
    state.proofs
      .filter(({ body }) => body.solution === fact.id && body.control !== null)
      .map(({ body }) => [body.control!, body]),
  );
  const isGiven = (id: string) => !used.has(id) && !state.control.find((mark) => mark.id === id)?.revision.body.parent;
  const proofs = [...last].filter(([id]) => isGiven(id)).map(([, body]) => body);
  return (
    proofs.some(({ plan }) => plan === 'good') &&
    proofs.every(({ plan, height }) => plan !== 'outside' && height !== 'outside')
  );
}
