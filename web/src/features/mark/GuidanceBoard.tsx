import { graduation, type Move, type Viewpoint } from '@idle-marker/core';
import { DIRECTION_WORDS } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';

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

const W = 640;
const H = 520;
const CX = 270;
const CY = 250;
const HALF = 225;
const LABELS = [2, 0.5, 0.05, 0, -0.05, -0.5, -2];

/** Two graduated scales with the tolerance in the middle and the pole moving over them. The board's top is what the person faces. */
export function GuidanceBoard({ move, trail, viewpoint, tolerance, toleranceWords, ahead, stale }: GuidanceBoardProps) {
  const units = useUnits();
  const words = DIRECTION_WORDS[viewpoint];
  // The pole lies opposite to the move it has to make.
  const x = (each: Move) => CX - graduation(each.right) * HALF;
  const y = (each: Move) => CY + graduation(each.up) * HALF;
  const bracket = Math.max(graduation(tolerance) * HALF, 9);
  const corner = bracket * 0.45;
  const text = (metres: number) =>
    units.length(Math.abs(metres), Math.abs(metres) >= 0.5 || metres === 0 ? (metres === 2 || metres === -2 || metres === 0 ? 0 : 1) : 2);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="h-full w-full"
      role="img"
      aria-label={move ? 'The pole against the mark; the sentence above says the same' : 'Waiting for the pole'}
    >
      <g stroke="var(--rule)" strokeWidth="1.5">
        <path d={`M${CX - HALF} ${CY}H${CX + HALF}M${CX} ${CY - HALF}V${CY + HALF}`} />
      </g>
      <g fill="var(--ink2)" fontSize="14">
        <text x={CX - HALF + 20} y={CY - HALF + 4}>
          {words.up}
        </text>
        <text x={CX - HALF + 20} y={CY + HALF - 4}>
          {words.down}
        </text>
        {ahead !== null && (
          <>
            <circle cx={CX} cy={CY - HALF - 6} r="8" fill="var(--ink)" />
            <text x={CX + 16} y={CY - HALF - 1} fontWeight="600" fill="var(--ink)">
              {ahead}
            </text>
          </>
        )}
      </g>
      <g stroke="var(--ink)" strokeWidth="1.5">
        <path d={`M${CX + HALF + 40} ${CY - HALF}V${CY + HALF}M${CX - HALF} ${CY + HALF + 12}H${CX + HALF}`} />
      </g>
      <g fontSize="13" fill="var(--ink2)" className="figures">
        {LABELS.map((metres) => (
          <text key={`y${metres}`} x={CX + HALF + 32} y={CY - graduation(metres) * HALF + 5} textAnchor="end">
            {text(metres)}
          </text>
        ))}
        {LABELS.map((metres) => (
          <text key={`x${metres}`} x={CX + graduation(metres) * HALF} y={CY + HALF + 31} textAnchor="middle">
            {text(metres)}
            {metres === 2 ? ` ${units.unit}` : ''}
          </text>
        ))}
      </g>
      <g stroke="var(--pencil)" strokeWidth="3" fill="none">
        {[-1, 1].flatMap((sx) =>
          [-1, 1].map((sy) => <path key={`${sx}${sy}`} d={`M${CX + sx * bracket} ${CY + sy * (bracket - corner)}v${sy * corner}h${-sx * corner}`} />),
        )}
        <circle cx={CX} cy={CY} r="3" fill="var(--pencil)" />
      </g>
      <text x={CX + bracket + 8} y={CY - bracket - 4} fill="var(--pencil)" fontSize="14" fontWeight="600">
        {toleranceWords}
      </text>
      {trail.map((each, i) => (
        <circle key={i} cx={x(each)} cy={y(each)} r={4 + i * 0.5} fill="var(--spruce)" opacity={0.12 + (i / Math.max(trail.length, 1)) * 0.3} />
      ))}
      {move && (
        <>
          <path d={`M${x(move)} ${y(move)}V${CY}H${CX}`} fill="none" stroke="var(--spruce)" strokeWidth="1.8" strokeDasharray="6 4" opacity={stale ? 0.4 : 1} />
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
            {stale ? 'pole, old' : 'pole'}
          </text>
          <path d={`M${CX + HALF + 40} ${y(move)}l14 -8v16z`} fill="var(--spruce)" />
          <path d={`M${x(move)} ${CY + HALF + 12}l-8 14h16z`} fill="var(--spruce)" transform={`translate(0 -14)`} />
        </>
      )}
    </svg>
  );
}
