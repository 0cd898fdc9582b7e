import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { LengthUnit } from '@idle-marker/core';
import { msg, type WalkingLine } from '@idle-marker/words';
import { openFieldMenu, useFullView } from '../../site/fullView.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useKey } from '../../ui/useKey.ts';
import { useScreenAwake, useSignal } from '../signals.ts';
import { DueLine, type DueItem } from './DueLine.tsx';
import { hand } from './hand.ts';
import { PoleActionButton, type PoleAction } from './PoleAction.tsx';
import { PoleFigures } from './PoleFigures.tsx';
import { PoleHeightLine, type PoleHeight } from './PoleHeightLine.tsx';
import { isGone, usePoleReading, type PoleReading } from './poleReading.ts';
import { ReadingStrip } from './ReadingStrip.tsx';
import './poleView.css';

export interface LesserAction {
  readonly label: string;
  /** Key that does the same. */
  readonly key?: string;
  readonly isPressed?: boolean;
  readonly isDisabled?: boolean;
  onPress(): void;
}

export interface PoleViewProps {
  readonly name: string;
  /** "6 of 11" */
  readonly count: string | null;
  /** What it belongs to, where there is room to say it. */
  readonly detail: string | null;
  /** Of the link, where nothing else is followed. */
  readonly reading?: PoleReading;
  readonly doing: string | null;
  readonly station: string | null;
  readonly lines: readonly WalkingLine[];
  readonly waiting: string | null;
  readonly isHeld: boolean;
  readonly noise: number;
  readonly unit: LengthUnit;
  readonly board: ReactNode;
  /** Below the board, such as what moves the pole of the demo. */
  readonly underBoard?: ReactNode;
  readonly height: PoleHeight | null;
  readonly due: readonly DueItem[];
  /** Puts a mark into the ground: what is due for safety is asked about first, once a day. */
  readonly asksFirst: string | null;
  /** What the tape is for, or what comes next; where there is room. */
  readonly advice: string | null;
  readonly lesser: readonly LesserAction[];
  readonly action: PoleAction;
  /** Everything else that can be said of it. */
  more(close: () => void): ReactNode;
  /** A change of it closes what is open: another mark, another shot. */
  readonly topic: string;
}

const ASKED = 'idle-marker asked for safety';

/**
 * What is carried: the whole screen for one mark, in an order that never changes and with nothing that pushes anything.
 */
export function PoleView(props: PoleViewProps) {
  const { name, count, detail, doing, station, due, asksFirst, lesser, action, topic } = props;
  const { id } = useSite();
  useFullView();
  useScreenAwake();
  const link = usePoleReading();
  const reading = props.reading ?? link;
  const gone = isGone(reading);
  const [open, setOpen] = useState<{ readonly topic: string; readonly what: 'due' | 'more' } | null>(null);
  const shown = open?.topic === topic ? open.what : null;
  const show = (what: 'due' | 'more' | null) => setOpen(what && { topic, what });
  const isLoud = due.some(({ key, weight }) => weight === 'refused' || (key === 'proof' && weight === 'due'));
  useSignal('hold', props.isHeld && !gone);
  useSignal('lost', reading.kind === 'lost' || reading.kind === 'silent');
  useSignal('due', isLoud);
  const press = () => {
    if (asksFirst !== null && due.some(({ weight }) => weight === 'safety') && !wasAsked(asksFirst)) show('due');
    else action.onPress();
  };
  useKey(' ', shown === 'more' || action.isDisabled ? null : press);
  return (
    <div className="pole-view" data-hand={hand.use()} data-gone={gone}>
      <header className="pole-head">
        <Link to={`/sites/${id}/today`} aria-label={msg('pole.leaveThePole')} className="pole-icon">
          <svg viewBox="0 0 24 24" aria-hidden="true">
            <path d="M15 4l-8 8 8 8" fill="none" stroke="currentColor" strokeWidth="3" />
          </svg>
        </Link>
        <h1 className="min-w-0 flex-1 truncate">
          <span className="pole-name">{name}</span> {count !== null && <span className="pole-count">{count}</span>}{' '}
          {detail !== null && <span className="pole-detail">· {detail}</span>}
        </h1>
        <button type="button" className="pole-icon" aria-label={msg('pole.menu')} onClick={() => openFieldMenu(true)}>
          <svg viewBox="0 0 26 24" aria-hidden="true">
            <path d="M0 4h26M0 12h26M0 20h26" stroke="currentColor" strokeWidth="3" />
          </svg>
        </button>
      </header>
      <ReadingStrip reading={reading} doing={doing} beside={station} />
      <PoleFigures
        lines={props.lines}
        waiting={props.waiting}
        isHeld={props.isHeld}
        isGone={gone}
        noise={props.noise}
        unit={props.unit}
      />
      <div className="pole-board">
        <div className="relative min-h-0 flex-1">{props.board}</div>
        {props.underBoard}
      </div>
      <PoleHeightLine
        height={props.height}
        ageMs={gone && !props.height?.isKept ? reading.ageMs : null}
        unit={props.unit}
      />
      <p className="pole-advice">{props.advice}</p>
      <DueLine items={due} isOpen={shown === 'due'} onOpen={(isOpen) => show(isOpen ? 'due' : null)} />
      <div className="pole-lesser" role="group" aria-label={msg('pole.whatElse')}>
        {lesser.map((each) => (
          <Lesser key={each.label} action={each} hasKey={shown !== 'more'} />
        ))}
        <button type="button" aria-expanded={shown === 'more'} onClick={() => show('more')}>
          {msg('pole.more')}
        </button>
      </div>
      <PoleActionButton action={{ ...action, onPress: press }} />
      {shown === 'more' && (
        <section className="pole-more" aria-label={msg('pole.moreAbout', { name })}>
          <div className="pole-head">
            <h2 className="min-w-0 flex-1 truncate pl-4">{msg('pole.moreAbout', { name })}</h2>
            <button
              type="button"
              className="pole-icon"
              aria-label={msg('pole.backToThePole')}
              onClick={() => show(null)}
            >
              <svg viewBox="0 0 24 24" aria-hidden="true">
                <path d="M4 4l16 16M20 4L4 20" stroke="currentColor" strokeWidth="3" />
              </svg>
            </button>
          </div>
          <div className="min-h-0 flex-1 overflow-y-auto px-[18px] py-3" tabIndex={0}>
            {props.more(() => show(null))}
          </div>
          <button type="button" className="pole-action" onClick={() => show(null)}>
            <span className="pole-action-label">{msg('pole.backToThePole')}</span>
          </button>
        </section>
      )}
    </div>
  );
}

function Lesser({
  action: { label, key, isPressed, isDisabled, onPress },
  hasKey,
}: {
  readonly action: LesserAction;
  readonly hasKey: boolean;
}) {
  useKey(key ?? '\0', key === undefined || isDisabled || !hasKey ? null : onPress);
  return (
    <button type="button" aria-pressed={isPressed} disabled={isDisabled} onClick={onPress}>
      {label}
    </button>
  );
}

/** Whether somebody was asked already; from now on they were. */
function wasAsked(what: string): boolean {
  const asked = localStorage.getItem(ASKED) === what;
  localStorage.setItem(ASKED, what);
  return asked;
}
