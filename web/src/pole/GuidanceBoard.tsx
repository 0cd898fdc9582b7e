import { useRef } from 'react';
import {
  evenGraduation,
  graduation,
  isCloseUp,
  isPastEdge,
  METRES_PER_UNIT,
  type Metres,
  type Move,
  type Viewpoint,
} from '@idle-marker/core';
import { msg, directionWords, viewpointWords } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { useKey } from '../ui/useKey.ts';
import { useSize } from '../ui/useSize.ts';

interface GuidanceBoardProps {
  readonly move: Move | null;
  readonly trail: readonly Move[];
  readonly viewpoint: Viewpoint;
  readonly tolerance: Metres;
  readonly toleranceWords: string;
  /** What stands at the top of the board, such as the instrument's name and distance; null for the other viewpoints. */
  readonly ahead: string | null;
  readonly stale: boolean;
  onViewpoint(): void;
}

const USUAL = { width: 640, height: 520 };
/** Room for the names and figures around the scales, pixels: letters keep their size on a small screen. */
const ABOVE = 50;
const BELOW = 14;
const BESIDE = 62;
const LETTERS = 16;
/** Round figures of the unit that the scales are written in. */
const SCALE = { metre: [0.05, 0.5, 2], feet: [0.1, 1, 6] } as const;
/** The close view: millimetres, or thousandths of a foot. */
const CLOSE = { metre: [0.01, 0.02], feet: [0.03, 0.06] } as const;
/** With a tolerance that fills the close view there is nothing to come close to. */
const CLOSE_TOLERANCE: Metres = 0.015;
/** Nearer than this to another, a figure of the scale is left out, pixels. */
const APART = 17;

/**
 * Two graduated scales with the tolerance in the middle and the pole moving over them; even ones for the last
 * centimetres. The board's top is what the person faces, and it is never mirrored. The scales fill their place: an axis
 * may be longer than the other, the tolerance and the pole are true to each.
 */
export function GuidanceBoard({
  move,
  trail,
  viewpoint,
  tolerance,
  toleranceWords,
  ahead,
  stale,
  onViewpoint,
}: GuidanceBoardProps) {
  const units = useUnits();
  useKey('v', onViewpoint);
  const [frame, { width, height }] = useSize<SVGSVGElement>(USUAL);
  const wasClose = useRef(false);
  const isClose = move !== null && tolerance <= CLOSE_TOLERANCE && isCloseUp(move, wasClose.current);
  wasClose.current = isClose;
  const isMetric = units.lengthUnit === 'metre';
  const perUnit = METRES_PER_UNIT[units.lengthUnit];
  const scale: readonly number[] = (isClose ? CLOSE : SCALE)[isMetric ? 'metre' : 'feet'];
  const end = scale.at(-1)! * perUnit;
  const along = (x: Metres) => (isClose ? evenGraduation(x, end) : graduation(x));
  const halfX = Math.max((width - BESIDE - 14) / 2, 40);
  const halfY = Math.max((height - ABOVE - BELOW) / 2, 30);
  const cx = 14 + halfX;
  const cy = ABOVE + halfY;
  const bracketX = Math.max(along(tolerance) * halfX, 10);
  const bracketY = Math.max(along(tolerance) * halfY, 10);
  const corner = Math.min(bracketX, bracketY) * 0.5;
  const words = directionWords()[viewpoint];
  // The pole lies opposite to the move it has to make.
  const x = (each: Move) => cx - along(each.right) * halfX;
  const y = (each: Move) => cy + along(each.up) * halfY;
  const isPast = move !== null && isPastEdge(move, isClose ? end : undefined);
  const label = (size: number) =>
    isClose && isMetric ? String(Math.round(size * 1000)) : size === 0 ? '0' : String(size);
  const name = isClose && isMetric ? 'mm' : units.unit;
  const places = [...scale.toReversed(), 0, ...scale.map((each) => -each)].map((each) => ({
    size: Math.abs(each),
    at: cy - along(each * perUnit) * halfY,
    isEnd: Math.abs(each) === scale.at(-1),
  }));
  const legible = places.filter(
    ({ at, size, isEnd }, i) =>
      size === 0 ||
      isEnd ||
      places.every(
        (other, j) => i === j || !(other.isEnd || other.size === 0 || j < i) || Math.abs(other.at - at) >= APART,
      ),
  );
  const poleX = move ? Math.max(cx - halfX + 12, Math.min(cx + halfX - 12, x(move))) : cx;
  const poleY = move ? Math.max(cy - halfY + 12, Math.min(cy + halfY - 12, y(move))) : cy;
  const wordsLeft = poleX > cx + halfX * 0.45;
  return (
    <div className="absolute inset-0">
      <svg
        ref={frame}
        viewBox={`0 0 ${width} ${height}`}
        className="h-full w-full"
        role="img"
        aria-label={move ? msg('pole.thePoleAgainstTheMarkTheSentence') : msg('pole.waitingForThePole')}
      >
        <g stroke="var(--ink)" fill="none" strokeWidth="1.5">
          <rect x={cx - halfX} y={cy - halfY} width={halfX * 2} height={halfY * 2} />
          <path d={`M${cx - halfX} ${cy}H${cx + halfX}M${cx} ${cy - halfY}V${cy + halfY}`} strokeWidth="1" />
          {scale.slice(0, -1).map((each) => {
            const [w, h] = [along(each * perUnit) * halfX, along(each * perUnit) * halfY];
            return <rect key={each} x={cx - w} y={cy - h} width={w * 2} height={h * 2} strokeDasharray="2 5" />;
          })}
          {legible.map(({ at, size }) => (
            <path key={`${size} ${at}`} d={`M${cx + halfX} ${at}h7`} />
          ))}
        </g>
        <g fontSize={LETTERS} fontWeight="500" fill="var(--ink)" className="figures">
          {legible.map(({ at, size, isEnd }, i) => (
            <text key={`${size} ${at}`} x={cx + halfX + 11} y={Math.min(Math.max(at + 5, ABOVE + 5), height - 3)}>
              {label(size)}
              {isEnd && i === 0 ? ` ${name}` : ''}
            </text>
          ))}
        </g>
        <g fontSize={LETTERS} fontWeight="500" fill="var(--ink)">
          {ahead !== null && <circle cx={cx} cy={ABOVE - 12} r="9" fill="var(--ink)" />}
          <path d={`M${cx} ${ABOVE - (ahead === null ? 14 : 1)}l-8 14h16z`} fill="var(--ink)" />
          <text x={cx + 16} y={ABOVE - 9}>
            {ahead ?? words.up}
          </text>
        </g>
        <g stroke="var(--pencil)" strokeWidth="4" fill="none">
          {[-1, 1].flatMap((sx) =>
            [-1, 1].map((sy) => (
              <path
                key={`${sx}${sy}`}
                d={`M${cx + sx * bracketX} ${cy + sy * (bracketY - corner)}v${sy * corner}h${-sx * corner}`}
              />
            )),
          )}
        </g>
        <text
          x={cx}
          // Where the pole is not.
          y={move && move.up < 0 ? cy + bracketY + 20 : cy - bracketY - 8}
          textAnchor="middle"
          fill="var(--pencil)"
          fontSize={LETTERS}
          fontWeight="600"
          stroke="var(--sheet)"
          strokeWidth="5"
          paintOrder="stroke"
        >
          {toleranceWords}
        </text>
        {(isPast ? [] : trail).map((each, i) => (
          <circle
            key={i}
            cx={x(each)}
            cy={y(each)}
            r={4 + i * 0.6}
            fill="var(--spruce)"
            opacity={0.2 + (i / Math.max(trail.length, 1)) * 0.45}
          />
        ))}
        {move && isPast && (
          <path
            d="M-14 -12 10 0 -14 12z"
            fill="var(--spruce)"
            transform={`translate(${poleX} ${poleY}) rotate(${(Math.atan2(move.up, -move.right) * 180) / Math.PI})`}
          />
        )}
        {move && !isPast && (
          <>
            {!stale && (
              <path
                d={`M${poleX} ${poleY}V${cy}H${cx}`}
                fill="none"
                stroke="var(--spruce)"
                strokeWidth="3"
                strokeDasharray="7 4"
              />
            )}
            <circle
              cx={poleX}
              cy={poleY}
              r="12"
              fill={stale ? 'var(--sheet)' : 'var(--spruce)'}
              stroke="var(--spruce)"
              strokeWidth="3"
              strokeDasharray={stale ? '5 4' : undefined}
            />
            {stale ? (
              <text x={poleX} y={poleY + 6} textAnchor="middle" fontSize="17" fontWeight="600" fill="var(--ink)">
                ?
              </text>
            ) : (
              <circle cx={poleX} cy={poleY} r="4" fill="var(--sheet)" />
            )}
          </>
        )}
        {move && (
          <text
            x={poleX + (wordsLeft ? -20 : 20)}
            y={Math.min(poleY + 6, height - 8)}
            textAnchor={wordsLeft ? 'end' : 'start'}
            fontSize={LETTERS}
            fontWeight="600"
            fill={stale ? 'var(--ink)' : 'var(--spruce)'}
            stroke="var(--sheet)"
            strokeWidth="5"
            paintOrder="stroke"
          >
            {stale ? msg('pole.lastSeen') : isPast ? msg('pole.polePastTheEdge') : msg('pole.pole')}
          </text>
        )}
      </svg>
      <button
        type="button"
        onClick={onViewpoint}
        className="absolute top-0 left-0 min-h-11 w-min min-w-28 border-r-2 border-b-2 border-ink bg-sheet px-2.5 text-left text-[16px] leading-[1.1] font-semibold"
      >
        {viewpointWords()[viewpoint]}
      </button>
    </div>
  );
}
