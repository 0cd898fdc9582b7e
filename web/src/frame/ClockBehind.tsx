import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { now } from '../data/clock.ts';
import { dayAndTime } from '../ui/time.ts';

/** The order of entries decides what stands: a device whose clock is behind the last one would write into the past. */
export function ClockBehind() {
  const { clockBehind } = useSite();
  if (clockBehind === null) return null;
  return (
    <p className="border-b border-ink bg-brick px-5 py-2 font-medium text-sheet" role="alert">
      {msg('frame.itIsNowButTheLastEntry', {
        dayAndTime: dayAndTime(now().toISOString()),
        dayAndTime2: dayAndTime(clockBehind),
      })}
    </p>
  );
}
