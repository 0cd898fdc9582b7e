/**
 * The same records by what they belong to. Each index is made once of the part of a state that it is of, and found
 * again by it.
 */
import { grouped } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { markKey, type SiteState } from './state.ts';

/** Makes something of one or two parts of a state once: they are never changed. */
export function once<A extends object, B extends object, R>(
  make: (first: A, second: B) => R,
): (first: A, second: B) => R {
  const made = new WeakMap<A, WeakMap<B, { readonly value: R }>>();
  return (first, second) => {
    let bySecond = made.get(first);
    if (!bySecond) made.set(first, (bySecond = new WeakMap()));
    let known = bySecond.get(second);
    if (!known) bySecond.set(second, (known = { value: make(first, second) }));
    return known.value;
  };
}

const NONE: readonly never[] = [];

const sightsByOccupation = once((sights: SiteState['sights'], withdrawn: SiteState['withdrawn']) =>
  grouped(
    [...sights.values()].filter((sight) => !withdrawn.has(sight.id)),
    ({ body }) => body.occupation,
  ),
);

/** The sights of a placing that were not withdrawn, in the order of the site. */
export const sightsOf = ({ sights, withdrawn }: SiteState, occupation: string): readonly Fact<'sight'>[] =>
  sightsByOccupation(sights, withdrawn).get(occupation) ?? NONE;

const setByStation = once((marks: SiteState['marks'], rehung: SiteState['rehung']) =>
  grouped(
    [...marks.values()].filter(({ body }) => body.state !== 'rough'),
    (mark) => rehung.get(mark.id) ?? mark.body.solution,
  ),
);

/** Marks in force, rough ones not among them, by the station that they were set from. */
export const marksFrom = ({ marks, rehung }: SiteState, solution: string): readonly Fact<'mark'>[] =>
  setByStation(marks, rehung).get(solution) ?? NONE;

const inForce = once((marks: SiteState['marks'], _: SiteState['marks']) =>
  [...marks.values()].filter(({ body }) => body.state !== 'rough'),
);

/** Marks in force, rough ones not among them. */
export const setMarks = ({ marks }: SiteState): readonly Fact<'mark'>[] => inForce(marks, marks);

const byFact = once(
  (marks: SiteState['marks'], _: SiteState['marks']) => new Map([...marks.values()].map((mark) => [mark.id, mark])),
);

const byWork = once((marks: SiteState['marks'], roots: SiteState['packageRoots']) =>
  grouped(
    [...marks.values()].filter(({ body }) => body.state !== 'rough'),
    ({ body }) => roots.get(body.package) ?? body.package,
  ),
);

/** Marks in force of a package, whatever its revision; rough ones not among them. */
export const marksOfWork = ({ marks, packageRoots }: SiteState, work: Fact<'package'>): readonly Fact<'mark'>[] =>
  byWork(marks, packageRoots).get(packageRoots.get(work.id) ?? work.id) ?? NONE;

/** A mark in force by its fact. */
export const markInForce = ({ marks }: SiteState, id: string): Fact<'mark'> | null =>
  byFact(marks, marks).get(id) ?? null;

const keysByWork = once((work: Fact<'package'>, roots: SiteState['packageRoots']) => {
  const root = roots.get(work.id) ?? work.id;
  return work.body.plans.map((plan) => markKey(root, plan.key));
});

/** `markKey` of each plan of a package, in their order. */
export const planKeys = ({ packageRoots }: SiteState, work: Fact<'package'>): readonly string[] =>
  keysByWork(work, packageRoots);
