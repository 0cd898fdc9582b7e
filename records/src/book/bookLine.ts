/** One line of the field book for each fact: where it belongs, what it says. */
import { msg, durationWords } from '@idle-marker/words';
import type { AnyFact } from '@idle-marker/contract';
import { bookOf, type Book } from '../facts/book.ts';
import type { BookTopic } from '../facts/kind.ts';
import { kindOf, toldOf } from '../facts/registry.ts';
import { stampOf } from '../site/stampedAhead.ts';
import type { SiteState } from '../site/state.ts';

export { BOOK_TOPICS, type BookTopic } from '../facts/kind.ts';

export interface BookLine {
  readonly topic: BookTopic;
  readonly text: string;
}

function lineIn(book: Book, fact: AnyFact): BookLine {
  const kind = kindOf(fact);
  const [topic, text] = [toldOf(kind.topic, fact), kind.line(fact, book)];
  const stamp = stampOf(fact);
  if (stamp === null) return { topic, text };
  const ahead = durationWords(Date.parse(stamp) - Date.parse(fact.at));
  return { topic, text: msg('records.stampedAheadByAWrongClockIt', { text, ahead }) };
}

/**
 * What entries of a site say, and whether a clock that was ahead has stamped them; each is written when it is first
 * asked for.
 */
export function bookReader(state: SiteState): (fact: AnyFact) => BookLine {
  const book: Book = bookOf(state, (other) => lineOf(other).text);
  const lines = new Map<string, BookLine>();
  const lineOf = (fact: AnyFact): BookLine => {
    let line = lines.get(fact.id);
    if (!line) lines.set(fact.id, (line = lineIn(book, fact)));
    return line;
  };
  return lineOf;
}

/** What one entry says. */
export const bookLine = (state: SiteState, fact: AnyFact): BookLine => bookReader(state)(fact);

export const bookTopic = (fact: AnyFact): BookTopic => toldOf(kindOf(fact).topic, fact);
