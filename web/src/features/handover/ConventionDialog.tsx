import { useState, type ReactNode } from 'react';
import { STAKE_MARK_KINDS, STAKE_TERMS, type StakeTerm } from '@idle-marker/core';
import type { NamedConvention } from '@idle-marker/records';
import { CARRIER, conventionFaultWords, crewWords, FACING, LANGUAGES, otherReadings, ROUNDING, STAKE_MARK_KIND, STAKE_PART } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { TABLE, TD_WORD, TH_WORD } from '../../ui/table.ts';
import { ConventionPreview } from './ConventionPreview.tsx';
import { FacingPicture } from '../../stakes/FacingPicture.tsx';
import { WithSigns } from './Signs.tsx';
import { conventionOfDraft, draftOfConvention, faultsOf, hasSizes, movePart, sizeError, type ConventionDraft, type PartPlace } from './conventionDraft.ts';

const SIDES = [
  ['front', 'front'],
  ['back', 'back'],
  ['left', 'left side'],
  ['right', 'right side'],
  ['none', 'not written'],
] as const;
const SIZES = [
  ['length', 'Length'],
  ['inGround', 'Of it in the ground'],
  ['width', 'Width of a side'],
  ['letterHeight', 'Height of letters'],
] as const;
/** Terms that offsets can lead to, and heights. */
const OFFSET_TERMS: readonly StakeTerm[] = ['outsideFace', 'insideFace', 'wallCentre', 'gridLine', 'waterLine', 'centre', 'edge', 'face', 'back', 'flowLine'];
const HEIGHT_TERMS: readonly StakeTerm[] = ['finishedFloor', 'topOfWall', 'underside', 'invert', 'topOfKerb', 'back', 'flowLine', 'subgrade', 'surface'];
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
    ...(isNew ? { name: `${from.convention.name}, as here`.slice(0, 80) } : {}),
  }));
  const [identity] = useState(newId);
  const change = (part: Partial<ConventionDraft>) => setDraft({ ...draft, ...part });
  const readable = hasSizes(draft);
  const faults = faultsOf(draft);
  const nameless = draft.name.trim() === '';
  const keep = async () => {
    const id = from.fact?.body.convention ?? identity;
    await say({ type: 'convention', body: { convention: id, rules: conventionOfDraft(draft), retired: false, supersedes: from.fact?.id ?? null } });
    onKept(id);
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      beside={{
        title: 'As it would be written',
        content: readable ? <ConventionPreview convention={conventionOfDraft(draft)} /> : <p className="text-ochre">Give the lath its sizes first.</p>,
      }}
      title={isNew ? `A copy of “${from.convention.name}”` : `Change “${from.convention.name}”`}
      foot={
        <>
          <ul className="mr-auto text-[13px] font-medium text-brick" role="alert">
            {faults.map((fault, i) => (
              <li key={i}>{conventionFaultWords(fault)}</li>
            ))}
          </ul>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" disabled={!readable || faults.length > 0 || nameless} onClick={() => void keep()}>
            Keep
          </Button>
        </>
      }
    >
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Name"
          value={draft.name}
          maxLength={80}
          onChange={(event) => change({ name: event.target.value })}
          error={nameless ? 'Give it a name.' : null}
        />
        <Choice label="Written on" value={draft.carrier} options={entries(CARRIER)} onChange={(carrier) => change({ carrier })} />
      </div>
      <Group title="What stands where">
        <PartsTable parts={draft.parts} onChange={(parts) => change({ parts })} />
      </Group>
      <WithSigns>
        <Group title="Cut, fill and figures">
          <div className="grid gap-3 sm:grid-cols-3">
            {(
              [
                ['cut', 'The ground is too high'],
                ['fill', 'The ground is too low'],
                ['onGrade', 'Neither'],
              ] as const
            ).map(([which, label]) => (
              <Field key={which} label={label} value={draft[which]} maxLength={24} onChange={(event) => change({ [which]: event.target.value })} />
            ))}
            <Choice
              label="Offsets are written"
              value={draft.rounding.offset}
              options={ROUNDING(state.settings.lengthUnit)}
              onChange={(offset) => change({ rounding: { ...draft.rounding, offset } })}
            />
            <Choice
              label="Heights are written"
              value={draft.rounding.height}
              options={ROUNDING(state.settings.lengthUnit)}
              onChange={(height) => change({ rounding: { ...draft.rounding, height } })}
            />
            <Choice
              label="The offset"
              value={draft.offsetFigure}
              options={[
                ['asSet', 'as it was set'],
                ['plannedWithin', 'as planned, while it is within tolerance'],
              ]}
              onChange={(offsetFigure) => change({ offsetFigure })}
            />
          </div>
          <Tick label="The unit stands behind each figure" checked={draft.showUnit} onChange={(showUnit) => change({ showUnit })} />
        </Group>
        <Group title="Short forms">
          <Tick label="Short forms are used where there are any" checked={draft.abbreviate} onChange={(abbreviate) => change({ abbreviate })} />
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
                    error={others.length > 1 ? `Also read as ${others.filter((each) => each !== crewWords('en').term[term]).join(' or ')}.` : null}
                  />
                );
              })}
            </div>
          )}
        </Group>
      </WithSigns>
      <Group title="What is usual here">
        <p className="text-[13px] text-ink2">Anything else is boxed on the stake and said to the crew. With none ticked nothing is unusual.</p>
        <div className="grid gap-4 sm:grid-cols-2">
          <Terms
            title="Offsets lead to"
            terms={OFFSET_TERMS}
            chosen={draft.usual.offsetTo}
            onChange={(offsetTo) => change({ usual: { ...draft.usual, offsetTo } })}
          />
          <Terms
            title="Heights lead to"
            terms={HEIGHT_TERMS}
            chosen={draft.usual.heightTo}
            onChange={(heightTo) => change({ usual: { ...draft.usual, heightTo } })}
          />
        </div>
        <Field
          className="mt-2 max-w-60"
          label="Colour for the unusual"
          value={draft.unusualPaint}
          maxLength={40}
          onChange={(event) => change({ unusualPaint: event.target.value })}
        />
      </Group>
      <Group title="The lath">
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {SIZES.map(([field, label]) => (
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
            label="Lines run"
            value={draft.lath.writing}
            options={[
              ['across', 'across it'],
              ['along', 'along it'],
            ]}
            onChange={(writing) => change({ lath: { ...draft.lath, writing } })}
          />
          <Choice label="Its front" className="col-span-2" value={draft.facing} options={entries(FACING)} onChange={(facing) => change({ facing })} />
          <FacingPicture facing={draft.facing} />
        </div>
      </Group>
      <Group title="Ribbon and paint">
        <div className="grid grid-cols-[auto_1fr_1fr] items-end gap-x-3 gap-y-2">
          {STAKE_MARK_KINDS.map((kind) => (
            <div key={kind} className="contents">
              <span className="pb-3">{STAKE_MARK_KIND[kind]}</span>
              {(['ribbon', 'paint'] as const).map((what) => (
                <Field
                  key={what}
                  label={what === 'ribbon' ? 'Ribbon' : 'Paint'}
                  value={draft.colours[kind][what]}
                  maxLength={40}
                  onChange={(event) => change({ colours: { ...draft.colours, [kind]: { ...draft.colours[kind], [what]: event.target.value } } })}
                />
              ))}
            </div>
          ))}
        </div>
      </Group>
      <Group title="Languages">
        <Choice
          className="max-w-60"
          label="On the stake"
          value={draft.languages[0] ?? 'en'}
          options={LANGUAGES.map(({ code, name }) => [code, name] as const)}
          onChange={(first) => {
            const words = crewWords(first);
            change({ languages: [first, ...draft.languages.filter((code) => code !== first)], cut: words.cut, fill: words.fill, onGrade: words.onGrade });
          }}
        />
        {LANGUAGES.filter(({ code }) => code !== draft.languages[0]).map(({ code, name }) => (
          <Tick
            key={code}
            label={`${name} on the cards too`}
            checked={draft.languages.includes(code)}
            onChange={(on) => change({ languages: on ? [...draft.languages, code] : draft.languages.filter((each) => each !== code) })}
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
  const set = (part: PartPlace['part'], change: Partial<PartPlace>) => onChange(parts.map((each) => (each.part === part ? { ...each, ...change } : each)));
  const inOrder = SIDES.flatMap(([side]) => parts.filter((each) => each.side === side));
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          <th className={TH_WORD}>Line</th>
          <th className={TH_WORD}>Side</th>
          <th className={TH_WORD}>Order</th>
          <th className={TH_WORD}>Line below</th>
        </tr>
      </thead>
      <tbody>
        {inOrder.map(({ part, side, ruled }) => (
          <tr key={part} className={side === 'none' ? 'text-ink2' : ''}>
            <td className={`${TD_WORD} first-letter:uppercase`}>{STAKE_PART[part]}</td>
            <td className={TD_WORD}>
              <select
                aria-label={`Side of ${STAKE_PART[part]}`}
                value={side}
                onChange={(event) => set(part, { side: event.target.value as PartPlace['side'] })}
                className="min-h-11 rounded-sm border border-ink2 bg-sheet px-2"
              >
                {SIDES.map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
            </td>
            <td className={TD_WORD}>
              {side !== 'none' && (
                <span className="flex">
                  <Button look="quiet" aria-label={`${STAKE_PART[part]} earlier`} onClick={() => onChange(movePart(parts, part, -1))}>
                    ↑
                  </Button>
                  <Button look="quiet" aria-label={`${STAKE_PART[part]} later`} onClick={() => onChange(movePart(parts, part, 1))}>
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
                    aria-label={`A line below ${STAKE_PART[part]}`}
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
