/** Problem documents after RFC 9457, with a code, the offending field and a sentence a person can act on. */
export interface Problem {
  readonly type: 'about:blank';
  readonly title: string;
  readonly status: number;
  readonly code: string;
  readonly detail: string;
  /** JSON Pointer into the request body. */
  readonly field?: string;
}

export const PROBLEM_TYPE = 'application/problem+json';
/** Largest JSON body that the API takes. */
export const LARGEST_BODY_BYTES = 2 * 1024 * 1024;
/** Facts that are sent together at most. */
export const MOST_FACTS_AT_ONCE = 200;
/** Largest file that an import takes. */
export const LARGEST_UPLOAD_BYTES = 32 * 1024 * 1024;
/** Largest drawing: a ground of a million triangles is a hundred megabytes of text. */
export const LARGEST_DRAWING_BYTES = 160 * 1024 * 1024;
/** Largest photograph: what a phone takes, made smaller before it is sent. */
export const LARGEST_IMAGE_BYTES = 4 * 1024 * 1024;
