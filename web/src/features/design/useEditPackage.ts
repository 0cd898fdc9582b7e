import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  clearancesOf,
  drawingOfRevision,
  hubPlans,
  leftOutHubs,
  keepMoved,
  roundBeside,
  usualClass,
} from '@idle-marker/records';
import { msg, outlineErrorWords } from '@idle-marker/words';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { usePackageHead } from '../../packages/PackageHead.tsx';
import { usePackageWriting } from '../../packages/PackageWriting.tsx';
import { useWithHeights } from './useWithHeights.ts';
import { EMPTY_ITEM, itemDraftOf, readItem, type DraftItem, type Item } from './itemDraft.ts';

type Package = FactBody<'package'>;

const countUnclear = (plans: Package['plans']): number =>
  plans.filter((plan) => Math.hypot(plan.place.e - plan.design.e, plan.place.n - plan.design.n) < plan.offset * 0.999)
    .length;

/** What EditPackage shows, and what its buttons do. */
export function useEditPackage({
  work,
  onClose,
}: Pick<{ work: Fact<'package'> | null; onClose(): void }, 'work' | 'onClose'>) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = work?.body;
  const head = usePackageHead(work);
  const { name, crew, prefix } = head;
  const [classId, setClassId] = useState(before?.class ?? 'grid');
  const usualOffset = usualClass(state, 'grid').offset ?? units.round(2, 6);
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
  const [clearance, setClearance] = useState<Draft<number>>(() => lengthDraft(before?.clearance?.least ?? null, units));
  const [overlapReason, setOverlapReason] = useState(before?.clearance?.reason ?? '');
  const [asksOverlap, setAsksOverlap] = useState(false);
  const clearanceRead = clearance.text.trim() === '' ? 0 : lengthOf(clearance, units);
  const [tried, setTried] = useState(false);
  /** It would give no cut and fill at all: that is asked about before it is made. */
  const [askedPlanOnly, setAskedPlanOnly] = useState(false);
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
  const clearances = useMemo(
    () => (built ? clearancesOf(state, built, work ? (state.packageRoots.get(work.id) ?? null) : null) : []),
    [state, built, work],
  );
  const overlaps = clearances.some((each) => each.overlaps);
  const errors = {
    ...head.errors,
    clearance:
      clearanceRead === null || clearanceRead < 0 || clearanceRead > 100 ? msg('design.giveALength0OrMore') : null,
    offset:
      offsetRead === null || offsetRead <= 0 || offsetRead > 1000
        ? msg('common.giveTheOffsetSuchAs', { edit: units.edit(units.round(2, 6)) })
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
        ? msg('design.giveHowFarSuchAs', { edit: units.edit(units.round(0.3, 1)) })
        : null,
    plans: plans && !plans.ok ? `${plans.error.item}: ${outlineErrorWords(plans.error)}` : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null) || plans === null;
  const shown = (error: string | null) => (tried ? error : null);
  const leftOut =
    built && offsetRead !== null && offsetRead > 0 ? leftOutHubs(built, offsetRead, units.lengthUnit) : [];
  const withoutHeight = plans?.ok ? plans.value.filter(({ designZ }) => designZ === null).length : 0;
  const isPlanOnly = plans?.ok === true && withoutHeight === plans.value.length;
  const save = async (inPlanOnly: boolean) => {
    setTried(true);
    if (faulty || !plans?.ok || !built) return;
    if (overlaps && overlapReason.trim() === '') return setAsksOverlap(true);
    if (isPlanOnly && !inPlanOnly) return setAskedPlanOnly(true);
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
      ...(clearanceRead || overlaps
        ? { clearance: { least: clearanceRead ?? 0, reason: overlaps ? overlapReason.trim() : '' } }
        : {}),
      supersedes: work?.id ?? null,
    };
    await say({ type: 'package', body });
    onClose();
  };
  const change = (i: number, next: Partial<DraftItem>) => {
    setItems(items.map((item, j) => (i === j ? { ...item, ...next } : item)));
    setAskedPlanOnly(false);
    setAsksOverlap(false);
    // Heights of a surface are those of no floor, until somebody says so.
    if (next.surface && heightReference === 'finishedFloor') setHeightReference('surface');
  };
  const unclear = plans?.ok ? countUnclear(plans.value) : 0;
  return {
    state,
    units,
    head,
    classId,
    setClassId,
    offset,
    setOffset,
    offsetTyped,
    setOffsetTyped,
    heightReference,
    setHeightReference,
    items,
    setItems,
    writing,
    use,
    setUse,
    also,
    setAlso,
    above,
    setAbove,
    isBelow,
    setIsBelow,
    ground,
    setGround,
    groundOn,
    setGroundOn,
    reach,
    setReach,
    tried,
    round,
    read,
    built,
    plans,
    errors,
    shown,
    save,
    change,
    unclear,
    leftOut,
    withoutHeight,
    clearance,
    setClearance,
    clearanceRead,
    clearances,
    overlaps,
    overlapReason,
    setOverlapReason,
    asksOverlap: asksOverlap && overlaps,
    asksPlanOnly: askedPlanOnly && isPlanOnly,
  };
}

export type EditPackageModel = ReturnType<typeof useEditPackage>;
