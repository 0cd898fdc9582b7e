/** A reason as somebody typed it, to be gone on from: without the stop at its end. */
export const withoutStop = (reason: string): string => reason.trim().replace(/\.$/, '');
