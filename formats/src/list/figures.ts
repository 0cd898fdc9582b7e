/**
 * Figures as people write them: which of comma and point is the decimal sign is told from all figures of a list
 * together, for one alone can often be read in two ways.
 */
import { fail, ok, type Result } from '@idle-marker/core';

export type DecimalSign = '.' | ',';

export interface DecimalFound {
  readonly decimal: DecimalSign;
  /** Every comma stands before three digits: it could part thousands as well. */
  readonly assumed: boolean;
}

const plain = (text: string): string => text.replace(/[\s\u2009\u00a0\u202f'’]/g, '').replace(/^[−–]/, '-');

/** How one figure uses its marks: as what it must be, or null where it may be either. */
function useOf(figure: string): { readonly decimal: DecimalSign | null; readonly maybe: DecimalSign | null } {
  const marks = [...figure.matchAll(/[.,]/g)];
  const last = marks.at(-1);
  if (!last) return { decimal: null, maybe: null };
  const sign = last[0] as DecimalSign;
  const other = marks.some(([each]) => each !== sign);
  const count = marks.filter(([each]) => each === sign).length;
  // The one that comes after another is the decimal sign; one that stands twice parts thousands.
  if (other) return count === 1 ? { decimal: sign, maybe: null } : { decimal: sign === '.' ? ',' : '.', maybe: null };
  if (count > 1) return { decimal: sign === '.' ? ',' : '.', maybe: null };
  const after = figure.slice(last.index + 1).replace(/e.*$/i, '');
  return after.length === 3 ? { decimal: null, maybe: sign } : { decimal: sign, maybe: null };
}

/** @param said the decimal sign as a person says; null when nobody did */
export function decimalOf(
  figures: Iterable<string>,
  said: DecimalSign | null,
): Result<DecimalFound, { readonly code: 'DECIMAL_MIXED'; readonly comma: string; readonly point: string }> {
  if (said !== null) return ok({ decimal: said, assumed: false });
  const sure = new Map<DecimalSign, string>();
  const maybe = new Set<DecimalSign>();
  for (const figure of figures) {
    const text = plain(figure);
    if (!/^[-+]?[\d.,]+(e[-+]?\d+)?$/i.test(text)) continue;
    const use = useOf(text);
    if (use.decimal && !sure.has(use.decimal)) sure.set(use.decimal, figure.trim());
    if (use.maybe) maybe.add(use.maybe);
  }
  const [comma, point] = [sure.get(','), sure.get('.')];
  if (comma !== undefined && point !== undefined) return fail({ code: 'DECIMAL_MIXED', comma, point });
  if (comma !== undefined) return ok({ decimal: ',', assumed: false });
  if (point !== undefined || maybe.has('.') || !maybe.has(',')) return ok({ decimal: '.', assumed: false });
  return ok({ decimal: ',', assumed: true });
}

/** Null for what is no figure. Thousands are parted by the other mark, by blanks or by apostrophes. */
export function figureOf(text: string, decimal: DecimalSign): number | null {
  const parted = decimal === '.' ? ',' : '.';
  let figure = plain(text);
  const grouped = new RegExp(`^[-+]?\\d{1,3}(\\${parted}\\d{3})+(\\${decimal}\\d*)?$`);
  if (grouped.test(figure)) figure = figure.replaceAll(parted, '');
  if (figure.includes(parted)) return null;
  figure = figure.replace(decimal, '.');
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(figure) && Number.isFinite(Number(figure))
    ? Number(figure)
    : null;
}
