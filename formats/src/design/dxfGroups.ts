/**
 * Where the elements of a DXF drawing begin and end, found by its group codes alone: a number that says what follows,
 * and a value, each on a line of its own (DXF reference, "DXF file structure"). What each element means is read by a
 * library; this tells it apart beforehand, so that one element that can not be read costs only itself, and progress can
 * be told.
 */
import { fail, ok, type Result } from '@idle-marker/core';
import type { DrawingError } from './drawing.ts';

export interface DxfElement {
  readonly type: string;
  readonly layer: string;
  /** Where its groups stand in the text, its vertices and attributes with it. */
  readonly start: number;
  readonly end: number;
  /** A polyline whose end is missing can not be read. */
  readonly whole: boolean;
  /** Line of the file on which no group code stands where one should; null where all do. */
  readonly broken: number | null;
  /** Text of its first attribute; null when it has none. */
  readonly attribute: string | null;
}
export interface DxfGroups {
  /** `$INSUNITS` of the header; 0 when it says nothing. */
  readonly insUnits: number;
  readonly elements: readonly DxfElement[];
}

const PARTS: ReadonlySet<string> = new Set(['VERTEX', 'SEQEND', 'ATTRIB']);

/** What follows, as a whole number: a reader that takes anything else for one may never come to an end. */
const GROUP_CODE = /^-?\d{1,4}$/;

interface Growing {
  type: string;
  layer: string | null;
  start: number;
  whole: boolean;
  broken: number | null;
  attribute: string | null;
  /** The part that is being read: of an attribute the text is wanted. */
  part: string;
}

export function dxfGroups(text: string): Result<DxfGroups, DrawingError> {
  const elements: DxfElement[] = [];
  let [insUnits, section, variable] = [0, '', ''];
  let [awaitsName, hasSections, hasEnd] = [false, false, false];
  let current: Growing | null = null;
  const close = (end: number) => {
    if (current)
      elements.push({
        type: current.type,
        layer: current.layer ?? '0',
        start: current.start,
        end,
        whole: current.whole,
        broken: current.broken,
        attribute: current.attribute,
      });
    current = null;
  };
  let at = 0;
  let line = -1;
  while (at < text.length) {
    line += 2;
    const codeEnd = text.indexOf('\n', at);
    if (codeEnd < 0) break;
    const found = text.indexOf('\n', codeEnd + 1);
    const valueEnd = found < 0 ? text.length : found;
    const code = text.slice(at, codeEnd).trim();
    const start = at;
    at = valueEnd + 1;
    const value = () => text.slice(codeEnd + 1, valueEnd).trim();
    if (code === '0') {
      const type = value();
      if (section === 'ENTITIES' && current !== null && PARTS.has(type)) {
        const open: Growing = current;
        open.part = type;
        if (type === 'SEQEND') open.whole = true;
        continue;
      }
      close(start);
      awaitsName = type === 'SECTION';
      hasSections ||= awaitsName;
      hasEnd ||= type === 'EOF';
      if (type === 'ENDSEC' || type === 'SECTION' || type === 'EOF') section = '';
      else if (section === 'ENTITIES')
        current = { type, layer: null, start, whole: type !== 'POLYLINE', broken: null, attribute: null, part: type };
      if (hasEnd) break;
    } else if (awaitsName && code === '2') {
      section = value();
      awaitsName = false;
    } else if (section === 'HEADER') {
      if (code === '9') variable = value();
      else if (variable === '$INSUNITS' && code === '70') insUnits = Number(value()) || 0;
    } else if (current !== null) {
      const open: Growing = current;
      if (!GROUP_CODE.test(code)) open.broken ??= line;
      if (code === '8') open.layer ??= value();
      else if (code === '1' && open.part === 'ATTRIB') open.attribute ??= value();
    }
  }
  if (!hasSections) return fail({ code: 'NOT_A_DRAWING', detail: 'it has no sections' });
  if (!hasEnd) return fail({ code: 'CUT_OFF', elements: elements.length });
  return ok({ insUnits, elements });
}
