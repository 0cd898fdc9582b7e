import { msg } from './message.ts';
/** What a station hangs on, for a sheet: its marks, and plainly how, where they do not say it by themselves. */
export function heldBy(method: string | undefined, marks: readonly string[]): string {
  const names = marks.join(', ');
  switch (method) {
    case 'assumed':
      return msg('heldBy.overDirectionAssumedNothingTestsIt', { names });
    case 'onLines':
      return msg('heldBy.pointsOnDrawnLines');
    case 'carried':
      return msg('heldBy.carriedForward', { names });
    case 'paired':
      return msg('heldBy.planFromAReceiverHeightFrom', { names });
    default:
      return names;
  }
}
