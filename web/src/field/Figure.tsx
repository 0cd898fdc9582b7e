import { Popover } from 'radix-ui';
import { formatFeetInches, formatLength, type Metres } from '@idle-marker/core';
import { msg, unitAbbreviationWords } from '@idle-marker/words';
import { NONE, useUnits } from './useUnits.ts';

/** A length that tells itself in the other units when it is pressed: metres, feet, feet and inches. */
export function Figure({ metres, className = '' }: { metres: Metres | null; className?: string }) {
  const units = useUnits();
  if (metres === null) return <span className={className}>{NONE}</span>;
  const foot = units.lengthUnit === 'metre' ? 'foot' : units.lengthUnit;
  const rows = [
    ['metres', `${formatLength(metres, 'metre', 4)} m`],
    ['millimetres', msg('field.mm', { length: formatLength(metres * 1000, 'metre', 0) })],
    [foot === 'foot' ? 'feet' : msg('field.usSurveyFeet'), msg('field.ft', { length: formatLength(metres, foot, 4) })],
    [msg('field.feetInches16ths'), formatFeetInches(metres, foot)],
  ] as const;
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`min-h-11 min-w-11 text-left underline decoration-ink2 decoration-dotted decoration-1 underline-offset-4 ${className}`}
        title={msg('field.inOtherUnits')}
      >
        {units.length(metres)}
      </Popover.Trigger>{' '}
      <span className="text-[13px] text-ink2">{unitAbbreviationWords()[units.lengthUnit]}</span>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          className="z-50 rounded-sm border-[1.5px] border-ink bg-sheet px-4 py-2 shadow-xl"
          aria-label={msg('field.theSameInOtherUnits')}
        >
          <dl className="grid grid-cols-[auto_auto] gap-x-4 gap-y-1">
            {rows.map(([name, text]) => (
              <div key={name} className="contents">
                <dt className="text-ink2">{name}</dt>
                <dd className="figures text-right font-medium">{text}</dd>
              </div>
            ))}
          </dl>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
