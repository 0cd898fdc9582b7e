import { fail, type Result } from '@idle-marker/core';
import type { Static, TSchema } from '../schema.ts';

export type Path = readonly (string | number)[];

/** Why a case can't be computed. `path` leads to the offending element of the input, by core's names. */
export interface KindError {
  readonly code: string;
  readonly path: Path;
  readonly message: string;
}

export interface Kind {
  readonly schema: TSchema;
  readonly run: (input: never) => Result<object, KindError>;
}

/** Makes kinds whose errors are put in words by `sentence`. */
export const kindsWith =
  <E extends { readonly code: string; readonly path: Path }>(sentence: (error: E) => string) =>
  <S extends TSchema>(schema: S, run: (input: Static<S>) => Result<object, E>): Kind => ({
    schema,
    run: (input: Static<S>) => {
      const outcome = run(input);
      return outcome.ok ? outcome : fail({ code: outcome.error.code, path: outcome.error.path, message: sentence(outcome.error) });
    },
  });
