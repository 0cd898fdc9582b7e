import { cutFillWords, type Rounding } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';

/** CUT with a wedge down, FILL with a wedge up: word and shape before colour. */
export function CutFill({
  cutFill,
  small = false,
  rounding = 'finest',
}: {
  cutFill: number | null;
  small?: boolean;
  rounding?: Rounding | undefined;
}) {
  const units = useUnits();
  const words = cutFillWords(cutFill, units.lengthUnit, rounding);
  const kind = words.startsWith('CUT') ? 'cut' : words.startsWith('FILL') ? 'fill' : null;
  const size = small ? 'text-[14px]' : 'text-[28px]';
  return (
    <span
      className={`figures flex items-center gap-1.5 font-semibold whitespace-nowrap ${size} ${kind === 'cut' ? 'text-cut' : kind === 'fill' ? 'text-fill' : 'text-ink2'}`}
    >
      {kind && (
        <svg viewBox="0 0 12 12" className="h-[0.75em] w-[0.75em] shrink-0" aria-hidden="true">
          <path d={kind === 'cut' ? 'M0 1h12L6 12z' : 'M0 11h12L6 0z'} fill="currentColor" />
        </svg>
      )}
      {words}
    </span>
  );
}
