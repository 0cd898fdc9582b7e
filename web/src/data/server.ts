/**
 * Asking the server. Whatever stands between can answer in its place, as the log-in page of a network does: an answer
 * counts only if it has the form of the server’s own. Where it has not, nothing has been kept there.
 */
import type { Problem } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';

/** What kept an answer from coming; the same everywhere, with its words in one place. */
export class AwayError extends Error {
  /** Nobody answered, or somebody who is not the server. */
  readonly why: 'silent' | 'stranger';
  constructor(why: AwayError['why']) {
    super(why);
    this.why = why;
  }
}

/** The server itself says no. */
export class RefusedError extends Error {
  readonly problem: Problem;
  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }
}

type Document = Readonly<Record<string, unknown>>;
/** Whether an answer is the one that was asked for. */
export type IsAnswer<T> = (document: Document) => T | null;

const isDocument = (value: unknown): value is Document =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isProblem = (value: Document): boolean =>
  typeof value['code'] === 'string' && typeof value['detail'] === 'string' && typeof value['status'] === 'number';

/**
 * Asks, and gives the answer as `read` makes it out. Throws `RefusedError` for a refusal of the server, `AwayError` for
 * no answer of its own.
 */
export async function ask<T>(address: string, read: IsAnswer<T>, init?: RequestInit): Promise<T> {
  return readAs(await answered(address, init), read);
}

/** What an answer says, if it is one. */
export async function readAs<T>(response: Response, read: IsAnswer<T>): Promise<T> {
  const answer = read(await documentOf(response));
  if (answer === null) throw new AwayError('stranger');
  return answer;
}

/** Asks for bytes of a kind; a page of anybody else’s is none. */
export async function askBytes(address: string): Promise<ArrayBuffer> {
  const response = await answered(address);
  if (response.headers.get('Content-Type')?.startsWith('text/html')) throw new AwayError('stranger');
  return response.arrayBuffer();
}

/** An answer that is no refusal; who made it is still open. */
export async function answered(address: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(address, init);
  } catch (error) {
    if (init?.signal?.aborted) throw error;
    throw new AwayError('silent');
  }
  if (response.ok) return response;
  const problem = await documentOf(response);
  if (!isProblem(problem)) throw new AwayError('stranger');
  throw new RefusedError(problem as unknown as Problem);
}

async function documentOf(response: Response): Promise<Document> {
  const document: unknown = await response.json().catch(() => null);
  return isDocument(document) ? document : {};
}

/** Of a list in the answer. */
export const listIn =
  <T>(name: string): IsAnswer<readonly T[]> =>
  (document) =>
    Array.isArray(document[name]) ? (document[name] as T[]) : null;

/** Of a document that is about this id. */
export const about =
  <T = Document>(id: string): IsAnswer<T> =>
  (document) =>
    document['id'] === id ? (document as T) : null;

/** JSON for the server. */
export const sending = (method: 'POST' | 'PUT', body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

/** Why nothing came of it, to be said to a person; `then` says what that means. */
export function troubleOf(error: unknown, then: string): string {
  if (error instanceof RefusedError) return error.problem.detail;
  if (error instanceof AwayError)
    return error.why === 'stranger'
      ? msg('data.somethingElseThanTheServerAnswersSuch', { then })
      : msg('data.theServerDoesNotAnswer', { then });
  throw error;
}
