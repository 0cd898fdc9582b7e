import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface DialogProps {
  readonly open: boolean;
  onClose(): void;
  readonly title: string;
  readonly children: ReactNode;
  readonly foot?: ReactNode;
  readonly wide?: boolean;
  /** Nothing in it can be focused: the text itself is, so that keys scroll it. */
  readonly toRead?: boolean;
}

export function Dialog({ open, onClose, title, children, foot, wide, toRead }: DialogProps) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#16262a99]" />
        <Radix.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[92dvh] w-[calc(100vw-24px)] ${wide ? 'max-w-4xl' : 'max-w-lg'} -translate-x-1/2 -translate-y-1/2 flex-col rounded-sm border-[1.5px] border-ink bg-sheet shadow-xl`}
        >
          <div className="flex items-center justify-between border-b border-ink px-5 py-3">
            <Radix.Title className="text-xl">{title}</Radix.Title>
            <Radix.Close aria-label="Close" className="h-11 w-11 text-2xl leading-none">
              ×
            </Radix.Close>
          </div>
          <div className="min-h-0 flex-1 overflow-y-auto px-5 py-4" {...(toRead ? { tabIndex: 0, role: 'region', 'aria-label': title } : {})}>
            {children}
          </div>
          {foot && <div className="flex flex-wrap items-center justify-end gap-3 border-t border-ink px-5 py-3">{foot}</div>}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
