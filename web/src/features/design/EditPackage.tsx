import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikeName, hubPlans, keepMoved } from '@idle-marker/records';
import { HEIGHT_REFERENCE, MEANING, outlineErrorWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { CornerSource } from './CornerSource.tsx';
import { GridSource } from './GridSource.tsx';
import { SaidPlace } from './SaidPlace.tsx';
import { writeCorners, readCorners } from './cornerText.ts';

type Package = FactBody<'package'>;
type Item = Package['items'][number];

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

interface DraftItem {
  readonly name: string;
  readonly meaning: Item['meaning'];
  readonly rule: Item['rule'];
  readonly height: string;
  readonly corners: string;
  readonly source: string;
}

const RULES = [
  ['outline', 'round the outline'],
  ['lineEnds', 'beyond both ends of lines'],
  ['points', 'on the points themselves'],
  ['recoveries', 'on the points, two recoveries each'],
] as const;

const LISTED = {
  outline: 'Corners in order round the outline',
  lineEnds: 'Ends of the lines, from and to',
  points: 'Points to mark',
  recoveries: 'Points to mark, in order along the row',
} as const;

const EMPTY_ITEM: DraftItem = { name: '', meaning: 'outsideFace', rule: 'outline', height: '', corners: '', source: 'typed' };

/** Makes a package, or a new revision of one: marks that are set keep standing, since their keys stay. */
export function EditPackage({ work, onClose }: { work: Fact<'package'> | null; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = work?.body;
  const [name, setName] = useState(before?.name ?? '');
  const [prefix, setPrefix] = useState(before?.plans[0]?.name.split('-')[0] ?? '');
  const [crew, setCrew] = useState(before?.crew ?? '');
  const [classId, setClassId] = useState(before?.class ?? 'grid');
  const [offset, setOffset] = useState(units.edit(before?.offset ?? 2));
  const [heightReference, setHeightReference] = useState<Package['heightReference']>(before?.heightReference ?? 'finishedFloor');
  const [items, setItems] = useState<readonly DraftItem[]>(
    before?.items.map((item) => ({
      name: item.name,
      meaning: item.meaning,
      rule: item.rule,
      height: units.edit(item.designZ),
      corners: writeCorners(item.corners, units),
      source: item.source,
    })) ?? [EMPTY_ITEM],
  );
  const [ground, setGround] = useState<'none' | 'dig' | 'pour' | 'demolish'>(before?.ground?.kind ?? 'none');
  const [groundOn, setGroundOn] = useState(before?.ground?.on ?? '');
  const [reach, setReach] = useState(units.edit(before?.ground?.reach ?? 1));
  const reachRead = units.readLength(reach);
  const [tried, setTried] = useState(false);
  const offsetRead = units.readLength(offset);
  const read = useMemo(
    () =>
      items.map((item) => ({
        item,
        corners: readCorners(item.corners, units, item.rule === 'lineEnds'),
        z: item.height.trim() === '' ? null : units.readLength(item.height),
      })),
    [items, units],
  );
  const built = useMemo((): Item[] | null => {
    if (read.some((each) => !each.corners.ok)) return null;
    return read.map(({ item, corners, z }) => ({
      name: item.name.trim(),
      meaning: item.meaning,
      rule: item.rule,
      designZ: z,
      corners: corners.ok ? corners.value : [],
      source: item.source,
    }));
  }, [read]);
  const plans = built && offsetRead !== null ? hubPlans(built, offsetRead, prefix.trim() || 'M') : null;
  const alike = alikeName(
    name,
    state.packages.filter((each) => each.id !== work?.id).map((each) => each.body.name),
  );
  const errors = {
    name:
      name.trim() === ''
        ? 'Give the package a name.'
        : alike !== null
          ? `There is a package “${alike}” already: two names that look alike get mixed up.`
          : null,
    prefix: prefix.trim() === '' ? 'Give the letters that every mark’s name begins with.' : null,
    crew: crew.trim() === '' ? 'Say who asked for it.' : null,
    offset: offsetRead === null || offsetRead <= 0 || offsetRead > 1000 ? `Give the offset, such as ${units.edit(2)}.` : null,
    items: read.some((each) => each.item.name.trim() === '')
      ? 'Every outline needs a name.'
      : new Set(read.map((each) => each.item.name.trim())).size < read.length
        ? 'Two outlines have the same name.'
        : null,
    reach: ground !== 'none' && !(reachRead !== null && reachRead >= 0 && reachRead <= 500) ? 'Give a length, 0 or more.' : null,
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
      supersedes: work?.id ?? null,
    };
    await say({ type: 'package', body });
    onClose();
  };
  const change = (i: number, next: Partial<DraftItem>) => setItems(items.map((item, j) => (i === j ? { ...item, ...next } : item)));
  const unclear = plans?.ok ? countUnclear(plans.value) : 0;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={work ? `${work.body.name}: new revision` : 'New work package'}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {plans?.ok
              ? `${plans.value.length} ${plans.value.length === 1 ? 'mark' : 'marks'}${unclear > 0 ? `, ${unclear} closer to the outline than the offset` : ''}`
              : 'No marks yet'}
          </span>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void save()}>
            {work ? 'Keep as new revision' : 'Make package'}
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <Field label="Name" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} error={shown(errors.name)} autoFocus />
        <Field label="Crew" value={crew} maxLength={80} onChange={(event) => setCrew(event.target.value)} error={shown(errors.crew)} />
        <Field label="Marks begin with" value={prefix} maxLength={12} onChange={(event) => setPrefix(event.target.value)} error={shown(errors.prefix)} />
        <Choice
          label="Tolerance class"
          value={classId}
          options={state.settings.classes.map((each) => [each.id, `${each.name}: ${each.planMm} / ${each.heightMm} mm`] as const)}
          onChange={setClassId}
        />
        <Field
          label="Hubs off by"
          unit={units.unit}
          value={offset}
          inputMode="decimal"
          onChange={(event) => setOffset(event.target.value)}
          error={errors.offset}
        />
        <Choice label="Cut and fill to" value={heightReference} options={entries(HEIGHT_REFERENCE)} onChange={setHeightReference} />
        <Choice
          label="What it does to the ground there"
          value={ground}
          options={[
            ['none', 'Nothing that takes control'],
            ['dig', 'Digs'],
            ['pour', 'Pours over'],
            ['demolish', 'Tears down'],
          ]}
          onChange={setGround}
          help={ground === 'none' ? undefined : 'Control marks inside are told before they are lost.'}
        />
        {ground !== 'none' && (
          <>
            <Field label="From which day" type="date" value={groundOn} onChange={(event) => setGroundOn(event.target.value)} />
            <Field
              label="Reaches beyond the outline by"
              unit={units.unit}
              value={reach}
              inputMode="decimal"
              onChange={(event) => setReach(event.target.value)}
              error={errors.reach}
            />
          </>
        )}
      </div>
      {items.map((item, i) => {
        const corners = read[i]!.corners;
        return (
          <fieldset key={i} className="mt-5 border-t border-rule pt-3">
            <legend className="pr-3 text-[15px] font-semibold">Outline {items.length > 1 ? i + 1 : ''}</legend>
            <div className="grid gap-3 sm:grid-cols-4">
              <Field
                label="Name of the outline"
                value={item.name}
                maxLength={80}
                onChange={(event) => change(i, { name: event.target.value })}
                error={tried && item.name.trim() === '' ? 'Give it a name.' : null}
              />
              <Choice label="Its corners are" value={item.meaning} options={entries(MEANING)} onChange={(meaning) => change(i, { meaning })} />
              <Choice label="Hubs stand" value={item.rule} options={RULES} onChange={(rule) => change(i, { rule })} />
              <Field
                label="Design height"
                unit={units.unit}
                value={item.height}
                inputMode="decimal"
                onChange={(event) => change(i, { height: event.target.value })}
                error={item.height.trim() !== '' && read[i]!.z === null ? 'Give a height, or leave it empty.' : null}
              />
            </div>
            <CornerSource
              onCorners={({ corners, name, rule, isGrid }, source) =>
                change(i, {
                  corners: writeCorners(corners, units),
                  source,
                  rule,
                  name: item.name || name,
                  ...(isGrid ? { meaning: 'gridLine' as const } : {}),
                })
              }
            />
            <GridSource
              onTake={(found, source) =>
                change(i, { corners: writeCorners(found.corners, units), source, rule: found.rule, name: item.name || found.name, meaning: 'gridLine' })
              }
            />
            <SaidPlace
              points={corners.ok ? corners.value : []}
              onPlace={(corner) =>
                change(i, {
                  corners: [item.corners.trim(), writeCorners([corner], units)].filter((text) => text !== '').join('\n'),
                  source: item.source === 'typed' || item.corners.trim() === '' ? 'in words' : item.source,
                  ...(item.corners.trim() === '' ? { rule: 'points' as const } : {}),
                })
              }
            />
            <label className="mt-2 block text-[13px] text-ink2" htmlFor={`corners-${i}`}>
              {LISTED[item.rule]}, one a line: name, {units.axes[0] === 'e' ? 'E, N' : 'N, E'} in {units.unit}
            </label>
            <textarea
              id={`corners-${i}`}
              rows={6}
              value={item.corners}
              onChange={(event) => change(i, { corners: event.target.value, source: 'typed' })}
              className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
              spellCheck={false}
            />
            {!corners.ok && item.corners.trim() !== '' && <p className="text-[13px] font-medium text-brick">{corners.error}</p>}
          </fieldset>
        );
      })}
      <div className="mt-3 flex gap-2">
        <Button onClick={() => setItems([...items, EMPTY_ITEM])}>One more outline</Button>
        {items.length > 1 && <Button onClick={() => setItems(items.slice(0, -1))}>Take the last away</Button>}
      </div>
      {(errors.plans ?? shown(errors.items)) && <p className="mt-3 font-medium text-brick">{errors.plans ?? errors.items}</p>}
    </Dialog>
  );
}

const countUnclear = (plans: Package['plans']): number =>
  plans.filter((plan) => Math.hypot(plan.place.e - plan.design.e, plan.place.n - plan.design.n) < plan.offset * 0.999).length;
