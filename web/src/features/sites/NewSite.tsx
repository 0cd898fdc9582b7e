import { useState } from 'react';
import { parseLength, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { say } from '../../ledger/ledger.ts';
import { writeSetting } from '../../ledger/storage.ts';
import { newId } from '../../ledger/uuid.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { DEFAULT_CLASSES } from './defaultClasses.ts';
import { ClassTable } from './ClassTable.tsx';

interface NewSiteProps {
  readonly open: boolean;
  onClose(): void;
  readonly taken: readonly string[];
  onMade(id: string): void;
}

export const LENGTH_CHOICES: readonly (readonly [LengthUnit, string])[] = [
  ['metre', 'Metres'],
  ['foot', 'Feet (international, 0.3048 m)'],
  ['usSurveyFoot', 'US survey feet (1200/3937 m)'],
];
const ANGLE_CHOICES: readonly (readonly [AngleUnit, string])[] = [
  ['dms', 'Degrees, minutes, seconds'],
  ['degree', 'Decimal degrees'],
  ['gon', 'Gon'],
];

const plain = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

/** Names that a hurried eye takes for each other. */
function looksLike(name: string, taken: readonly string[]): string | null {
  const wanted = plain(name).replace(/0/g, 'o').replace(/[1l]/g, 'i');
  return taken.find((other) => plain(other).replace(/0/g, 'o').replace(/[1l]/g, 'i') === wanted) ?? null;
}

export function NewSite({ open, onClose, taken, onMade }: NewSiteProps) {
  const [name, setName] = useState('');
  const [person, setPerson] = useState('');
  const [lengthUnit, setLengthUnit] = useState<LengthUnit>('metre');
  const [angleUnit, setAngleUnit] = useState<AngleUnit>('dms');
  const [axisOrder, setAxisOrder] = useState<'EN' | 'NE'>('EN');
  const [convention, setConvention] = useState<FactBody<'site'>['convention']>('plainWords');
  const [zero, setZero] = useState('');
  const [classes, setClasses] = useState(DEFAULT_CLASSES);
  const [tried, setTried] = useState(false);
  const zeroRead = zero.trim() === '' ? null : parseLength(zero, lengthUnit);
  const alike = looksLike(name, taken);
  const errors = {
    name: name.trim() === '' ? 'Give the site a name.' : alike !== null ? `There is a site “${alike}” already: two names that look alike get mixed up.` : null,
    person: person.trim() === '' ? 'Give the name of the first person: every entry carries one.' : null,
    zero: zero.trim() !== '' && zeroRead === null ? 'Give a height such as 6.250, or leave it empty.' : null,
    classes: classes.some((each) => !(each.planMm > 0) || !(each.heightMm > 0)) ? 'Every class needs a plan and a height figure over 0.' : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const make = async () => {
    setTried(true);
    if (faulty) return;
    const site = newId();
    const member = newId();
    const body: FactBody<'site'> = {
      name: name.trim(),
      lengthUnit,
      angleUnit,
      axisOrder,
      siteZero: zeroRead,
      combinedScaleFactor: 1,
      proofIntervalMinutes: 60,
      classes: [...classes],
      convention,
      practiceGround: null,
    };
    await say(site, null, [
      { type: 'site', body },
      { type: 'member', id: member, body: { name: person.trim() } },
    ]);
    await writeSetting(`who ${site}`, member);
    onMade(site);
  };
  const shown = (error: string | null) => (tried ? error : null);
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="New site"
      wide
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void make()}>
            Make site
          </Button>
        </>
      }
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Name of the site"
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={shown(errors.name) ?? (name ? (alike ? errors.name : null) : null)}
          autoFocus
        />
        <Field
          label="Your name"
          value={person}
          maxLength={80}
          onChange={(event) => setPerson(event.target.value)}
          error={shown(errors.person)}
          help="More people are added later."
        />
        <Choice label="Lengths" value={lengthUnit} options={LENGTH_CHOICES} onChange={setLengthUnit} />
        <Choice label="Angles" value={angleUnit} options={ANGLE_CHOICES} onChange={setAngleUnit} />
        <Choice
          label="Order of coordinates"
          value={axisOrder}
          options={[
            ['EN', 'Easting, then northing'],
            ['NE', 'Northing, then easting'],
          ]}
          onChange={setAxisOrder}
        />
        <Choice
          label="What is written on stakes"
          value={convention}
          options={[
            ['plainWords', 'Plain words, with units'],
            ['shortForms', 'Short forms (O/S, FFL)'],
          ]}
          onChange={setConvention}
        />
        <Field
          label="True height of site zero (empty: heights are true heights)"
          value={zero}
          onChange={(event) => setZero(event.target.value)}
          error={errors.zero}
          inputMode="decimal"
        />
      </div>
      <h3 className="mt-5 mb-1 text-[17px]">Tolerance classes</h3>
      <ClassTable classes={classes} onChange={setClasses} />
      {errors.classes && <p className="mt-1 text-[13px] font-medium text-brick">{errors.classes}</p>}
    </Dialog>
  );
}
