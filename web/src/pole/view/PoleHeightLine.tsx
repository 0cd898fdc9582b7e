import type { LengthUnit } from '@idle-marker/core';
import { msg, walkingUnit } from '@idle-marker/words';
import { Stacked } from './Stacked.tsx';

/** Cut or fill as it is written, from what and to what. */
export interface PoleHeight {
  /** "CUT 0.120", "FILL 1'-4 1/2\"", "ON GRADE": word, then figure. */
  readonly written: string | null;
  /** Or the reason that there is none. */
  readonly none: string | null;
  readonly notes: readonly string[];
  /** It was shot and kept, so that it gets no older with the last reading. */
  readonly isKept?: boolean;
}

interface PoleHeightLineProps {
  readonly height: PoleHeight | null;
  /** Its reading is so old that it must not be written. */
  readonly ageMs: number | null;
  readonly unit: LengthUnit;
}

const WEDGES = { CUT: 'M0 3h36L18 34z', FILL: 'M0 33h36L18 2z' } as const;

/** Word and wedge before colour, the figure as it would be written, and beside them from what and to what. */
export function PoleHeightLine({ height, ageMs, unit }: PoleHeightLineProps) {
  const [word, ...rest] = (height?.written ?? '').split(' ');
  const kind = word === 'CUT' || word === 'FILL' ? word : null;
  const figure = rest.join(' ');
  return (
    <div className="pole-height" data-kind={kind ?? 'none'} data-testid="pole-height">
      {kind && (
        <svg className="pole-wedge" viewBox="0 0 36 36" aria-hidden="true">
          <path
            d={WEDGES[kind]}
            fill={ageMs === null ? 'currentColor' : 'none'}
            stroke="currentColor"
            strokeWidth="2.5"
            strokeDasharray={ageMs === null ? undefined : '5 4'}
          />
        </svg>
      )}
      {height?.written ? (
        <p className="pole-height-said figures">
          <span className="pole-height-word">{kind ?? height.written}</span>{' '}
          {kind && (
            <>
              <span className={`pole-height-figure ${ageMs === null ? '' : 'pole-hollow'}`}>
                <Stacked text={figure} />
              </span>
              {!/['"′″]/.test(figure) && <span className="pole-height-unit"> {walkingUnit(unit)}</span>}
            </>
          )}
        </p>
      ) : (
        <p className="pole-height-none">{height?.none ?? msg('pole.noHeightAtAll')}</p>
      )}
      <p className="pole-height-notes figures">
        {ageMs === null ? height?.notes.join(' ') : msg('pole.doNotWrite', { seconds: Math.round(ageMs / 1000) })}
      </p>
    </div>
  );
}
