import { useState, type FormEvent } from 'react';
import { startingLibrary } from '@idle-marker/records';
import { msg, sayIn, shippedNames, unitNameWords, wordingOf } from '@idle-marker/words';
import { say } from '../../data/ledger.ts';
import { writeSetting } from '../../data/storage.ts';
import { newId } from '../../data/uuid.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';
import { RadioCards } from '../../ui/RadioCards.tsx';
import { emptySite, siteBody, siteErrors, type SiteDraft } from '../../settings/siteDraft.ts';
import { angleChoices, groundChoices, orderChoices, SITE_FIELDS, type SiteField } from '../../settings/SiteFields.tsx';
import { defaultClasses } from '../../settings/defaultClasses.ts';
import { PresetChoice } from '../../settings/WordingFields.tsx';

interface NewSiteProps {
  readonly open: boolean;
  onClose(): void;
  readonly taken: readonly string[];
  onMade(id: string): void;
}

const FORM = 'new-site';

/** A new site in two steps: four answers, then what was assumed, each to be changed now or later. */
export function NewSite({ open, onClose, taken, onMade }: NewSiteProps) {
  const [draft, setDraft] = useState(emptySite);
  const [person, setPerson] = useState('');
  const [tried, setTried] = useState(false);
  const [step, setStep] = useState<1 | 2>(1);
  const errors = siteErrors(draft, taken);
  const noPerson = person.trim() === '' ? msg('sites.giveTheNameOfTheFirstPerson') : null;
  const change = (part: Partial<SiteDraft>) => {
    const next = { ...draft, ...part };
    // The usual classes are kept under the names, and with the round figures, of what was chosen last.
    if (part.classes || !areUsual(draft)) return setDraft(next);
    sayIn(wordingOf(next));
    setDraft({ ...next, classes: defaultClasses(next.lengthUnit) });
  };
  const isNamed = !noPerson && errors.name === null;
  const faulty = Object.values(errors).some((error) => error !== null);
  // The dialog speaks as the site will.
  if (open) sayIn(wordingOf(draft));
  const make = async () => {
    const site = newId();
    const member = newId();
    await say(site, member, [
      { type: 'member', id: member, body: { name: person.trim() } },
      { type: 'site', body: siteBody(draft) },
      ...startingLibrary(newId).map((body) => ({ type: 'equipment' as const, body })),
    ]);
    await writeSetting(`who ${site}`, member);
    onMade(site);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setTried(true);
    if (!isNamed) return;
    if (step === 1) setStep(2);
    else if (!faulty) void make();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={step === 1 ? msg('sites.newSite') : draft.name.trim()}
      foot={
        <>
          <span className="mr-auto text-[13px] text-ink2">{msg('sites.stepOf', { step })}</span>
          {step === 1 ? (
            <Button onClick={onClose}>{msg('common.cancel')}</Button>
          ) : (
            <Button onClick={() => setStep(1)}>{msg('sites.back')}</Button>
          )}
          <Button look="primary" type="submit" form={FORM} disabled={step === 2 && faulty}>
            {step === 1 ? msg('sites.continue') : msg('sites.makeSite')}
          </Button>
        </>
      }
    >
      <form id={FORM} onSubmit={submit} noValidate className="flex flex-col gap-4">
        {step === 1 ? (
          <>
            <Field
              label={msg('settings.nameOfTheSite')}
              value={draft.name}
              maxLength={80}
              onChange={(event) => change({ name: event.target.value })}
              error={tried || draft.name !== '' ? errors.name : null}
              autoFocus
            />
            <Field
              label={msg('sites.yourName')}
              value={person}
              maxLength={80}
              onChange={(event) => setPerson(event.target.value)}
              error={tried ? noPerson : null}
              help={msg('sites.morePeopleAreAddedLater')}
            />
            <RadioCards
              label={msg('sites.units')}
              value={draft.lengthUnit === 'metre' ? 'metric' : 'feet'}
              options={[
                { value: 'metric', title: msg('sites.metric'), about: msg('sites.metricAbout') },
                { value: 'feet', title: msg('sites.usFeet'), about: msg('sites.usFeetAbout') },
              ]}
              onChange={(units) => change(units === 'metric' ? METRIC : US_FEET)}
            />
            <PresetChoice preset={wordingOf(draft).preset} onChange={(preset) => change({ wording: { preset } })} />
            <p className="text-[13px] text-ink2">{msg('sites.bothCanBeChangedLater')}</p>
          </>
        ) : (
          <Assumed draft={draft} errors={errors} onChange={change} />
        )}
      </form>
    </Dialog>
  );
}

const METRIC = { lengthUnit: 'metre', axisOrder: 'EN' } as const satisfies Partial<SiteDraft>;
const US_FEET = { lengthUnit: 'usSurveyFoot', axisOrder: 'NE' } as const satisfies Partial<SiteDraft>;

/** Whether nobody has changed the classes that a site of this unit begins with. */
const areUsual = ({ classes, lengthUnit }: SiteDraft): boolean => {
  const usual = defaultClasses(lengthUnit);
  return (
    classes.length === usual.length &&
    classes.every(({ name: _name, ...each }, i) => {
      const { name: _usualName, ...rest } = usual[i]!;
      return JSON.stringify(each) === JSON.stringify(rest);
    })
  );
};

interface AssumedProps {
  readonly draft: SiteDraft;
  readonly errors: ReturnType<typeof siteErrors>;
  onChange(change: Partial<SiteDraft>): void;
}

const chosen = <K extends string>(choices: readonly (readonly [K, string])[], key: K): string =>
  choices.find(([each]) => each === key)?.[1] ?? '';

const GROUPS: readonly { readonly title: () => string; readonly fields: readonly SiteField[] }[] = [
  {
    title: () => msg('today.coordinates'),
    fields: ['lengthUnit', 'angleUnit', 'axisOrder', 'coordinateSystem', 'scale', 'heightDatum', 'zero'],
  },
  {
    title: () => msg('common.work'),
    fields: ['convention', 'interval', 'classes', 'stationFormat', 'practiceGround'],
  },
  { title: () => msg('settings.people'), fields: ['surveyor', 'paint'] },
];

/** What stands for each setting now, as it is read in a list. */
const VALUES: Readonly<Partial<Record<SiteField, (draft: SiteDraft) => string>>> = {
  lengthUnit: ({ lengthUnit }) => unitNameWords()[lengthUnit],
  angleUnit: ({ angleUnit }) => chosen(angleChoices(), angleUnit),
  axisOrder: ({ axisOrder }) => chosen(orderChoices(), axisOrder),
  coordinateSystem: ({ coordinateSystem }) => coordinateSystem || msg('sites.notNamedYet'),
  scale: ({ scale }) => (scale.trim() === '1' ? msg('sites.oneGroundDistances') : scale),
  heightDatum: ({ heightDatum }) => heightDatum || msg('sites.notNamedYet'),
  zero: ({ zero }) => zero.text || msg('sites.none'),
  convention: ({ convention }) => Object.entries(shippedNames()).find(([id]) => id === convention)?.[1] ?? '',
  interval: ({ interval }) => msg('sites.minutes', { interval }),
  classes: ({ classes }) => classes.map(({ name }) => name).join(', '),
  stationFormat: ({ lengthUnit, stationFormat }) =>
    stationFormat === 'usual'
      ? lengthUnit === 'metre'
        ? msg('settings.asIsUsualInMetres1234')
        : msg('settings.asIsUsualInFeet1234')
      : stationFormat,
  practiceGround: ({ practiceGround }) =>
    chosen(groundChoices(), (practiceGround ?? '') as ReturnType<typeof groundChoices>[number][0]),
  surveyor: ({ surveyor }) => surveyor || msg('sites.notNamedYet'),
  paint: ({ paint }) => paint || msg('sites.notNamedYet'),
};

const LABELS: Readonly<Partial<Record<SiteField, () => string>>> = {
  lengthUnit: () => msg('settings.lengths'),
  angleUnit: () => msg('settings.angleUnit'),
  axisOrder: () => msg('settings.orderOfCoordinates'),
  coordinateSystem: () => msg('settings.coordinateSystemAndZone'),
  scale: () => msg('settings.gridDistanceOverGroundDistance'),
  heightDatum: () => msg('settings.heightsAreCountedFrom'),
  zero: () => msg('settings.trueHeightOfSiteZeroEmptyHeights'),
  convention: () => msg('settings.whatIsWrittenOnStakes'),
  interval: () => msg('sites.checkInterval'),
  classes: () => msg('settings.toleranceClasses'),
  stationFormat: () => msg('settings.stationsAlongARoadAreWritten'),
  practiceGround: () => msg('settings.instrumentConnection'),
  surveyor: () => msg('settings.whoSetTheControlAndHowTo'),
  paint: () => msg('settings.paintColoursAndWhereItHasTo'),
};

function Assumed(props: AssumedProps) {
  const [opened, setOpened] = useState<ReadonlySet<SiteField>>(new Set());
  return (
    <>
      <p>{msg('sites.nothingMoreHasToBeAnswered')}</p>
      {GROUPS.map(({ title, fields }) => (
        <section key={title()}>
          <h3 className="border-b border-ink pb-1 text-[15px] font-semibold">{title()}</h3>
          {fields.map((field) =>
            opened.has(field) ? (
              <div key={field} className="border-b border-rule py-2">
                {SITE_FIELDS[field](props)}
              </div>
            ) : (
              <div
                key={field}
                className="grid min-h-11 grid-cols-[1fr_auto] items-center gap-x-3 border-b border-rule sm:grid-cols-[11rem_1fr_auto]"
              >
                <span className="text-ink2 max-sm:col-start-1">{LABELS[field]!()}</span>
                <span className="min-w-0 font-medium max-sm:col-start-1">{VALUES[field]!(props.draft)}</span>
                <Button
                  look="quiet"
                  className="max-sm:col-start-2 max-sm:row-span-2 max-sm:row-start-1"
                  aria-label={msg('sites.changeSetting', { label: LABELS[field]!() })}
                  onClick={() => setOpened(new Set([...opened, field]))}
                >
                  {msg('sites.change')}
                </Button>
              </div>
            ),
          )}
        </section>
      ))}
    </>
  );
}
