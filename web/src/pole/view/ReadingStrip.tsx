import { useRef } from 'react';
import { msg, worded } from '@idle-marker/words';
import { cycleTheme } from '../../site/theme.ts';
import { isGone, type PoleReading } from './poleReading.ts';

const readingWords = worded((): Readonly<Record<PoleReading['kind'], string>> => ({
  noLink: msg('pole.stripNoLink'),
  typed: msg('frame.typedReadings'),
  none: msg('pole.stripNone'),
  searching: msg('frame.searching'),
  measuring: msg('common.measuring'),
  following: msg('frame.followingThePole'),
  old: msg('frame.followingThePole'),
  lost: msg('common.lockLost'),
  silent: msg('pole.stripSilent'),
}));

const CELLS = 5;
/** One cell empties in this time. */
const CELL_MS = 200;
const LONG_PRESS_MS = 600;

/** From ten seconds on nobody reads tenths. */
const seconds = (ms: number): string => (ms / 1000).toFixed(ms < 9950 ? 1 : 0);

interface ReadingStripProps {
  readonly reading: PoleReading;
  /** What is being done now, such as walking to a mark; said in place of what is followed. */
  readonly doing: string | null;
  /** Beside it where there is room: the station and how good it is. */
  readonly beside: string | null;
}

/** What is followed and how old it is; the whole of it turns when nothing is followed any more. Held, the theme turns. */
export function ReadingStrip({ reading, doing, beside }: ReadingStripProps) {
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const gone = isGone(reading);
  const { ageMs } = reading;
  const full = ageMs === null ? 0 : Math.max(0, CELLS - Math.floor(ageMs / CELL_MS));
  const release = () => clearTimeout(timer.current);
  return (
    <div
      className="pole-strip figures"
      data-gone={gone}
      data-testid="reading-strip"
      onPointerDown={() => {
        release();
        timer.current = setTimeout(cycleTheme, LONG_PRESS_MS);
      }}
      onPointerUp={release}
      onPointerLeave={release}
      onContextMenu={(event) => event.preventDefault()}
    >
      <span className="min-w-0 flex-1 truncate" role="status">
        {(!gone && doing) || readingWords()[reading.kind]}
        {beside !== null && !gone && <span className="pole-beside"> · {beside}</span>}
      </span>
      {ageMs !== null && (
        <span className="flex-none whitespace-nowrap">
          {reading.kind === 'old' && `${msg('pole.old')} `}
          {msg('pole.seconds', { seconds: seconds(ageMs) })}
        </span>
      )}
      {ageMs !== null && !gone && (
        <span className="flex flex-none gap-[3px]" aria-hidden="true">
          {Array.from({ length: CELLS }, (_, i) => (
            <span key={i} className={`h-[18px] w-[9px] border-2 border-current ${i < full ? 'bg-current' : ''}`} />
          ))}
        </span>
      )}
    </div>
  );
}
