import { msg } from './message.ts';
const MOST_NAMED = 6;

/** A tolerance class that is asked for and is not there; what is judged by it meanwhile. */
export function missingClassWords({
  id,
  askedBy,
}: {
  readonly id: string;
  readonly askedBy: readonly string[];
}): string {
  const named = askedBy.slice(0, MOST_NAMED).join(', ');
  const more = askedBy.length > MOST_NAMED ? msg('missingClass.andMore', { askedBy: askedBy.length - MOST_NAMED }) : '';
  return msg('missingClass.theClassIsAskedForByAnd', { id, named, more });
}
