/** Every refusal of the API: code, status, and a sentence that says what to do. One table, one middleware. */
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { NoSiteError } from '@idle-marker/records';
import { LARGEST_BODY_BYTES, LARGEST_IMAGE_BYTES, PROBLEM_TYPE, type Problem } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';

const problemTitles = worded(
  () =>
    ({
      INVALID_JSON: [400, msg('answers.theBodyIsNotJson')],
      INVALID_INPUT: [422, msg('answers.aFieldIsNotValid')],
      INVALID_NUMBER: [422, msg('answers.aNumberIsMissingOrNotFinite')],
      INVALID_ID: [400, msg('answers.anIdInTheAddressIsNot')],
      INVALID_ARCHIVE: [422, msg('answers.theArchiveCanNotBeTakenIn')],
      INVALID_FILE: [422, msg('answers.theFileCanNotBeRead')],
      WRONG_HOST: [421, msg('answers.thisAddressIsNotServedHere')],
      FOREIGN_ORIGIN: [403, msg('answers.changesAreTakenFromItsOwnPages')],
      LINK_ENDED: [410, msg('answers.thisLinkHasEnded')],
      TOO_MANY: [429, msg('answers.tooManyAtOnce')],
      NOT_FOUND: [404, msg('answers.thereIsNothingHere')],
      CONFLICT: [409, msg('answers.theSameIdIsKeptWithOther')],
      SEQUENCE_TAKEN: [409, msg('answers.thisPlaceInTheDevicesSequenceIs')],
      MISSING_REFERENCE: [409, msg('answers.somethingThisRefersToHasNotArrived')],
      BODY_TOO_LARGE: [413, msg('answers.theBodyIsTooLarge')],
      UNSUPPORTED_TYPE: [415, msg('answers.theKindOfBodyIsNotTaken')],
      STORAGE_FULL: [507, msg('answers.theServerCantWrite')],
      DATABASE_AWAY: [503, msg('answers.theDatabaseDoesNotAnswer')],
      INTERNAL: [500, msg('answers.somethingWentWrongHere')],
    }) as const satisfies Record<string, readonly [number, string]>,
);

export type ProblemCode = keyof ReturnType<typeof problemTitles>;

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
  const [status, title] = problemTitles()[code];
  return { type: 'about:blank', title, status, code, detail: message, ...(field === undefined ? {} : { field }) };
}

export function sendProblem(response: Response, error: ProblemError): void {
  const problem = problemDocument(error);
  response.status(problem.status).type(PROBLEM_TYPE).send(JSON.stringify(problem));
}

const mebibytes = (bytes: number): string => msg('answers.mb', { bytes: bytes / 1024 / 1024 });

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
    const todo = limit === LARGEST_IMAGE_BYTES ? msg('answers.makeThePhotoSmaller') : msg('answers.splitIt');
    return new ProblemError(
      'BODY_TOO_LARGE',
      msg('answers.moreThanIsNotTakenAtOnce', { mebibytes: mebibytes(limit), todo }),
    );
  }
  if (type === 'entity.parse.failed')
    return new ProblemError('INVALID_JSON', msg('answers.theBodyIsNotValidJsonCheck'));
  if (type === 'encoding.unsupported' || type === 'charset.unsupported')
    return new ProblemError('UNSUPPORTED_TYPE', msg('answers.sendUtf8TextNotCompressedNothing'));
  // A file that is not served, or an address that is no text: nothing that the log has to know.
  const status = (error as { status?: number } | null)?.status;
  if (status === 404 || status === 403) return new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchFileHereLoad'));
  if (status === 400) return new ProblemError('INVALID_ID', msg('answers.theAddressCantBeReadCheckIts'));
  if (isOutOfRoom(error)) return new ProblemError('STORAGE_FULL', msg('answers.theServersDiskIsFullOrTakes2'));
  if (isDatabaseAway(error)) return new ProblemError('DATABASE_AWAY', msg('answers.nothingWasWrittenSendItAgainOnce'));
  if (sqlStateOf(error) === UNIQUE_VIOLATION)
    return new ProblemError('CONFLICT', msg('answers.thisIdIsUsedAlreadyOnThis'));
  if (error instanceof NoSiteError)
    return new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedHereYet'));
  if (isUnwritable(error)) return new ProblemError('INVALID_INPUT', msg('answers.aValueCantBeKeptByThe'));
  return new ProblemError('INTERNAL', msg('answers.nothingWasWrittenTheServersLogSays'));
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
