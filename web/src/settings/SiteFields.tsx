import { Fragment, type ReactNode } from 'react';
import { type AngleUnit } from '@idle-marker/core';
import { NUMBERED } from '@idle-marker/records';
import {
  msg,
  alongLabel,
  numberedFrom,
  unitAbbreviationWords,
  type AlongWord,
  shippedNames,
  stationFormatChoices,
  worded,
  wordingOf,
} from '@idle-marker/words';
import { lengthChoices } from '../field/lengthChoices.ts';
import { Choice, Field } from '../ui/Field.tsx';
import { ClassTable } from './ClassTable.tsx';
import { DraftField } from '../field/DraftField.tsx';
import { WordingFields } from './WordingFields.tsx';
import { inLengthUnit, type siteErrors, type SiteDraft } from './siteDraft.ts';
import { Explained } from '../ui/Explained.tsx';

export const angleChoices = worded((): readonly (readonly [AngleUnit, string])[] => [
  ['dms', msg('settings.degreesMinutesSeconds')],
  ['degree', msg('settings.decimalDegrees')],
  ['gon', msg('settings.gon')],
]);
export const orderChoices = worded(
  () =>
    [
      ['EN', msg('settings.eastingThenNorthing')],
      ['NE', msg('settings.northingThenEasting')],
    ] as const,
);
/** Those that come with it; a site that has its own chooses it under Hand over. */
const shippedChoices = (): readonly (readonly [string, string])[] => Object.entries(shippedNames());

/** Grounds that the simulated instrument knows; their truth is in its worker alone. */
export const groundChoices = worded(
  () =>
    [
      ['', msg('settings.aRealOneReadingsAreTypedIn')],
      ['ternhaven', msg('settings.aSimulatedOneOnTheGroundOf')],
      ['cobbleford', msg('settings.aSimulatedOneOnTheGroundOf2')],
    ] as const,
);

interface DraftProps {
  readonly draft: SiteDraft;
  readonly errors: ReturnType<typeof siteErrors>;
  onChange(change: Partial<SiteDraft>): void;
}

/** One field of a site's settings, by what it is about. */
export const SITE_FIELDS = {
  lengthUnit: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.lengths')}
      value={draft.lengthUnit}
      options={lengthChoices()}
      onChange={(lengthUnit) => onChange(inLengthUnit(draft, lengthUnit))}
    />
  ),
  angleUnit: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.angleUnit')}
      value={draft.angleUnit}
      options={angleChoices()}
      onChange={(angleUnit) => onChange({ angleUnit })}
    />
  ),
  axisOrder: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.orderOfCoordinates')}
      value={draft.axisOrder}
      options={orderChoices()}
      onChange={(axisOrder) => onChange({ axisOrder })}
    />
  ),
  convention: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.whatIsWrittenOnStakes')}
      value={draft.convention}
      options={conventionChoices(draft.convention)}
      onChange={(convention) => onChange({ convention })}
    />
  ),
  coordinateSystem: ({ draft, onChange }) => (
    <Field
      label={msg('settings.coordinateSystemAndZone')}
      value={draft.coordinateSystem}
      maxLength={120}
      placeholder={msg('settings.suchAsSiteGrid')}
      onChange={(event) => onChange({ coordinateSystem: event.target.value })}
    />
  ),
  scale: ({ draft, errors, onChange }) => (
    <Field
      label={msg('settings.gridDistanceOverGroundDistance')}
      term="scaleFactor"
      value={draft.scale}
      inputMode="decimal"
      onChange={(event) => onChange({ scale: event.target.value })}
      error={errors.scale}
      help={msg('settings.n1WhereCoordinatesAreGroundDistances')}
    />
  ),
  heightDatum: ({ draft, onChange }) => (
    <Field
      label={msg('settings.heightsAreCountedFrom')}
      term="heightDatum"
      value={draft.heightDatum}
      maxLength={120}
      placeholder={msg('settings.suchAsBenchmarkAtTheGate')}
      onChange={(event) => onChange({ heightDatum: event.target.value })}
    />
  ),
  zero: ({ draft, errors, onChange }) => (
    <DraftField
      label={msg('settings.trueHeightOfSiteZeroEmptyHeights')}
      term="siteZero"
      unit={unitAbbreviationWords()[draft.lengthUnit]}
      draft={draft.zero}
      onDraft={(zero) => onChange({ zero })}
      error={errors.zero}
    />
  ),
  surveyor: ({ draft, onChange }) => (
    <Field
      label={msg('settings.whoSetTheControlAndHowTo')}
      value={draft.surveyor}
      maxLength={200}
      placeholder={msg('settings.nameTelephoneBeThereWhenMarksAre')}
      onChange={(event) => onChange({ surveyor: event.target.value })}
    />
  ),
  paint: ({ draft, onChange }) => (
    <Field
      label={msg('settings.paintColoursAndWhereItHasTo')}
      value={draft.paint}
      maxLength={500}
      placeholder={msg('settings.whiteForControlPinkForHubsDiscreet')}
      onChange={(event) => onChange({ paint: event.target.value })}
    />
  ),
  interval: ({ draft, errors, onChange }) => (
    <Field
      label={msg('settings.aProofLasts')}
      term="checkInterval"
      value={draft.interval}
      inputMode="numeric"
      onChange={(event) => onChange({ interval: event.target.value })}
      error={errors.interval}
      help={msg('settings.onAsphaltOnADeckAndIn')}
    />
  ),
  practiceGround: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.instrumentConnection')}
      value={draft.practiceGround ?? ''}
      options={groundChoices()}
      onChange={(ground) => onChange({ practiceGround: ground === '' ? null : ground })}
    />
  ),
  alongWord: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.aPlaceAlongALineIsCalled')}
      value={draft.alongWord ?? 'along'}
      options={Object.entries(alongLabel()) as [AlongWord, string][]}
      onChange={(alongWord) => onChange({ alongWord })}
    />
  ),
  stationFormat: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.stationsAlongARoadAreWritten')}
      value={draft.stationFormat}
      options={[
        [
          'usual',
          draft.lengthUnit === 'metre' ? msg('settings.asIsUsualInMetres1234') : msg('settings.asIsUsualInFeet1234'),
        ],
        ...stationFormatChoices(),
      ]}
      onChange={(stationFormat) => onChange({ stationFormat })}
    />
  ),
  paper: ({ draft, onChange }) => (
    <Choice
      label={msg('settings.paperOfThePrinter')}
      value={draft.paper}
      options={[
        [
          'usual',
          draft.lengthUnit === 'metre' ? msg('settings.a4AsIsUsualInMetres') : msg('settings.letterAsIsUsualInFeet'),
        ],
        ['A4', 'A4'],
        ['letter', msg('settings.letterPaper')],
      ]}
      onChange={(paper) => onChange({ paper })}
    />
  ),
  classes: ({ draft, errors, onChange }) => (
    <div className="overflow-x-auto">
      <ClassTable
        unit={draft.lengthUnit}
        classes={draft.classes}
        onChange={(classes) => onChange({ classes: [...classes] })}
      />
      {errors.classes && <p className="mt-1 text-[13px] font-medium text-brick">{errors.classes}</p>}
    </div>
  ),
} as const satisfies Readonly<Record<string, (props: DraftProps) => ReactNode>>;
export type SiteField = keyof typeof SITE_FIELDS;

/** Fields in the order in which a site is read: figures, what they refer to, people, and how things are done. */
const IN_ORDER = [
  'lengthUnit',
  'angleUnit',
  'axisOrder',
  'convention',
  'coordinateSystem',
  'scale',
  'heightDatum',
  'zero',
  'surveyor',
  'paint',
  'paper',
  'interval',
  'practiceGround',
] as const satisfies readonly SiteField[];

/** The settings of a site, to be changed. */
export function SiteFields(props: DraftProps) {
  const { draft, errors, onChange } = props;
  const field = (key: SiteField) => <Fragment key={key}>{SITE_FIELDS[key](props)}</Fragment>;
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label={msg('settings.nameOfTheSite')}
          value={draft.name}
          maxLength={80}
          onChange={(event) => onChange({ name: event.target.value })}
          error={errors.name}
          autoFocus
        />
        {IN_ORDER.map(field)}
      </div>
      <h3 className="mt-5 mb-1 text-[17px]">{msg('settings.namesAndWords')}</h3>
      <div className="grid gap-4 sm:grid-cols-3">
        {NUMBERED.map((kind) => (
          <Field
            key={kind}
            label={numberedFrom()[kind]}
            value={draft.numbers[kind]}
            inputMode="numeric"
            placeholder={msg('settings.noRange')}
            onChange={(event) => onChange({ numbers: { ...draft.numbers, [kind]: event.target.value } })}
          />
        ))}
        {field('alongWord')}
        {field('stationFormat')}
      </div>
      {errors.numbers && <p className="mt-1 text-[13px] font-medium text-brick">{errors.numbers}</p>}
      <h3 className="mt-5 mb-1 text-[17px]">{msg('settings.wording')}</h3>
      <WordingFields
        wording={wordingOf(draft)}
        unit={draft.lengthUnit}
        error={errors.wording}
        onChange={(wording) => onChange({ wording })}
      />
      <h3 className="mt-5 mb-1 text-[17px]">
        <Explained term="toleranceClass">{msg('settings.toleranceClasses')}</Explained>
      </h3>
      {field('classes')}
    </>
  );
}

/** A convention of this site stays chosen while other settings are changed. */
const conventionChoices = (chosen: string): readonly (readonly [string, string])[] =>
  shippedChoices().some(([id]) => id === chosen)
    ? shippedChoices()
    : [[chosen, msg('settings.thisSitesOwn')], ...shippedChoices()];
