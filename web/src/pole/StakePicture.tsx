import { msg } from '@idle-marker/words';
/**
 * A lath with its words and the hub beside it: what the person writes on its front. `all`: what stands on every side of
 * it.
 */
export function StakePicture({
  lines,
  all = lines,
}: {
  readonly lines: readonly string[];
  readonly all?: readonly string[];
}) {
  const height = 34 + lines.length * 26;
  return (
    <svg
      viewBox={`0 0 250 ${height + 24}`}
      className="h-auto w-full max-w-[225px]"
      role="img"
      aria-label={msg('pole.stakeText', { all: all.join('; ') })}
    >
      <rect x="10" y="4" width="190" height={height} fill="var(--lath)" stroke="var(--ink)" strokeWidth="1.5" />
      <rect x="10" y="4" width="190" height="10" fill="var(--spruce)" />
      {lines.map((line, i) => (
        <text
          key={i}
          x="105"
          y={38 + i * 26}
          textAnchor="middle"
          fontSize="15"
          fontWeight="600"
          fill="var(--on-lath)"
          textLength={line.length > 24 ? 180 : undefined}
          lengthAdjust="spacingAndGlyphs"
          className="figures"
        >
          {line}
        </text>
      ))}
      <path d={`M0 ${height + 4}H250`} stroke="var(--ink)" strokeWidth="2" />
      <rect x="214" y={height - 8} width="18" height="12" fill="#c9a35b" stroke="var(--ink)" />
      <path d={`M223 ${height - 8}v-6`} stroke="var(--ink)" strokeWidth="2" />
      <text x="223" y={height + 20} textAnchor="middle" fontSize="12" fill="var(--ink2)">
        {msg('pole.hub')}
      </text>
    </svg>
  );
}
