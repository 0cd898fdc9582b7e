import type { Fact } from '@idle-marker/contract';
import type { DrawnLayer } from '@idle-marker/formats';
import { useDrawings } from '../../drawings/useDrawings.ts';

const NONE: readonly DrawnLayer[] = [];

/** Layers of a kept drawing; none while it is being read. */
export function useLayers(drawing: Fact<'drawing'> | null): readonly DrawnLayer[] {
  const found = useDrawings().find(({ fact }) => fact.id === drawing?.id)?.state;
  return found?.status === 'open' ? found.summary.layers : NONE;
}
