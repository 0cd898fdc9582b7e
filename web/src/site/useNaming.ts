import { useMemo } from 'react';
import { namingOf } from '@idle-marker/records';
import type { Naming } from '@idle-marker/words';
import { useSite } from './SiteContext.tsx';

/** Names of control marks for sentences, and the site's units. */
export function useNaming(): Naming {
  const { state } = useSite();
  return useMemo(() => namingOf(state), [state]);
}
