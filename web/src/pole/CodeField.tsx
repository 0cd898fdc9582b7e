import { useState } from 'react';
import { nearCode } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';

interface CodeFieldProps {
  readonly value: string;
  /** In use already, or offered. */
  readonly codes: readonly string[];
  onChange(code: string): void;
}

/** A code as it is typed; one that looks like another that is in use is asked about, and can be kept. */
export function CodeField({ value, codes, onChange }: CodeFieldProps) {
  const [kept, setKept] = useState<string | null>(null);
  const meant = kept === value ? null : nearCode(value, codes);
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <Field label={msg('pole.code')} value={value} maxLength={40} onChange={(event) => onChange(event.target.value)} />
      {meant !== null && (
        <div
          className="border-l-4 border-ochre pl-3 text-[14px]"
          role="group"
          aria-label={msg('common.whatMeans', { value: value.trim() })}
        >
          <p>{msg('pole.didYouMean', { value: value.trim(), meant })}</p>
          <Button look="quiet" onClick={() => onChange(meant)}>
            {meant}
          </Button>
          <Button look="quiet" onClick={() => setKept(value)}>
            {msg('pole.no', { value: value.trim() })}
          </Button>
        </div>
      )}
    </div>
  );
}
