import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { msg } from '@idle-marker/words';
import { Button } from './Button.tsx';

interface SlipProps {
  readonly head: ReactNode;
  readonly children: ReactNode;
  readonly foot?: ReactNode;
  /** What the slip is about: when it changes, the slip starts again from its top. */
  readonly topic?: string;
  /**
   * On a phone it is as long as it has to be: what stands above it leaves it no room, and the whole is moved. Its foot
   * stays in view.
   */
  readonly long?: boolean;
}

/** The page of the field book being written: head, body, foot with the actions; the primary one at the right. */
export function Slip({ head, children, foot, topic = '', long = false }: SlipProps) {
  const body = useRef<HTMLDivElement>(null);
  const plan = useContext(PlanContext);
  useEffect(() => {
    body.current?.scrollTo({ top: 0 });
  }, [topic]);
  return (
    <section
      className={`flex min-h-0 flex-1 flex-col border-ink bg-sheet low:overflow-y-auto lg:w-[440px] lg:flex-none lg:border-l ${long ? 'max-md:flex-none' : ''} ${plan?.isShown ? 'max-md:flex-none' : ''}`}
      aria-label={msg('ui.slip')}
    >
      <div className="border-b border-ink px-[18px] py-3">{head}</div>
      <div
        ref={body}
        className={`min-h-0 flex-1 overflow-y-auto px-[18px] py-3 low:flex-none low:overflow-visible ${plan?.isShown ? 'max-md:hidden' : ''}`}
        tabIndex={0}
        role="region"
        aria-label={msg('ui.bodyOfTheSlip')}
      >
        {children}
      </div>
      {(foot ?? plan) && (
        <div
          className={`slip-foot flex flex-wrap low:sticky low:bottom-0 low:mt-auto low:bg-sheet low:py-1 items-center justify-between gap-2 border-t border-ink px-[18px] py-3 ${long ? 'max-md:sticky max-md:bottom-0 max-md:bg-sheet' : ''}`}
        >
          {foot}
          {plan && (
            <Button className="md:hidden" aria-pressed={plan.isShown} onClick={plan.toggle}>
              {plan.isShown ? msg('ui.list') : msg('common.plan')}
            </Button>
          )}
        </div>
      )}
    </section>
  );
}

/** Whether the plan stands in the place of the slip's body: on a phone there is room for one of them. */
const PlanContext = createContext<{ readonly isShown: boolean; toggle(): void } | null>(null);

/** Board and slip side by side; on a phone one or the other, with the head and the actions of the slip in view. */
export function Workspace({ board, slip }: { board: ReactNode; slip: ReactNode }) {
  const [isShown, show] = useState(false);
  const plan = useMemo(() => ({ isShown, toggle: () => show(!isShown) }), [isShown]);
  return (
    <div className="flex h-full min-h-0 flex-col lg:flex-row low:flex-row">
      <div
        className={`relative min-h-0 flex-[0_0_38%] border-b border-ink max-md:order-2 lg:flex-1 lg:border-b-0 low:border-r low:border-b-0 ${isShown ? 'max-md:flex-1' : 'max-md:hidden'}`}
      >
        {board}
      </div>
      <PlanContext value={plan}>{slip}</PlanContext>
    </div>
  );
}

/** Says that nothing here has a height. */
export const PlanOnlyBadge = () => (
  <strong className="ml-2 rounded-sm border-[1.5px] border-pencil px-2 text-[13px] text-pencil">
    {msg('ui.planOnly')}
  </strong>
);

/** A few figures with their names above them. */
export function Figures({ items }: { items: readonly (readonly [string, ReactNode, string?])[] }) {
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-1">
      {items.map(([name, value, tone]) => (
        <div key={name}>
          <dt className="text-[13px] text-ink2">{name}</dt>
          <dd className={`figures text-[17px] font-medium max-md:text-[24px] ${tone ?? ''}`}>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** What goes in an empty place, and a way to put it there. */
export function Empty({ title, children, action }: { title: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div className="m-auto flex max-w-md flex-col items-start gap-3 p-6">
      <h2 className="text-xl">{title}</h2>
      <p className="text-ink2">{children}</p>
      {action}
    </div>
  );
}

const TONES = { good: 'border-good', ochre: 'border-ochre', brick: 'border-brick', ink: 'border-ink' } as const;
const HEADS = { good: 'text-good', ochre: 'text-ochre', brick: 'text-brick', ink: 'text-ink' } as const;

/** A judgement: one sentence, its reason, and what to do. */
export function Card({
  tone,
  title,
  children,
  actions,
}: {
  tone: keyof typeof TONES;
  title: string;
  children?: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <div className={`my-3 rounded-sm border-2 px-3.5 py-3 ${TONES[tone]}`} role="status">
      <h3 className={`text-[17px] ${HEADS[tone]}`}>{title}</h3>
      {children && <div className="mt-1 leading-snug">{children}</div>}
      {actions && <div className="mt-3 flex flex-wrap gap-2">{actions}</div>}
    </div>
  );
}
