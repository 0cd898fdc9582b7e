/** Times on a sheet: of the place where it was issued, and with their day wherever that is not the sheet's own. */
export interface SheetClock {
  /** "09:41", or "5 May 17:10" on another day than the marks were set; "none" without an instant. */
  time(at: string | null): string;
  day(at: string): string;
}

/**
 * @param timeZone IANA name
 * @param own an instant on the sheet's own day; null when nothing was set
 */
export function sheetClock(timeZone: string, own: string | null): SheetClock {
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone });
  const short = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone });
  const whole = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone });
  const day = (at: string) => whole.format(new Date(at));
  return {
    day,
    time: (at) => {
      if (at === null) return 'none';
      const time = clock.format(new Date(at));
      return own !== null && day(own) === day(at) ? time : `${short.format(new Date(at))} ${time}`;
    },
  };
}
