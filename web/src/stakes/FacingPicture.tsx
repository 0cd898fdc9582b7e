import type { StakeConvention } from '@idle-marker/core';
import { msg } from '@idle-marker/words';

const TURN = { toItem: 0, angled: 45, alongRoad: 90 } as const;

/** From above: the hub, the lath behind it, which way its writing looks, and the thing to build. */
export function FacingPicture({ facing }: { readonly facing: StakeConvention['facing'] }) {
  return (
    <svg
      viewBox="0 0 120 84"
      className="h-20 w-28 flex-none"
      role="img"
      aria-label={msg('stakes.fromAboveTheFront', {
        value: {
          toItem: msg('stakes.looksAtTheThing'),
          angled: msg('stakes.looksHalfwayAtTheThing'),
          alongRoad: msg('stakes.looksAlongTheRoad'),
        }[facing],
      })}
    >
      <path d="M0 12H120" stroke="var(--pencil)" strokeWidth="3" />
      <rect x="55" y="56" width="10" height="10" fill="#c9a35b" stroke="var(--ink)" />
      <g transform={`rotate(${TURN[facing]} 60 74)`}>
        <path d="M48 74H72" stroke="var(--ink)" strokeWidth="4" />
        <path d="M60 71V42M55 49L60 41L65 49" stroke="var(--spruce)" strokeWidth="2" fill="none" />
      </g>
    </svg>
  );
}
