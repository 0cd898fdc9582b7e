import { STAKE_SIDES, type StakeConvention, type StakeFaces, type StakeSide } from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';

const sideNames = worded((): Readonly<Record<StakeSide, string>> => ({
  front: msg('handover.front'),
  back: msg('common.back'),
  left: msg('common.leftSide'),
  right: msg('common.rightSide'),
}));

interface LathPictureProps {
  readonly faces: StakeFaces;
  readonly carrier: StakeConvention['carrier'];
  readonly writing: StakeConvention['lath']['writing'];
  readonly paint: string;
}

const LINE = 23;
const PAD = 10;

/** The sides of a lath with what is written on each, row for row as it is lettered. */
export function LathPicture({ faces, carrier, writing, paint }: LathPictureProps) {
  const sides = STAKE_SIDES.filter((side) => faces[side].length > 0);
  return (
    <div className="flex flex-wrap items-start gap-4">
      {sides.map((side) => (
        <figure key={side} className="min-w-0">
          <Face
            rows={faces[side].flatMap(rowsOf)}
            carrier={carrier}
            wide={writing === 'along'}
            said={`${sideNames()[side]}: ${faces[side].map(({ text }) => text).join('; ')}`}
          />
          <figcaption className="mt-1 text-[13px] text-ink2">
            {sideNames()[side]}
            {faces[side].some((line) => line.unusual) && (
              <span className="font-medium text-brick">
                {' '}
                {msg('handover.markIn', { paint: paint || msg('handover.anotherColour') })}
              </span>
            )}
          </figcaption>
        </figure>
      ))}
    </div>
  );
}

interface Row {
  readonly text: string;
  readonly ruled: boolean;
  readonly unusual: boolean;
}

/** A rule stands below the last row of its line. */
const rowsOf = ({ rows, ruled, unusual }: StakeFaces['front'][number]): Row[] =>
  rows.map((text, i) => ({ text, ruled: ruled && i === rows.length - 1, unusual }));

function Face({
  rows,
  carrier,
  wide,
  said,
}: {
  readonly rows: readonly Row[];
  readonly carrier: StakeConvention['carrier'];
  readonly wide: boolean;
  readonly said: string;
}) {
  const longest = Math.max(...rows.map(({ text }) => [...text].length), 6);
  const width = Math.max(wide ? 150 : 84, longest * 8.4 + 2 * PAD);
  const tall = rows.length * LINE + 2 * PAD + (carrier === 'surface' ? 0 : 10);
  return (
    <svg
      width={width}
      height={tall + 4}
      viewBox={`0 0 ${width} ${tall + 4}`}
      className="h-auto max-w-full"
      role="img"
      aria-label={said}
    >
      <rect
        x="1"
        y="2"
        width={width - 2}
        height={tall}
        fill={carrier === 'surface' ? 'var(--sheet)' : 'var(--lath)'}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {carrier !== 'surface' && <rect x="1" y="2" width={width - 2} height="8" fill="var(--spruce)" />}
      {rows.map(({ text, ruled, unusual }, i) => {
        const y = (carrier === 'surface' ? 0 : 8) + PAD + i * LINE + 15;
        const ink = carrier === 'surface' ? 'var(--ink)' : 'var(--on-lath)';
        return (
          <g key={i}>
            {unusual && (
              <rect x="5" y={y - 16} width={width - 10} height="21" fill="none" stroke="#8f1d15" strokeWidth="2.5" />
            )}
            <text x={width / 2} y={y} textAnchor="middle" fontSize="15" fontWeight="600" fill={ink} className="figures">
              {text}
            </text>
            {ruled && <path d={`M8 ${y + 6}H${width - 8}`} stroke={ink} strokeWidth="1.5" />}
          </g>
        );
      })}
    </svg>
  );
}
