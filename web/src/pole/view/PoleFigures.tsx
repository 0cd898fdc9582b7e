import { useLayoutEffect, useRef, useState } from 'react';
import type { LengthUnit } from '@idle-marker/core';
import { msg, moveGradeWords, type WalkingFigure, type WalkingLine } from '@idle-marker/words';
import { Steady } from '../../ui/Steady.tsx';
import { useSize } from '../../ui/useSize.ts';
import { Stacked, widthOf } from './Stacked.tsx';
import './poleView.css';

interface PoleFiguresProps {
  /** One or two; dashes stand where there is no reading yet. */
  readonly lines: readonly WalkingLine[];
  /** Where there is no reading: what to do for one. */
  readonly waiting: string | null;
  readonly isHeld: boolean;
  /** They were so, and no longer are. */
  readonly isGone: boolean;
  readonly noise: number;
  readonly unit: LengthUnit;
}

const ARROWS = {
  up: 'M40 4 74 42H54v34H26V42H6z',
  down: 'M40 76 6 38h20V4h28v34h20z',
  left: 'M4 40 42 6v20h34v28H42v20z',
  right: 'M76 40 38 74V54H4V26h34V6z',
} as const;

function Arrow({ to, hollow }: { readonly to: WalkingLine['arrow']; readonly hollow: boolean }) {
  return (
    <svg className="pole-arrow" viewBox="0 0 80 80" aria-hidden="true">
      {to === null ? (
        <circle cx="40" cy="40" r="13" fill={hollow ? 'none' : 'currentColor'} stroke="currentColor" strokeWidth="4" />
      ) : (
        <path
          d={ARROWS[to]}
          fill={hollow ? 'none' : 'currentColor'}
          stroke={hollow ? 'currentColor' : 'none'}
          strokeWidth="4"
          strokeDasharray="7 5"
        />
      )}
    </svg>
  );
}

const USUAL = { width: 240, height: 80 };

/** The finest of them that there is room for. */
function useFitting(figures: readonly WalkingFigure[]) {
  const [row, { width }] = useSize<HTMLSpanElement>(USUAL);
  const letters = useRef<HTMLSpanElement>(null);
  const [size, setSize] = useState(80);
  useLayoutEffect(() => {
    if (letters.current) setSize(parseFloat(getComputedStyle(letters.current).fontSize));
  }, [width, figures]);
  const room = (width - 2) / size;
  const fitting = figures.find(
    ({ figure, unit }) => widthOf(figure) + (unit === '' ? 0 : 0.12 + unit.length * 0.2) <= room,
  );
  return { row, letters, shown: fitting ?? figures.at(-1)! };
}

function Line({
  line,
  hollow,
  noise,
  unit,
}: {
  readonly line: WalkingLine;
  readonly hollow: boolean;
  readonly noise: number;
  readonly unit: LengthUnit;
}) {
  const { row, letters, shown } = useFitting(line.figures);
  const isDecimal = !/['"′″/]/.test(shown.figure);
  return (
    <div className="pole-line">
      <Arrow to={line.arrow} hollow={hollow} />
      <span className="pole-line-words">
        <span ref={row} className="pole-figure-row">
          <span ref={letters} className={`pole-figure figures ${hollow ? 'pole-hollow' : ''}`}>
            {isDecimal && !hollow ? (
              <Steady text={shown.figure} noise={noise} unit={unit} />
            ) : (
              <Stacked text={shown.figure} />
            )}
          </span>{' '}
          {shown.unit !== '' && <span className="pole-unit">{shown.unit}</span>}
        </span>{' '}
        <span className="pole-way">{hollow ? msg('pole.was', { way: line.way }) : line.way}</span>
      </span>
    </div>
  );
}

/** What to read while walking: how far and which way, and one word once the pole has to be held. */
export function PoleFigures({ lines, waiting, isHeld, isGone, noise, unit }: PoleFiguresProps) {
  return (
    <div
      className="pole-figures"
      data-held={isHeld && !isGone}
      data-testid="move"
      aria-live="polite"
      aria-atomic="true"
    >
      {isHeld && !isGone && (
        <p className="pole-hold">
          {moveGradeWords().hold}
          <svg viewBox="0 0 84 84" aria-hidden="true">
            <path d="M4 26V4h22M58 4h22v22M80 58v22H58M26 80H4V58" fill="none" stroke="currentColor" strokeWidth="8" />
            <circle cx="42" cy="42" r="17" fill="currentColor" />
          </svg>
        </p>
      )}
      {waiting !== null ? (
        <>
          <p className="pole-figure" aria-hidden="true">
            –.–––
          </p>
          <p className="pole-waiting">{waiting}</p>
        </>
      ) : (
        <div className="pole-lines">
          {lines.map((line, i) => (
            <Line key={i} line={line} hollow={isGone} noise={noise} unit={unit} />
          ))}
        </div>
      )}
    </div>
  );
}
