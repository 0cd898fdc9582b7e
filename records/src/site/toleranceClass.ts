/** Tolerance classes of the site: how good work, marks and stations have to be. One look-up for all of them. */
import type { SiteState, ToleranceClass } from './state.ts';

const isMissing = ({ classes }: Pick<SiteState, 'classes'>, id: string): boolean =>
  !classes.some((each) => each.id === id);

/**
 * The class that is asked for. One that the site has no more, since two people changed settings and work at once, is
 * judged by the finest figures of the site: nobody is told that something is good enough by a figure that nobody gave.
 * `missingClasses` tells it.
 */
export function classOf({ classes }: Pick<SiteState, 'classes'>, id: string): ToleranceClass {
  const found = classes.find((each) => each.id === id);
  if (found) return found;
  return {
    id,
    name: id,
    plan: Math.min(...classes.map((each) => each.plan)),
    height: Math.min(...classes.map((each) => each.height)),
    leastMarks: Math.max(...classes.map((each) => each.leastMarks)),
    offset: null,
  };
}

/** The site's class of this kind of work, or its first: what a choice begins with. */
export const usualClass = ({ classes }: Pick<SiteState, 'classes'>, kind: 'grid' | 'steel' | 'kerb'): ToleranceClass =>
  classes.find(({ id }) => id === kind) ?? classes[0]!;

export interface MissingClass {
  readonly id: string;
  /** Names of the work packages and stations that ask for it. */
  readonly askedBy: readonly string[];
}

/** Classes that work or an accepted station asks for and the site does not have. */
export function missingClasses(state: SiteState): MissingClass[] {
  const asked = new Map<string, string[]>();
  const add = (id: string, name: string) => {
    if (isMissing(state, id)) asked.set(id, [...(asked.get(id) ?? []), name]);
  };
  for (const { body } of state.packages) add(body.class, body.name);
  for (const { fact, occupation, withdrawn } of state.accepted)
    if (!withdrawn) add(fact.body.class, occupation.body.name);
  return [...asked].map(([id, askedBy]) => ({ id, askedBy: [...new Set(askedBy)] }));
}
