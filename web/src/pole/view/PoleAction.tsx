import { useEffect, useRef, useState } from 'react';

export interface PoleAction {
  readonly label: string;
  /** What it will do or what it goes by, in two short lines at the right. */
  readonly notes?: readonly string[];
  readonly isDisabled?: boolean;
  /** It can be done, but it is not what is meant here. */
  readonly isOutlined?: boolean;
  onPress(): void;
}

/** After its word has changed it takes no touch for this long: a second tap would be meant for the word before. */
const DEAF_MS = 600;

/** The one action of the moment. */
export function PoleActionButton({ action }: { readonly action: PoleAction }) {
  const { label, notes = [], isDisabled = false, isOutlined = false, onPress } = action;
  const before = useRef(label);
  const [isDeaf, setDeaf] = useState(false);
  const changed = before.current !== label;
  useEffect(() => {
    if (before.current === label) return;
    before.current = label;
    setDeaf(true);
    const timer = setTimeout(() => setDeaf(false), DEAF_MS);
    return () => clearTimeout(timer);
  }, [label]);
  const deaf = isDeaf || changed;
  return (
    <button
      type="button"
      className="pole-action"
      data-outlined={isOutlined || isDisabled}
      disabled={isDisabled}
      aria-disabled={deaf}
      onClick={() => !deaf && onPress()}
    >
      <span className="pole-action-label">{label}</span>
      {notes.length > 0 && (
        <span className="pole-action-notes figures">
          {notes.map((note) => (
            <span key={note}>{note}</span>
          ))}
        </span>
      )}
    </button>
  );
}
