import { useId, type ReactNode } from 'react';
import { msg, worded } from '@idle-marker/words';

/** Something that wants an answer at the pole. */
export interface DueItem {
  readonly key: string;
  /** Refused: the last shot came to nothing. Safety: asked before a mark is set. */
  readonly weight: 'refused' | 'safety' | 'due' | 'soon';
  /** In a word or two, for the line. */
  readonly short: string;
  readonly card: ReactNode;
}

const WEIGHTS = ['refused', 'safety', 'due', 'soon'] as const;

/** The gravest first. */
export const sortedDue = (items: readonly DueItem[]): readonly DueItem[] =>
  WEIGHTS.flatMap((weight) => items.filter((each) => each.weight === weight));

const weightWords = worded((): Readonly<Record<DueItem['weight'], string>> => ({
  refused: msg('pole.rejected'),
  safety: msg('pole.due'),
  due: msg('pole.due'),
  soon: msg('pole.soon'),
}));

interface DueLineProps {
  readonly items: readonly DueItem[];
  readonly isOpen: boolean;
  onOpen(isOpen: boolean): void;
}

/** One line whatever is due; what stands behind it opens over the board, and never over the figures. */
export function DueLine({ items, isOpen, onOpen }: DueLineProps) {
  const id = useId();
  const sorted = sortedDue(items);
  const [gravest] = sorted;
  if (!gravest)
    return (
      <p className="pole-due" data-weight="none">
        <span className="pole-due-what">{msg('pole.nothingDue')}</span>
      </p>
    );
  return (
    <>
      <button
        type="button"
        className="pole-due"
        data-weight={gravest.weight}
        aria-expanded={isOpen}
        aria-controls={isOpen ? id : undefined}
        onClick={() => onOpen(!isOpen)}
      >
        <span className="pole-due-count figures">{sorted.length}</span>
        <span className="pole-due-word">{weightWords()[gravest.weight]}</span>
        <span className="pole-due-what">
          {gravest.weight === 'refused' ? gravest.short : sorted.map(({ short }) => short).join(' · ')}
        </span>
        <svg viewBox="0 0 24 24" className="h-6 w-6 flex-none" aria-hidden="true">
          <path d={isOpen ? 'M4 8l8 8 8-8' : 'M4 16l8-8 8 8'} fill="none" stroke="currentColor" strokeWidth="3" />
        </svg>
      </button>
      {isOpen && (
        <div id={id} className="pole-due-open" role="region" aria-label={msg('pole.whatIsDue')} tabIndex={0}>
          {sorted.map(({ key, card }) => (
            <div key={key}>{card}</div>
          ))}
        </div>
      )}
    </>
  );
}
