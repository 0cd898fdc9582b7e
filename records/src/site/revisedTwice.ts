import { msg } from '@idle-marker/words';
/**
 * Things that two tablets have revised without knowing of each other: control, packages, grids, roads, drawings, and
 * what else has revisions. The later one is in force by the rules, and what the other one changed is not in it; that is
 * told until somebody decides which revision stands.
 */
import { withdrawBranches, notSuperseded, type Withdrawn } from '../proof/branches.ts';
import { REVISED, saidIn, type Revision, type RevisedKind } from './revision.ts';
import { compareNames, type SiteState } from './state.ts';

export interface RevisedTwice {
  readonly kind: RevisedKind;
  readonly name: string;
  /** The last one of each tablet, oldest first; the last of all is in force. */
  readonly revisions: readonly Revision[];
}

/** What it is over all its revisions. */
function identityOf(state: SiteState, fact: Revision): string {
  switch (fact.type) {
    case 'control':
      return fact.body.mark;
    case 'package':
      return state.packageRoots.get(fact.id) ?? fact.id;
    case 'grid':
      return fact.body.grid;
    case 'area':
      return fact.body.area;
    case 'alignment':
      return fact.body.alignment;
    case 'drawing':
      return fact.body.drawing;
    case 'equipment':
      return fact.body.item;
    case 'convention':
      return fact.body.convention;
  }
}

function revisedName(fact: Revision): string {
  if (fact.type === 'equipment') return fact.body.what.name;
  return fact.type === 'convention' ? fact.body.rules.name : fact.body.name;
}

/** Wherever it is from. */
const saidBy = ({ body }: Revision): string => saidIn(body, ['supersedes', 'source']);

/** By name. Two that say the same are no trouble. */
export function revisedTwice(state: SiteState): RevisedTwice[] {
  const tips = new Map<string, Revision[]>();
  for (const fact of notSuperseded(
    REVISED.flatMap((type): readonly Revision[] => state.ofType[type]).filter(({ id }) => !state.withdrawn.has(id)),
  )) {
    const key = `${fact.type} ${identityOf(state, fact)}`;
    tips.set(key, [...(tips.get(key) ?? []), fact]);
  }
  return [...tips.values()]
    .filter((revisions) => revisions.length > 1 && new Set(revisions.map(saidBy)).size > 1)
    .map((revisions) => ({ kind: revisions.at(-1)!.type, name: revisedName(revisions.at(-1)!), revisions }))
    .sort((one, other) => compareNames(one.name, other.name));
}

/** What is said when one of them stands: the others are withdrawn, and stay in the book as what they were. */
export const thisRevisionStands = (
  state: SiteState,
  { name, revisions }: RevisedTwice,
  stands: Revision,
  by: string,
): Withdrawn[] =>
  withdrawBranches(
    state,
    revisions.flatMap(({ id }) => (id === stands.id ? [] : [id])),
    stands.id,
    msg('records.wasRevisedTwiceAndTheRevisionOf', { name, by }),
  );
