import type { FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { Field } from '../../ui/Field.tsx';

type Instrument = FactBody<'occupation'>['instrument'];

export interface PrecisionDraft {
  readonly name: string;
  readonly angleSd: string;
  readonly distanceMm: string;
  readonly distancePpm: string;
}

/** What the leaflet of the instrument that was read last says; a usual one at first. */
export const precisionDraft = (before: Instrument | undefined): PrecisionDraft => ({
  name: before?.name ?? '',
  angleSd: String(before?.angleSdSec ?? 2),
  distanceMm: String(before?.distSdMm ?? 2),
  distancePpm: String(before?.distSdPpm ?? 2),
});

const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

export const instrumentOf = (draft: PrecisionDraft): Instrument => ({
  name: draft.name.trim() || msg('station.instrumentReadByHand'),
  angleSdSec: number(draft.angleSd),
  distSdMm: number(draft.distanceMm),
  distSdPpm: number(draft.distancePpm),
});

export const precisionError = (draft: PrecisionDraft): string | null => {
  const { angleSdSec, distSdMm, distSdPpm } = instrumentOf(draft);
  const fits =
    angleSdSec > 0 && angleSdSec <= 600 && distSdMm > 0 && distSdMm <= 1000 && distSdPpm >= 0 && distSdPpm <= 1000;
  return fits ? null : msg('station.giveThePrecisionOfTheInstrumentAs');
};

/** How good the instrument is that the readings are taken with: everything is weighed by it. */
export function PrecisionFields({
  draft,
  onChange,
  error,
}: {
  draft: PrecisionDraft;
  onChange(next: PrecisionDraft): void;
  error: string | null;
}) {
  const set = (field: keyof PrecisionDraft) => (event: { target: { value: string } }) =>
    onChange({ ...draft, [field]: event.target.value });
  return (
    <fieldset>
      <legend className="text-[13px] text-ink2">{msg('station.theInstrumentAndHowGoodItIs')}</legend>
      <div className="grid grid-cols-4 gap-2">
        <Field
          className="col-span-4"
          label={msg('common.instrument')}
          value={draft.name}
          maxLength={80}
          placeholder={msg('station.nameOrNumber')}
          onChange={set('name')}
        />
        <Field
          className="col-span-2"
          label={msg('station.angleAccuracy')}
          unit="″"
          value={draft.angleSd}
          inputMode="decimal"
          onChange={set('angleSd')}
        />
        <Field
          label={msg('common.distanceMm')}
          value={draft.distanceMm}
          inputMode="decimal"
          onChange={set('distanceMm')}
        />
        <Field label="+ ppm" value={draft.distancePpm} inputMode="decimal" onChange={set('distancePpm')} />
      </div>
      {error && <p className="text-[13px] font-medium text-brick">{error}</p>}
    </fieldset>
  );
}
