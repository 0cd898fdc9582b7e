/** A term that explains itself when it is touched: what it is, how it is computed, what is usual. */
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { glossaryEntries, msg, type GlossaryTerm } from '@idle-marker/words';

interface ExplainedProps {
  readonly term: GlossaryTerm;
  /** What is touched; a question mark where it stands beside a label. */
  readonly children?: ReactNode;
  /** The label that it stands beside. */
  readonly describedBy?: string;
}

export function Explained({ term, children, describedBy }: ExplainedProps) {
  const { name, what, how, usual } = glossaryEntries()[term];
  return (
    <Popover.Root>
      {children ? (
        <Popover.Trigger className="cursor-help text-inherit underline decoration-dotted underline-offset-4 carried:-my-2 carried:inline-flex carried:min-h-11 carried:min-w-11 carried:items-center">
          {children}
        </Popover.Trigger>
      ) : (
        <Popover.Trigger
          aria-label={msg('glossary.explanation')}
          aria-describedby={describedBy}
          className="-my-2 inline-flex h-8 w-8 flex-none carried:h-11 carried:w-11 cursor-help items-center justify-center align-middle"
        >
          <span
            aria-hidden
            className="flex h-5 w-5 items-center justify-center rounded-full border border-ink2 text-[12px] text-ink2"
          >
            ?
          </span>
        </Popover.Trigger>
      )}
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={name}
          className="z-60 max-h-[70dvh] max-w-[min(380px,calc(100vw-24px))] overflow-y-auto rounded-sm border-[1.5px] border-ink bg-sheet p-4 text-left text-[15px] font-normal text-ink shadow-xl"
        >
          <p className="text-[17px] font-semibold">{name}</p>
          <p className="mt-1">{what}</p>
          <p className="mt-2">
            <span className="text-ink2">{msg('glossary.how')}: </span>
            {how}
          </p>
          <p className="mt-2">
            <span className="text-ink2">{msg('glossary.usual')}: </span>
            {usual}
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
