/**
 * Asking the server, by the operations of its API. Whatever stands between can answer in its place, as the log-in page
 * of a network does: an answer counts only if it has the form that the operation promises. Where it has not, nothing
 * has been kept there.
 */
import {
  OPERATIONS,
  type Answering,
  type AnswerOf,
  type BodyOf,
  type Operation,
  type OperationName,
  type PathOf,
  type Problem,
  type QueryOf,
} from '@idle-marker/contract';
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

/** What an operation is asked with, beside what its path needs. */
export interface Asked<K extends OperationName> {
  readonly query?: QueryOf<K>;
  readonly body?: BodyOf<K>;
  readonly file?: { readonly mediaType: string; readonly bytes: Uint8Array<ArrayBuffer> | ArrayBuffer | Blob | string };
  /** Which of the forms of its answer is wanted. */
  readonly accept?: string;
  readonly signal?: AbortSignal;
}

const inAddress = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value));

/** Where an operation is; also to be followed as a link. */
export function addressOf<K extends OperationName>(name: K, path: PathOf<K>, query?: QueryOf<K>): string {
  const filled = OPERATIONS[name].path.replace(/\{(\w+)\}/g, (_, part: string) =>
    encodeURIComponent((path as Readonly<Record<string, string>>)[part]!),
  );
  const asked = Object.entries(query ?? {}).map(([key, value]) => [key, inAddress(value)]);
  return `/api/v1${filled}${asked.length > 0 ? `?${new URLSearchParams(asked).toString()}` : ''}`;
}

/** Sends it: an answer that is no refusal; who made it is still open. */
export function send<K extends OperationName>(name: K, path: PathOf<K>, asked: Asked<K> = {}): Promise<Response> {
  const { accept, body, file, query, signal } = asked;
  const type = file ? file.mediaType : body === undefined ? undefined : 'application/json';
  return answered(addressOf(name, path, query), {
    method: OPERATIONS[name].method.toUpperCase(),
    headers: { ...(accept ? { Accept: accept } : {}), ...(type ? { 'Content-Type': type } : {}) },
    ...(file ? { body: file.bytes } : body === undefined ? {} : { body: JSON.stringify(body) }),
    ...(signal ? { signal } : {}),
  });
}

/**
 * Asks, and gives the answer. Throws `RefusedError` for a refusal of the server, `AwayError` for no answer of its own.
 */
export const call = async <K extends Answering>(name: K, path: PathOf<K>, asked: Asked<K> = {}): Promise<AnswerOf<K>> =>
  answerIn(name, path, await send(name, path, asked));

/** What an answer says, if it is one of this operation, and about what was asked for. */
export async function answerIn<K extends Answering>(
  name: K,
  path: PathOf<K>,
  response: Response,
): Promise<AnswerOf<K>> {
  const document = await documentOf(response);
  const { answer } = OPERATIONS[name] as Operation;
  const { id } = path as { readonly id?: string };
  if (!hasForm(document, answer as Form) || (id !== undefined && 'id' in document && document['id'] !== id))
    throw new AwayError('stranger');
  return document as AnswerOf<K>;
}

/** As much of a schema as tells the server from anybody else. */
interface Form {
  readonly type?: string | readonly string[];
  readonly required?: readonly string[];
  readonly properties?: Readonly<Record<string, Form>>;
}

const TYPE_OF: Readonly<Record<string, (value: unknown) => boolean>> = {
  string: (value) => typeof value === 'string',
  boolean: (value) => typeof value === 'boolean',
  number: (value) => typeof value === 'number',
  integer: Number.isInteger,
  null: (value) => value === null,
  array: Array.isArray,
  object: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
};

function hasForm(value: unknown, { type, required = [], properties = {} }: Form): boolean {
  const types = type === undefined ? [] : [type].flat();
  if (types.length > 0 && !types.some((each) => TYPE_OF[each]!(value))) return false;
  return required.every((name) => {
    const held = (value as Document)[name];
    return held !== undefined && hasForm(held, properties[name] ?? {});
  });
}

/** Bytes of a kind; a page of anybody else’s is none. */
export async function bytesIn(response: Response): Promise<ArrayBuffer> {
  if (response.headers.get('Content-Type')?.startsWith('text/html')) throw new AwayError('stranger');
  return response.arrayBuffer();
}

type Document = Readonly<Record<string, unknown>>;
const isProblem = (value: Document): boolean =>
  typeof value['code'] === 'string' && typeof value['detail'] === 'string' && typeof value['status'] === 'number';

async function answered(address: string, init: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(address, init);
  } catch (error) {
    if (init.signal?.aborted) throw error;
    throw new AwayError('silent');
  }
  if (response.ok) return response;
  const problem = await documentOf(response);
  if (!isProblem(problem)) throw new AwayError('stranger');
  throw new RefusedError(problem as unknown as Problem);
}

async function documentOf(response: Response): Promise<Document> {
  const document: unknown = await response.json().catch(() => null);
  return TYPE_OF['object']!(document) ? (document as Document) : {};
}

/** Why nothing came of it, to be said to a person; `then` says what that means. */
export function troubleOf(error: unknown, then: string): string {
  if (error instanceof RefusedError) return error.problem.detail;
  if (error instanceof AwayError)
    return error.why === 'stranger'
      ? msg('data.somethingElseThanTheServerAnswersSuch', { then })
      : msg('data.theServerDoesNotAnswer', { then });
  throw error;
}
