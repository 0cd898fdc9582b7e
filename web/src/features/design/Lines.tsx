import { useId } from 'react';
import type { GlossaryTerm } from '@idle-marker/words';
import { FieldLabel } from '../../ui/Field.tsx';

interface LinesProps {
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  readonly error: string | null;
  readonly help: string;
  /** Explained beside the label. */
  readonly term?: GlossaryTerm;
  readonly rows: number;
}

/** Several lines of text, with what is wrong with them or how they are written. */
export function Lines({ label, value, onChange, error, help, rows, term }: LinesProps) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <FieldLabel id={id} term={term}>
        {label}
      </FieldLabel>
      <textarea
        id={id}
        rows={rows}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={error ? true : undefined}
        aria-describedby={`${id}-note`}
        className={`figures w-full rounded-sm border bg-sheet p-2 ${error ? 'border-2 border-brick' : 'border-ink2'}`}
        spellCheck={false}
      />
      <span id={`${id}-note`} className={`text-[13px] ${error ? 'font-medium text-brick' : 'text-ink2'}`}>
        {error ?? help}
      </span>
    </div>
  );
}
