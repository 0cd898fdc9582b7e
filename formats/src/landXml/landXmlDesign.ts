/** What a LandXML file holds, in its own unit; northing and easting already told apart. */
import type { AlignmentDefinition, GradePoint } from '@idle-marker/core';
import type { DrawingUnit, DrawnPath, DrawnPoint, DrawnSurface, LeftOut } from '../design/drawing.ts';
import type { LandXmlWarning } from './landXmlFault.ts';

export interface ReadProfile {
  readonly name: string;
  readonly points: readonly GradePoint[];
}
/** A cross section as designed: a line of offsets and heights, by what its designer called it. */
export interface ReadCrossSection {
  readonly station: number;
  readonly lines: readonly {
    readonly name: string;
    readonly points: readonly { readonly offset: number; readonly z: number; readonly code: string }[];
  }[];
}
export interface ReadAlignment {
  readonly name: string;
  readonly definition: AlignmentDefinition;
  readonly profiles: readonly ReadProfile[];
  readonly crossSections: readonly ReadCrossSection[];
}
export interface LandXmlDesign {
  readonly unit: DrawingUnit;
  /** As the file names it, among those that a length may be given in; null for others. */
  readonly linearUnit: 'metre' | 'foot' | 'usSurveyFoot' | null;
  readonly alignments: readonly ReadAlignment[];
  readonly paths: readonly DrawnPath[];
  readonly points: readonly DrawnPoint[];
  readonly surfaces: readonly DrawnSurface[];
  readonly warnings: readonly LandXmlWarning[];
  readonly leftOut: readonly LeftOut[];
}
