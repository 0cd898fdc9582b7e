import { useSite } from '../site/SiteContext.tsx';
import { now } from '../data/clock.ts';
import { dayAndTime } from '../ui/time.ts';

/** The order of entries decides what stands: a device whose clock is behind the last one would write into the past. */
export function ClockBehind() {
  const { clockBehind } = useSite();
  if (clockBehind === null) return null;
  return (
    <p className="border-b border-ink bg-brick px-5 py-2 font-medium text-sheet" role="alert">
      It is {dayAndTime(now().toISOString())} now, but the last entry of this site is of {dayAndTime(clockBehind)}: a clock is wrong. What you enter would stand
      before that entry and may not count. Set the clocks right first: the server’s, and that of the device that made it.
    </p>
  );
}
