/**
 * Where the elements of a DXF drawing begin and end, found by its group codes alone: a number that says what follows,
 * and a value, each on a line of its own (DXF reference, "DXF file structure"). What each element means is read
 * afterwards, one by one, so that one that can not be read costs only itself, and progress can be told.
 */
import { fail, ok, type Result } from '@idle-marker/core';
import type { DrawingError } from './drawing.ts';
import { groupCode } from './dxfElement.ts';
import { ownCopy } from './dxfText.ts';
import { grown } from './growingSurface.ts';

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
}
/** What a block holds, round its base. */
export interface DxfBlock {
  readonly base: { readonly x: number; readonly y: number; readonly z: number };
  readonly elements: DxfElements;
}
export interface DxfGroups {
  /** `$INSUNITS` of the header; 0 when it says nothing. */
  readonly insUnits: number;
  readonly elements: DxfElements;
  /** By name in capitals: names of blocks are told apart without regard to them. */
  readonly blocks: ReadonlyMap<string, DxfBlock>;
}

/** Words that come again and again, each kept once. */
class Words {
  readonly #words: string[] = [];
  readonly #numbers = new Map<string, number>();

  number(word: string): number {
    const known = this.#numbers.get(word);
    if (known !== undefined) return known;
    const own = ownCopy(word);
    this.#numbers.set(own, this.#words.length);
    return this.#words.push(own) - 1;
  }

  word(number: number): string {
    return this.#words[number]!;
  }
}

const FIRST_ROOM = 16;
/** Type, layer, start, end, whole, line that is broken. */
const PER_ELEMENT = 6;

/** Elements in their order. A large drawing has a million of them: as numbers they take a tenth of what objects take. */
export class DxfElements implements Iterable<DxfElement> {
  length = 0;
  readonly #words: Words;
  #kept = new Uint32Array(FIRST_ROOM * PER_ELEMENT);

  constructor(words: Words) {
    this.#words = words;
  }

  add({ type, layer, start, end, whole, broken }: DxfElement): void {
    const at = PER_ELEMENT * this.length++;
    if (at === this.#kept.length) this.#kept = grown(this.#kept, Uint32Array);
    this.#kept.set([this.#words.number(type), this.#words.number(layer), start, end, Number(whole), broken ?? 0], at);
  }

  at(i: number): DxfElement {
    const of = (what: number) => this.#kept[PER_ELEMENT * i + what]!;
    return {
      type: this.#words.word(of(0)),
      layer: this.#words.word(of(1)),
      start: of(2),
      end: of(3),
      whole: of(4) === 1,
      broken: of(5) || null,
    };
  }

  *[Symbol.iterator](): Iterator<DxfElement> {
    for (let i = 0; i < this.length; i++) yield this.at(i);
  }
}

const PARTS: ReadonlySet<string> = new Set(['VERTEX', 'SEQEND', 'ATTRIB']);

interface Growing {
  type: string;
  layer: string | null;
  start: number;
  whole: boolean;
  broken: number | null;
}

interface GrowingBlock {
  name: string | null;
  readonly base: [number, number, number];
  readonly elements: DxfElements;
}

export function dxfGroups(text: string): Result<DxfGroups, DrawingError> {
  const words = new Words();
  const elements = new DxfElements(words);
  const blocks = new Map<string, DxfBlock>();
  let [insUnits, section, variable] = [0, '', ''];
  let [awaitsName, hasSections, hasEnd] = [false, false, false];
  let current: Growing | null = null;
  let block: GrowingBlock | null = null;
  /** The head of a block is being read: its name and its base. */
  let inHead = false;
  const close = (end: number) => {
    if (current)
      (block ? block.elements : elements).add({
        type: current.type,
        layer: current.layer ?? '0',
        start: current.start,
        end,
        whole: current.whole,
        broken: current.broken,
      });
    current = null;
  };
  const closeBlock = () => {
    if (block?.name)
      blocks.set(block.name.toUpperCase(), {
        base: { x: block.base[0], y: block.base[1], z: block.base[2] },
        elements: block.elements,
      });
    block = null;
  };
  let at = 0;
  let line = -1;
  while (at < text.length) {
    line += 2;
    const codeEnd = text.indexOf('\n', at);
    if (codeEnd < 0) break;
    const found = text.indexOf('\n', codeEnd + 1);
    const valueEnd = found < 0 ? text.length : found;
    const code = groupCode(text, at, codeEnd);
    const start = at;
    at = valueEnd + 1;
    const value = () => text.slice(codeEnd + 1, valueEnd).trim();
    const holdsElements = section === 'ENTITIES' || block !== null;
    if (code === 0) {
      const type = value();
      if (holdsElements && current !== null && PARTS.has(type)) {
        const open: Growing = current;
        if (type === 'SEQEND') open.whole = true;
        continue;
      }
      close(start);
      inHead = false;
      awaitsName = type === 'SECTION';
      hasSections ||= awaitsName;
      hasEnd ||= type === 'EOF';
      if (type === 'ENDSEC' || type === 'SECTION' || type === 'EOF') {
        closeBlock();
        section = '';
      } else if (section === 'BLOCKS' && (type === 'BLOCK' || type === 'ENDBLK')) {
        closeBlock();
        inHead = type === 'BLOCK';
        if (inHead) block = { name: null, base: [0, 0, 0], elements: new DxfElements(words) };
      } else if (section === 'ENTITIES' || block !== null)
        current = { type, layer: null, start, whole: type !== 'POLYLINE', broken: null };
      if (hasEnd) break;
    } else if (awaitsName && code === 2) {
      section = value();
      awaitsName = false;
    } else if (section === 'HEADER') {
      if (code === 9) variable = value();
      else if (variable === '$INSUNITS' && code === 70) insUnits = Number(value()) || 0;
    } else if (inHead && block !== null) {
      const open: GrowingBlock = block;
      if (code === 2) open.name ??= value();
      const axis = code === null ? -1 : BASE_CODES.indexOf(code);
      if (axis >= 0) open.base[axis] = Number(value()) || 0;
    } else if (current !== null) {
      const open: Growing = current;
      if (code === null) open.broken ??= line;
      if (code === 8) open.layer ??= value();
    }
  }
  if (!hasSections) return fail({ code: 'NOT_A_DRAWING', detail: 'it has no sections' });
  if (!hasEnd) return fail({ code: 'CUT_OFF', elements: elements.length });
  return ok({ insUnits, elements, blocks });
}

const BASE_CODES = [10, 20, 30];
