import type { Fact } from '@idle-marker/contract';
import { offsetWords } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';

/** Says loudly that a line is not where it was designed. */
export function ShiftBadge({ fact }: { readonly fact: Fact<'alignment'> }) {
  const units = useUnits();
  const { shift, shiftReason, name } = fact.body;
  if (shift === 0) return null;
  return (
    <p className="my-1 rounded-sm bg-[#8f1d15] px-3 py-1 text-[17px] font-semibold text-white" role="status">
      {name} IS SHIFTED {offsetWords(shift, units.lengthUnit).toUpperCase()} of its design{shiftReason ? `: ${shiftReason}` : ''}
    </p>
  );
}
