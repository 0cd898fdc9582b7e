/**
 * The kinds of body that any page may send without being asked are no body of a change here: a form, plain text, or
 * bytes that say nothing of themselves. Source: WHATWG, "Fetch", CORS-safelisted request-header.
 */
import type { RequestHandler } from 'express';
import { msg } from '@idle-marker/words';
import { ProblemError } from './problems.ts';

const SENT_BY_ANY_PAGE: ReadonlySet<string> = new Set([
  '',
  'text/plain',
  'multipart/form-data',
  'application/x-www-form-urlencoded',
]);

const hasBody = ({
  'content-length': length,
  'transfer-encoding': encoding,
}: NodeJS.Dict<string | string[]>): boolean => encoding !== undefined || (length !== undefined && length !== '0');

export const declaredBody: RequestHandler = ({ headers }, _response, next) => {
  const type = (headers['content-type'] ?? '').split(';')[0]!.trim().toLowerCase();
  if (!hasBody(headers) || !SENT_BY_ANY_PAGE.has(type)) next();
  else next(new ProblemError('UNSUPPORTED_TYPE', msg('answers.aBodyOfTheKindIsNot', { type: type || 'none' })));
};
