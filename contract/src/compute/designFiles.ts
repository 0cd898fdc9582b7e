/** Design files that a case names, as whoever runs it reads them: lengths in the file's own unit. */
import type { AlignmentDefinition, GradePoint, LengthUnit, Result, Triangles } from '@idle-marker/core';

export interface DesignFile {
  readonly linearUnit: LengthUnit | null;
  readonly metresPerUnit: number;
  readonly alignments: readonly {
    readonly name: string;
    readonly definition: AlignmentDefinition;
    readonly profiles: readonly { readonly name: string; readonly points: readonly GradePoint[] }[];
  }[];
  readonly surfaces: readonly { readonly name: string; readonly triangles: Triangles }[];
  /** Sentences. */
  readonly warnings: readonly string[];
}
/** A file by its name beside the case; a sentence where it can't be read. */
export type OpenDesignFile = (name: string) => Result<DesignFile, string>;
