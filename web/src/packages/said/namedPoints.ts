import type { Corner } from '@idle-marker/core';

/** A point that something is measured from; what is chosen stays chosen while others come before it in the list. */
export interface NamedPoint extends Corner {
  readonly id: string;
}

export const byId = (named: readonly NamedPoint[], id: string): NamedPoint | undefined =>
  named.find((point) => point.id === id);
