import { useMemo, useState } from 'react';
import { atmosphericCorrection, formatSigned, SIMULATED_INSTRUMENT, SIMULATED_REFERENCE, type PlanPoint } from '@idle-marker/core';
import { alikeName, isUnsteady, nextStationName } from '@idle-marker/records';
import { newId } from '../../ledger/uuid.ts';
import { currentLink, rememberOccupation, useLinkState } from '../../link/linkStore.ts';
import { Board } from '../../plan/LazyBoard.tsx';
import { joinScenes } from '../../plan/scene.ts';
import { controlScene, outlineScene } from '../../plan/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { Slip, Workspace } from '../../ui/Slip.tsx';
import { useKey } from '../../ui/useKey.ts';
import { SetupChecklist, type TickedStep } from './SetupChecklist.tsx';
import { instrumentOf, PrecisionFields, precisionDraft, precisionError } from './PrecisionFields.tsx';

const HPA_PER_INCH = 33.8639;

/** Middle of what is to be marked, else of the control. */
function usualPlace(points: readonly PlanPoint[]): PlanPoint | null {
  if (points.length === 0) return null;
  const mean = (pick: (point: PlanPoint) => number) => points.reduce((sum, point) => sum + pick(point), 0) / points.length;
  return { e: Math.round(mean((point) => point.e)), n: Math.round(mean((point) => point.n)) };
}

export function NewStation({ onStarted, onCancel }: { onStarted(): void; onCancel: (() => void) | null }) {
  const { id, state, say, occupation } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const metric = units.lengthUnit === 'metre';
  const before = state.occupations.at(-1)?.body;
  const [name, setName] = useState(nextStationName(state));
  const [method, setMethod] = useState<'free' | 'overMark'>('free');
  const under = state.control.filter(({ revision: { body } }) => body.e !== null && body.condition !== 'lost' && body.usePlan);
  const [overId, setOver] = useState(under[0]?.id ?? '');
  const [centring, setCentring] = useState('1');
  const over = method === 'overMark' ? (under.find((mark) => mark.id === overId) ?? null) : null;
  const [height, setHeight] = useState(units.edit(1.6));
  const [celsius, setCelsius] = useState(metric);
  const [temperature, setTemperature] = useState(before ? String(celsius ? before.temperatureC : Math.round(before.temperatureC * 1.8 + 32)) : '');
  const [pressure, setPressure] = useState(before ? String(before.pressureHPa) : '1013');
  const [ground, setGround] = useState('gravel');
  const [windy, setWindy] = useState(false);
  const [ticked, setTicked] = useState<readonly TickedStep[]>([]);
  const [precision, setPrecision] = useState(() => precisionDraft(state.occupations.findLast((each) => each.body.link === 'typed')?.body.instrument));
  const [place, setPlace] = useState<PlanPoint | null>(() => {
    const hubs = state.packages.flatMap((each) => each.body.plans.map((plan) => plan.place));
    const middle = usualPlace(
      hubs.length > 0
        ? hubs
        : state.control.filter((mark) => mark.revision.body.e !== null).map((mark) => ({ e: mark.revision.body.e!, n: mark.revision.body.n! })),
    );
    return middle && { e: middle.e + 24, n: middle.n + 4 };
  });
  const standing = useMemo(() => (over ? { e: over.revision.body.e!, n: over.revision.body.n! } : place), [over, place]);
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), controlScene(state.control, null), {
        instruments: standing && link?.kind === 'simulator' ? [{ at: standing, label: name, facing: null }] : [],
      }),
    [state.packages, state.control, standing, name, link?.kind],
  );
  const temperatureRead = Number(temperature.replace(',', '.').replace('−', '-'));
  const temperatureC = celsius ? temperatureRead : (temperatureRead - 32) / 1.8;
  const pressureRead = Number(pressure.replace(',', '.'));
  const pressureHPa = pressureRead > 50 ? pressureRead : pressureRead * HPA_PER_INCH;
  const heightRead = units.readLength(height);
  const alike = alikeName(
    name,
    state.occupations.map((each) => each.body.name),
  );
  const errors = {
    name:
      name.trim() === ''
        ? 'Give the station a name.'
        : alike !== null
          ? `${alike} is used already: every placing of the instrument has a name of its own that looks like no other.`
          : null,
    height:
      heightRead === null || heightRead < 0 || heightRead > 10
        ? 'Give the height of the tilting axis above the ground, such as 1.600. For a free station it only names the ground below.'
        : null,
    temperature:
      temperature.trim() === ''
        ? 'Give the air temperature.'
        : !(temperatureC > -60 && temperatureC < 70)
          ? `${temperature.trim()} ${celsius ? '°C' : '°F'} is no air temperature here: give one from ${celsius ? '−60 to 70 °C' : '−76 to 158 °F'}.`
          : null,
    over: method === 'overMark' && !over ? 'No listed mark can be stood over: list one, or make a free station.' : null,
    centring: method === 'overMark' && !(centring.trim() !== '' && Number(centring) >= 0 && Number(centring) <= 50) ? 'Give millimetres, from 0 to 50.' : null,
    zero:
      method === 'overMark' && over?.revision.body.useHeight && heightRead === 0
        ? 'Over a mark with a height, zero puts every height out by the instrument’s height: measure it.'
        : null,
    precision: link?.kind === 'simulator' ? null : precisionError(precision),
    pressure: !(pressureHPa > 300 && pressureHPa < 1100) ? 'Give the pressure in hPa, or in inches of mercury.' : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const ppm = faulty ? null : atmosphericCorrection({ temperatureC, pressureHPa }, SIMULATED_REFERENCE) * 1e6;
  const start = async () => {
    if (faulty || ppm === null) return;
    const current = currentLink();
    if (current?.kind === 'simulator' && over) current.setUpOver(over.revision.body.name, heightRead!);
    else if (current?.kind === 'simulator' && place) current.setUpAt(place, heightRead!);
    const fresh = newId();
    if (current?.kind === 'simulator') await rememberOccupation(id, fresh);
    await say(...(occupation ? [{ type: 'close' as const, body: { occupation: occupation.id, note: 'the instrument was taken away' } }] : []), {
      type: 'occupation',
      id: fresh,
      body: {
        name: name.trim(),
        instrument: current?.kind === 'simulator' ? SIMULATED_INSTRUMENT : instrumentOf(precision),
        instrumentHeight: heightRead!,
        instrumentHeightSdMm: 1,
        temperatureC: Math.round(temperatureC * 10) / 10,
        pressureHPa: Math.round(pressureHPa * 10) / 10,
        ppm: Math.round(ppm * 100) / 100,
        ground,
        windy,
        link: current?.kind ?? 'typed',
        method,
        checklist: [...ticked],
        over: over ? { mark: over.id, revision: over.revision.id, centringSdMm: Number(centring) } : null,
      },
    });
    onStarted();
  };
  useKey('Enter', faulty ? null : () => void start());
  return (
    <Workspace
      board={
        <Board
          scene={scene}
          description="Plan with the control marks and the work. Choose where the instrument stands."
          {...(link?.kind === 'simulator' && method === 'free' ? { onPlace: setPlace } : {})}
          fitKey="new"
        >
          {link?.kind === 'simulator' && method === 'free' && (
            <p className="absolute top-4 left-4 max-w-[calc(100%-90px)] border-[1.5px] border-ink bg-sheet px-3 py-2 text-[13px]">
              Touch the plan where the simulated instrument stands.
            </p>
          )}
        </Board>
      }
      slip={
        <Slip
          head={
            <>
              <h1 className="text-xl">New station</h1>
              <p className="text-ink2">
                {method === 'free'
                  ? 'A free station: anywhere with a clear sight to control all round.'
                  : 'Over a mark: its place is taken on trust, so sight two others.'}
              </p>
            </>
          }
          foot={
            <>
              {onCancel ? <Button onClick={onCancel}>Cancel</Button> : <span />}
              <Button look="primary" hint="Enter" disabled={faulty} onClick={() => void start()}>
                Start sighting
              </Button>
            </>
          }
        >
          <div className="flex flex-col gap-3.5">
            <Field label="Name of the station" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} error={errors.name} />
            <Choice
              label="How it will be known where it stands"
              value={method}
              options={[
                ['free', 'Free station, from sights to marks'],
                ['overMark', 'Over a known mark, with backsights'],
              ]}
              onChange={setMethod}
              help={
                method === 'free'
                  ? 'From three marks every one of them is checked by the others.'
                  : 'Neither a wrong mark under the tripod nor a poor centring shows in its own figures; with one backsight a single distance is all that is tested.'
              }
            />
            {method === 'overMark' && (
              <div className="grid grid-cols-2 gap-3">
                <Choice
                  label="Mark under the instrument"
                  value={overId}
                  options={under.map((mark) => [mark.id, mark.revision.body.name] as const)}
                  onChange={setOver}
                />
                <Field
                  label="Centred to within, mm"
                  value={centring}
                  inputMode="decimal"
                  onChange={(event) => setCentring(event.target.value)}
                  error={errors.centring}
                />
              </div>
            )}
            {errors.over && <p className="font-medium text-brick">{errors.over}</p>}
            <Field
              label={method === 'free' ? 'Instrument height: ground to tilting axis' : 'Instrument height: mark to tilting axis'}
              unit={units.unit}
              value={height}
              inputMode="decimal"
              onChange={(event) => setHeight(event.target.value)}
              error={errors.height ?? errors.zero}
              help={
                method === 'free'
                  ? 'On a free station heights come from the marks and refer to the axis; this only gives the ground below it.'
                  : 'All heights hang on it: measure it twice, to the millimetre.'
              }
            />
            <div className="grid grid-cols-2 gap-3">
              <Field
                label={`Air temperature, ${celsius ? '°C' : '°F'}`}
                value={temperature}
                inputMode="decimal"
                onChange={(event) => setTemperature(event.target.value)}
                error={temperature === '' ? null : errors.temperature}
              />
              <Field
                label="Pressure, hPa (or inHg)"
                value={pressure}
                inputMode="decimal"
                onChange={(event) => setPressure(event.target.value)}
                error={errors.pressure}
              />
            </div>
            <Button look="quiet" className="self-start" onClick={() => setCelsius(!celsius)}>
              Enter in {celsius ? '°F' : '°C'}
            </Button>
            <p className="text-[13px] text-ink2" aria-live="polite">
              {ppm === null
                ? 'The correction of distances follows from temperature and pressure.'
                : `Correction of distances: ${formatSigned(ppm, 1)} ppm, ${formatSigned(ppm * 0.1, 2)} mm at 100 m.`}
              {before && ' Temperature and pressure were carried over from the last station: confirm them.'}
            </p>
            <Choice
              label="Ground under the tripod"
              value={ground}
              options={[
                ['gravel', 'Gravel or soil, legs trodden in'],
                ['concrete', 'Concrete'],
                ['asphalt', 'Asphalt: creeps in heat'],
                ['deck', 'Deck: bounces'],
              ]}
              onChange={setGround}
            />
            <Tick label="Windy" checked={windy} onChange={setWindy} />
            {isUnsteady({ ground, windy }) && <p className="text-[13px] text-ochre">The tripod moves sooner here: a proof is due every 30 minutes.</p>}
            <SetupChecklist ticked={ticked} onChange={setTicked} ground={ground} unsteady={isUnsteady({ ground, windy })} overMark={method === 'overMark'} />
            {link?.kind !== 'simulator' && <PrecisionFields draft={precision} onChange={setPrecision} error={errors.precision} />}
          </div>
        </Slip>
      }
    />
  );
}
