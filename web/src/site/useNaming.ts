import { useMemo } from 'react';
import type { Naming } from '@idle-marker/words';
import { useSite } from './SiteContext.tsx';

/** Names of control marks for sentences. */
export function useNaming(): Naming {
  const { state } = useSite();
  return useMemo(() => {
    const names = new Map(state.control.map((mark) => [mark.id, mark.revision.body.name]));
    return { nameOf: (mark) => names.get(mark) ?? 'an unknown mark', unit: state.settings.lengthUnit };
  }, [state]);
}
