import { Refused, type XmlPlace } from './landXmlFault.ts';

/** A finite number as XML's schema writes it: no hexadecimal, no NaN, nothing that overflows. */
const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d+)?$/;

export function plainNumber(text: string, at: () => XmlPlace): number {
  const trimmed = text.trim();
  const value = Number(trimmed);
  if (!PLAIN.test(trimmed) || !Number.isFinite(value))
    throw new Refused({ code: 'XML_NOT_A_NUMBER', at: at(), text: trimmed.slice(0, 60) });
  return value;
}

/** Coordinates of the whole earth, in millimetres. */
const FARTHEST = 1e11;

/** Coordinates or stations parted by white space, as many as are wanted. */
export function plainNumbers(text: string, least: number, most: number, at: () => XmlPlace): number[] {
  const trimmed = text.trim();
  const parts = trimmed === '' ? [] : trimmed.split(/\s+/);
  const numbers = parts.map((part) => plainNumber(part, at));
  const far = numbers.findIndex((number) => Math.abs(number) > FARTHEST);
  if (far >= 0) throw new Refused({ code: 'XML_TOO_FAR', at: at(), text: parts[far]!.slice(0, 60) });
  if (numbers.length < least || numbers.length > most) {
    const wanted = least === most ? String(least) : most === Infinity ? `at least ${least}` : `${least} or ${most}`;
    throw new Refused({ code: 'XML_NUMBER_COUNT', at: at(), given: numbers.length, wanted });
  }
  return numbers;
}
