/**
 * What the rest of this room wants to know of a type of fact: one table (`registry`) answers, so that none is forgotten
 * anywhere.
 */
import type { Fact, FactBody, FactType } from '@idle-marker/contract';
import type { Book } from './book.ts';

export const BOOK_TOPICS = ['site', 'control', 'station', 'proof', 'mark', 'handover', 'note'] as const;
export type BookTopic = (typeof BOOK_TOPICS)[number];

/** What a day's time went into. */
export type Activity = 'setUp' | 'control' | 'proof' | 'marking' | 'office' | 'waiting';

type Or<T extends FactType, V> = V | ((fact: Fact<T>) => V);

export interface FactKind<T extends FactType> {
  /** Where it stands in the field book, and what it says there. */
  readonly topic: Or<T, BookTopic>;
  line(fact: Fact<T>, book: Book): string;
  readonly activity: Or<T, Activity>;
  /** Whether it is counted as something done. */
  readonly isDone?: Or<T, boolean>;
  /** Where later facts of the type take the place of earlier ones: of which thing it is, whatever the revision. */
  readonly thing?: (body: FactBody<T>) => string;
}

/** The kinds of some types, each with its own body. */
export type Kinds<T extends FactType> = { readonly [K in T]: FactKind<K> };
