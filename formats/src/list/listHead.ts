/** How a list of points begins: enough for a person to see what each column is, whether it can be read or not. */
import { hasHeadings, readHeaderCell, type ColumnRole } from '../control/columns.ts';
import { looksLikeXml } from '../control/controlLandXml.ts';
import { decodedText } from '../text.ts';
import { tableOf, type Separator } from './cells.ts';

export interface ListColumn {
  /** Null where the list has no headings. */
  readonly heading: string | null;
  /** What its heading says; null where nothing is understood. */
  readonly role: ColumnRole | null;
  /** What stands in its first rows. */
  readonly samples: readonly string[];
}

export interface ListHead {
  readonly separator: Separator;
  /** The letters are taken by a code page, since they are no Unicode and the file says nothing. */
  readonly isEncodingAssumed: boolean;
  readonly columns: readonly ListColumn[];
}

const LOOKED_AT_BYTES = 64 * 1024;
const SAMPLES = 3;
const MOST_COLUMNS = 60;
const LONGEST_SAMPLE = 40;

/** Null for what is no table of text. */
export function listHead(bytes: Uint8Array): ListHead | null {
  // Whole lines alone: half of a letter would be none.
  const start = bytes.subarray(0, LOOKED_AT_BYTES);
  const text = decodedText(bytes.length > LOOKED_AT_BYTES ? start.subarray(0, start.lastIndexOf(0x0a) + 1) : start);
  if (!text.ok || looksLikeXml(text.value.text)) return null;
  const { rows, separator } = tableOf(text.value.text);
  const [first, ...rest] = rows.map(({ cells }) => cells.slice(0, MOST_COLUMNS));
  if (!first) return null;
  const isHeaded = hasHeadings(first);
  const body = (isHeaded ? rest : [first, ...rest]).slice(0, SAMPLES);
  const width = Math.max(first.length, ...body.map((cells) => cells.length));
  return {
    separator,
    isEncodingAssumed: text.value.assumed,
    columns: Array.from({ length: width }, (_, i) => ({
      heading: isHeaded ? (first[i] ?? '').trim().slice(0, LONGEST_SAMPLE) : null,
      role: isHeaded ? readHeaderCell((first[i] ?? '').slice(0, 120)).role : null,
      samples: body.map((cells) => (cells[i] ?? '').trim().slice(0, LONGEST_SAMPLE)),
    })),
  };
}
