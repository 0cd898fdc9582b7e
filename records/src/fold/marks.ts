/** Marks in force, and what was said of them and of their places. */
import { inOrder, planDistance, type Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { notSuperseded } from '../proof/branches.ts';
import { markKey, type SiteState } from '../site/state.ts';
import { GrownMap } from './grownMap.ts';
import { latestPackages } from './things.ts';

const SAME_PLACE: Metres = 0.001;

/** A mark that was said to have been hit is good again once it was sighted again and was where it belongs. */
export function reportsInForce(
  reports: readonly Fact<'report'>[],
  resights: readonly Fact<'resight'>[],
): Map<string, Fact<'report'>> {
  const found = new Map(reports.map((report) => [report.body.mark, report]));
  for (const { body, ...resight } of resights) {
    const report = found.get(body.mark);
    const good = body.plan === 'good' && body.height !== 'outside';
    if (report?.body.kind === 'moved' && good && inOrder(report, resight) < 0) found.delete(body.mark);
  }
  return found;
}

/** With the text that a stake was written anew with, and under the station that the mark was really set from. */
export const marksAsWritten = (
  marks: readonly Fact<'mark'>[],
  writings: SiteState['writings'],
  rehung: SiteState['rehung'],
): readonly Fact<'mark'>[] =>
  writings.size === 0 && rehung.size === 0
    ? marks
    : marks.map((mark) => {
        const written = writings.get(mark.id)?.body;
        const solution = rehung.get(mark.id);
        if (!written && solution === undefined) return mark;
        const text = written ? { stakeText: written.stakeText, written: written.written } : {};
        return { ...mark, body: { ...mark.body, ...text, ...(solution === undefined ? {} : { solution }) } };
      });

interface MarksInForce {
  readonly marks: GrownMap<string, Fact<'mark'>>;
  readonly marksBeside: ReadonlyMap<string, readonly Fact<'mark'>[]>;
}

const keyOf = (roots: ReadonlyMap<string, string>, { body }: Fact<'mark'>): string =>
  markKey(roots.get(body.package) ?? body.package, body.key);

export function marksInForce(marks: readonly Fact<'mark'>[], roots: ReadonlyMap<string, string>): MarksInForce {
  const found = new Map<string, Fact<'mark'>>();
  const beside = new Map<string, Fact<'mark'>[]>();
  for (const mark of notSuperseded(marks)) {
    const key = keyOf(roots, mark);
    const before = found.get(key);
    if (before) beside.set(key, [...(beside.get(key) ?? []), before]);
    found.set(key, mark);
  }
  return { marks: new GrownMap(found), marksBeside: beside };
}

/**
 * With marks that were set after all others; null where one is not simply new, or in the place of the one that stands.
 */
export function withMarks(
  { marks, marksBeside }: MarksInForce,
  roots: ReadonlyMap<string, string>,
  fresh: readonly Fact<'mark'>[],
): MarksInForce | null {
  const keys = fresh.map((mark) => keyOf(roots, mark));
  const isPlain = fresh.every(
    ({ body }, i) => (marks.get(keys[i]!)?.id ?? null) === body.supersedes && !marksBeside.has(keys[i]!),
  );
  if (!isPlain || new Set(keys).size < keys.length) return null;
  const grown = marks.grown((entries) => {
    // Behind all others, where it would be if all were read anew.
    for (const key of keys) entries.delete(key);
    for (const [i, mark] of fresh.entries()) entries.set(keys[i]!, mark);
  });
  return { marks: grown, marksBeside };
}

/** An obstruction holds for the place that was planned when it was found: a mark moved elsewhere is free of it. */
export function obstructionsInForce(
  obstructions: readonly Fact<'obstruction'>[],
  packages: readonly Fact<'package'>[],
  roots: ReadonlyMap<string, string>,
): Map<string, Fact<'obstruction'>> {
  if (obstructions.length === 0) return new Map();
  const plans = new Map(
    latestPackages(packages, roots).flatMap((work) =>
      work.body.plans.map((plan) => [markKey(roots.get(work.id)!, plan.key), plan] as const),
    ),
  );
  const found = new Map<string, Fact<'obstruction'>>();
  for (const fact of obstructions) {
    const key = markKey(roots.get(fact.body.package) ?? fact.body.package, fact.body.key);
    const plan = plans.get(key);
    if (plan && planDistance(plan.place, fact.body.place) < SAME_PLACE) found.set(key, fact);
  }
  return found;
}
