/** Marks in force, and what was said of them and of their places. */
import { inOrder, planDistance, type Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { notSuperseded } from '../branches.ts';
import { markKey, type SiteState } from '../state.ts';
import { latestPackages } from './things.ts';

const SAME_PLACE: Metres = 0.001;

/** A mark that was said to have been hit is good again once it was sighted again and was where it belongs. */
export function reportsInForce(reports: readonly Fact<'report'>[], resights: readonly Fact<'resight'>[]): Map<string, Fact<'report'>> {
  const found = new Map(reports.map((report) => [report.body.mark, report]));
  for (const { body, ...resight } of resights) {
    const report = found.get(body.mark);
    const good = body.plan === 'good' && body.height !== 'outside';
    if (report?.body.kind === 'moved' && good && inOrder(report, resight) < 0) found.delete(body.mark);
  }
  return found;
}

/** With the text that a stake was written anew with, and under the station that the mark was really set from. */
export const marksAsWritten = (marks: readonly Fact<'mark'>[], writings: SiteState['writings'], rehung: SiteState['rehung']): readonly Fact<'mark'>[] =>
  writings.size === 0 && rehung.size === 0
    ? marks
    : marks.map((mark) => {
        const written = writings.get(mark.id)?.body;
        const solution = rehung.get(mark.id);
        if (!written && solution === undefined) return mark;
        const text = written ? { stakeText: written.stakeText, written: written.written } : {};
        return { ...mark, body: { ...mark.body, ...text, ...(solution === undefined ? {} : { solution }) } };
      });

export function marksInForce(marks: readonly Fact<'mark'>[], roots: ReadonlyMap<string, string>): Pick<SiteState, 'marks' | 'marksBeside'> {
  const found = new Map<string, Fact<'mark'>>();
  const beside = new Map<string, Fact<'mark'>[]>();
  for (const mark of notSuperseded(marks)) {
    const key = markKey(roots.get(mark.body.package) ?? mark.body.package, mark.body.key);
    const before = found.get(key);
    if (before) beside.set(key, [...(beside.get(key) ?? []), before]);
    found.set(key, mark);
  }
  return { marks: found, marksBeside: beside };
}

/** An obstruction holds for the place that was planned when it was found: a mark moved elsewhere is free of it. */
export function obstructionsInForce(
  obstructions: readonly Fact<'obstruction'>[],
  packages: readonly Fact<'package'>[],
  roots: ReadonlyMap<string, string>,
): Map<string, Fact<'obstruction'>> {
  if (obstructions.length === 0) return new Map();
  const plans = new Map(
    latestPackages(packages, roots).flatMap((work) => work.body.plans.map((plan) => [markKey(roots.get(work.id)!, plan.key), plan] as const)),
  );
  const found = new Map<string, Fact<'obstruction'>>();
  for (const fact of obstructions) {
    const key = markKey(roots.get(fact.body.package) ?? fact.body.package, fact.body.key);
    const plan = plans.get(key);
    if (plan && planDistance(plan.place, fact.body.place) < SAME_PLACE) found.set(key, fact);
  }
  return found;
}
