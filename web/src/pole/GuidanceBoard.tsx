import { graduation, METRES_PER_UNIT, type Move, type Viewpoint } from '@idle-marker/core';
import { msg, directionWords } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { useSize } from '../ui/useSize.ts';

interface GuidanceBoardProps {
  readonly move: Move | null;
  readonly trail: readonly Move[];
  readonly viewpoint: Viewpoint;
  readonly tolerance: number;
  readonly toleranceWords: string;
  /** What stands at the top of the board, such as the instrument's name and distance; null for the other viewpoints. */
  readonly ahead: string | null;
  readonly stale: boolean;
}

const USUAL = { width: 640, height: 520 };
/** Room for the names and figures around the scales, pixels: letters keep their size on a small screen. */
const ABOVE = 25;
const BELOW = 45;
const BESIDE = 60;
const WORDS = 145;
const LARGEST_HALF = 300;
/** Below this half width the figures of half a metre and of two would touch on the lower scale. */
const ROOMY_HALF = 110;
/** And below this those of five centimetres and of none. */
const SMALL_HALF = 75;
/** Round figures of the unit that the scales are written in; the last one carries its name. */
const SCALE = { metre: [0.05, 0.5, 2], feet: [0.05, 0.5, 5] } as const;

/**
 * Two graduated scales with the tolerance in the middle and the pole moving over them. The board's top is what the
 * person faces.
 */
export function GuidanceBoard({ move, trail, viewpoint, tolerance, toleranceWords, ahead, stale }: GuidanceBoardProps) {
  const units = useUnits();
  const [frame, { width, height }] = useSize<SVGSVGElement>(USUAL);
  const half = Math.max(Math.min((width - BESIDE - 30) / 2, (height - ABOVE - BELOW) / 2, LARGEST_HALF), 40);
  const isRoomy = half >= ROOMY_HALF;
  // On a small board the words stand outside the scales, at the left.
  const cx = isRoomy ? (width - BESIDE + 20) / 2 : Math.max((width - BESIDE + 20) / 2, half + WORDS);
  const cy = ABOVE + Math.max((height - ABOVE - BELOW) / 2, half);
  const bracket = Math.max(graduation(tolerance) * half, 9);
  const words = directionWords()[viewpoint];
  const wordsAt = isRoomy ? { x: cx - half + 20 } : { x: cx - half - 8, textAnchor: 'end' as const };
  const toleranceAt = isRoomy ? { x: cx + bracket + 8 } : { x: cx - bracket - 8, textAnchor: 'end' as const };
  // The pole lies opposite to the move it has to make.
  const x = (each: Move) => cx - graduation(each.right) * half;
  const y = (each: Move) => cy + graduation(each.up) * half;
  const corner = bracket * 0.45;
  const scale = units.lengthUnit === 'metre' ? SCALE.metre : SCALE.feet;
  const labels = [...scale.toReversed(), 0, ...scale.map((each) => -each)];
  const metresOf = (label: number) => label * METRES_PER_UNIT[units.lengthUnit];
  return (
    <svg
      ref={frame}
      viewBox={`0 0 ${width} ${height}`}
      className="h-full w-full"
      role="img"
      aria-label={move ? msg('pole.thePoleAgainstTheMarkTheSentence') : msg('pole.waitingForThePole')}
    >
      <g stroke="var(--rule)" strokeWidth="1.5">
        <path d={`M${cx - half} ${cy}H${cx + half}M${cx} ${cy - half}V${cy + half}`} />
      </g>
      <g fill="var(--ink2)" fontSize="14">
        <text {...wordsAt} y={cy - half + 4}>
          {words.up}
        </text>
        <text {...wordsAt} y={cy + half - 4}>
          {words.down}
        </text>
        {ahead !== null && (
          <>
            <circle cx={cx} cy={cy - half - 11} r="8" fill="var(--ink)" />
            <text x={cx + 16} y={cy - half - 7} fontWeight="600" fill="var(--ink)">
              {ahead}
            </text>
          </>
        )}
      </g>
      <g stroke="var(--ink)" strokeWidth="1.5">
        <path d={`M${cx + half + 40} ${cy - half}V${cy + half}M${cx - half} ${cy + half + 12}H${cx + half}`} />
      </g>
      <g fontSize="13" fill="var(--ink2)" className="figures">
        {labels.map((label) => (
          <text key={`y${label}`} x={cx + half + 32} y={cy - graduation(metresOf(label)) * half + 5} textAnchor="end">
            {Math.abs(label)}
          </text>
        ))}
        {labels
          .filter(
            (label) =>
              isRoomy || (Math.abs(label) !== scale[1] && (half >= SMALL_HALF || Math.abs(label) !== scale[0])),
          )
          .map((label) => (
            <text key={`x${label}`} x={cx + graduation(metresOf(label)) * half} y={cy + half + 31} textAnchor="middle">
              {Math.abs(label)}
              {label === scale[2] ? ` ${units.unit}` : ''}
            </text>
          ))}
      </g>
      <g stroke="var(--pencil)" strokeWidth="3" fill="none">
        {[-1, 1].flatMap((sx) =>
          [-1, 1].map((sy) => (
            <path
              key={`${sx}${sy}`}
              d={`M${cx + sx * bracket} ${cy + sy * (bracket - corner)}v${sy * corner}h${-sx * corner}`}
            />
          )),
        )}
        <circle cx={cx} cy={cy} r="3" fill="var(--pencil)" />
      </g>
      <text {...toleranceAt} y={cy - bracket - 4} fill="var(--pencil)" fontSize="14" fontWeight="600">
        {toleranceWords}
      </text>
      {trail.map((each, i) => (
        <circle
          key={i}
          cx={x(each)}
          cy={y(each)}
          r={4 + i * 0.5}
          fill="var(--spruce)"
          opacity={0.12 + (i / Math.max(trail.length, 1)) * 0.3}
        />
      ))}
      {move && (
        <>
          <path
            d={`M${x(move)} ${y(move)}V${cy}H${cx}`}
            fill="none"
            stroke="var(--spruce)"
            strokeWidth="1.8"
            strokeDasharray="6 4"
            opacity={stale ? 0.4 : 1}
          />
          <circle
            cx={x(move)}
            cy={y(move)}
            r="11"
            fill={stale ? 'none' : 'var(--spruce)'}
            stroke="var(--spruce)"
            strokeWidth="2"
            strokeDasharray={stale ? '4 3' : undefined}
          />
          <text x={x(move) + 16} y={y(move) + 22} fontSize="14" fontWeight="600" fill="var(--spruce)">
            {stale ? msg('common.poleOld') : 'pole'}
          </text>
          <path d={`M${cx + half + 40} ${y(move)}l14 -8v16z`} fill="var(--spruce)" />
          <path d={`M${x(move)} ${cy + half + 12}l-8 14h16z`} fill="var(--spruce)" transform={`translate(0 -14)`} />
        </>
      )}
    </svg>
  );
}
