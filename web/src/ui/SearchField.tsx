interface SearchFieldProps {
  /** What is looked for: "Find a mark". */
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  readonly className?: string;
}

/** Narrows a long list by what is typed. */
export function SearchField({ label, value, onChange, className = '' }: SearchFieldProps) {
  return (
    <input
      type="search"
      aria-label={label}
      placeholder={`${label}…`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      className={`min-h-11 rounded-sm border border-ink2 bg-sheet px-3 ${className}`}
    />
  );
}
