import { useMemo } from 'react';
import { TARGET_HEIGHT_SD, targetCentringSd, type PoleSet } from '@idle-marker/core';
import { useLinked } from '../link/linkStore.ts';

const USUAL_HEIGHT = 1.5;

/** The pole as it is set now, with its errors; a usual one on legs before any link is open. */
export function usePoleSet(): PoleSet {
  const pole = useLinked((link) => link?.pole);
  const targetHeight = pole?.targetHeight ?? USUAL_HEIGHT;
  const legs = pole?.legs ?? true;
  return useMemo(
    () => ({ targetHeight, targetHeightSd: TARGET_HEIGHT_SD, targetCentringSd: targetCentringSd(targetHeight, legs) }),
    [targetHeight, legs],
  );
}
