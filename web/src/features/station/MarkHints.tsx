import { markHistory, markTrend } from '@idle-marker/records';
import { msg, controlKindWords, firmnessWords, firmnessOf } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { dayAndTime } from '../../ui/time.ts';

/**
 * What is known of a mark that is blamed: how firm it stands, whether it may be at an offset, whether it disagreed
 * before.
 */
export function MarkHints({ marks }: { readonly marks: readonly string[] }) {
  const { state } = useSite();
  const hints = marks.flatMap((id) => {
    const mark = state.control.find((each) => each.id === id);
    if (!mark) return [];
    const { body } = mark.revision;
    const { since } = markTrend(markHistory(state, id));
    return [
      msg('station.isA', {
        name: body.name,
        controlKind: controlKindWords()[body.kind],
        firmness: firmnessWords()[firmnessOf(body)],
        since: since ? msg('station.itHasDisagreedSince', { dayAndTime: dayAndTime(since) }) : '',
        kind: body.kind === 'cross' ? msg('station.crossesAreSometimesPaintedAtAnOffset') : '',
      }),
    ];
  });
  return hints.map((hint) => (
    <p key={hint} className="mt-1 text-[14px] text-ink2">
      {hint}
    </p>
  ));
}
