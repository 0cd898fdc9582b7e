/**
 * What each piece of a paper is, in the order of reading, so that who listens to it, and whatever takes text out of it,
 * gets it as it was meant (International Organization for Standardization, ISO 32000-1, 14.8, and ISO 14289-1).
 */
import type PDFDocument from 'pdfkit';

type Document = InstanceType<typeof PDFDocument>;
type Element = PDFKit.PDFStructureElement & { readonly dictionary: { readonly data: Record<string, unknown> } };

/** Holds others. */
export type Group = 'Document' | 'Sect' | 'Table' | 'THead' | 'TBody' | 'TR';
/** Holds what is written or drawn. */
export type Piece = 'H1' | 'H2' | 'P' | 'TH' | 'TD' | 'Figure';

export interface PieceAsked {
  /** What a figure shows, in words. */
  readonly alt?: string;
  /** Of a head cell: what it is the head of. */
  readonly scope?: 'Column' | 'Row';
  /** Columns that a cell goes over. */
  readonly span?: number;
}

/** The tree of one document while it is written. */
class Tags {
  private readonly document: Document;
  private readonly open: Element[];
  private isMarked = false;

  constructor(document: Document) {
    this.document = document;
    const root = document.struct('Document') as Element;
    document.addStructure(root);
    this.open = [root];
  }

  private added(role: Group | Piece, { alt, scope, span }: PieceAsked = {}): Element {
    const element = this.document.struct(role, alt === undefined ? {} : { alt }) as Element;
    if (scope !== undefined || span !== undefined)
      element.dictionary.data['A'] = {
        O: 'Table',
        ...(scope === undefined ? {} : { Scope: scope }),
        ...(span === undefined ? {} : { ColSpan: span }),
      };
    this.open.at(-1)!.add(element);
    return element;
  }

  begin(role: Group): void {
    this.open.push(this.added(role));
  }

  end(): void {
    this.open.pop()!.end();
  }

  /** What is drawn within it belongs to it; a piece within a piece is part of the outer one. */
  piece(role: Piece, asked: PieceAsked, draw: () => void): void {
    if (this.isMarked) return draw();
    const element = this.added(role, asked);
    const content = this.document.markStructureContent(role);
    this.isMarked = true;
    draw();
    this.isMarked = false;
    this.document.endMarkedContent();
    element.add(content);
    element.end();
  }

  /** What is no part of the text: rules, frames, and what is said again on every page. */
  artifact(type: 'Layout' | 'Pagination', draw: () => void): void {
    if (this.isMarked) return draw();
    this.document.markContent('Artifact', { type });
    this.isMarked = true;
    draw();
    this.isMarked = false;
    this.document.endMarkedContent();
  }

  finish(): void {
    while (this.open.length > 0) this.end();
  }
}

const tags = new WeakMap<Document, Tags>();

export const tagsOf = (document: Document): Tags => {
  let known = tags.get(document);
  if (!known) tags.set(document, (known = new Tags(document)));
  return known;
};
