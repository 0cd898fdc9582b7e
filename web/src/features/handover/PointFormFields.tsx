import { useState } from 'react';
import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { forgetForm, keepForm, namedForms, plainForms, usualForm, type PointForm } from './pointForms.ts';

const SEPARATORS = [',', ';', '\t'] as const;

/** Which form a list of points has: one that is usual, one that was named, or what is made of it here. */
export function PointFormFields({
  form,
  axes,
  onChange,
}: {
  readonly form: PointForm;
  readonly axes: 'EN' | 'NE';
  onChange(form: PointForm): void;
}) {
  const [kept, setKept] = useState(namedForms);
  const [name, setName] = useState('');
  const all = [usualForm(axes), ...plainForms(), ...kept];
  const isKept = kept.some((each) => each.name === form.name);
  const called = name.trim();
  const isTaken = called !== '' && all.some((each) => each.name === called && !kept.includes(each));
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-2">
      <Choice
        label={msg('handover.formOfTheList')}
        value={form.name}
        options={all.map((each) => [each.name, each.name === '' ? msg('handover.withEverything') : each.name] as const)}
        onChange={(chosen) => onChange(all.find((each) => each.name === chosen)!)}
      />
      <Choice
        label={msg('handover.separator')}
        value={form.separator}
        options={SEPARATORS.map(
          (sign) =>
            [
              sign,
              { ',': msg('handover.comma'), ';': msg('handover.semicolon'), '\t': msg('handover.tab') }[sign],
            ] as const,
        )}
        onChange={(separator) => onChange({ ...form, separator })}
      />
      <Tick
        label={msg('handover.headings')}
        checked={form.headings}
        onChange={(headings) => onChange({ ...form, headings })}
      />
      <Tick
        label={msg('handover.linesThatSayWhatTheFileIs')}
        checked={form.head}
        onChange={(head) => onChange({ ...form, head })}
      />
      <Field
        label={msg('handover.nameOfTheForm')}
        value={name}
        maxLength={60}
        placeholder={form.name}
        onChange={(event) => setName(event.target.value)}
        error={isTaken ? msg('handover.aFormHasThisNameAlready') : null}
      />
      <div className="flex flex-wrap items-end gap-2">
        <Button
          disabled={called === '' || isTaken || form.columns.length === 0}
          onClick={() => {
            const named = { ...form, name: called };
            setKept(keepForm(named));
            setName('');
            onChange(named);
          }}
        >
          {msg('handover.keepTheForm')}
        </Button>
        {isKept && (
          <Button
            look="quiet"
            onClick={() => {
              setKept(forgetForm(form.name));
              onChange({ ...form, name: '' });
            }}
          >
            {msg('handover.forgetForm', { name: form.name })}
          </Button>
        )}
      </div>
    </div>
  );
}
