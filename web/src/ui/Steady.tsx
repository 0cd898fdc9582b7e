import { steadyDigits, type LengthUnit } from '@idle-marker/core';
import { msg } from '@idle-marker/words';

/** A figure whose last digits are dimmed where the reading is less good than they are fine. */
export function Steady({ text, noise, unit }: { text: string; noise: number; unit: LengthUnit }) {
  const firm = steadyDigits(text, noise, unit);
  if (firm >= text.length) return text;
  return (
    <>
      {text.slice(0, firm)}
      <span className="text-ink2" title={msg('ui.finerThanTheReadingIsGood')}>
        {text.slice(firm)}
      </span>
    </>
  );
}
