import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { drawingOfRevision, hubPlans, keepMoved, roundBeside, classOf, usualClass } from '@idle-marker/records';
import { msg, HEIGHT_REFERENCE, MARK_TOOLS, outlineErrorWords } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { ItemFields } from './ItemFields.tsx';
import { NextTradeButtons } from './NextTradeButtons.tsx';
import { ClassChoice, PackageFoot, PackageHeadFields, usePackageHead } from '../../packages/PackageHead.tsx';
import { PackageWritingFields, usePackageWriting } from '../../packages/PackageWriting.tsx';
import { PackagePreview } from './PackagePreview.tsx';
import { useWithHeights } from './useWithHeights.ts';
import { EMPTY_ITEM, itemDraftOf, readItem, stepsOf, type DraftItem, type Item } from './itemDraft.ts';

type Package = FactBody<'package'>;

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

/** Lines of roads are chosen where marks are made along them. */
const REFERENCES = entries(HEIGHT_REFERENCE).filter(([key]) => key !== 'string');

/** Makes a package, or a new revision of one: marks that are set keep standing, since their keys stay. */
export function EditPackage({ work, onClose }: { work: Fact<'package'> | null; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = work?.body;
  const head = usePackageHead(work);
  const { name, crew, prefix } = head;
  const [classId, setClassId] = useState(before?.class ?? 'grid');
  const usualOffset = usualClass(state, 'grid').offset ?? 2;
  const [offset, setOffset] = useState<Draft<number>>(() => lengthDraft(before?.offset ?? usualOffset, units));
  /** A figure that somebody gave stays, whatever the class. */
  const [offsetTyped, setOffsetTyped] = useState(before !== undefined);
  const [heightReference, setHeightReference] = useState<Package['heightReference']>(
    before?.heightReference ?? 'finishedFloor',
  );
  const [items, setItems] = useState<readonly DraftItem[]>(
    before?.items.map((item) => itemDraftOf(item, units, (revision) => drawingOfRevision(state, revision))) ?? [
      EMPTY_ITEM,
    ],
  );
  const writing = usePackageWriting(before);
  const [use, setUse] = useState(before?.use ?? '');
  const [also, setAlso] = useState<Package['heightReference'] | 'none'>(before?.also?.heightReference ?? 'none');
  const [above, setAbove] = useState<Draft<number>>(() =>
    lengthDraft(before?.also && Math.abs(before.also.above), units),
  );
  const [isBelow, setIsBelow] = useState((before?.also?.above ?? -1) < 0);
  const aboveRead = lengthOf(above, units);
  const [ground, setGround] = useState<'none' | 'dig' | 'pour' | 'demolish'>(before?.ground?.kind ?? 'none');
  const [groundOn, setGroundOn] = useState(before?.ground?.on ?? '');
  const [reach, setReach] = useState<Draft<number>>(() => lengthDraft(before?.ground?.reach ?? 1, units));
  const reachRead = lengthOf(reach, units);
  const [tried, setTried] = useState(false);
  const offsetRead = lengthOf(offset, units);
  const round = offsetRead !== null && offsetRead > 0 ? roundBeside(offsetRead, units.lengthUnit) : null;
  const read = useMemo(() => items.map((item) => readItem(item, units)), [items, units]);
  const whole = useMemo((): Item[] | null => {
    const good = read.flatMap(({ item }) => item ?? []);
    return good.length === read.length ? good : null;
  }, [read]);
  const choices = useMemo(() => items.map(({ surface, rule }) => (rule === 'rakedPiles' ? null : surface)), [items]);
  const built = useWithHeights(whole, choices, offsetRead);
  const plans =
    built && offsetRead !== null ? hubPlans(built, offsetRead, prefix.trim() || 'M', units.lengthUnit) : null;
  const errors = {
    ...head.errors,
    offset:
      offsetRead === null || offsetRead <= 0 || offsetRead > 1000
        ? msg('common.giveTheOffsetSuchAs', { edit: units.edit(2) })
        : null,
    items: items.some((each) => each.name.trim() === '')
      ? msg('design.everyOutlineNeedsAName')
      : new Set(items.map((each) => each.name.trim())).size < items.length
        ? msg('design.twoOutlinesHaveTheSameName')
        : null,
    reach:
      ground !== 'none' && !(reachRead !== null && reachRead >= 0 && reachRead <= 500)
        ? msg('design.giveALength0OrMore')
        : null,
    also:
      also !== 'none' && (aboveRead === null || aboveRead < 0)
        ? msg('design.giveHowFarSuchAs', { edit: units.edit(0.3) })
        : null,
    plans: plans && !plans.ok ? `${plans.error.item}: ${outlineErrorWords(plans.error)}` : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null) || plans === null;
  const shown = (error: string | null) => (tried ? error : null);
  const save = async () => {
    setTried(true);
    if (faulty || !plans?.ok || !built) return;
    const body: Package = {
      name: name.trim(),
      crew: crew.trim(),
      class: classId,
      heightReference,
      offset: offsetRead!,
      items: built,
      plans: before ? keepMoved(before, plans.value, offsetRead!) : plans.value,
      ground: ground === 'none' ? null : { kind: ground, on: groundOn === '' ? null : groundOn, reach: reachRead! },
      ...writing.body,
      use: use.trim(),
      also: also === 'none' ? null : { heightReference: also, above: isBelow ? -aboveRead! : aboveRead! },
      supersedes: work?.id ?? null,
    };
    await say({ type: 'package', body });
    onClose();
  };
  const change = (i: number, next: Partial<DraftItem>) => {
    setItems(items.map((item, j) => (i === j ? { ...item, ...next } : item)));
    // Heights of a surface are those of no floor, until somebody says so.
    if (next.surface && heightReference === 'finishedFloor') setHeightReference('surface');
  };
  const unclear = plans?.ok ? countUnclear(plans.value) : 0;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={work ? msg('common.newRevision', { name: work.body.name }) : msg('design.newWorkPackage')}
      foot={
        <PackageFoot
          isNew={work === null}
          said={
            plans?.ok
              ? msg('design.countOfMarks', {
                  marks: plans.value.length,
                  unclear: unclear > 0 && msg('design.closerToTheOutlineThanTheOffset', { unclear }),
                })
              : msg('common.noMarksYet')
          }
          onClose={onClose}
          onSave={() => void save()}
        />
      }
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <PackageHeadFields head={head} tried={tried} />
        <ClassChoice
          value={classId}
          onChange={(next) => {
            setClassId(next);
            const usual = classOf(state, next).offset ?? null;
            if (usual !== null && !offsetTyped) setOffset(lengthDraft(usual, units));
          }}
        />
        <DraftField
          label={msg('design.hubsOffBy')}
          unit={units.unit}
          draft={offset}
          onDraft={(next) => {
            setOffset(next);
            setOffsetTyped(true);
          }}
          error={errors.offset}
          help={
            round !== null ? msg('design.noRoundLengthCrewsKeepInMind', { length: units.length(round) }) : undefined
          }
        />
        <Choice
          label={msg('common.cutAndFillTo')}
          value={heightReference}
          options={REFERENCES}
          onChange={setHeightReference}
        />
        <NextTradeButtons
          use={use}
          onTake={(trade) => {
            setUse(trade.use);
            writing.change({ markKind: trade.markKind, rounding: trade.rounding });
          }}
        />
        <PackageWritingFields writing={writing} />
        <Field
          label={msg('design.whatItIsUsedFor')}
          value={use}
          maxLength={300}
          placeholder={msg('common.plumbingTheSteelAbove')}
          onChange={(event) => setUse(event.target.value)}
        />
        <Choice
          label={msg('design.cutAndFillAlsoTo')}
          value={also}
          options={[['none', msg('common.nothingElse')], ...REFERENCES.filter(([key]) => key !== heightReference)]}
          onChange={setAlso}
        />
        {also !== 'none' && (
          <>
            <DraftField
              label={msg('design.whichLies')}
              unit={units.unit}
              draft={above}
              onDraft={setAbove}
              error={shown(errors.also)}
            />
            <Choice
              label={msg('design.ofTheDesignHeight')}
              value={isBelow ? 'below' : 'above'}
              options={[
                ['below', 'below'],
                ['above', 'above'],
              ]}
              onChange={(way) => setIsBelow(way === 'below')}
            />
          </>
        )}
        <Choice
          label={msg('design.whatItDoesToTheGroundThere')}
          value={ground}
          options={[
            ['none', msg('design.nothingThatTakesControl')],
            ['dig', msg('design.digs')],
            ['pour', msg('design.poursOver')],
            ['demolish', msg('design.tearsDown')],
          ]}
          onChange={setGround}
          help={ground === 'none' ? undefined : msg('design.controlMarksInsideAreToldBeforeThey')}
        />
        {ground !== 'none' && (
          <>
            <Field
              label={msg('design.fromWhichDay')}
              type="date"
              value={groundOn}
              onChange={(event) => setGroundOn(event.target.value)}
            />
            <DraftField
              label={msg('design.reachesBeyondTheOutlineBy')}
              unit={units.unit}
              draft={reach}
              onDraft={setReach}
              error={errors.reach}
            />
          </>
        )}
      </div>
      <p className="mt-2 text-[13px] text-ink2">{MARK_TOOLS[writing.markKind]}</p>
      {read.map((each, i) => (
        <ItemFields
          key={i}
          read={each}
          built={built?.[i] ?? null}
          legend={msg('design.outline', { items: items.length > 1 ? i + 1 : '' })}
          tried={tried}
          onChange={(next) => change(i, next)}
          onSteps={() => setItems(items.flatMap((item, j) => (i === j ? stepsOf(item) : [item])))}
        />
      ))}
      <div className="mt-3 flex gap-2">
        <Button onClick={() => setItems([...items, EMPTY_ITEM])}>{msg('design.oneMoreOutline')}</Button>
        {items.length > 1 && (
          <Button onClick={() => setItems(items.slice(0, -1))}>{msg('design.takeTheLastAway')}</Button>
        )}
      </div>
      {plans?.ok && built && <PackagePreview items={built} plans={plans.value} />}
      {(errors.plans ?? shown(errors.items)) && (
        <p className="mt-3 font-medium text-brick">{errors.plans ?? errors.items}</p>
      )}
    </Dialog>
  );
}

const countUnclear = (plans: Package['plans']): number =>
  plans.filter((plan) => Math.hypot(plan.place.e - plan.design.e, plan.place.n - plan.design.n) < plan.offset * 0.999)
    .length;
