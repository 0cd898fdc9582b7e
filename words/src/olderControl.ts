/** Sentences on stations that hang on older figures of control. */
import type { LengthUnit } from '@idle-marker/core';
import { msg } from './message.ts';
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
export function olderControlWords(
  { name, marks, change, set, most }: OlderControlFacts,
  unit: LengthUnit,
): { readonly title: string; readonly text: string } {
  const length = (metres: number) => smallLength(metres, unit);
  const title = msg('olderControl.wasComputedBeforeRevised', {
    name,
    list: listOf(marks.map((mark) => mark.name)),
    marks: marks.length,
  });
  const listed = marks.map((mark) => {
    const parts = [part(mark.plan, msg('olderControl.inPlan')), part(mark.height, msg('olderControl.inHeight'))].filter(
      (each) => each !== null,
    );
    return msg('olderControl.isListedFromWhereItWasThen', { name: mark.name, parts: parts.join(' and ') });
  });
  function part(by: number | null, where: string): string | null {
    if (by === null || by < 0.0005) return null;
    return Number.isFinite(by) ? `${length(by)} ${where}` : msg('olderControl.withoutTheFigureItHad', { where });
  }
  if (!change)
    return { title, text: msg('olderControl.byTodaysFiguresItsSightsGiveNo', { listed: listed.join('; ') }) };
  const height = change.height === null ? '' : msg('olderControl.inHeight2', { length: length(change.height) });
  const own = msg('olderControl.byTodaysFiguresItWouldStandAway', { length: length(change.plan), height });
  const marksSet =
    set === 0
      ? msg('olderControl.nothingSetHangsOnIt')
      : msg('olderControl.setFromItWouldMoveByUp', {
          set: set === 1 ? msg('olderControl.theMark') : msg('olderControl.theMarks', { set }),
          length: length(most!.plan),
          height: most!.height === null ? '' : msg('olderControl.inPlanAndInHeight', { length: length(most!.height) }),
        });
  return { title, text: `${listed.join('; ')}. ${own} ${marksSet}` };
}
