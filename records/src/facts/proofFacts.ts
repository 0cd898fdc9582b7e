/** Control on the ground, and what a station is proved by. */
import { PROOF_OUTCOME, withoutStop } from '@idle-marker/words';
import type { Fact } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

/** A set-up, a control mark or a stake. */
const photographed = ({ state, mark }: Book, id: string): string =>
  state.occupations.find((each) => each.id === id)?.body.name ?? state.control.find((each) => each.id === id)?.revision.body.name ?? mark(id);

function controlSaid({ body }: Fact<'control'>, { length }: Book): string {
  const { name, e, n, z, condition, supersedes, source, note } = body;
  return `${name} ${supersedes ? 'new revision' : 'listed'}: E ${length(e)}, N ${length(n)}, height ${length(z)}, ${condition}; ${source}${note ? `; ${note}` : ''}`;
}

export const PROOF_FACTS: Kinds<'control' | 'visit' | 'photo' | 'finding' | 'proof' | 'direction' | 'resight' | 'deferral' | 'tape'> = {
  control: { topic: 'control', activity: 'control', thing: ({ mark }) => mark, line: controlSaid },
  visit: {
    topic: 'control',
    activity: 'control',
    isDone: true,
    line: ({ body: { mark, outcome, labelRead, note } }, book) =>
      `${book.control(mark)} ${outcome}${labelRead ? ', label read' : ''}${note ? `: ${note}` : ''}`,
  },
  photo: {
    topic: 'control',
    activity: 'control',
    line: ({ body: { mark, written, caption } }, book) =>
      `${written ? 'Photo of what was written at' : 'Photo of'} ${photographed(book, mark)}${caption ? `: ${caption}` : ''}`,
  },
  finding: {
    topic: 'control',
    activity: 'control',
    line: ({ body: { reason, effects } }) => `${withoutStop(reason)}. ${effects.length} ${effects.length === 1 ? 'mark' : 'marks'} looked at`,
  },
  proof: {
    topic: 'proof',
    activity: 'proof',
    isDone: true,
    line: ({ body: { solution, control, direction, plan, height } }, book) =>
      `${book.solution(solution)} proved on ${control === null ? book.direction(direction) : book.control(control)}: plan ${PROOF_OUTCOME[plan]}, height ${PROOF_OUTCOME[height]}`,
  },
  direction: {
    topic: 'proof',
    activity: 'proof',
    line: ({ body: { solution, name } }, book) => `${book.solution(solution)}: fixed direction to ${name} taken`,
  },
  resight: {
    topic: 'proof',
    activity: 'proof',
    isDone: true,
    line: ({ body: { mark, solution, plan, height } }, book) =>
      `${book.mark(mark)} sighted again from ${book.solution(solution)}: plan ${PROOF_OUTCOME[plan]}, height ${PROOF_OUTCOME[height]}`,
  },
  deferral: { topic: 'proof', activity: 'office', line: ({ body: { solution, reason } }, book) => `${book.solution(solution)}: proof put off, ${reason}` },
  tape: {
    topic: 'proof',
    activity: 'proof',
    line: ({ body: { from, to, taped, measured, within } }, { mark, length }) =>
      `Taped ${mark(from)} to ${mark(to)}: ${length(taped)}, from coordinates ${length(measured)}${within ? '' : ', outside the tolerance'}`,
  },
};
