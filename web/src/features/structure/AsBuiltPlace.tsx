import { useMemo, useState } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import {
  boltGroups,
  compareNames,
  designDifferences,
  nextName,
  nextNumbered,
  reservedFor,
  usedCodes,
} from '@idle-marker/records';
import { msg, NUMBERED_NAME, overSurfaceWords } from '@idle-marker/words';
import { heightsOf, useHeightUnder, useSurfaces } from '../../drawings/useSurfaces.ts';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { now } from '../../data/clock.ts';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { currentLink, useLinkKind } from '../../link/linkStore.ts';
import { searchWindow } from '../../link/searchWindow.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { CodeField } from '../../pole/CodeField.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Slip, Workspace } from '../../ui/Slip.tsx';
import { LINK } from '../../ui/link.ts';
import { TIME_ZONE } from '../../ui/time.ts';
import { useKey } from '../../ui/useKey.ts';
import { useLivePlace } from '../../pole/useLiveStake.ts';
import { BetweenBuilt } from './BetweenBuilt.tsx';
import { BoltGroupCard } from './BoltGroupCard.tsx';
import { BuiltTable } from './BuiltTable.tsx';
import { BuiltChart } from './LazyBuiltChart.tsx';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

/** No code of anybody’s: codes are trimmed. */
const NO_CODE = ' ';
const FREE = 'free';
/** Offered before the site has codes of its own. */
const USUAL_CODES = ['bolt', 'corner', 'edge', 'kerb', 'invert', 'cover'];
const CODES_SHOWN = 8;
/** Differences are drawn this many times as large. */
const EXAGGERATION = 100;

/** Does it stand where it was designed? Anything measured, with a code, against the design or by itself. */
export function Place() {
  const { id, state, inForce, who } = useSite();
  const underlay = useUnderlay();
  const simulated = useLinkKind() === 'simulator';
  const [workId, setWork] = useState<string>(
    state.packages.find(({ body }) => body.items.some(({ rule }) => rule === 'bolts'))?.id ?? FREE,
  );
  const work = state.packages.find((each) => each.id === workId) ?? null;
  const differences = useMemo(() => designDifferences(state), [state]);
  const groups = useMemo(() => boltGroups(state), [state]);
  /** What can be compared: the things themselves, not the hubs beside them. */
  const surfaces = useSurfaces();
  const surface = surfaces.find(({ id: each }) => each === workId) ?? null;
  const { place: live, stale } = useLivePlace(inForce);
  const under = useHeightUnder(surface, live);
  const plans = work ? work.body.plans.filter((plan) => plan.offset === 0) : [];
  const [key, setKey] = useState<string | null>(null);
  const measured = (planKey: string) =>
    differences.find((each) => each.work.id === work?.id && each.plan.key === planKey);
  const plan = plans.find((each) => each.key === key) ?? plans.find((each) => !measured(each.key)) ?? plans[0] ?? null;
  const [name, setName] = useState(() => nextNumbered(state, 'asBuilt'));
  const [code, setCode] = useState('');
  const [note, setNote] = useState('');
  const [shots, setShots] = useRemembered<Shots>('as built shots', '1');
  const [filter, setFilter] = useState('');
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const busy = shooting.doing !== null;
  const codes = [...new Set([...usedCodes(state), ...USUAL_CODES])].slice(0, CODES_SHOWN);
  const free = work === null || plan === null;
  const freeName = name.trim();
  const reserved = reservedFor(state, freeName);
  const isTaken = state.asBuilt.some(({ body }) => body.name === freeName);
  const take = async () => {
    if (!inForce) return;
    if (free) {
      if (freeName === '' || isTaken) return;
      const against =
        surface &&
        (async (at: PlanPoint) => {
          const heights = await heightsOf(surface, [at]);
          return (
            heights && {
              kind: 'surface' as const,
              drawing: surface.revision,
              name: surface.name,
              z: heights[0] ?? null,
            }
          );
        });
      const made = await measuring.take({
        name: freeName,
        code: code.trim(),
        against,
        note: note.trim(),
        supersedes: null,
        shots,
        onto: null,
      });
      if (!made) return;
      setName(nextName(state, freeName));
      setNote('');
      return;
    }
    const before = measured(plan.key);
    const made = await measuring.take({
      name: plan.corner,
      code: code.trim(),
      against: { kind: 'plan', package: work.id, key: plan.key },
      note: note.trim(),
      supersedes: before?.fact.id ?? null,
      shots,
      onto: simulated
        ? {
            name: msg('structure.built', { corner: plan.corner }),
            hub: { e: plan.design.e, n: plan.design.n, z: plan.designZ ?? null },
          }
        : null,
    });
    if (!made) return;
    setNote('');
    const at = plans.indexOf(plan);
    setKey([...plans.slice(at + 1), ...plans.slice(0, at)].find((each) => !measured(each.key))?.key ?? plan.key);
  };
  const ready = !busy && (free ? freeName !== '' && !isTaken : true);
  useKey(' ', ready ? () => void take() : null);
  const shown = state.asBuilt
    .filter(({ body }) => filter === '' || (filter === NO_CODE ? body.code === '' : body.code === filter))
    .slice()
    .sort((a, b) => compareNames(a.body.name, b.body.name));
  const byFact = new Map(differences.map((each) => [each.fact.id, each]));
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), {
        symbols: [
          ...plans.map((each): SceneSymbol => ({
            id: `plan ${each.key}`,
            at: each.design,
            symbol: 'toSet',
            label: each.corner,
            ink: 'pencil',
            chosen: each === plan,
          })),
          // What is compared has its arrow; its stake and name would hide it.
          ...state.asBuilt
            .filter(({ body }) => body.against?.kind !== 'plan')
            .map(({ id: fact, body }): SceneSymbol => ({
              id: fact,
              at: body.place,
              symbol: 'set',
              label: body.name,
              ink: 'ink',
              pickable: false,
            })),
        ],
        arrows: differences.map(({ plan: { design }, dE, dN, within }) => ({
          from: design,
          to: { e: design.e + dE * EXAGGERATION, n: design.n + dN * EXAGGERATION },
          ink: within ? ('ink' as const) : ('brick' as const),
        })),
        instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
      }),
    // oxlint-disable-next-line react/exhaustive-deps
    [state, work, plan, differences, inForce],
  );
  if (!inForce)
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.whatStandsThereCanBeMeasuredOnce')}
      </EmptyTo>
    );
  const report = (kind: 'pdf' | 'csv') =>
    `/api/v1/sites/${id}/as-built.${kind}?${new URLSearchParams({ at: now().toISOString(), by: who, timeZone: TIME_ZONE }).toString()}`;
  const begun = groups.filter(({ bolts }) => bolts.some(({ difference }) => difference !== null));
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            underlay={underlay}
            description={msg('structure.planWithWhatWasMeasuredArrowsFrom', { exaggeration: EXAGGERATION })}
            onPick={(picked) => picked.startsWith('plan ') && setKey(picked.slice(5))}
            fitTo={plans.length > 0 ? plans.map(({ design }) => design) : state.asBuilt.map(({ body }) => body.place)}
            fitKey={workId}
          >
            {differences.length > 0 && (
              <p className="absolute bottom-3 left-4 max-w-[45%] bg-paper px-1 text-[13px] leading-tight text-ink2">
                {msg('structure.arrowsFromTheDesignToWhatWas', { exaggeration: EXAGGERATION })}
              </p>
            )}
          </Board>
        }
        slip={
          <Slip
            topic={`${state.asBuilt.length}`}
            head={
              <>
                <MarkWays />
                <h1 className="text-xl">{msg('common.asBuilt')}</h1>
                <p className="text-ink2">{msg('structure.whatStandsThereAgainstTheDesignOr')}</p>
              </>
            }
            foot={
              <>
                {busy ? <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button> : <span />}
                <Button look="primary" hint={msg('common.space')} disabled={!ready} onClick={() => void take()}>
                  {msg('structure.measure', { free: free ? freeName || 'it' : plan.corner })}
                </Button>
              </>
            }
          >
            <div aria-live="polite">
              <MeasuringNotice measuring={measuring} />
            </div>
            {surface && (
              <div className="mb-3">
                <p
                  className={`figures text-[20px] leading-snug font-semibold ${stale ? 'text-ink2' : ''}`}
                  data-testid="over-surface"
                >
                  {live === null || live.z === null || under === null
                    ? msg('structure.noReadingYetOver', { name: surface.name })
                    : overSurfaceWords(
                        under.z === null ? null : live.z - under.z,
                        surface.name,
                        state.settings.lengthUnit,
                      )}
                </p>
                {stale && live !== null && (
                  <p className="text-[14px] font-medium text-brick">{msg('structure.lockLostOrStillTheFigureIs')}</p>
                )}
                {(live === null || stale) && simulated && (
                  <Button className="mt-1" onClick={() => currentLink()?.search(searchWindow())}>
                    {msg('structure.searchForThePole')}
                  </Button>
                )}
              </div>
            )}
            <div className="grid grid-cols-2 gap-3">
              <Choice
                label={msg('structure.comparedWith')}
                value={work?.id ?? surface?.id ?? FREE}
                options={[
                  [FREE, msg('structure.nothingAnyPoint')],
                  ...state.packages.map((each) => [each.id, each.body.name] as const),
                  ...surfaces.map((each) => [each.id, `surface ${each.label}`] as const),
                ]}
                onChange={(next) => {
                  setWork(next);
                  setKey(null);
                }}
              />
              {work && plan ? (
                <Choice
                  label={msg('structure.which')}
                  value={plan.key}
                  options={plans.map((each) => [each.key, `${each.corner}${measured(each.key) ? ' ✓' : ''}`] as const)}
                  onChange={setKey}
                />
              ) : (
                <Field
                  label={msg('common.name')}
                  value={name}
                  maxLength={80}
                  onChange={(event) => setName(event.target.value)}
                  error={isTaken ? msg('structure.thisNameIsMeasuredAlreadyBothWould') : null}
                  help={
                    reserved !== null && reserved !== 'asBuilt'
                      ? msg('structure.numbersFromThereAreFor', { numberedName: NUMBERED_NAME[reserved] })
                      : undefined
                  }
                />
              )}
              <CodeField value={code} codes={codes} onChange={setCode} />
              <ShotsChoice shots={shots} onShots={setShots} />
              <Field
                className="col-span-2"
                label={msg('structure.whatTheInstrumentCantTakeTapedFigures')}
                value={note}
                maxLength={500}
                placeholder={msg('structure.coverToInvert142Fence0')}
                onChange={(event) => setNote(event.target.value)}
              />
            </div>
            {work && plans.length === 0 && (
              <p className="mt-2 text-[14px] text-ochre">
                {msg('structure.onlyHasHubsBesideTheWorkMeasure', { name: work.body.name })}
              </p>
            )}
            <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label={msg('common.codes')}>
              {codes.map((each) => (
                <Button
                  key={each}
                  className="px-3 text-[14px]"
                  aria-pressed={code === each}
                  onClick={() => setCode(code === each ? '' : each)}
                >
                  {each}
                </Button>
              ))}
            </div>
            {begun.map((group) => (
              <BoltGroupCard key={`${group.work.id} ${group.name}`} group={group} />
            ))}
            {differences.length > 1 && <BuiltChart differences={differences} />}
            {state.asBuilt.length > 0 && (
              <>
                <div className="mt-4 flex flex-wrap items-end justify-between gap-3">
                  <Choice
                    label={msg('structure.shown')}
                    value={filter}
                    options={[
                      ['', 'everything'],
                      [NO_CODE, msg('structure.withoutACode')],
                      ...usedCodes(state).map((each) => [each, each] as const),
                    ]}
                    onChange={setFilter}
                  />
                  <span className="flex gap-4">
                    <a className={LINK} href={report('pdf')} download>
                      {msg('structure.asPdf')}
                    </a>
                    <a className={LINK} href={report('csv')} download>
                      {msg('common.asCsv')}
                    </a>
                  </span>
                </div>
                <BuiltTable facts={shown} byFact={byFact} code={code.trim()} />
                {state.asBuilt.length > 1 && <BetweenBuilt />}
              </>
            )}
          </Slip>
        }
      />
      <TypedReading title={msg('structure.readingAt', { free: free ? freeName : plan.corner })} />
    </>
  );
}
