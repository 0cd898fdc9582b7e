import { useId } from 'react';
import { METRES_PER_UNIT, sectionAt } from '@idle-marker/core';
import { crossSection, type Road } from '@idle-marker/records';
import { msg, stringWords } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { useSize } from '../ui/useSize.ts';
import { niceTicks } from '../ui/niceTicks.ts';

interface SectionDrawingProps {
  readonly road: Road;
  /** Without equations. */
  readonly station: number;
  readonly title: string;
  /** What lies there now: offset from the line and height. */
  readonly at: { readonly offset: number; readonly z: number | null; readonly name: string } | null;
  /** Heights of a surface across the line, where one is chosen; null where it has none. */
  readonly ground?: readonly { readonly offset: number; readonly z: number | null }[];
  /** What was measured at this section before. */
  readonly measured?: readonly { readonly offset: number; readonly z: number | null; readonly name: string }[];
  /** The string that is worked to. */
  readonly chosen: string | null;
}

const MARGIN = { left: 52, right: 20, top: 40, bottom: 76 };
/** Heights are drawn so many times as large as widths. */
const EXAGGERATIONS = [10, 5, 4, 3, 2, 1] as const;
const LETTER = 6.4;
const LABEL_ROWS = 4;

/** The road cut across at a station, looking ahead: strings with their heights, the ground, and what is there now. */
export function SectionDrawing({ road, station, title, at, ground = [], measured = [], chosen }: SectionDrawingProps) {
  const units = useUnits();
  const id = useId();
  const [frame, size] = useSize<HTMLDivElement>({ width: 640, height: 360 });
  const [width, height] = [Math.max(size.width, 280), Math.max(size.height, 180)];
  const strings = crossSection(road, station);
  const designed = sectionAt(road.sections, station);
  const drawn = designed.flatMap(({ points }) => points);
  const byName = new Map(strings.map((each) => [each.name, each]));
  const offsets = [
    ...strings.map(({ offset }) => offset),
    ...(at ? [at.offset] : []),
    ...measured.map(({ offset }) => offset),
    ...drawn.map(({ offset }) => offset),
  ];
  const heights = [
    ...strings.flatMap(({ z }) => z ?? []),
    ...(at && at.z !== null ? [at.z] : []),
    ...ground.flatMap(({ z }) => z ?? []),
    ...measured.flatMap(({ z }) => z ?? []),
    ...drawn.map(({ z }) => z),
  ];
  const [left, right] = [Math.min(-4, ...offsets) - 1, Math.max(4, ...offsets) + 1];
  const [low, high] = heights.length > 0 ? [Math.min(...heights) - 0.1, Math.max(...heights) + 0.1] : [-1, 1];
  const scale = (width - MARGIN.left - MARGIN.right) / (right - left);
  const room = height - MARGIN.top - MARGIN.bottom;
  const exaggeration = EXAGGERATIONS.find((each) => (high - low) * scale * each <= room) ?? 1;
  const tall = Math.min(scale * exaggeration, room / (high - low));
  const middle = (low + high) / 2;
  const x = (offset: number) => MARGIN.left + (offset - left) * scale;
  const y = (z: number) => MARGIN.top + room / 2 - (z - middle) * tall;
  const [bottom, top] = [middle - room / 2 / tall, middle + room / 2 / tall];
  // Round in the site's own unit.
  const metres = METRES_PER_UNIT[units.lengthUnit];
  const marks = niceTicks(bottom / metres, top / metres, 5).map((each) => each * metres);
  const grounds = ground.flatMap(({ offset, z }) =>
    z === null || offset < left || offset > right ? [] : [{ offset, z }],
  );
  return (
    <figure className="m-0 flex h-full min-h-0 flex-col p-3" aria-labelledby={id}>
      <figcaption id={id} className="text-[15px] text-ink2">
        {msg('board.lookingAhead', {
          title,
          exaggeration: exaggeration > 1 ? msg('board.heightsTimesAsLarge', { exaggeration }) : '',
          grounds: grounds.length > 1 ? msg('board.theGroundIsDashed') : '',
        })}
      </figcaption>
      <div ref={frame} className="min-h-0 flex-1 overflow-hidden">
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={msg('board.crossSection', { strings: strings.map(({ name }) => stringWords(name)).join(', ') })}
        >
          {marks.map((z) => (
            <g key={z}>
              <line x1={MARGIN.left} x2={width - MARGIN.right} y1={y(z)} y2={y(z)} stroke="var(--rule)" />
              <text
                x={MARGIN.left - 6}
                y={y(z) + 4}
                textAnchor="end"
                fontSize="13"
                fill="var(--ink2)"
                className="figures"
              >
                {units.length(z, 2)}
              </text>
            </g>
          ))}
          <line
            x1={x(0)}
            x2={x(0)}
            y1={MARGIN.top - 12}
            y2={height - MARGIN.bottom}
            stroke="var(--pencil)"
            strokeDasharray="14 3 2 3"
          />
          {grounds.length > 1 && (
            <polyline
              points={grounds.map(({ offset, z }) => `${x(offset)},${y(z)}`).join(' ')}
              fill="none"
              stroke="var(--ochre)"
              strokeWidth="1.5"
              strokeDasharray="5 4"
            />
          )}
          {designed.map(({ name, points }) => (
            <g key={`designed ${name}`}>
              <polyline
                points={points.map(({ offset, z }) => `${x(offset)},${y(z)}`).join(' ')}
                fill="none"
                stroke="var(--pencil)"
                strokeWidth="1.5"
              />
              <text
                x={x(points.at(-1)!.offset)}
                y={y(points.at(-1)!.z) - 6}
                textAnchor="end"
                fontSize="13"
                fill="var(--pencil)"
              >
                {name}
              </text>
            </g>
          ))}
          {strings.map(({ name, from, offset, z }) => {
            const base = from === null ? undefined : byName.get(from);
            return base && z !== null && base.z !== null ? (
              <line
                key={name}
                x1={x(base.offset)}
                y1={y(base.z)}
                x2={x(offset)}
                y2={y(z)}
                stroke="var(--pencil)"
                strokeWidth="2"
              />
            ) : null;
          })}
          {strings.map(({ name, offset, z }) =>
            z === null ? null : (
              <circle
                key={name}
                cx={x(offset)}
                cy={y(z)}
                r={name === chosen ? 6 : 3}
                fill={name === chosen ? 'var(--spruce)' : 'var(--pencil)'}
              />
            ),
          )}
          {placedLabels(strings, chosen, x, width).map(({ name, at: centre, row }) => (
            <text
              key={name}
              x={centre}
              y={height - MARGIN.bottom + 14 + row * 14}
              textAnchor="middle"
              fontSize="13"
              fontWeight={name === chosen ? 600 : 400}
              fill={name === chosen ? 'var(--spruce)' : 'var(--ink2)'}
            >
              {stringWords(name)}
            </text>
          ))}
          {measured.map(({ name, offset, z }) =>
            z === null ? null : (
              <g key={`measured ${name}`} stroke="var(--ochre)" strokeWidth="2">
                <path d={`M${x(offset) - 4},${y(z) - 4}l8,8m0,-8l-8,8`} />
                <text x={x(offset)} y={y(z) - 8} textAnchor="middle" fontSize="13" stroke="none" fill="var(--ochre)">
                  {name}
                </text>
              </g>
            ),
          )}
          {at && (
            <g>
              <line
                x1={x(at.offset)}
                x2={x(at.offset)}
                y1={MARGIN.top - 18}
                y2={at.z === null ? height - MARGIN.bottom : y(at.z)}
                stroke="var(--spruce)"
                strokeWidth="1.5"
              />
              {at.z !== null && (
                <circle
                  cx={x(at.offset)}
                  cy={y(at.z)}
                  r="7"
                  fill="var(--spruce)"
                  stroke="var(--sheet)"
                  strokeWidth="2"
                />
              )}
              <text
                x={x(at.offset)}
                y={MARGIN.top - 23}
                textAnchor="middle"
                fontSize="14"
                fontWeight="600"
                fill="var(--spruce)"
              >
                {at.name}
              </text>
            </g>
          )}
          <text x={2} y={height - 4} fontSize="13" fill="var(--ink2)">
            {msg('board.left')}
          </text>
          <text x={width - 2} y={height - 4} textAnchor="end" fontSize="13" fill="var(--ink2)">
            {msg('board.right')}
          </text>
        </svg>
      </div>
    </figure>
  );
}

/**
 * Names under the section, each in the first row where it has room; the chosen one first, and those without room left
 * away.
 */
function placedLabels(
  strings: ReturnType<typeof crossSection>,
  chosen: string | null,
  x: (offset: number) => number,
  width: number,
) {
  const rows: [number, number][][] = Array.from({ length: LABEL_ROWS }, () => []);
  const inTurn = [...strings].sort((a, b) => Number(b.name === chosen) - Number(a.name === chosen));
  return inTurn.flatMap(({ name, offset }) => {
    const half = (stringWords(name).length * LETTER) / 2 + 4;
    const at = Math.min(Math.max(x(offset), half), width - half);
    const row = rows.findIndex((taken) => taken.every(([a, b]) => at + half < a || at - half > b));
    if (row < 0) return [];
    rows[row]!.push([at - half, at + half]);
    return [{ name, at, row }];
  });
}
