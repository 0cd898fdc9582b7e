import type { ButtonHTMLAttributes } from 'react';

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: 'primary' | 'plain' | 'quiet' | 'danger';
  /** Key that does the same, shown beside the words. */
  readonly hint?: string;
}

const LOOKS = {
  primary: 'bg-spruce text-on-spruce border-spruce disabled:bg-transparent disabled:text-ink2 disabled:border-rule',
  plain: 'bg-sheet text-ink border-ink disabled:text-ink2 disabled:border-rule',
  quiet: 'shrink-0 bg-transparent text-spruce border-transparent px-2 disabled:text-ink2',
  danger: 'bg-sheet text-brick border-brick disabled:text-ink2 disabled:border-rule',
} as const;

export function Button({ look = 'plain', hint, children, className = '', ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      data-look={look}
      {...rest}
      className={`inline-flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-sm border-[1.5px] px-4 text-[15px] leading-tight font-semibold ${LOOKS[look]} ${className}`}
    >
      {children}
      {hint && (
        <kbd
          aria-hidden="true"
          className="rounded-sm border border-current px-1.5 font-sans text-xs opacity-80 max-md:hidden"
        >
          {hint}
        </kbd>
      )}
    </button>
  );
}
