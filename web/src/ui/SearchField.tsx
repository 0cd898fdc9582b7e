import { useRef } from 'react';
import { useKey } from './useKey.ts';

interface SearchFieldProps {
  /** What is looked for: "Find a mark". */
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  readonly className?: string;
  /** A key that leads here, from anywhere on the page where nothing is typed. */
  readonly shortcut?: string;
}

/** Narrows a long list by what is typed. */
export function SearchField({ label, value, onChange, className = '', shortcut }: SearchFieldProps) {
  const field = useRef<HTMLInputElement>(null);
  useKey(shortcut ?? '', shortcut === undefined ? null : () => field.current?.focus());
  return (
    <input
      ref={field}
      type="search"
      aria-label={label}
      placeholder={shortcut === undefined ? `${label}…` : `${label}…  ${shortcut}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className={`min-h-11 rounded-sm border border-ink2 bg-sheet px-3 ${className}`}
    />
  );
}
