import { msg } from './message.ts';
/** A span of time as it is said: minutes, or hours and minutes. */
export function durationWords(ms: number): string {
  const minutes = Math.max(1, Math.round(ms / 60_000));
  if (minutes < 60) return msg('duration.min', { minutes });
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest === 0 ? '' : msg('duration.min2', { rest })}`;
}
