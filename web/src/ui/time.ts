/** Times as they are said on site: the clock of the place where the browser is. */
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });
/** Zone that sheets and reports are printed in: that of the place where they are asked for. */
export const TIME_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });

export const clockTime = (at: Date | string): string => CLOCK.format(new Date(at));
export const dayAndTime = (at: Date | string): string => `${DAY.format(new Date(at))} ${CLOCK.format(new Date(at))}`;
export const dayOf = (at: Date | string): string => DAY.format(new Date(at));
