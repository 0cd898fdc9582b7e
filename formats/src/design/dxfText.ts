/**
 * Words in a drawing: signs by their code, formatting gone. Source: DXF reference, "Formatting codes of multiline text"
 * and "Control codes and special text characters".
 */

/** The double-byte code pages of `\M+n`. */
const PAGES: Readonly<Record<string, string>> = { '1': 'shift_jis', '2': 'big5', '3': 'euc-kr', '5': 'gbk' };

const doubleByte = (page: string, hex: string): string => {
  const encoding = PAGES[page];
  if (!encoding) return '';
  const code = Number.parseInt(hex, 16);
  return new TextDecoder(encoding).decode(code > 255 ? Uint8Array.of(code >> 8, code & 255) : Uint8Array.of(code));
};

/** A part of a text keeps the whole of it in memory, which may be a whole file; this is a text by itself. */
export const ownCopy = (part: string): string => ` ${part}`.slice(1);

/** Signs that are written by a code, in names too. */
export const withSigns = (text: string): string =>
  text
    .replace(/\\U\+([0-9A-Fa-f]{4})/g, (_, hex: string) => String.fromCharCode(Number.parseInt(hex, 16)))
    .replace(/\\M\+([1-5])([0-9A-Fa-f]{4})/g, (_, page: string, hex: string) => doubleByte(page, hex));

const CONTROL: Readonly<Record<string, string>> = { c: 'Ø', d: '°', p: '±', u: '', o: '', k: '', '%': '%' };

const withControls = (text: string): string =>
  text
    .replace(/%%([cdpuok%])/gi, (_, code: string) => CONTROL[code.toLowerCase()]!)
    .replace(/%%(\d{3})/g, (_, code: string) => String.fromCharCode(Number(code)));

/** A line of text. */
export const plainText = (text: string): string => ownCopy(withControls(withSigns(text)).trim());

/** A text of several lines, without its formatting. */
export function multilineText(text: string): string {
  let plain = '';
  const signs = withSigns(text);
  for (let i = 0; i < signs.length; i++) {
    const sign = signs[i]!;
    if (sign === '{' || sign === '}') continue;
    if (sign !== '\\') {
      plain += sign;
      continue;
    }
    const code = signs[++i] ?? '';
    if (code === 'P' || code === 'X' || code === 'N') plain += '\n';
    else if (code === '~') plain += ' ';
    else if (code === '\\' || code === '{' || code === '}') plain += code;
    else if ('LlOoKk'.includes(code)) continue;
    else {
      const end = signs.indexOf(';', i);
      if (end < 0) break;
      // One over the other: the stroke between them stays.
      if (code === 'S') plain += signs.slice(i + 1, end).replace(/[#^]\s*/g, '/');
      i = end;
    }
  }
  return withControls(plain).trim();
}
