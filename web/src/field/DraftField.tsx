import type { ComponentProps } from 'react';
import { Field } from '../ui/Field.tsx';
import { typed, type Draft } from './draft.ts';

interface DraftFieldProps extends Omit<ComponentProps<typeof Field>, 'value' | 'onChange'> {
  readonly draft: Draft<unknown>;
  onDraft(draft: Draft<never>): void;
}

/** A field for a figure: once its text is edited, the text is what counts. */
export const DraftField = ({ draft, onDraft, ...rest }: DraftFieldProps) => (
  <Field inputMode="decimal" {...rest} value={draft.text} onChange={(event) => onDraft(typed(event.target.value))} />
);
