/** The English of a site: one of two presets, and single words of its own. */
import {
  ALL_TERMS,
  INCH_FRACTIONS,
  msg,
  presetWords,
  PRESETS,
  smallLengthChoices,
  TERMS,
  termWords,
  type InchFraction,
  type Preset,
  type Wording,
} from '@idle-marker/words';
import type { LengthUnit } from '@idle-marker/core';
import { Choice, Field } from '../ui/Field.tsx';
import { RadioCards } from '../ui/RadioCards.tsx';

interface WordingProps {
  readonly wording: Wording;
  readonly unit: LengthUnit;
  readonly error: string | null;
  onChange(wording: Wording): void;
}

/** The two presets with a few of their words. */
export function PresetChoice({ preset, onChange }: { preset: Preset; onChange(preset: Preset): void }) {
  return (
    <RadioCards
      label={msg('settings.wording')}
      value={preset}
      options={PRESETS.map((each) => ({ value: each, ...presetWords()[each] }))}
      onChange={onChange}
    />
  );
}

type Small = InchFraction | 'decimal';

/** Without the mark of inches where decimal feet are wanted. */
function inSmall({ small: _, ...wording }: Wording, small: Small): Wording {
  return small === 'decimal' ? wording : { ...wording, small };
}

export function WordingFields({ wording, unit, error, onChange }: WordingProps) {
  const { preset, own = {} } = wording;
  return (
    <div className="flex flex-col gap-3">
      <PresetChoice preset={preset} onChange={(next) => onChange({ ...wording, preset: next })} />
      {unit !== 'metre' && (
        <Choice<Small>
          label={msg('settings.smallLengths')}
          value={wording.small ?? 'decimal'}
          options={(['decimal', ...INCH_FRACTIONS] as const).map((each) => [each, smallLengthChoices()[each]])}
          onChange={(small) => onChange(inSmall(wording, small))}
        />
      )}
      <details className="border-y border-rule py-1" open={Object.keys(own).length > 0}>
        <summary className="min-h-11 cursor-pointer py-2 font-medium">{msg('settings.ownWords')}</summary>
        <p className="text-[13px] text-ink2">{msg('settings.ownWordsHelp')}</p>
        <div className="mt-2 grid gap-4 pb-2 sm:grid-cols-3">
          {ALL_TERMS.map((term) => (
            <Field
              key={term}
              label={termWords()[term]}
              value={own[term] ?? ''}
              maxLength={24}
              placeholder={TERMS[term][preset][0]}
              onChange={(event) => onChange({ ...wording, own: { ...own, [term]: event.target.value } })}
            />
          ))}
        </div>
      </details>
      {error && <p className="text-[13px] font-medium text-brick">{error}</p>}
    </div>
  );
}
