import { formatSigned } from '@idle-marker/core';
import type { SiteState } from '@idle-marker/records';
import { useSite } from '../../site/SiteContext.tsx';
import { AngleField } from '../../field/AngleField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { PrecisionFields } from './PrecisionFields.tsx';
import {
  carriedOver,
  listedInstruments,
  marksToStandOn,
  OTHER_INSTRUMENT,
  type Carried,
  type ReadSetup,
  type SetupDraft,
  type SetupMethod,
} from './stationSetup.ts';
import type { LinkState } from '../../link/instrumentLink.ts';

export interface SetupPart {
  readonly draft: SetupDraft;
  readonly read: ReadSetup;
  set(change: Partial<SetupDraft>): void;
}

const METHODS: readonly (readonly [SetupMethod, string])[] = [
  ['free', 'Free station, from sights to marks'],
  ['overMark', 'Over a known mark, with backsights'],
  ['onLines', 'Free station, from points on drawn lines'],
  ['heightOnly', 'Heights alone, from benchmarks'],
];

const METHOD_HELP: Readonly<Record<SetupMethod, string>> = {
  free: 'From three marks every one of them is checked by the others.',
  overMark: 'Neither a wrong mark under the tripod nor a poor centring shows in its own figures; with one backsight a single distance is all that is tested.',
  onLines: 'Where only grid lines or edges stand: a point anywhere on a line gives one coordinate. Three make a station, each further one checks it.',
  heightOnly: 'Stand where the sight is best: there is no place, only the height of the tilting axis. Two benchmarks check each other.',
};

export const METHOD_HEAD: Readonly<Record<SetupMethod, string>> = {
  free: 'A free station: anywhere with a clear sight to control all round.',
  overMark: 'Over a mark: its place is taken on trust, so sight two others.',
  onLines: 'From lines of the drawing: put the pole on them, anywhere along.',
  heightOnly: 'For heights alone: sight a benchmark, better two.',
};

/** Which way the station is found, and what that way needs to know. */
export function MethodFields({ draft, read, set }: SetupPart) {
  const { state } = useSite();
  const units = useUnits();
  const { errors } = read;
  return (
    <>
      <Choice
        label="How it will be known where it stands"
        value={draft.method}
        options={METHODS}
        onChange={(method) => set({ method })}
        help={METHOD_HELP[draft.method]}
      />
      {errors.method && <p className="font-medium text-brick">{errors.method}</p>}
      {draft.method === 'overMark' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Choice
              label="Mark under the instrument"
              value={draft.over}
              options={marksToStandOn(state).map((mark) => [mark.id, mark.revision.body.name] as const)}
              onChange={(over) => set({ over })}
            />
            <Field
              label="Centred to within, mm"
              value={draft.centring}
              inputMode="decimal"
              onChange={(event) => set({ centring: event.target.value })}
              error={errors.centring}
            />
          </div>
          {errors.over && <p className="font-medium text-brick">{errors.over}</p>}
          <Tick label="No backsight: the direction is typed" checked={draft.assumed} onChange={(assumed) => set({ assumed })} />
          {draft.assumed && (
            <>
              <div className="grid grid-cols-3 gap-3">
                <AngleField label="Direction" value={draft.azimuth} onChange={(azimuth) => set({ azimuth })} error={errors.azimuth} />
                <AngleField label="Circle there" value={draft.circle} onChange={(circle) => set({ circle })} error={errors.circle} />
                <Field
                  label="To what"
                  value={draft.toward}
                  maxLength={80}
                  placeholder="corner of the shed"
                  onChange={(event) => set({ toward: event.target.value })}
                  error={errors.toward}
                />
              </div>
              <p className="border-l-4 border-ochre pl-3 text-[14px]">
                Assumed: good for a job in a system of its own, and called so on everything that hangs on it. Nothing tests it.
              </p>
            </>
          )}
        </>
      )}
      <Field
        label={draft.method === 'overMark' ? 'Instrument height: mark to tilting axis' : 'Instrument height: ground to tilting axis'}
        unit={units.unit}
        value={draft.height}
        inputMode="decimal"
        onChange={(event) => set({ height: event.target.value })}
        error={errors.height ?? errors.zero}
        help={
          draft.method === 'overMark'
            ? 'All heights hang on it: measure it twice, to the millimetre.'
            : draft.method === 'heightOnly'
              ? 'Heights come from the benchmarks and refer to the axis: here it changes nothing.'
              : 'On a free station heights come from the marks and refer to the axis; this only gives the ground below it.'
        }
      />
    </>
  );
}

/** Air and what it does to distances. */
export function WeatherFields({ draft, read, set }: SetupPart) {
  const { errors, ppm } = read;
  const change = (field: 'temperature' | 'pressure') => (event: { target: { value: string } }) =>
    // Whoever types it has looked at it.
    set({ [field]: event.target.value, confirmed: [...new Set([...draft.confirmed, 'weather' as const])] });
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={`Air temperature, ${draft.celsius ? '°C' : '°F'}`}
          value={draft.temperature}
          inputMode="decimal"
          onChange={change('temperature')}
          error={draft.temperature === '' ? null : errors.temperature}
        />
        <Field label="Pressure, hPa (or inHg)" value={draft.pressure} inputMode="decimal" onChange={change('pressure')} error={errors.pressure} />
      </div>
      <Button look="quiet" className="self-start" onClick={() => set({ celsius: !draft.celsius })}>
        Enter in {draft.celsius ? '°F' : '°C'}
      </Button>
      <p className="text-[13px] text-ink2" aria-live="polite">
        {ppm === null
          ? 'The correction of distances follows from temperature and pressure.'
          : `Correction of distances: ${formatSigned(ppm, 1)} ppm, ${formatSigned(ppm * 0.1, 2)} mm at 100 m.`}
      </p>
    </>
  );
}

/** The instrument that is read by hand: of the library, or with its precision typed here. */
export function InstrumentFields({ draft, read, set }: SetupPart) {
  const { state } = useSite();
  const instruments = listedInstruments(state);
  return (
    <>
      {instruments.length > 0 && (
        <Choice
          label="Instrument"
          value={draft.instrument}
          options={[...instruments.map((each) => [each.item, each.name] as const), [OTHER_INSTRUMENT, 'Another, its precision typed'] as const]}
          onChange={(instrument) => set({ instrument, confirmed: [...new Set([...draft.confirmed, 'instrument' as const])] })}
        />
      )}
      {draft.instrument === OTHER_INSTRUMENT && (
        <PrecisionFields draft={draft.precision} onChange={(precision) => set({ precision })} error={read.errors.precision ?? null} />
      )}
    </>
  );
}

/** What is as it was at the last station until somebody has looked. */
export function CarriedOverTicks({
  draft,
  set,
  link,
  state,
}: Pick<SetupPart, 'draft' | 'set'> & { readonly link: LinkState | null; readonly state: SiteState }) {
  const units = useUnits();
  const items = carriedOver(state, draft, units, link);
  if (items.length === 0) return null;
  const toggle = (what: Carried, on: boolean) => set({ confirmed: on ? [...draft.confirmed, what] : draft.confirmed.filter((each) => each !== what) });
  const open = items.filter((item) => !draft.confirmed.includes(item.what)).length;
  return (
    <section aria-label="Carried over">
      <h2 className="text-[15px]">
        Carried over from the last station{' '}
        <span className={`font-normal ${open > 0 ? 'text-ochre' : 'text-ink2'}`}>{open === 0 ? 'confirmed' : `${open} not confirmed`}</span>
      </h2>
      {items.map((item) => (
        <Tick key={item.what} label={item.words} checked={draft.confirmed.includes(item.what)} onChange={(on) => toggle(item.what, on)} />
      ))}
    </section>
  );
}
