/** How far the work packages are: what is set, held and in doubt. */
import type { Standing, TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { planKeys } from '../site/indexes.ts';
import type { SiteState } from '../site/state.ts';

export interface PackageProgress {
  readonly work: Fact<'package'>;
  readonly marks: number;
  /** Marks set, rough ones not counted; those held and in doubt are among them. */
  readonly set: number;
  readonly held: number;
  readonly inDoubt: number;
  readonly blocked: number;
}

export function progressOf(state: SiteState, trust: TrustResult): PackageProgress[] {
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  return state.packages.map((work) => {
    const keys = planKeys(state, work);
    // A mark that is said to be gone has to be set again; one that was hit is in doubt, whatever the station says.
    const marks = keys
      .flatMap((key) => state.marks.get(key) ?? [])
      .filter((mark) => mark.body.state !== 'rough' && state.reports.get(mark.id)?.body.kind !== 'destroyed');
    const standingOf = (mark: Fact<'mark'>): Standing | undefined =>
      state.reports.has(mark.id) ? 'inDoubt' : standings.get(mark.id);
    const of = (standing: Standing) => marks.filter((mark) => standingOf(mark) === standing).length;
    return {
      work,
      marks: keys.length,
      set: marks.length,
      held: of('held'),
      inDoubt: of('inDoubt'),
      blocked: keys.filter((key) => state.obstructions.has(key)).length,
    };
  });
}

/** From where the control in force came: files and other sources, each once. */
export const controlSources = (state: SiteState): string[] =>
  [
    ...new Set(
      state.control
        .filter((mark) => !mark.revision.body.parent)
        .map((mark) => mark.revision.body.source.replace(/, row \d+$/, '')),
    ),
  ].filter((source) => source !== '');
