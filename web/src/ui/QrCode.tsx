import { useMemo } from 'react';
import QRCode from 'qrcode';

/** Clear edge that readers want, in cells. */
const QUIET = 4;

/** A square code that leads a phone to an address. Always dark on light: many readers take nothing else. */
export function QrCode({
  address,
  label,
  className = 'h-40 w-40',
}: {
  readonly address: string;
  readonly label: string;
  readonly className?: string;
}) {
  const { size, path } = useMemo(() => {
    const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' });
    let d = '';
    for (let row = 0; row < modules.size; row++)
      for (let column = 0; column < modules.size; column++)
        if (modules.get(row, column)) d += `M${column + QUIET} ${row + QUIET}h1v1h-1z`;
    return { size: modules.size + 2 * QUIET, path: d };
  }, [address]);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      className={className}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
