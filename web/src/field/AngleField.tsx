import type { InputHTMLAttributes } from 'react';
import { sexagesimalOrDecimal } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { useUnits } from './useUnits.ts';

interface AngleFieldProps extends Pick<InputHTMLAttributes<HTMLInputElement>, 'autoFocus' | 'placeholder'> {
  readonly label: string;
  readonly value: string;
  onChange(text: string): void;
  readonly error?: string | null | undefined;
  readonly help?: string;
}

/**
 * An angle as a person types it. What was understood is said beside it at once; what could be meant in two ways is
 * asked about.
 */
export function AngleField({ value, onChange, error, help, ...rest }: AngleFieldProps) {
  const units = useUnits();
  const meant = units.angleUnit === 'dms' ? sexagesimalOrDecimal(value) : null;
  const read = units.readAngle(value);
  const echo = read === null ? null : units.angle(read, units.angleUnit === 'dms' ? (value.includes('.') ? 1 : 0) : 4);
  return (
    <div className="flex min-w-0 flex-col gap-2">
      <Field
        {...rest}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        error={meant ? null : error}
        help={echo === null ? help : <span className="figures">{`= ${echo}${help ? ` · ${help}` : ''}`}</span>}
      />
      {meant && (
        <div
          className="border-l-4 border-ochre pl-3"
          role="group"
          aria-label={msg('common.whatMeans', { value: value.trim() })}
        >
          <p className="text-[14px] font-medium">{msg('field.degreesMinutesAndSecondsOrDecimal')}</p>
          <div className="mt-1 flex flex-wrap gap-2">
            <Button
              onClick={() => onChange(units.angle(meant.packed, value.trim().split(/[.,]/)[1]!.length > 4 ? 1 : 0))}
            >
              {units.angle(meant.packed)}
            </Button>
            <Button
              onClick={() => onChange(`${value.trim().replace(',', '.')}°`)}
            >{`${value.trim()}° = ${units.angle(meant.decimal)}`}</Button>
          </div>
        </div>
      )}
    </div>
  );
}
