/** The English of a site: one of two presets, and single words of its own. */
import { ALL_TERMS, msg, PRESETS, TERMS, termWords, presetWords, type Preset, type Wording } from '@idle-marker/words';
import { Field } from '../ui/Field.tsx';
import { RadioCards } from '../ui/RadioCards.tsx';

interface WordingProps {
  readonly wording: Wording;
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

export function WordingFields({ wording, error, onChange }: WordingProps) {
  const { preset, own = {} } = wording;
  return (
    <div className="flex flex-col gap-3">
      <PresetChoice preset={preset} onChange={(next) => onChange({ ...wording, preset: next })} />
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
              onChange={(event) => onChange({ preset, own: { ...own, [term]: event.target.value } })}
            />
          ))}
        </div>
      </details>
      {error && <p className="text-[13px] font-medium text-brick">{error}</p>}
    </div>
  );
}
