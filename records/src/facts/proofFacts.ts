/** Control on the ground, and what a station is proved by. */
import { msg, proofOutcomeWords, withoutStop } from '@idle-marker/words';
import type { Fact } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

/** A set-up, a control mark or a stake. */
const photographed = ({ state, mark }: Book, id: string): string =>
  state.occupations.find((each) => each.id === id)?.body.name ??
  state.control.find((each) => each.id === id)?.revision.body.name ??
  mark(id);

function controlSaid({ body }: Fact<'control'>, { length, place }: Book): string {
  const { name, e, n, z, condition, supersedes, source, note } = body;
  return msg('book.eNHeight', {
    name,
    supersedes: supersedes ? msg('book.newRevision') : 'listed',
    place: place(e, n),
    length3: length(z),
    condition,
    source,
    note: note ? `; ${note}` : '',
  });
}

export const PROOF_FACTS: Kinds<
  'control' | 'visit' | 'photo' | 'finding' | 'proof' | 'direction' | 'resight' | 'deferral' | 'tape'
> = {
  control: { topic: 'control', activity: 'control', thing: ({ mark }) => mark, line: controlSaid },
  visit: {
    topic: 'control',
    activity: 'control',
    isDone: true,
    line: ({ body: { mark, outcome, labelRead, note } }, book) =>
      `${book.control(mark)} ${outcome}${labelRead ? msg('book.labelRead') : ''}${note ? `: ${note}` : ''}`,
  },
  photo: {
    topic: 'control',
    activity: 'control',
    line: ({ body: { mark, written, caption } }, book) =>
      `${written ? msg('book.photoOfWhatWasWrittenAt') : msg('book.photoOf')} ${photographed(book, mark)}${caption ? `: ${caption}` : ''}`,
  },
  finding: {
    topic: 'control',
    activity: 'control',
    line: ({ body: { reason, effects } }) =>
      msg('book.lookedAt', { withoutStop: withoutStop(reason), effects: effects.length }),
  },
  proof: {
    topic: 'proof',
    activity: 'proof',
    isDone: true,
    line: ({ body: { solution, control, direction, plan, height } }, book) =>
      msg('book.provedOnPlanHeight', {
        solution: book.solution(solution),
        control: control === null ? book.direction(direction) : book.control(control),
        proofOutcome: proofOutcomeWords()[plan],
        proofOutcome2: proofOutcomeWords()[height],
      }),
  },
  direction: {
    topic: 'proof',
    activity: 'proof',
    line: ({ body: { solution, name } }, book) =>
      msg('book.fixedDirectionToTaken', { solution: book.solution(solution), name }),
  },
  resight: {
    topic: 'proof',
    activity: 'proof',
    isDone: true,
    line: ({ body: { mark, solution, plan, height } }, book) =>
      msg('book.sightedAgainFromPlanHeight', {
        mark: book.mark(mark),
        solution: book.solution(solution),
        proofOutcome: proofOutcomeWords()[plan],
        proofOutcome2: proofOutcomeWords()[height],
      }),
  },
  deferral: {
    topic: 'proof',
    activity: 'office',
    line: ({ body: { solution, reason } }, book) =>
      msg('book.proofPutOff', { solution: book.solution(solution), reason }),
  },
  tape: {
    topic: 'proof',
    activity: 'proof',
    line: ({ body: { from, to, taped, measured, within } }, { mark, length }) =>
      msg('book.tapedToFromCoordinates', {
        mark: mark(from),
        mark2: mark(to),
        length: length(taped),
        length2: length(measured),
        within: within ? '' : msg('book.outsideTheTolerance'),
      }),
  },
};
