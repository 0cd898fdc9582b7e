/** Every refusal of the API: code, status, and a sentence that says what to do. One table, one middleware. */
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { NoSiteError } from '@idle-marker/records';
import { LARGEST_BODY_BYTES, LARGEST_IMAGE_BYTES, PROBLEM_TYPE, type Problem } from '@idle-marker/contract';

const TITLES = {
  INVALID_JSON: [400, 'The body is not JSON'],
  INVALID_INPUT: [422, 'A field is not valid'],
  INVALID_NUMBER: [422, 'A number is missing or not finite'],
  INVALID_ID: [400, 'An id in the address is not valid'],
  INVALID_ARCHIVE: [422, 'The archive can not be taken in'],
  INVALID_FILE: [422, 'The file can not be read'],
  WRONG_HOST: [421, 'This address is not served here'],
  FOREIGN_ORIGIN: [403, 'Changes are taken from its own pages alone'],
  LINK_ENDED: [410, 'This link has ended'],
  TOO_MANY: [429, 'Too many at once'],
  NOT_FOUND: [404, 'There is nothing here'],
  CONFLICT: [409, 'The same id is kept with other content'],
  SEQUENCE_TAKEN: [409, 'This place in the device’s sequence is taken'],
  MISSING_REFERENCE: [409, 'Something this refers to has not arrived'],
  BODY_TOO_LARGE: [413, 'The body is too large'],
  UNSUPPORTED_TYPE: [415, 'The kind of body is not taken here'],
  STORAGE_FULL: [507, 'The server can’t write'],
  DATABASE_AWAY: [503, 'The database does not answer'],
  INTERNAL: [500, 'Something went wrong here'],
} as const satisfies Record<string, readonly [number, string]>;

export type ProblemCode = keyof typeof TITLES;

export class ProblemError extends Error {
  readonly code: ProblemCode;
  readonly field: string | undefined;
  /** Id of the record that it is about, for who can tell more of it. */
  readonly about: string | undefined;

  constructor(code: ProblemCode, detail: string, field?: string, about?: string) {
    super(detail);
    this.code = code;
    this.field = field;
    this.about = about;
  }
}

export function problemDocument({ code, message, field }: ProblemError): Problem {
  const [status, title] = TITLES[code];
  return { type: 'about:blank', title, status, code, detail: message, ...(field === undefined ? {} : { field }) };
}

export function sendProblem(response: Response, error: ProblemError): void {
  const problem = problemDocument(error);
  response.status(problem.status).type(PROBLEM_TYPE).send(JSON.stringify(problem));
}

const mebibytes = (bytes: number): string => `${bytes / 1024 / 1024} MB`;

/** Connection errors of PostgreSQL and of the socket under it. */
const AWAY = /^(08|57P0|53300|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND)/;

export function isDatabaseAway(error: unknown): boolean {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause) {
    const { code } = cause as { code?: string };
    if (typeof code === 'string' && AWAY.test(code)) return true;
    if (
      /Connection terminated|timeout exceeded when trying to connect|Timeout acquiring a connection|connect ECONNREFUSED|terminating connection/i.test(
        cause.message,
      )
    )
      return true;
  }
  return false;
}

/** SQLSTATE of a key that is there already. */
const UNIQUE_VIOLATION = '23505';

const sqlStateOf = (error: unknown): string => {
  for (let cause: unknown = error; cause instanceof Error; cause = cause.cause) {
    const { code } = cause as { code?: unknown };
    if (typeof code === 'string') return code;
  }
  return '';
};

/** Data exceptions and broken constraints: what came can’t be kept, whoever checked it before. */
export const isUnwritable = (error: unknown): boolean => /^2[23]...$/.test(sqlStateOf(error));

/** No room, no memory, a disk that fails, or one that takes nothing any more. */
const NO_ROOM = /^(53[12]00|58030|25006|ENOSPC|EDQUOT|EROFS|EIO)$/;
export const isOutOfRoom = (error: unknown): boolean => NO_ROOM.test(sqlStateOf(error));

/** What is said of anything that went wrong. */
export function problemOf(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  const type = (error as { type?: string } | null)?.type;
  if (type === 'entity.too.large') {
    const { limit = LARGEST_BODY_BYTES } = error as { limit?: number };
    const todo = limit === LARGEST_IMAGE_BYTES ? 'make the photo smaller' : 'split it';
    return new ProblemError('BODY_TOO_LARGE', `More than ${mebibytes(limit)} is not taken at once: ${todo}. Nothing was written.`);
  }
  if (type === 'entity.parse.failed')
    return new ProblemError('INVALID_JSON', 'The body is not valid JSON: check its brackets and quotes. Nothing was written.');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported')
    return new ProblemError('UNSUPPORTED_TYPE', 'Send UTF-8 text, not compressed. Nothing was written.');
  // A file that is not served, or an address that is no text: nothing that the log has to know.
  const status = (error as { status?: number } | null)?.status;
  if (status === 404 || status === 403)
    return new ProblemError('NOT_FOUND', 'There is no such file here. Load the page anew: it may be of an earlier version.');
  if (status === 400) return new ProblemError('INVALID_ID', 'The address can’t be read: check its % signs.');
  if (isOutOfRoom(error))
    return new ProblemError(
      'STORAGE_FULL',
      'The server’s disk is full, or takes nothing any more: make room there. Nothing was written; what waits in the browser goes out by itself then.',
    );
  if (isDatabaseAway(error))
    return new ProblemError('DATABASE_AWAY', 'Nothing was written. Send it again once the database is back; what waits in the browser does so by itself.');
  if (sqlStateOf(error) === UNIQUE_VIOLATION)
    return new ProblemError('CONFLICT', 'This id is used already, on this site or another. Nothing was written: take a new one.');
  if (error instanceof NoSiteError)
    return new ProblemError('MISSING_REFERENCE', 'The site has not arrived here yet: send it first, then this again. Nothing was written.');
  if (isUnwritable(error)) return new ProblemError('INVALID_INPUT', 'A value can’t be kept by the database. Nothing was written.');
  return new ProblemError('INTERNAL', 'Nothing was written. The server’s log says more.');
}

export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = problemOf(error);
    if (problem.code === 'INTERNAL') log.error({ err: error as Error }, 'request failed');
    sendProblem(response, problem);
  };
}
