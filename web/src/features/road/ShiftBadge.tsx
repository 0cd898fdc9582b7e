import type { Fact } from '@idle-marker/contract';
import { msg, offsetWords } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';

/** Says loudly that a line is not where it was designed. */
export function ShiftBadge({ fact }: { readonly fact: Fact<'alignment'> }) {
  const units = useUnits();
  const { shift, shiftReason, name } = fact.body;
  if (shift === 0) return null;
  return (
    <p className="bg-[#8f1d15] px-6 py-1 text-[17px] font-semibold text-on-footing max-lg:px-4">
      {msg('road.isShiftedOfItsDesign', {
        name,
        offset: offsetWords(shift, units.lengthUnit).toUpperCase(),
        shiftReason: shiftReason ? `: ${shiftReason}` : '',
      })}
    </p>
  );
}
