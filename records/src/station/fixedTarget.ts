/** Foil and wall targets: what is sighted without a pole, and so without a height of target and without legs. */
import type { Fact, FactBody } from '@idle-marker/contract';
import type { CarriedPole } from '../site/recording.ts';
import type { SiteState } from '../site/state.ts';

type Kind = FactBody<'control'>['kind'];
type Target = FactBody<'sight'>['target'];
type Carried = NonNullable<CarriedPole['target']>;

const FIXED_KINDS: ReadonlySet<Kind> = new Set<Kind>(['target', 'tag']);
const POLELESS_FORMS: ReadonlySet<string> = new Set(['foil', 'surface']);

/** Whether the target is a part of the mark: its point is the target itself. */
export const isFixedKind = (kind: Kind): boolean => FIXED_KINDS.has(kind);

/** Whether what is sighted carries its own target. */
export function isFixed(state: SiteState, target: Target): boolean {
  const mark = target.kind === 'control' ? state.control.find((each) => each.id === target.mark) : undefined;
  return mark !== undefined && isFixedKind(mark.revision.body.kind);
}

/** Whether a target of the library is held to what is measured without a pole. */
export const isPoleless = (state: SiteState, target: CarriedPole['target']): boolean =>
  Boolean(target) &&
  state.equipment.some(
    ({ body }) => body.item === target!.item && body.what.kind === 'target' && POLELESS_FORMS.has(body.what.form),
  );

const asCarried = (state: SiteState, item: string): Carried | null => {
  const found = state.equipment.find(({ body }) => body.item === item)?.body;
  return found?.what.kind === 'target'
    ? { item, name: found.what.name, constantMm: found.what.constantMm, ownHeight: 0 }
    : null;
};

/**
 * The target that is likely there: that of the last sight to this mark, else to any like it, else the foil of the
 * library.
 */
export function targetOnFixed(state: SiteState, target: Target): Carried | null {
  const known = [...state.sights.values()].filter((sight) => isFixed(state, sight.body.target)).reverse();
  const isSame = (sight: Fact<'sight'>) =>
    sight.body.target.kind === 'control' && target.kind === 'control' && sight.body.target.mark === target.mark;
  const before = known.find(isSame) ?? known[0];
  if (before) return before.body.carried?.target ? asCarried(state, before.body.carried.target) : null;
  const foil = state.equipment.find(({ body }) => body.what.kind === 'target' && body.what.form === 'foil');
  return foil ? asCarried(state, foil.body.item) : null;
}

/** What a sight is truly made to: of a fixed target, or one that is held without a pole, nothing of the pole counts. */
export function carriedTo(state: SiteState, target: Target, pole: CarriedPole): CarriedPole {
  if (isFixed(state, target)) return { ...WITHOUT_POLE, target: targetOnFixed(state, target) };
  return isPoleless(state, pole.target)
    ? { ...WITHOUT_POLE, target: pole.target && { ...pole.target, ownHeight: 0 } }
    : pole;
}

/** Of the pole nothing counts. */
export const WITHOUT_POLE = { targetHeight: 0, legs: false, item: null, fixed: true } as const;
