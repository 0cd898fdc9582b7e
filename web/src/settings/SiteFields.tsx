import type { ReactNode } from 'react';
import { SHIPPED_CONVENTIONS, type AngleUnit } from '@idle-marker/core';
import { NUMBERED } from '@idle-marker/records';
import { ALONG_WORD, NUMBERED_FROM, UNIT_ABBREVIATION, type AlongWord, STATION_FORMAT } from '@idle-marker/words';
import { LENGTH_CHOICES } from '../field/lengthChoices.ts';
import { Choice, Field } from '../ui/Field.tsx';
import { ClassTable } from './ClassTable.tsx';
import { DraftField } from '../field/DraftField.tsx';
import { inLengthUnit, type siteErrors, type SiteDraft } from './siteDraft.ts';

const ANGLE_CHOICES: readonly (readonly [AngleUnit, string])[] = [
  ['dms', 'Degrees, minutes, seconds'],
  ['degree', 'Decimal degrees'],
  ['gon', 'Gon'],
];
const ORDER_CHOICES = [
  ['EN', 'Easting, then northing'],
  ['NE', 'Northing, then easting'],
] as const;
/** Those that come with it; a site that has its own chooses it under Hand over. */
const CONVENTION_CHOICES = Object.entries(SHIPPED_CONVENTIONS).map(([id, { name }]) => [id, name] as const);

/** Grounds that the simulated instrument knows; their truth is in its worker alone. */
const GROUND_CHOICES = [
  ['', 'A real one: readings are typed in'],
  ['ternhaven', 'A simulated one, on the ground of Ternhaven'],
  ['cobbleford', 'A simulated one, on the ground of Cobbleford'],
] as const;

interface SiteFieldsProps {
  readonly draft: SiteDraft;
  readonly errors: ReturnType<typeof siteErrors>;
  readonly tried: boolean;
  onChange(change: Partial<SiteDraft>): void;
  /** Stands beside the name. */
  readonly children?: ReactNode;
}

/** The fields of a site's settings, the same for a new site and for a change. */
export function SiteFields({ draft, errors, tried, onChange, children }: SiteFieldsProps) {
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Name of the site"
          value={draft.name}
          maxLength={80}
          onChange={(event) => onChange({ name: event.target.value })}
          error={tried || draft.name !== '' ? errors.name : null}
          autoFocus
        />
        {children}
        <Choice label="Lengths" value={draft.lengthUnit} options={LENGTH_CHOICES} onChange={(lengthUnit) => onChange(inLengthUnit(draft, lengthUnit))} />
        <Choice label="Angles" value={draft.angleUnit} options={ANGLE_CHOICES} onChange={(angleUnit) => onChange({ angleUnit })} />
        <Choice label="Order of coordinates" value={draft.axisOrder} options={ORDER_CHOICES} onChange={(axisOrder) => onChange({ axisOrder })} />
        <Choice
          label="What is written on stakes"
          value={draft.convention}
          options={conventionChoices(draft.convention)}
          onChange={(convention) => onChange({ convention })}
        />
        <Field
          label="Coordinate system and zone"
          value={draft.coordinateSystem}
          maxLength={120}
          placeholder="such as: site grid"
          onChange={(event) => onChange({ coordinateSystem: event.target.value })}
        />
        <Field
          label="Grid distance over ground distance"
          value={draft.scale}
          inputMode="decimal"
          onChange={(event) => onChange({ scale: event.target.value })}
          error={errors.scale}
          help="1 where coordinates are ground distances."
        />
        <Field
          label="Heights are counted from"
          value={draft.heightDatum}
          maxLength={120}
          placeholder="such as: benchmark at the gate"
          onChange={(event) => onChange({ heightDatum: event.target.value })}
        />
        <DraftField
          label="True height of site zero (empty: heights are true heights)"
          unit={UNIT_ABBREVIATION[draft.lengthUnit]}
          draft={draft.zero}
          onDraft={(zero) => onChange({ zero })}
          error={errors.zero}
        />
        <Field
          label="Who set the control, and how to reach them"
          value={draft.surveyor}
          maxLength={200}
          placeholder="name, telephone: be there when marks are set"
          onChange={(event) => onChange({ surveyor: event.target.value })}
        />
        <Field
          label="Paint: colours, and where it has to be discreet"
          value={draft.paint}
          maxLength={500}
          placeholder="white for control, pink for hubs; discreet at the entrance"
          onChange={(event) => onChange({ paint: event.target.value })}
        />
        <Field
          label="A proof lasts"
          unit="min"
          value={draft.interval}
          inputMode="numeric"
          onChange={(event) => onChange({ interval: event.target.value })}
          error={errors.interval}
          help="On asphalt, on a deck and in wind 30 at most."
        />
        <Choice
          label="Instrument"
          value={draft.practiceGround ?? ''}
          options={GROUND_CHOICES}
          onChange={(ground) => onChange({ practiceGround: ground === '' ? null : ground })}
        />
      </div>
      <h3 className="mt-5 mb-1 text-[17px]">Names and words</h3>
      <div className="grid gap-4 sm:grid-cols-4">
        {NUMBERED.map((kind) => (
          <Field
            key={kind}
            label={NUMBERED_FROM[kind]}
            value={draft.numbers[kind]}
            inputMode="numeric"
            placeholder="no range"
            onChange={(event) => onChange({ numbers: { ...draft.numbers, [kind]: event.target.value } })}
          />
        ))}
        <Choice
          label="A place along a line is called"
          value={draft.alongWord ?? 'along'}
          options={Object.entries(ALONG_WORD) as [AlongWord, string][]}
          onChange={(alongWord) => onChange({ alongWord })}
        />
        <Choice
          label="Stations along a road are written"
          value={draft.stationFormat}
          options={[['usual', draft.lengthUnit === 'metre' ? 'as is usual in metres, 1+234.567' : 'as is usual in feet, 12+34.56'], ...STATION_FORMAT]}
          onChange={(stationFormat) => onChange({ stationFormat })}
        />
      </div>
      {errors.numbers && <p className="mt-1 text-[13px] font-medium text-brick">{errors.numbers}</p>}
      <h3 className="mt-5 mb-1 text-[17px]">Tolerance classes</h3>
      <ClassTable unit={draft.lengthUnit} classes={draft.classes} onChange={(classes) => onChange({ classes: [...classes] })} />
      {errors.classes && <p className="mt-1 text-[13px] font-medium text-brick">{errors.classes}</p>}
    </>
  );
}

/** A convention of this site stays chosen while other settings are changed. */
const conventionChoices = (chosen: string): readonly (readonly [string, string])[] =>
  CONVENTION_CHOICES.some(([id]) => id === chosen) ? CONVENTION_CHOICES : [[chosen, 'This site’s own'], ...CONVENTION_CHOICES];
