/**
 * A page of another origin may not change anything: a browser sends its requests here all the same, without asking
 * first where they look like those of a form. Source: W3C, "Fetch Metadata Request Headers"; RFC 6454, "The Web Origin
 * Concept".
 */
import type { RequestHandler } from 'express';
import { msg } from '@idle-marker/words';
import { ProblemError } from './problems.ts';

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);
/** Asked for by a page of this origin, or by a person who typed the address. */
const OWN: ReadonlySet<string> = new Set(['same-origin', 'none']);

const hostOf = (origin: string): string | null => (URL.canParse(origin) ? new URL(origin).host : null);

/**
 * What the browser itself says of its page counts before the origin: behind a proxy the host is another one here.
 * Programs that are no browser send neither header, and are let through.
 */
export const sameOrigin: RequestHandler = ({ method, headers }, _response, next) => {
  const { origin, host } = headers;
  const site = headers['sec-fetch-site'];
  const isForeign = typeof site === 'string' ? !OWN.has(site) : origin !== undefined && hostOf(origin) !== host;
  if (READS.has(method) || !isForeign) next();
  else next(new ProblemError('FOREIGN_ORIGIN', msg('answers.anotherPageAskedForThisChangeOpen')));
};
