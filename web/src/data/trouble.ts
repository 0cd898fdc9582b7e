/** Why nothing goes out, in words: for the chip, and as a sentence. */
import type { Trouble } from './ledger.ts';

export const TROUBLE: Readonly<Record<Trouble, { readonly chip: string; readonly why: string; readonly until: string }>> = {
  silent: { chip: 'Server away', why: 'The server does not answer.', until: 'when it answers again' },
  stranger: {
    chip: 'Not the server',
    why: 'Something else answers in the server’s place, such as the log-in page of a network, or a proxy: log in there, or leave that network.',
    until: 'when the server itself answers',
  },
  database: { chip: 'Database away', why: 'The server answers, but its database does not.', until: 'when it is back' },
  full: {
    chip: 'Server’s disk full',
    why: 'The server has no room to write: its disk is full, or takes nothing any more. Somebody has to make room there.',
    until: 'when there is room',
  },
};
