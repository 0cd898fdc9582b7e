import { fail, ok, type Result } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import type { Static, TSchema } from '../schema.ts';
import type { DesignFile, OpenDesignFile } from './designFiles.ts';

export type Path = readonly (string | number)[];

/** Why a case can't be computed. `path` leads to the offending element of the input, by core's names. */
export interface KindError {
  readonly code: string;
  readonly path: Path;
  readonly message: string;
}

/** What a case may use beside its input. */
export interface CaseFiles {
  /** The design file that the case names; null when it names none. */
  readonly file: string | null;
  readonly open: OpenDesignFile;
}

export interface Kind {
  readonly schema: TSchema;
  readonly run: (input: never, files: CaseFiles) => Result<object, KindError>;
}

/** Makes kinds whose errors are put in words by `sentence`. */
export const kindsWith =
  <E extends { readonly code: string; readonly path: Path }>(sentence: (error: E) => string) =>
  <S extends TSchema>(schema: S, run: (input: Static<S>) => Result<object, E>): Kind => ({
    schema,
    run: (input: Static<S>) => {
      const outcome = run(input);
      return outcome.ok
        ? outcome
        : fail({ code: outcome.error.code, path: outcome.error.path, message: sentence(outcome.error) });
    },
  });

/**
 * The design file that a case names, open. Its name stands beside the input, so the path of an error is that of the
 * case.
 */
export function designFileOf({ file, open }: CaseFiles): Result<DesignFile, KindError> {
  if (file === null)
    return fail({
      code: 'FILE_MISSING',
      path: ['..', 'file'],
      message: msg('validation.thisKindIsComputedFromADesign'),
    });
  const opened = open(file);
  return opened.ok
    ? ok(opened.value)
    : fail({ code: 'FILE_UNREADABLE', path: ['..', 'file'], message: `${file}: ${opened.error}` });
}
