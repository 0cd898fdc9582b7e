import { smallUnit } from '@idle-marker/words';
import type { ComponentProps } from 'react';
import { DraftField } from './DraftField.tsx';
import { useUnits } from './useUnits.ts';

/** A field for what is kept in millimetres: shown and typed in millimetres on metric sites, in feet on others. */
export const SmallField = (props: Omit<ComponentProps<typeof DraftField>, 'unit'>) => (
  <DraftField {...props} unit={smallUnit(useUnits().lengthUnit).name} />
);
