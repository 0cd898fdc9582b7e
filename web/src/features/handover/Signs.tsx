import { useRef, type ReactNode } from 'react';
import { msg, worded } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';

/** Signs that keyboards lack, with what they are read as. Every font of the paper has them. */
const signList = worded(
  () =>
    [
      ['Δ', 'difference'],
      ['℄', msg('handover.centreLine')],
      ['▼', msg('handover.cutDownTo')],
      ['▲', msg('handover.fillUpTo')],
      ['↓', 'down'],
      ['↑', 'up'],
      ['⌀', 'diameter'],
      ['∠', 'angle'],
      ['⊥', msg('handover.squareTo')],
      ['±', msg('handover.plusOrMinus')],
    ] as const,
);

/** Fields with a row of signs under them: a sign goes to where the caret was last. */
export function WithSigns({ children }: { readonly children: ReactNode }) {
  const last = useRef<HTMLInputElement | null>(null);
  const put = (sign: string) => {
    const field = last.current;
    if (!field?.isConnected) return;
    field.focus();
    // A field that is full takes no more, as from the keyboard.
    if (field.maxLength >= 0 && field.value.length >= field.maxLength) return;
    const [from, to] = [field.selectionStart ?? field.value.length, field.selectionEnd ?? field.value.length];
    field.setRangeText(sign, from, to, 'end');
    field.dispatchEvent(new Event('input', { bubbles: true }));
  };
  return (
    <div
      onFocusCapture={({ target }) => {
        if (target instanceof HTMLInputElement && target.type === 'text') last.current = target;
      }}
    >
      {children}
      <div className="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label={msg('handover.signs')}>
        <span className="text-[13px] text-ink2">{msg('handover.signsPutInWhereYouTypedLast')}</span>
        {signList().map(([sign, meaning]) => (
          <Button key={sign} look="quiet" title={meaning} aria-label={`${sign}, ${meaning}`} onClick={() => put(sign)}>
            {sign}
          </Button>
        ))}
      </div>
    </div>
  );
}
