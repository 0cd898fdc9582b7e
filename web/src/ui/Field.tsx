import { useId, type InputHTMLAttributes, type ReactNode } from 'react';
import type { LengthUnit } from '@idle-marker/core';
import { twoReadingsWords, unitAbbreviationWords, worded, type GlossaryTerm } from '@idle-marker/words';
import { Explained } from './Explained.tsx';

const BOX = 'min-h-11 w-full rounded-sm border border-ink2 bg-sheet px-3 figures';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
  readonly label: string;
  readonly unit?: string | undefined;
  /** What is wrong with the value and what to do; null when nothing is. */
  readonly error?: string | null | undefined;
  readonly help?: ReactNode;
  /** Explained beside the label. */
  readonly term?: GlossaryTerm;
}

const unitWords = worded(() => Object.keys(unitAbbreviationWords()) as LengthUnit[]);

/** A figure that was refused because it could be meant in two ways says so, in whichever field it stands. */
function refusal(error: string | null | undefined, value: unknown, unit: string | undefined): string | null {
  if (!error) return null;
  const lengthUnit = unitWords().find((each) => unitAbbreviationWords()[each] === unit) ?? 'metre';
  return (typeof value === 'string' && twoReadingsWords(value, lengthUnit)) || error;
}

/** The label of a field, with its term explained beside it where there is one. */
export function FieldLabel({
  id,
  term,
  children,
}: {
  id: string;
  term?: GlossaryTerm | undefined;
  children: ReactNode;
}) {
  const label = (
    <label id={`${id}-label`} htmlFor={id} className="text-[13px] text-ink2">
      {children}
    </label>
  );
  if (!term) return label;
  return (
    <span className="flex items-center gap-1">
      {label}
      <Explained term={term} describedBy={`${id}-label`} />
    </span>
  );
}

export function Field({ label, unit, error: given, help, term, className = '', ...rest }: FieldProps) {
  const id = useId();
  const error = refusal(given, rest.value, unit);
  return (
    <div className={`flex min-w-0 flex-col gap-1 ${className}`}>
      <FieldLabel id={id} term={term}>
        {label}
        {/* A label that names its unit already says it once. */}
        {unit && !label.endsWith(`(${unit})`) && <span> ({unit})</span>}
      </FieldLabel>
      <input
        id={id}
        {...rest}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || help ? `${id}-note` : undefined}
        className={`${BOX} ${error ? 'border-2 border-brick' : ''}`}
      />
      {(error || help) && (
        <p id={`${id}-note`} className={`text-[13px] ${error ? 'font-medium text-brick' : 'text-ink2'}`}>
          {error ?? help}
        </p>
      )}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [NoInfer<T>, string])[];
  onChange(value: NoInfer<T>): void;
  readonly className?: string;
  readonly help?: ReactNode;
  readonly term?: GlossaryTerm;
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = '',
  help,
  term,
}: ChoiceProps<T>) {
  const id = useId();
  return (
    <div className={`flex min-w-0 flex-col gap-1 ${className}`}>
      <FieldLabel id={id} term={term}>
        {label}
      </FieldLabel>
      <select id={id} value={value} onChange={(event) => onChange(event.target.value as T)} className={BOX}>
        {options.map(([option, words]) => (
          <option key={option} value={option}>
            {words}
          </option>
        ))}
      </select>
      {help && <p className="text-[13px] text-ink2">{help}</p>}
    </div>
  );
}

interface TickProps {
  readonly label: ReactNode;
  readonly checked: boolean;
  onChange(checked: boolean): void;
}

export function Tick({ label, checked, onChange }: TickProps) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        className="h-5 w-5 accent-(--spruce)"
      />
      <span>{label}</span>
    </label>
  );
}
