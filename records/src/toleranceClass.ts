/** Tolerance classes of the site: how good work, marks and stations have to be. One look-up for all of them. */
import type { FactBody } from '@idle-marker/contract';
import type { SiteState } from './state.ts';

export type ToleranceClass = FactBody<'site'>['classes'][number];

const isMissing = ({ settings }: Pick<SiteState, 'settings'>, id: string): boolean => !settings.classes.some((each) => each.id === id);

/**
 * The class that is asked for. One that the site has no more, since two people changed settings and work at once, is judged by the
 * finest figures of the site: nobody is told that something is good enough by a figure that nobody gave. `missingClasses` tells it.
 */
export function classOf({ settings: { classes } }: Pick<SiteState, 'settings'>, id: string): ToleranceClass {
  const found = classes.find((each) => each.id === id);
  if (found) return found;
  return {
    id,
    name: id,
    planMm: Math.min(...classes.map((each) => each.planMm)),
    heightMm: Math.min(...classes.map((each) => each.heightMm)),
    leastMarks: Math.max(...classes.map((each) => each.leastMarks)),
  };
}

/** The site's class of this kind of work, or its first: what a choice begins with. */
export const usualClass = ({ settings: { classes } }: Pick<SiteState, 'settings'>, kind: 'grid' | 'steel' | 'kerb'): ToleranceClass =>
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
  for (const { fact, occupation, withdrawn } of state.accepted) if (!withdrawn) add(fact.body.class, occupation.body.name);
  return [...asked].map(([id, askedBy]) => ({ id, askedBy: [...new Set(askedBy)] }));
}
