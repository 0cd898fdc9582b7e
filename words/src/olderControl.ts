/** Sentences on stations that hang on older figures of control. */
import type { LengthUnit } from '@idle-marker/core';
import { listOf } from './lists.ts';
import { smallLength } from './small.ts';

export interface OlderControlFacts {
  readonly name: string;
  readonly marks: readonly { readonly name: string; readonly plan: number | null; readonly height: number | null }[];
  readonly change: { readonly plan: number; readonly height: number | null } | null;
  readonly set: number;
  readonly most: { readonly plan: number; readonly height: number | null } | null;
}

/** That a station used older figures, and what today's would change. */
export function olderControlWords({ name, marks, change, set, most }: OlderControlFacts, unit: LengthUnit): { readonly title: string; readonly text: string } {
  const length = (metres: number) => smallLength(metres, unit);
  const title = `${name} was computed before ${listOf(marks.map((mark) => mark.name))} ${marks.length === 1 ? 'was' : 'were'} revised`;
  const listed = marks.map((mark) => {
    const parts = [part(mark.plan, 'in plan'), part(mark.height, 'in height')].filter((each) => each !== null);
    return `${mark.name} is listed ${parts.join(' and ')} from where it was then`;
  });
  function part(by: number | null, where: string): string | null {
    if (by === null || by < 0.0005) return null;
    return Number.isFinite(by) ? `${length(by)} ${where}` : `without the figure it had ${where}`;
  }
  if (!change) return { title, text: `${listed.join('; ')}. By today’s figures its sights give no station.` };
  const height = change.height === null ? '' : `, ${length(change.height)} in height`;
  const own = `By today’s figures it would stand ${length(change.plan)} away in plan${height}.`;
  const marksSet =
    set === 0
      ? 'Nothing set hangs on it.'
      : `${set === 1 ? 'The mark' : `The ${set} marks`} set from it would move by up to ${length(most!.plan)}${most!.height === null ? '' : ` in plan and ${length(most!.height)} in height`}.`;
  return { title, text: `${listed.join('; ')}. ${own} ${marksSet}` };
}
