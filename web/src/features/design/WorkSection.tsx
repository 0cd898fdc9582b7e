import type { ReactNode } from 'react';
import { msg } from '@idle-marker/words';
import { useRemembered } from '../../site/useRemembered.ts';
import { Button } from '../../ui/Button.tsx';

interface WorkSectionProps {
  /** By which it is remembered whether it is open. */
  readonly id: string;
  readonly title: string;
  /** How many there are, and how many of them are shown where something is searched for. */
  readonly count: number;
  readonly shown: number;
  readonly add: string;
  readonly primary?: boolean;
  onAdd(): void;
  readonly children: ReactNode;
}

/** What there is of one kind, with its count and the way to add one; it can be folded away. */
export function WorkSection({ id, title, count, shown, add, primary = false, onAdd, children }: WorkSectionProps) {
  const [isOpen, setOpen] = useRemembered(`work section ${id}`, true);
  return (
    <section className="border-b border-ink" aria-label={title}>
      <h2 className="sticky top-0 z-10 flex flex-wrap items-center justify-between gap-x-2 bg-paper px-[18px] py-1">
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
          className="flex min-h-11 flex-auto items-center gap-2 text-left text-[17px] font-semibold"
        >
          <span aria-hidden="true" className={`inline-block transition-none ${isOpen ? 'rotate-90' : ''}`}>
            ▶
          </span>
          {title}
          <span className="figures font-normal text-ink2">
            {shown === count ? count : msg('design.shownOf', { shown, count })}
          </span>
        </button>
        <Button look={primary ? 'primary' : 'quiet'} className="flex-none whitespace-nowrap" onClick={onAdd}>
          {add}
        </Button>
      </h2>
      {isOpen && shown > 0 && <div className="divide-y divide-rule">{children}</div>}
    </section>
  );
}
