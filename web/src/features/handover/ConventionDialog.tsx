import { useState, type ReactNode } from 'react';
import { STAKE_MARK_KINDS, STAKE_TERMS, type StakeTerm } from '@idle-marker/core';
import type { NamedConvention } from '@idle-marker/records';
import {
  msg,
  carrierWords,
  conventionFaultWords,
  crewWords,
  facingWords,
  allLanguages,
  otherReadings,
  ROUNDING,
  stakeMarkKindWords,
  stakePartWords,
  worded,
} from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { TABLE, TD_WORD, TH_WORD } from '../../ui/table.ts';
import { ConventionPreview } from './ConventionPreview.tsx';
import { FacingPicture } from '../../stakes/FacingPicture.tsx';
import { WithSigns } from './Signs.tsx';
import {
  conventionOfDraft,
  draftOfConvention,
  faultsOf,
  hasSizes,
  movePart,
  sizeError,
  type ConventionDraft,
  type PartPlace,
} from './conventionDraft.ts';

const sideChoices = worded(
  () =>
    [
      ['front', 'front'],
      ['back', 'back'],
      ['left', msg('handover.leftSide')],
      ['right', msg('handover.rightSide')],
      ['none', msg('handover.notWritten')],
    ] as const,
);
const sizeChoices = worded(
  () =>
    [
      ['length', msg('common.length')],
      ['inGround', msg('handover.ofItInTheGround')],
      ['width', msg('handover.widthOfASide')],
      ['letterHeight', msg('handover.heightOfLetters')],
    ] as const,
);
/** Terms that offsets can lead to, and heights. */
const OFFSET_TERMS: readonly StakeTerm[] = [
  'outsideFace',
  'insideFace',
  'wallCentre',
  'gridLine',
  'waterLine',
  'centre',
  'edge',
  'face',
  'back',
  'flowLine',
];
const HEIGHT_TERMS: readonly StakeTerm[] = [
  'finishedFloor',
  'topOfWall',
  'underside',
  'invert',
  'topOfKerb',
  'back',
  'flowLine',
  'subgrade',
  'surface',
];
const entries = <K extends string>(table: Readonly<Record<K, string>>) => Object.entries(table) as [K, string][];

interface ConventionDialogProps {
  readonly from: NamedConvention;
  onClose(): void;
  onKept(id: string): void;
}

/** A convention of this site, with a preview that follows every change. */
export function ConventionDialog({ from, onClose, onKept }: ConventionDialogProps) {
  const { state, say } = useSite();
  const isNew = from.fact === null;
  const [draft, setDraft] = useState<ConventionDraft>(() => ({
    ...draftOfConvention(from.convention),
    ...(isNew ? { name: msg('handover.asHere', { name: from.convention.name }).slice(0, 80) } : {}),
  }));
  const [identity] = useState(newId);
  const change = (part: Partial<ConventionDraft>) => setDraft({ ...draft, ...part });
  const readable = hasSizes(draft);
  const faults = faultsOf(draft);
  const nameless = draft.name.trim() === '';
  const keep = async () => {
    const id = from.fact?.body.convention ?? identity;
    await say({
      type: 'convention',
      body: { convention: id, rules: conventionOfDraft(draft), retired: false, supersedes: from.fact?.id ?? null },
    });
    onKept(id);
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      beside={{
        title: msg('handover.asItWouldBeWritten'),
        content: readable ? (
          <ConventionPreview convention={conventionOfDraft(draft)} />
        ) : (
          <p className="text-ochre">{msg('handover.giveTheLathItsSizesFirst')}</p>
        ),
      }}
      title={
        isNew
          ? msg('handover.aCopyOf', { name: from.convention.name })
          : msg('handover.change', { name: from.convention.name })
      }
      foot={
        <>
          <ul className="mr-auto text-[13px] font-medium text-brick" role="alert">
            {faults.map((fault, i) => (
              <li key={i}>{conventionFaultWords(fault)}</li>
            ))}
          </ul>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={!readable || faults.length > 0 || nameless} onClick={() => void keep()}>
            {msg('handover.saveConvention')}
          </Button>
        </>
      }
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label={msg('common.name')}
          value={draft.name}
          maxLength={80}
          onChange={(event) => change({ name: event.target.value })}
          error={nameless ? msg('common.giveItAName') : null}
        />
        <Choice
          label={msg('handover.writtenOn')}
          value={draft.carrier}
          options={entries(carrierWords())}
          onChange={(carrier) => change({ carrier })}
        />
      </div>
      <Group title={msg('handover.whatStandsWhere')}>
        <PartsTable parts={draft.parts} onChange={(parts) => change({ parts })} />
      </Group>
      <WithSigns>
        <Group title={msg('handover.cutFillAndFigures')}>
          <div className="grid gap-3 sm:grid-cols-3">
            {(
              [
                ['cut', msg('handover.theGroundIsTooHigh')],
                ['fill', msg('handover.theGroundIsTooLow')],
                ['onGrade', msg('handover.neither')],
              ] as const
            ).map(([which, label]) => (
              <Field
                key={which}
                label={label}
                value={draft[which]}
                maxLength={24}
                onChange={(event) => change({ [which]: event.target.value })}
              />
            ))}
            <Choice
              label={msg('handover.offsetsAreWritten')}
              value={draft.rounding.offset}
              options={ROUNDING(state.settings.lengthUnit)}
              onChange={(offset) => change({ rounding: { ...draft.rounding, offset } })}
            />
            <Choice
              label={msg('handover.heightsAreWritten')}
              value={draft.rounding.height}
              options={ROUNDING(state.settings.lengthUnit)}
              onChange={(height) => change({ rounding: { ...draft.rounding, height } })}
            />
            <Choice
              label={msg('handover.theOffset')}
              value={draft.offsetFigure}
              options={[
                ['asSet', msg('handover.asItWasSet')],
                ['plannedWithin', msg('handover.asPlannedWhileItIsWithinTolerance')],
              ]}
              onChange={(offsetFigure) => change({ offsetFigure })}
            />
          </div>
          <Tick
            label={msg('handover.theUnitStandsBehindEachFigure')}
            checked={draft.showUnit}
            onChange={(showUnit) => change({ showUnit })}
          />
        </Group>
        <Group title={msg('handover.shortForms')}>
          <Tick
            label={msg('handover.shortFormsAreUsedWhereThereAre')}
            checked={draft.abbreviate}
            onChange={(abbreviate) => change({ abbreviate })}
          />
          {draft.abbreviate && (
            <div className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4">
              {STAKE_TERMS.map((term) => {
                const others = otherReadings(draft.shorts[term]);
                return (
                  <Field
                    key={term}
                    label={crewWords('en').term[term]}
                    value={draft.shorts[term]}
                    maxLength={24}
                    onChange={(event) => change({ shorts: { ...draft.shorts, [term]: event.target.value } })}
                    error={
                      others.length > 1
                        ? msg('handover.alsoReadAs', {
                            others: others.filter((each) => each !== crewWords('en').term[term]).join(' or '),
                          })
                        : null
                    }
                  />
                );
              })}
            </div>
          )}
        </Group>
      </WithSigns>
      <Group title={msg('handover.whatIsUsualHere')}>
        <p className="text-[13px] text-ink2">{msg('handover.anythingElseIsBoxedOnTheStake')}</p>
        <div className="grid gap-4 sm:grid-cols-2">
          <Terms
            title={msg('handover.offsetsLeadTo')}
            terms={OFFSET_TERMS}
            chosen={draft.usual.offsetTo}
            onChange={(offsetTo) => change({ usual: { ...draft.usual, offsetTo } })}
          />
          <Terms
            title={msg('handover.heightsLeadTo')}
            terms={HEIGHT_TERMS}
            chosen={draft.usual.heightTo}
            onChange={(heightTo) => change({ usual: { ...draft.usual, heightTo } })}
          />
        </div>
        <Field
          className="mt-2 max-w-60"
          label={msg('handover.colourForTheUnusual')}
          value={draft.unusualPaint}
          maxLength={40}
          onChange={(event) => change({ unusualPaint: event.target.value })}
        />
      </Group>
      <Group title={msg('handover.theLath')}>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {sizeChoices().map(([field, label]) => (
            <Field
              key={field}
              label={label}
              unit="mm"
              inputMode="decimal"
              value={draft.lath[field]}
              onChange={(event) => change({ lath: { ...draft.lath, [field]: event.target.value } })}
              error={sizeError(draft, field)}
            />
          ))}
          <Choice
            label={msg('handover.linesRun')}
            value={draft.lath.writing}
            options={[
              ['across', msg('handover.acrossIt')],
              ['along', msg('handover.alongIt')],
            ]}
            onChange={(writing) => change({ lath: { ...draft.lath, writing } })}
          />
          <Choice
            label={msg('handover.itsFront')}
            className="col-span-2"
            value={draft.facing}
            options={entries(facingWords())}
            onChange={(facing) => change({ facing })}
          />
          <FacingPicture facing={draft.facing} />
        </div>
      </Group>
      <Group title={msg('handover.ribbonAndPaint')}>
        <div className="grid grid-cols-[auto_1fr_1fr] items-end gap-x-3 gap-y-2">
          {STAKE_MARK_KINDS.map((kind) => (
            <div key={kind} className="contents">
              <span className="pb-3">{stakeMarkKindWords()[kind]}</span>
              {(['ribbon', 'paint'] as const).map((what) => (
                <Field
                  key={what}
                  label={what === 'ribbon' ? msg('handover.ribbon') : msg('handover.paint')}
                  value={draft.colours[kind][what]}
                  maxLength={40}
                  onChange={(event) =>
                    change({
                      colours: { ...draft.colours, [kind]: { ...draft.colours[kind], [what]: event.target.value } },
                    })
                  }
                />
              ))}
            </div>
          ))}
        </div>
      </Group>
      <Group title={msg('handover.languages')}>
        <Choice
          className="max-w-60"
          label={msg('handover.onTheStake')}
          value={draft.languages[0] ?? 'en'}
          options={allLanguages().map(({ code, name }) => [code, name] as const)}
          onChange={(first) => {
            const words = crewWords(first);
            change({
              languages: [first, ...draft.languages.filter((code) => code !== first)],
              cut: words.cut,
              fill: words.fill,
              onGrade: words.onGrade,
            });
          }}
        />
        {allLanguages()
          .filter(({ code }) => code !== draft.languages[0])
          .map(({ code, name }) => (
            <Tick
              key={code}
              label={msg('handover.onTheCardsToo', { name })}
              checked={draft.languages.includes(code)}
              onChange={(on) =>
                change({ languages: on ? [...draft.languages, code] : draft.languages.filter((each) => each !== code) })
              }
            />
          ))}
      </Group>
    </Dialog>
  );
}

const Group = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <fieldset className="mt-5 border-t border-rule pt-2">
    <legend className="pr-2 text-[17px] font-semibold">{title}</legend>
    {children}
  </fieldset>
);

function PartsTable({ parts, onChange }: { readonly parts: readonly PartPlace[]; onChange(parts: PartPlace[]): void }) {
  const set = (part: PartPlace['part'], change: Partial<PartPlace>) =>
    onChange(parts.map((each) => (each.part === part ? { ...each, ...change } : each)));
  const inOrder = sideChoices().flatMap(([side]) => parts.filter((each) => each.side === side));
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('handover.item')}</th>
          <th className={TH_WORD}>{msg('handover.side')}</th>
          <th className={TH_WORD}>{msg('common.order')}</th>
          <th className={TH_WORD}>{msg('handover.lineBelow')}</th>
        </tr>
      </thead>
      <tbody>
        {inOrder.map(({ part, side, ruled }) => (
          <tr key={part} className={side === 'none' ? 'text-ink2' : ''}>
            <td className={`${TD_WORD} first-letter:uppercase`}>{stakePartWords()[part]}</td>
            <td className={TD_WORD}>
              <select
                aria-label={msg('handover.sideOf', { stakePart: stakePartWords()[part] })}
                value={side}
                onChange={(event) => set(part, { side: event.target.value as PartPlace['side'] })}
                className="min-h-11 rounded-sm border border-ink2 bg-sheet px-2"
              >
                {sideChoices().map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
            </td>
            <td className={TD_WORD}>
              {side !== 'none' && (
                <span className="flex">
                  <Button
                    look="quiet"
                    aria-label={msg('handover.earlier', { stakePart: stakePartWords()[part] })}
                    onClick={() => onChange(movePart(parts, part, -1))}
                  >
                    ↑
                  </Button>
                  <Button
                    look="quiet"
                    aria-label={msg('handover.later', { stakePart: stakePartWords()[part] })}
                    onClick={() => onChange(movePart(parts, part, 1))}
                  >
                    ↓
                  </Button>
                </span>
              )}
            </td>
            <td className={TD_WORD}>
              {side !== 'none' && (
                <label className="flex min-h-11 min-w-11 cursor-pointer items-center">
                  <input
                    type="checkbox"
                    className="h-5 w-5 accent-(--spruce)"
                    aria-label={msg('handover.aLineBelow', { stakePart: stakePartWords()[part] })}
                    checked={ruled}
                    onChange={(event) => set(part, { ruled: event.target.checked })}
                  />
                </label>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface TermsProps {
  readonly title: string;
  readonly terms: readonly StakeTerm[];
  readonly chosen: readonly StakeTerm[];
  onChange(terms: StakeTerm[]): void;
}

const Terms = ({ title, terms, chosen, onChange }: TermsProps) => (
  <div role="group" aria-label={title}>
    <p className="text-[13px] text-ink2">{title}</p>
    <div className="grid grid-cols-2">
      {terms.map((term) => (
        <Tick
          key={term}
          label={crewWords('en').term[term]}
          checked={chosen.includes(term)}
          onChange={(on) => onChange(on ? [...chosen, term] : chosen.filter((each) => each !== term))}
        />
      ))}
    </div>
  </div>
);
