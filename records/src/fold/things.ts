/** Things that are revised, named or looked at: what is in force of each. */
import type { Fact, FactBody } from '@idle-marker/contract';
import { compareNames, type ControlMark, type ToleranceClass } from '../site/state.ts';

export function byMark<T extends { readonly body: { readonly mark: string } }>(facts: readonly T[]): Map<string, T[]> {
  const found = new Map<string, T[]>();
  for (const fact of facts) {
    const list = found.get(fact.body.mark);
    if (list) list.push(fact);
    else found.set(fact.body.mark, [fact]);
  }
  return found;
}

/** Tolerance classes as they are worked with. */
export const classesOf = ({ classes }: FactBody<'site'>): ToleranceClass[] =>
  classes.map(({ id, name, planMm, heightMm, leastMarks, offset }) => ({
    id,
    name,
    plan: planMm / 1000,
    height: heightMm / 1000,
    leastMarks,
    offset: offset ?? null,
  }));

/** The latest revision of each thing that is not retired, by name. */
export function inForceByName<T extends { readonly body: { readonly retired: boolean } }>(
  revisions: readonly T[],
  idOf: (each: T) => string,
  nameOf: (each: T) => string,
): T[] {
  const latest = new Map(revisions.map((revision) => [idOf(revision), revision]));
  return [...latest.values()]
    .filter((each) => !each.body.retired)
    .sort((one, other) => compareNames(nameOf(one), nameOf(other)));
}

export function controlMarks(
  revisions: readonly Fact<'control'>[],
  withdrawn: ReadonlyMap<string, unknown>,
): ControlMark[] {
  const byMark = new Map<string, Fact<'control'>[]>();
  for (const revision of revisions) {
    const list = byMark.get(revision.body.mark);
    if (list) list.unshift(revision);
    else byMark.set(revision.body.mark, [revision]);
  }
  return [...byMark]
    .flatMap(([id, list]) => {
      const revision = list.find((each) => !withdrawn.has(each.id));
      return revision ? [{ id, revision, revisions: list }] : [];
    })
    .sort((a, b) => compareNames(a.revision.body.name, b.revision.body.name));
}

/** Id of the first revision of the package that a revision belongs to. */
export function packageRoots(packages: readonly Fact<'package'>[]): Map<string, string> {
  const roots = new Map<string, string>();
  for (const revision of packages) {
    const previous = revision.body.supersedes;
    roots.set(revision.id, previous === null ? revision.id : (roots.get(previous) ?? previous));
  }
  return roots;
}

export function latestPackages(
  packages: readonly Fact<'package'>[],
  roots: ReadonlyMap<string, string>,
): Fact<'package'>[] {
  const latest = new Map(packages.map((revision) => [roots.get(revision.id)!, revision]));
  return [...latest.values()];
}
