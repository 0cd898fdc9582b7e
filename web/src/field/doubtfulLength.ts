import { fail, type Result } from '@idle-marker/core';
import { twoReadingsWords } from '@idle-marker/words';
import type { Units } from './useUnits.ts';

/**
 * Reads a text of several rows or lengths; where it is refused over a length that could be meant in two ways, the
 * sentence of `read` is followed by both readings.
 */
export function withBothReadings<Value, Fault>(
  units: Units,
  read: (units: Units) => Result<Value, Fault>,
  add: (fault: Fault, doubt: string) => Fault,
): Result<Value, Fault> {
  let doubt: string | null = null;
  const result = read({
    ...units,
    readLength: (text) => {
      const length = units.readLength(text);
      if (length === null) doubt ??= twoReadingsWords(text, units.lengthUnit);
      return length;
    },
  });
  return result.ok || doubt === null ? result : fail(add(result.error, doubt));
}

/** The doubt follows the sentence. */
export const afterSentence = (sentence: string, doubt: string): string => `${sentence} ${doubt}`;
