/** Letters as older programs read them: one byte each, by a code page that the file names (Unicode mappings of Windows). */

const PAGES = ['1252', '1250', '1251', '1253', '1254', '1257', '1255', '1256', '1258'] as const;
type Page = (typeof PAGES)[number];

export interface CodePage {
  /** As headers of drawings name it. */
  readonly name: string;
  /** Whether it has a letter. */
  has(letter: string): boolean;
  /** Bytes of a text; a letter that it does not have becomes a question mark. */
  bytesOf(text: string): Uint8Array;
}

const tables = new Map<Page, ReadonlyMap<string, number>>();

/** Its letters beyond ASCII, and the byte of each. */
function tableOf(page: Page): ReadonlyMap<string, number> {
  let table = tables.get(page);
  if (!table) {
    const bytes = Uint8Array.from({ length: 128 }, (_, i) => 128 + i);
    const letters = [...new TextDecoder(`windows-${page}`).decode(bytes)];
    // Bytes that stand for nothing are decoded to control characters, or to the sign of a fault.
    table = new Map(
      letters.flatMap((letter, i) => (letter >= '\u00a0' && letter !== '\ufffd' ? [[letter, 128 + i] as const] : [])),
    );
    tables.set(page, table);
  }
  return table;
}

const isPlain = (letter: string): boolean => letter < '\u0080';

/** The first page that has all letters of some texts; else the Western one. */
export function codePageFor(texts: Iterable<string>): CodePage {
  const letters = new Set<string>();
  for (const text of texts) for (const letter of text) if (!isPlain(letter)) letters.add(letter);
  const page = PAGES.find((each) => [...letters].every((letter) => tableOf(each).has(letter))) ?? PAGES[0];
  const table = tableOf(page);
  return {
    name: `ANSI_${page}`,
    has: (letter) => isPlain(letter) || table.has(letter),
    bytesOf: (text) =>
      Uint8Array.from(text, (letter) => (isPlain(letter) ? letter.charCodeAt(0) : (table.get(letter) ?? 0x3f))),
  };
}
