/**
 * How often the network may ask at the crew's door: enough for a crew behind one address, too little to guess a link or
 * to tire the server.
 */
import { rateLimit, type Options } from 'express-rate-limit';
import type { RequestHandler } from 'express';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';

const MINUTE_MS = 60_000;
const LIMITS = {
  /** A page asks once a minute, and for its photos. */
  asks: { windowMs: MINUTE_MS, limit: 240 },
  /** Links that open nothing: a token is one of 2^128, and a mistyped address is no attack. */
  guesses: { windowMs: 15 * MINUTE_MS, limit: 60 },
  reports: { windowMs: MINUTE_MS, limit: 20 },
} as const;
const LINK_ENDED = 410;

const limited = (of: keyof typeof LIMITS, options: Partial<Options> = {}): RequestHandler =>
  rateLimit({
    ...LIMITS[of],
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // The door itself is what the network reaches; what stands before it is not asked for addresses.
    validate: { xForwardedForHeader: false },
    handler: (_request, _response, next) =>
      next(new ProblemError('TOO_MANY', msg('answers.soManyAtOnceAreNotAnswered'))),
    ...options,
  });

/** For the whole door; each is counted by address. */
export const crewLimits = (): RequestHandler[] => [
  limited('asks'),
  limited('guesses', {
    skipSuccessfulRequests: true,
    requestWasSuccessful: (_request, { statusCode }) => statusCode !== LINK_ENDED,
  }),
  limited('reports', { skip: ({ method }) => method !== 'PUT' }),
];
