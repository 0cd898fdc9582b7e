/** What is entered before the first sight: as typed, what is wrong with it, and the fact that is kept. */
import {
  angleFromRadians,
  atmosphericCorrection,
  SIMULATED_INSTRUMENT,
  SIMULATED_REFERENCE,
  wrapTurn,
  type ReferenceAtmosphere,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikeName, nextStationName, siteLines, type ControlMark, type SiteState } from '@idle-marker/records';
import { HPA_PER_INCH, msg, smallFigure, smallUnit } from '@idle-marker/words';
import type { LinkState } from '../../link/instrumentLink.ts';
import type { Units } from '../../field/useUnits.ts';
import { instrumentOf, precisionDraft, precisionError, type PrecisionDraft } from './PrecisionFields.tsx';
import type { TickedStep } from './SetupChecklist.tsx';
import { smallOf, type Draft, smallDraft } from '../../field/draft.ts';

export type SetupMethod = 'free' | 'overMark' | 'onLines' | 'heightOnly';
export type Carried = 'weather' | 'instrument' | 'pole';

export interface SetupDraft {
  readonly name: string;
  readonly method: SetupMethod;
  readonly over: string;
  /** Millimetres. */
  readonly centring: Draft<number>;
  /** Over a mark: the direction is typed instead of measured. */
  readonly assumed: boolean;
  readonly azimuth: string;
  readonly circle: string;
  readonly toward: string;
  readonly height: string;
  readonly celsius: boolean;
  readonly temperature: string;
  readonly pressure: string;
  readonly ground: string;
  readonly windy: boolean;
  readonly ticked: readonly TickedStep[];
  /** Item of the library, or `other` when its precision is typed. */
  readonly instrument: string;
  readonly precision: PrecisionDraft;
  readonly confirmed: readonly Carried[];
}

export const OTHER_INSTRUMENT = 'other';

type InstrumentItem = Extract<FactBody<'equipment'>['what'], { kind: 'instrument' }>;

export const listedInstruments = (state: SiteState): (InstrumentItem & { readonly item: string })[] =>
  state.equipment.flatMap(({ body: { item, what } }) => (what.kind === 'instrument' ? [{ ...what, item }] : []));

/** Marks that an instrument can be put over. */
export const marksToStandOn = (state: SiteState): ControlMark[] =>
  state.control.filter(({ revision: { body } }) => body.e !== null && body.condition !== 'lost' && body.usePlan);

/** `over`: the mark where the instrument has been carried to, where that is known. */
export function newSetup(state: SiteState, units: Units, over: string | null = null): SetupDraft {
  const before = state.occupations.at(-1)?.body;
  const celsius = units.lengthUnit === 'metre';
  const instruments = listedInstruments(state);
  const usual =
    instruments.find((each) => each.item === before?.instrumentItem) ??
    (instruments.length === 1 ? instruments[0] : undefined);
  return {
    name: nextStationName(state),
    method: over === null ? 'free' : 'overMark',
    over: over ?? marksToStandOn(state)[0]?.id ?? '',
    centring: smallDraft(units.lengthUnit === 'metre' ? 1 : CENTRING_FEET_MM, units.lengthUnit),
    assumed: false,
    azimuth: '0',
    circle: '0',
    toward: '',
    height: units.edit(units.round(1.6, 5.25)),
    celsius,
    temperature: before ? String(celsius ? before.temperatureC : Math.round(before.temperatureC * 1.8 + 32)) : '',
    pressure: pressureText(before?.pressureHPa ?? null, celsius),
    ground: 'gravel',
    windy: false,
    ticked: [],
    instrument: usual?.item ?? OTHER_INSTRUMENT,
    precision: precisionDraft(state.occupations.findLast((each) => each.body.link === 'typed')?.body.instrument),
    confirmed: [],
  };
}

/** Five thousandths of a foot. */
const CENTRING_FEET_MM = 1.524;

/** Hectopascals, or inches of mercury where the thermometer is in Fahrenheit. */
const pressureText = (hPa: number | null, metric: boolean): string =>
  metric ? String(hPa ?? 1013) : hPa === null ? '29.92' : (hPa / HPA_PER_INCH).toFixed(2);

/** What the figure is read in: nowhere is the air under 50 hPa. */
export const pressureUnit = ({ pressure, celsius }: Pick<SetupDraft, 'pressure' | 'celsius'>): string => {
  const figure = Number(pressure.replace(',', '.'));
  return (figure > 0 ? figure > 50 : celsius) ? 'hPa' : 'inHg';
};

const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-')));

export interface ReadSetup {
  readonly errors: Readonly<Partial<Record<keyof SetupDraft | 'zero', string>>>;
  readonly over: ControlMark | null;
  readonly heightRead: number | null;
  readonly temperatureC: number;
  readonly pressureHPa: number;
  /** Correction of distances, parts per million; null while the weather can't be read. */
  readonly ppm: number | null;
}

export function readSetup(draft: SetupDraft, state: SiteState, units: Units, simulated: boolean): ReadSetup {
  const over =
    draft.method === 'overMark' ? (marksToStandOn(state).find((mark) => mark.id === draft.over) ?? null) : null;
  const temperatureRead = number(draft.temperature);
  const temperatureC = draft.celsius ? temperatureRead : (temperatureRead - 32) / 1.8;
  const pressureRead = number(draft.pressure);
  const pressureHPa = pressureRead > 50 ? pressureRead : pressureRead * HPA_PER_INCH;
  const heightRead = units.readLength(draft.height);
  const listed = listedInstruments(state).find((each) => each.item === draft.instrument);
  const errors: Partial<Record<keyof SetupDraft | 'zero', string>> = {};
  const alike = alikeName(
    draft.name,
    state.occupations.map((each) => each.body.name),
  );
  if (draft.name.trim() === '') errors.name = msg('station.giveTheStationAName');
  else if (alike !== null) errors.name = msg('station.isUsedAlreadyEveryPlacingOfThe', { alike });
  if (heightRead === null || heightRead < 0 || heightRead > 10)
    errors.height = msg('station.giveTheHeightOfTheTiltingAxis');
  if (draft.temperature.trim() === '') errors.temperature = msg('station.giveTheAirTemperature');
  else if (!(temperatureC > -60 && temperatureC < 70))
    errors.temperature = msg('station.isNoAirTemperatureHereGiveOne', {
      temperature: draft.temperature.trim(),
      celsius: draft.celsius ? '°C' : '°F',
      celsius2: draft.celsius ? '−60 to 70 °C' : '−76 to 158 °F',
    });
  if (!(pressureHPa > 300 && pressureHPa < 1100))
    errors.pressure = msg('station.giveThePressureInHpaOrIn', {
      example: draft.celsius ? '1013' : '29.92',
    });
  if (draft.method === 'overMark') {
    if (!over) errors.over = msg('station.noListedMarkCanBeStoodOver');
    const centring = smallOf(draft.centring, units.lengthUnit);
    if (!(centring >= 0 && centring <= 50))
      errors.centring = msg('station.giveMillimetresFrom0To50', {
        most: smallFigure(50, units.lengthUnit),
        unit: smallUnit(units.lengthUnit).name,
      });
    if (over?.revision.body.useHeight && heightRead === 0) errors.zero = msg('station.overAMarkWithAHeightZero');
    if (!simulated && listed && !listed.plummet)
      errors.over = msg('station.hasNoPlummetItCantStandOver', { name: listed.name });
    if (draft.assumed) {
      if (units.readAngle(draft.azimuth) === null)
        errors.azimuth = msg('station.giveTheDirectionClockwiseFromGridNorth');
      if (units.readAngle(draft.circle) === null) errors.circle = msg('station.giveWhatTheCircleReadsThere');
      if (draft.toward.trim() === '') errors.toward = msg('station.sayWhatItPointsTo');
    }
  }
  if (draft.method === 'onLines' && siteLines(state).length < 2)
    errors.method = msg('station.noDrawnLinesYetImportTheOutline');
  if (!simulated && draft.instrument === OTHER_INSTRUMENT) {
    const wrong = precisionError(draft.precision);
    if (wrong) errors.precision = wrong;
  }
  const readable = errors.temperature === undefined && errors.pressure === undefined;
  const ppm = readable
    ? atmosphericCorrection({ temperatureC, pressureHPa }, simulated ? SIMULATED_REFERENCE : referenceOf(listed)) * 1e6
    : null;
  return { errors, over, heightRead, temperatureC, pressureHPa, ppm };
}

const referenceOf = (item: InstrumentItem | undefined): ReferenceAtmosphere =>
  item
    ? { temperatureC: item.referenceC, pressureHPa: item.referenceHPa, wavelengthUm: item.wavelengthUm }
    : SIMULATED_REFERENCE;

/** What its leaflet says: of the simulated one, of the library's, or as typed. */
export function instrumentFor(
  draft: SetupDraft,
  state: SiteState,
  simulated: boolean,
): FactBody<'occupation'>['instrument'] {
  const listed = simulated ? undefined : listedInstruments(state).find((each) => each.item === draft.instrument);
  if (simulated) return SIMULATED_INSTRUMENT;
  return listed
    ? { name: listed.name, angleSdSec: listed.angleSdSec, distSdMm: listed.distSdMm, distSdPpm: listed.distSdPpm }
    : instrumentOf(draft.precision);
}

/** The placing as it is kept. Only for a draft without errors. */
export function occupationOf(
  draft: SetupDraft,
  read: ReadSetup,
  state: SiteState,
  units: Units,
  link: LinkState | null,
): FactBody<'occupation'> {
  const simulated = link?.kind === 'simulator';
  const listed = simulated ? undefined : listedInstruments(state).find((each) => each.item === draft.instrument);
  const { over } = read;
  const typed = draft.method === 'overMark' && draft.assumed;
  const turn = (text: string) => angleFromRadians(wrapTurn(units.readAngle(text) ?? 0), 'degree');
  return {
    name: draft.name.trim(),
    instrument: instrumentFor(draft, state, simulated),
    instrumentItem: listed?.item ?? null,
    instrumentHeight: read.heightRead!,
    instrumentHeightSdMm: 1,
    temperatureC: Math.round(read.temperatureC * 10) / 10,
    pressureHPa: Math.round(read.pressureHPa * 10) / 10,
    ppm: Math.round(read.ppm! * 100) / 100,
    ground: draft.ground,
    windy: draft.windy,
    link: link?.kind ?? 'typed',
    method: draft.method,
    checklist: [...draft.ticked],
    confirmed: [...draft.confirmed],
    tiltSec: link?.stand ? { along: link.stand.alongSec, across: link.stand.acrossSec } : null,
    over: over
      ? { mark: over.id, revision: over.revision.id, centringSdMm: smallOf(draft.centring, units.lengthUnit) }
      : null,
    assumed: typed ? { azimuthDeg: turn(draft.azimuth), circleDeg: turn(draft.circle), to: draft.toward.trim() } : null,
  };
}

export interface CarriedOver {
  readonly what: Carried;
  readonly words: string;
}

/** What still stands as it was at the placing before, until somebody says that it does. */
export function carriedOver(state: SiteState, draft: SetupDraft, units: Units, link: LinkState | null): CarriedOver[] {
  const before: Fact<'occupation'> | undefined = state.occupations.at(-1);
  if (!before) return [];
  const { pole } = link ?? {};
  return [
    {
      what: 'weather',
      words: msg('station.weatherHpa', {
        temperature: draft.temperature,
        celsius: draft.celsius ? '°C' : '°F',
        pressure: draft.pressure,
        unit: pressureUnit(draft),
      }),
    },
    {
      what: 'instrument',
      words: msg('station.instrument', {
        kind: link?.kind === 'simulator' ? SIMULATED_INSTRUMENT.name : before.body.instrument.name,
      }),
    },
    ...(pole
      ? [
          {
            what: 'pole' as const,
            words: msg('station.target2', {
              name: pole.target?.name ?? 'constant 0',
              length: units.length(pole.targetHeight),
              unit: units.unit,
              legs: pole.legs ? msg('common.onLegs') : msg('common.byHand'),
            }),
          },
        ]
      : []),
  ];
}
