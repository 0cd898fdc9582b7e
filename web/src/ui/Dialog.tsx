import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { msg } from '@idle-marker/words';

interface DialogProps {
  readonly open: boolean;
  onClose(): void;
  readonly title: string;
  readonly children: ReactNode;
  readonly foot?: ReactNode;
  readonly wide?: boolean;
  /** What stays in view beside the rest on a wide screen, and comes after it on others. */
  readonly beside?: { readonly title: string; readonly content: ReactNode };
  /** Nothing in it can be focused: the text itself is, so that keys scroll it. */
  readonly toRead?: boolean;
}

export function Dialog({ open, onClose, title, children, foot, wide, beside, toRead }: DialogProps) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-[#16262a99]" />
        <Radix.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[92dvh] w-[calc(100vw-24px)] ${beside ? 'max-w-[1180px]' : wide ? 'max-w-4xl' : 'max-w-lg'} -translate-x-1/2 -translate-y-1/2 flex-col rounded-sm border-[1.5px] border-ink bg-sheet shadow-xl`}
        >
          <div className="flex items-center justify-between border-b border-ink px-5 py-3">
            <Radix.Title className="text-xl">{title}</Radix.Title>
            <Radix.Close aria-label={msg('common.close')} className="h-11 w-11 text-2xl leading-none">
              ×
            </Radix.Close>
          </div>
          <div className={`min-h-0 flex-1 ${beside ? 'overflow-y-auto lg:flex lg:overflow-hidden' : 'flex flex-col'}`}>
            <div
              className={`min-h-0 flex-1 px-5 py-4 ${beside ? 'lg:overflow-y-auto' : 'overflow-y-auto'}`}
              {...(toRead ? { tabIndex: 0, role: 'region', 'aria-label': title } : {})}
            >
              {children}
            </div>
            {beside && (
              <section
                tabIndex={0}
                aria-label={beside.title}
                className="flex-none border-rule px-5 py-4 max-lg:border-t lg:w-[350px] lg:overflow-y-auto lg:border-l"
              >
                <h2 className="text-[17px]">{beside.title}</h2>
                {beside.content}
              </section>
            )}
          </div>
          {foot && (
            <div className="flex flex-wrap items-center justify-end gap-3 border-t border-ink px-5 py-3">{foot}</div>
          )}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
