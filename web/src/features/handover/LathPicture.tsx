import {
  rowsOf,
  STAKE_SIDES,
  type StakeConvention,
  type StakeFaces,
  type StakeRow,
  type StakeSide,
} from '@idle-marker/core';
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
  readonly lath: StakeConvention['lath'];
  readonly paint: string;
}

/** The sides of a lath with what is written on each, row for row as it is lettered. */
export function LathPicture({ faces, carrier, lath, paint }: LathPictureProps) {
  const sides = STAKE_SIDES.filter((side) => faces[side].length > 0);
  return (
    <div className="flex flex-wrap items-start gap-4">
      {sides.map((side) => (
        <figure key={side} className="min-w-0">
          <Face
            rows={rowsOf(faces[side], lath)}
            carrier={carrier}
            along={lath.writing === 'along'}
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

function Face({
  rows,
  carrier,
  along,
  said,
}: {
  readonly rows: readonly StakeRow[];
  readonly carrier: StakeConvention['carrier'];
  readonly along: boolean;
  readonly said: string;
}) {
  return (
    <div
      role="img"
      aria-label={said}
      className={`inline-block max-w-full border-[1.5px] border-ink py-2 text-[15px] font-semibold ${
        carrier === 'surface' ? 'bg-sheet text-ink' : 'border-t-8 border-t-(--spruce) bg-(--lath) text-(--on-lath)'
      } ${along ? 'min-w-40' : 'min-w-24 text-center'}`}
    >
      {rows.map((row, i) => (
        <div key={i} className="flex min-h-6 flex-wrap gap-y-1">
          {row.map(({ text, ruled, unusual }, k) => (
            <span key={k} className={`figures grow px-2.5 leading-6 ${strokeOf(along, k < row.length - 1, ruled)}`}>
              <span className={unusual ? 'box-decoration-clone px-1 outline-[2.5px] outline-[#8f1d15]' : ''}>
                {text}
              </span>
            </span>
          ))}
        </div>
      ))}
    </div>
  );
}

/** Across a lath a line is drawn below what is ruled; along it a stroke parts one thing from the next. */
const strokeOf = (along: boolean, isFollowed: boolean, ruled: boolean): string =>
  along
    ? isFollowed
      ? `border-current ${ruled ? 'border-r-[3px]' : 'border-r'}`
      : ''
    : ruled
      ? 'border-b-[1.5px] border-current'
      : '';
