import { formatSigned } from '@idle-marker/core';
import type { SiteState } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
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
  pressureUnit,
} from './stationSetup.ts';
import type { LinkState } from '../../link/instrumentLink.ts';
import { SmallField } from '../../field/SmallField.tsx';

export interface SetupPart {
  readonly draft: SetupDraft;
  readonly read: ReadSetup;
  set(change: Partial<SetupDraft>): void;
}

const methodChoices = worded((): readonly (readonly [SetupMethod, string])[] => [
  ['free', msg('station.freeStationFromSightsToMarks')],
  ['overMark', msg('station.overAKnownMarkWithBacksights')],
  ['onLines', msg('station.freeStationFromPointsOnDrawnLines2')],
  ['heightOnly', msg('station.heightsAloneFromBenchmarks')],
]);

const methodHelp = worded((): Readonly<Record<SetupMethod, string>> => ({
  free: msg('station.fromThreeMarksEveryOneOfThem'),
  overMark: msg('station.neitherAWrongMarkUnderTheTripod'),
  onLines: msg('station.whereOnlyGridLinesOrEdgesStand'),
  heightOnly: msg('station.standWhereTheSightIsBestThere'),
}));

export const methodHead = worded((): Readonly<Record<SetupMethod, string>> => ({
  free: msg('station.aFreeStationAnywhereWithAClear'),
  overMark: msg('station.overAMarkItsPlaceIsTaken'),
  onLines: msg('station.fromLinesOfTheDrawingPutThe'),
  heightOnly: msg('station.forHeightsAloneSightABenchmarkBetter'),
}));

/** Which way the station is found, and what that way needs to know. */
export function MethodFields({ draft, read, set }: SetupPart) {
  const { state } = useSite();
  const units = useUnits();
  const { errors } = read;
  return (
    <>
      <Choice
        label={msg('station.howItWillBeKnownWhereIt')}
        term="resection"
        value={draft.method}
        options={methodChoices()}
        onChange={(method) => set({ method })}
        help={methodHelp()[draft.method]}
      />
      {errors.method && <p className="font-medium text-brick">{errors.method}</p>}
      {draft.method === 'overMark' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <Choice
              label={msg('station.markUnderTheInstrument')}
              value={draft.over}
              options={marksToStandOn(state).map((mark) => [mark.id, mark.revision.body.name] as const)}
              onChange={(over) => set({ over })}
            />
            <SmallField
              label={msg('station.centredToWithinMm')}
              draft={draft.centring}
              onDraft={(centring) => set({ centring })}
              error={errors.centring}
            />
          </div>
          {errors.over && <p className="font-medium text-brick">{errors.over}</p>}
          <Tick
            label={msg('station.noBacksightTheDirectionIsTyped')}
            checked={draft.assumed}
            onChange={(assumed) => set({ assumed })}
          />
          {draft.assumed && (
            <>
              <div className="grid grid-cols-3 gap-3">
                <AngleField
                  label={msg('station.assumedAzimuth')}
                  value={draft.azimuth}
                  onChange={(azimuth) => set({ azimuth })}
                  error={errors.azimuth}
                />
                <AngleField
                  label={msg('station.circleThere')}
                  value={draft.circle}
                  onChange={(circle) => set({ circle })}
                  error={errors.circle}
                />
                <Field
                  label={msg('station.sightedObject')}
                  value={draft.toward}
                  maxLength={80}
                  placeholder={msg('station.cornerOfTheShed')}
                  onChange={(event) => set({ toward: event.target.value })}
                  error={errors.toward}
                />
              </div>
              <p className="border-l-4 border-ochre pl-3 text-[14px]">{msg('station.assumedGoodForAJobInA')}</p>
            </>
          )}
        </>
      )}
      <Field
        label={
          draft.method === 'overMark'
            ? msg('station.instrumentHeightMarkToTiltingAxis')
            : msg('station.instrumentHeightGroundToTiltingAxis')
        }
        unit={units.unit}
        value={draft.height}
        inputMode="decimal"
        onChange={(event) => set({ height: event.target.value })}
        error={errors.height ?? errors.zero}
        help={
          draft.method === 'overMark'
            ? msg('station.allHeightsHangOnItMeasureIt')
            : draft.method === 'heightOnly'
              ? msg('station.heightsComeFromTheBenchmarksAndRefer')
              : msg('station.onAFreeStationHeightsComeFrom')
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
          label={msg('station.airTemperature', { celsius: draft.celsius ? '°C' : '°F' })}
          value={draft.temperature}
          inputMode="decimal"
          onChange={change('temperature')}
          error={draft.temperature === '' ? null : errors.temperature}
        />
        <Field
          label={msg('station.pressureHpaOrInhg', { unit: pressureUnit(draft) })}
          value={draft.pressure}
          inputMode="decimal"
          onChange={change('pressure')}
          error={errors.pressure}
        />
      </div>
      <Button look="quiet" className="self-start" onClick={() => set({ celsius: !draft.celsius })}>
        {msg('station.enterIn', { celsius: draft.celsius ? '°F' : '°C' })}
      </Button>
      <p className="text-[13px] text-ink2" aria-live="polite">
        {ppm === null
          ? msg('station.theCorrectionOfDistancesFollowsFrom')
          : msg('station.correctionOfDistancesPpmMmAt100', {
              signed: formatSigned(ppm, 1),
              signed2: formatSigned(ppm * 0.1, 2),
            })}
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
          label={msg('common.instrument')}
          value={draft.instrument}
          options={[
            ...instruments.map((each) => [each.item, each.name] as const),
            [OTHER_INSTRUMENT, msg('station.anotherItsPrecisionTyped')] as const,
          ]}
          onChange={(instrument) =>
            set({ instrument, confirmed: [...new Set([...draft.confirmed, 'instrument' as const])] })
          }
        />
      )}
      {draft.instrument === OTHER_INSTRUMENT && (
        <PrecisionFields
          draft={draft.precision}
          onChange={(precision) => set({ precision })}
          error={read.errors.precision ?? null}
        />
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
  const toggle = (what: Carried, on: boolean) =>
    set({ confirmed: on ? [...draft.confirmed, what] : draft.confirmed.filter((each) => each !== what) });
  const open = items.filter((item) => !draft.confirmed.includes(item.what)).length;
  return (
    <section aria-label={msg('common.carriedOver')}>
      <h2 className="text-[15px]">
        {msg('station.carriedOverFromTheLastStation')}{' '}
        <span className={`font-normal ${open > 0 ? 'text-ochre' : 'text-ink2'}`}>
          {open === 0 ? 'confirmed' : msg('station.notConfirmed', { open })}
        </span>
      </h2>
      {items.map((item) => (
        <Tick
          key={item.what}
          label={item.words}
          checked={draft.confirmed.includes(item.what)}
          onChange={(on) => toggle(item.what, on)}
        />
      ))}
    </section>
  );
}
