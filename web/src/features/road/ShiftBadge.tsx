import type { Fact } from '@idle-marker/contract';
import { offsetWords } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';

/** Says loudly that a line is not where it was designed. */
export function ShiftBadge({ fact }: { readonly fact: Fact<'alignment'> }) {
  const units = useUnits();
  const { shift, shiftReason, name } = fact.body;
  if (shift === 0) return null;
  return (
    <p className="bg-[#8f1d15] px-6 py-1 text-[17px] font-semibold text-on-footing max-lg:px-4">
      {name} IS SHIFTED {offsetWords(shift, units.lengthUnit).toUpperCase()} of its design{shiftReason ? `: ${shiftReason}` : ''}
    </p>
  );
}
