import { invalidFact, type AnyFact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';

export function validFact(document: unknown): AnyFact {
  const invalid = invalidFact(document);
  if (invalid)
    throw new ProblemError(invalid.code, msg('answers.nothingWasWritten2', { message: invalid.message }), invalid.path);
  return document as AnyFact;
}

/** A fact that a client may send as it is. */
export function sendable(document: unknown): AnyFact {
  const fact = validFact(document);
  if (fact.type === 'handover')
    throw new ProblemError('INVALID_INPUT', msg('answers.sheetsAreIssuedUnderSheetsWhereThey'), '/type');
  return fact;
}
