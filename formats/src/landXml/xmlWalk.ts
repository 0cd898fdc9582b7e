/**
 * XML as it comes, for every reader here: entities are never resolved, a document type is refused, and the first thing
 * that is wrong ends it, so that a file that is broken a thousand times costs no more than one that is broken once.
 * Depth and the text of one element are limited. Source: W3C, Extensible Markup Language 1.0.
 */
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { Refused, type LandXmlFault } from './landXmlFault.ts';

/** Deeper than this no file is that anybody draws from. */
const DEEPEST = 100;
/** A list of places of a whole surface's edge is some megabytes. */
const LONGEST_TEXT = 32 * 1024 * 1024;

/** What a reader wants to hear; it may throw `Refused` for what it can't take. */
export interface XmlHearing {
  open(tag: SaxesTagPlain): void;
  close(name: string): void;
  /** Text and character data, in pieces. */
  text(piece: string): void;
}

export class XmlWalk {
  readonly #parser = new SaxesParser();
  #fault: LandXmlFault | null = null;
  #depth = 0;
  #letters = 0;

  constructor(hearing: XmlHearing) {
    const parser = this.#parser;
    const refuse = (fault: LandXmlFault): never => {
      throw new Refused(fault);
    };
    parser.on('error', (error) =>
      refuse({ code: 'XML_BROKEN', detail: error.message.replace(/^\d+:\d+:\s*/, ''), line: parser.line }),
    );
    parser.on('doctype', () => refuse({ code: 'XML_DOCTYPE', line: parser.line }));
    parser.on('opentag', (tag) => {
      this.#letters = 0;
      if (++this.#depth > DEEPEST) refuse({ code: 'XML_TOO_DEEP', line: parser.line, most: DEEPEST });
      hearing.open(tag);
    });
    parser.on('closetag', (tag) => {
      this.#letters = 0;
      this.#depth--;
      hearing.close(tag.name);
    });
    const text = (piece: string) => {
      this.#letters += piece.length;
      if (this.#letters > LONGEST_TEXT) refuse({ code: 'XML_TEXT_TOO_LONG', line: parser.line });
      hearing.text(piece);
    };
    parser.on('text', text);
    parser.on('cdata', text);
  }

  get fault(): LandXmlFault | null {
    return this.#fault;
  }

  get line(): number {
    return this.#parser.line;
  }

  /** False once reading on is of no use. */
  write(text: string): boolean {
    return this.guard(() => void this.#parser.write(text));
  }

  close(): boolean {
    return this.guard(() => void this.#parser.close());
  }

  /** Does something that may be refused; false once anything was. */
  guard(act: () => void): boolean {
    if (this.#fault) return false;
    try {
      act();
    } catch (cause) {
      if (!(cause instanceof Refused)) throw cause;
      this.#fault = cause.fault;
    }
    return this.#fault === null;
  }
}
