/**
 * What stands in the way of reading a LandXML file, and what of it should be asked about: codes with the place in the
 * file.
 */
import type { ElementFault, Metres, ProfileError, AlignmentError } from '@idle-marker/core';

/** Where in a file: the element by its name, which of its kind it is within what owns it, and the line. */
export interface XmlPlace {
  readonly element: string;
  /** Counted from 1 within the owner; null where there is only one. */
  readonly number: number | null;
  /** “Alignment Landing Road”, or null for the file itself. */
  readonly owner: string | null;
  readonly line: number;
}

export type LandXmlFault =
  | { readonly code: 'XML_EMPTY' }
  | { readonly code: 'XML_ENCODING'; readonly encoding: string }
  | { readonly code: 'XML_BROKEN'; readonly detail: string; readonly line: number }
  | { readonly code: 'XML_DOCTYPE'; readonly line: number }
  | { readonly code: 'XML_TOO_DEEP'; readonly line: number; readonly most: number }
  | { readonly code: 'XML_TEXT_TOO_LONG'; readonly line: number }
  | { readonly code: 'XML_TOO_FAR'; readonly at: XmlPlace; readonly text: string }
  | { readonly code: 'XML_OTHER_ROOT'; readonly root: string }
  | { readonly code: 'XML_UNITS_MISSING' }
  | { readonly code: 'XML_UNIT_UNKNOWN'; readonly text: string; readonly line: number }
  | { readonly code: 'XML_NOT_A_NUMBER'; readonly at: XmlPlace; readonly text: string }
  | { readonly code: 'XML_NUMBER_COUNT'; readonly at: XmlPlace; readonly given: number; readonly wanted: string }
  | { readonly code: 'XML_PART_MISSING'; readonly at: XmlPlace; readonly part: string }
  | { readonly code: 'XML_POINT_UNKNOWN'; readonly at: XmlPlace; readonly name: string }
  | { readonly code: 'XML_SPIRAL_TYPE'; readonly at: XmlPlace; readonly type: string }
  | { readonly code: 'XML_WORD_UNKNOWN'; readonly at: XmlPlace; readonly attribute: string; readonly text: string }
  | { readonly code: 'XML_ELEMENT'; readonly at: XmlPlace; readonly fault: ElementFault }
  | { readonly code: 'XML_ALIGNMENT'; readonly at: XmlPlace; readonly fault: AlignmentError }
  | { readonly code: 'XML_PROFILE'; readonly at: XmlPlace; readonly fault: ProfileError }
  | { readonly code: 'XML_CORNER_TWICE'; readonly at: XmlPlace; readonly id: string }
  | { readonly code: 'XML_SETUP_TWICE'; readonly at: XmlPlace; readonly id: string }
  | { readonly code: 'XML_CORNER_UNKNOWN'; readonly at: XmlPlace; readonly id: string };

/** It was read, but should be looked at. Sizes in metres. */
export type LandXmlWarning =
  | { readonly code: 'XML_GAP'; readonly at: XmlPlace; readonly size: Metres }
  | { readonly code: 'XML_RADIUS_OFF'; readonly at: XmlPlace; readonly size: Metres }
  | { readonly code: 'XML_SPIRAL_OFF'; readonly at: XmlPlace; readonly size: Metres }
  | { readonly code: 'XML_EQUATION_BACK'; readonly at: XmlPlace; readonly size: Metres }
  /** A length or a station as stated differs from the geometry, which counts. */
  | { readonly code: 'XML_LENGTH_OFF'; readonly at: XmlPlace; readonly size: Metres }
  | { readonly code: 'XML_STATION_OFF'; readonly at: XmlPlace; readonly size: Metres }
  /** An element can not be read, and its alignment was left out. */
  | { readonly code: 'XML_UNREADABLE'; readonly at: XmlPlace; readonly fault: LandXmlFault };

/** Thrown by the reader to itself: the first fault ends the reading. */
export class Refused extends Error {
  readonly fault: LandXmlFault;
  constructor(fault: LandXmlFault) {
    super(fault.code);
    this.fault = fault;
  }
}
