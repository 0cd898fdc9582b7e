import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { formatSigned, obstaclesTo, planDistance } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg, stationErrorSentence, millimetres } from '@idle-marker/words';
import { MisnamedCard } from '../../pole/MisnamedCard.tsx';
import { useFacing, useLinkKind } from '../../link/linkStore.ts';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import {
  askedOf,
  broughtFrom,
  isGroundOf,
  isProvenControl,
  nextSights,
  type ControlMark,
  type SiteState,
  type UseFlags,
  classOf,
} from '@idle-marker/records';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { Card, Figures, PlanOnlyBadge, Slip, Workspace } from '../../ui/Slip.tsx';
import { useKey } from '../../ui/useKey.ts';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { AcceptDialog } from './AcceptDialog.tsx';
import { ArithmeticButton } from './ArithmeticDialog.tsx';
import { FacesCard } from './FacesCard.tsx';
import { GeometryCard } from './GeometryCard.tsx';
import { HeightSource, OccupiedHeight } from './HeightSource.tsx';
import { HelpButton } from './HelpButton.tsx';
import { JudgementCard } from './JudgementCard.tsx';
import { LineSights } from './LineSights.tsx';
import { NextMark } from './NextMark.tsx';
import { SightTable } from './SightTable.tsx';
import { blindScene, EXAGGERATION, stationScene } from './stationScene.ts';
import { Unseen } from './Unseen.tsx';
import { WithoutTable } from './WithoutTable.tsx';
import { InstrumentSuspect } from './InstrumentSuspect.tsx';
import { useDraft, type Draft } from '../../pole/useDraft.ts';
import { useRestating } from './useRestating.ts';
import { useSighting } from './useSighting.ts';
import { goodToWords, smallLength } from '@idle-marker/words';

interface StationWorkProps {
  readonly occupation: Fact<'occupation'>;
  onDone(): void;
  /** Takes the instrument somewhere else. */
  onNew(): void;
  /** The occupation has an accepted station already; more sights make a new one. */
  readonly reopened: boolean;
}

export function StationWork({ occupation, onDone, onNew, reopened }: StationWorkProps) {
  const { id, state } = useSite();
  const navigate = useNavigate();
  const units = useUnits();
  const pole = usePoleSet();
  const kind = useLinkKind();
  const [classId, setClassId] = useState(state.packages[0]?.body.class ?? state.classes[0]!.id);
  const asked = classOf(state, classId);
  const wanted = useMemo(() => askedOf(state, asked.id), [state, asked.id]);
  const draft = useDraft(occupation, wanted, pole);
  const [accepting, setAccepting] = useState(false);
  const solved = draft.outcome?.ok ? draft.outcome.value : null;
  const [readings, setReadings] = useState<'1' | '3' | '5' | 'faces' | 'quick'>('1');
  const [byPart, setByPart] = useState(false);
  const onLines = occupation.body.method === 'onLines';
  const { shooting, chosen, choose, sight, sightAll, notFound, misnamed, rename, unsteady } = useSighting(
    occupation,
    draft,
    solved?.result ?? null,
    readings === 'quick' ? 1 : readings === 'faces' ? 2 : Number(readings),
    readings === 'quick' ? 'tracking' : readings === 'faces' ? 'faces' : 'careful',
  );
  const unproven = useMemo(
    () => new Set(state.control.filter((mark) => !isProvenControl(state, mark)).map((mark) => mark.id)),
    [state],
  );
  const obstacles = solved ? obstaclesTo(solved, asked, !draft.planOnly, draft.alsoHeld, unproven) : [];
  // What the evidence speaks against is never the button that stands out.
  const isReady = solved !== null && obstacles.length === 0 && solved.judgement.checkability !== 'unchecked';
  const overMark = state.control.find((mark) => mark.id === occupation.body.over?.mark) ?? null;
  const over = overMark?.revision ?? null;
  const judgement = solved?.judgement ?? draft.contradiction;
  const blamed = useMemo(
    () => judgement?.because.flatMap((reason) => (reason.code === 'EXPLAINED' ? [reason.explanation] : [])) ?? [],
    [judgement],
  );
  const offMarks = useMemo(() => new Set(blamed.flatMap((each) => each.points)), [blamed]);
  const offInPlan = useMemo(
    () => new Set(blamed.filter((each) => each.part !== 'height').flatMap((each) => each.points)),
    [blamed],
  );
  const restate = useRestating(draft);
  const facing = useFacing(solved?.result.orientation ?? null);
  const scene = useMemo(
    () =>
      joinScenes(
        outlineScene(state.packages),
        solved ? stationScene(state, solved.result, occupation.body.name, facing, offInPlan) : {},
        solved ? blindScene(state, solved.judgement.reliability, chosen) : {},
        controlScene(state.control, chosen),
      ),
    [state, solved, chosen, occupation.body.name, facing, offInPlan],
  );
  const isBlind = scene.lines.some((line) => line.ink === 'ochre');
  const best = useMemo(() => nextSights(state, draft, wanted), [state, draft, wanted]);
  const target = onLines
    ? null
    : (state.control.find((mark) => mark.id === (chosen ?? best[0]?.name)) ??
      (over ? usualBacksight(state, occupation, over, draft) : null));
  const leaveOut = (markId: string, part: keyof UseFlags) =>
    draft.setUse(
      draft.groups.filter((group) => group.mark === markId).flatMap((group) => group.sights),
      { [part]: false },
    );
  useKey('a', target && !shooting.doing ? () => void sight(target.id) : null);
  useKey('Enter', solved && !shooting.doing ? () => setAccepting(true) : null);
  const sights = draft.groups.reduce((sum, group) => sum + group.sights.length, 0) + draft.lines.length;
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={msg('station.planWithControlMarksAndTheSights', { control: state.control.length })}
            onPick={(id) =>
              state.control.some((mark) => mark.id === id && mark.revision.body.condition !== 'lost') && choose(id)
            }
            fitKey={occupation.id}
            {...(onLines ? { onPlace: draft.setNear } : {})}
          >
            {solved && (
              <p className="pointer-events-none absolute bottom-3 left-4 max-w-[150px] text-[13px] leading-tight text-ink2 md:max-w-none">
                {isBlind && <span className="block">{msg('station.thickLineTheWayInWhichThe')}</span>}
                {msg('station.residualArrowsEllipse95', { exaggeration: EXAGGERATION })}
              </p>
            )}
          </Board>
        }
        slip={
          <Slip
            topic={`${sights} ${shooting.trouble ?? ''}`}
            head={
              <>
                <h1 className="text-xl">
                  {msg('station.station', { name: occupation.body.name })}{' '}
                  <span className="ml-1 text-[15px] font-normal text-ink2">
                    {reopened
                      ? msg('station.sightedAgainOnTheSpot')
                      : sights === 0
                        ? msg('station.noSightYet')
                        : msg('station.from2', {
                            over: over
                              ? msg('station.over2', { name: over.body.name })
                              : onLines
                                ? msg('station.onLines')
                                : msg('station.freeStation'),
                            sights,
                          })}
                  </span>
                  {draft.planOnly && <PlanOnlyBadge />}
                </h1>
                {solved && (
                  <Figures
                    items={[
                      ...units.axes.map(
                        (axis) =>
                          [
                            axis === 'e' ? msg('common.east') : msg('common.north'),
                            units.length(solved.result[axis]),
                          ] as const,
                      ),
                      ...(draft.planOnly
                        ? []
                        : [[msg('common.height'), units.length(solved.result.height?.z ?? null)] as const]),
                      [
                        msg('common.goodTo95'),
                        goodToWords(solved.judgement.goodTo, units.lengthUnit),
                        isReady ? 'text-good' : 'text-ochre',
                      ],
                    ]}
                  />
                )}
              </>
            }
            foot={
              <>
                {shooting.doing ? (
                  <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>
                ) : (
                  <Button
                    look={isReady ? 'plain' : 'primary'}
                    hint="A"
                    disabled={!target}
                    onClick={() => target && void sight(target.id)}
                  >
                    {target
                      ? msg('common.sight2', { name: target.revision.body.name })
                      : onLines
                        ? msg('station.chooseALine')
                        : msg('common.chooseAMark')}
                  </Button>
                )}
                <Button
                  look={isReady ? 'primary' : 'plain'}
                  hint={msg('common.enter')}
                  disabled={!solved || shooting.doing !== null}
                  onClick={() => setAccepting(true)}
                >
                  {solved && !isReady ? msg('station.acceptOrRefuse') : msg('station.acceptStation')}
                </Button>
              </>
            }
          >
            <div aria-live="polite">
              {shooting.doing && <p className="mb-2 font-medium">{shooting.doing}</p>}
              {shooting.trouble && (
                <Card
                  tone="brick"
                  title={msg('station.theSightWasNotTaken')}
                  actions={<Button onClick={shooting.clear}>{msg('common.close')}</Button>}
                >
                  {shooting.trouble}
                </Card>
              )}
            </div>
            {notFound.length > 0 && (
              <Card tone="ochre" title={msg('station.notFound', { notFound: notFound.join(', ') })}>
                {msg('station.hiddenCoveredOrGoneLookForThem')}
              </Card>
            )}
            {unsteady && (
              <Card tone="ochre" title={msg('station.thePoleAtMovedWhileItWas', { name: unsteady.name })}>
                {msg('station.theReadingsLieApartMoreThanPole', {
                  smallLength: smallLength(unsteady.spread, units.lengthUnit),
                })}
              </Card>
            )}
            <MisnamedCard doubt={misnamed.doubt} onRename={() => void rename()} onKeep={misnamed.keep} />
            {draft.outcome && !draft.outcome.ok && (
              <Card tone="brick" title={msg('station.noStationYet')}>
                {stationErrorSentence(draft.outcome.error)}
              </Card>
            )}
            {judgement && !misnamed.doubt && (
              <JudgementCard
                judgement={judgement}
                groups={draft.groups}
                onSight={(mark) => void sight(mark)}
                onLeaveOut={leaveOut}
                onRestate={(explanation) => void restate(explanation)}
                onHeight={(reason) =>
                  overMark && solved?.result.height ? (
                    <OccupiedHeight
                      reason={reason}
                      draft={draft}
                      over={overMark}
                      height={solved.result.height}
                      station={occupation.body.name}
                    />
                  ) : null
                }
                busy={shooting.doing !== null}
              />
            )}
            {judgement && <InstrumentSuspect judgement={judgement} occupation={occupation} />}
            {draft.groups.length > 0 && (
              <SightTable
                groups={draft.groups}
                result={solved?.result ?? null}
                offMarks={offMarks}
                chosen={chosen}
                onChoose={choose}
                usageOf={draft.usageOf}
                setUse={draft.setUse}
                onSight={(mark) => void sight(mark)}
                busy={shooting.doing !== null}
                planOnly={draft.planOnly}
                heightAlone={onLines}
                byPart={byPart}
              />
            )}
            {solved && <FacesCard result={solved.result} occupation={occupation} />}
            {solved && !draft.over && <GeometryCard result={solved.result} />}
            {solved?.judgement.reliability && <Unseen reliability={solved.judgement.reliability} chosen={chosen} />}
            {solved && !draft.over && !onLines && (
              <WithoutTable input={draft.input} result={solved.result} asked={wanted} />
            )}
            {solved && <ArithmeticButton result={solved.result} occupation={occupation} />}
            {sights === 0 && !onLines && (
              <p className="my-2 text-ink2">{msg('station.levelInBeginWithTheFarthestMark')}</p>
            )}
            {sights === 1 && !over && <p className="my-2 text-ink2">{msg('station.oneMoreMarkAndThereIsA')}</p>}
            {onLines && <LineSights lines={draft.lines} shooting={shooting} />}
            {!(onLines && draft.planOnly) && (
              <NextMark
                forHeight={onLines}
                sighted={new Set([...draft.groups.map((group) => group.mark), ...(draft.over ? [draft.over] : [])])}
                adds={best}
                chosen={chosen}
                onChoose={choose}
                onSight={(mark) => void sight(mark)}
                onSightAll={kind === 'simulator' && !onLines ? (marks) => void sightAll(marks) : null}
                busy={shooting.doing !== null}
                at={
                  solved?.result ??
                  (over && over.body.e !== null && over.body.n !== null ? { e: over.body.e, n: over.body.n } : null)
                }
              />
            )}
            <Choice
              className="mt-3"
              label={msg('station.readingsOfEachSight')}
              value={readings}
              options={[
                ['1', msg('station.oneCarefulReading')],
                ['3', msg('station.threeAveraged')],
                ['5', msg('station.fiveAveraged')],
                ['faces', msg('station.bothFacesOneReadingEach')],
                ['quick', msg('station.oneQuickReadingWhileFollowingRough')],
              ]}
              onChange={setReadings}
              help={msg('station.carefulForControlOfSeveralAllAre')}
            />
            <Choice
              className="mt-3"
              label={msg('station.judgeItFor')}
              value={classId}
              options={state.classes.map(
                (each) =>
                  [
                    each.id,
                    msg('station.planMmHeightMm', {
                      name: each.name,
                      millimetres: millimetres(each.plan),
                      millimetres2: millimetres(each.height),
                    }),
                  ] as const,
              )}
              onChange={setClassId}
            />
            <Tick
              label={msg('station.planOnlyHeightsAreNotUsed')}
              checked={draft.planOnly}
              onChange={draft.setPlanOnly}
            />
            {overMark && <HeightSource draft={draft} over={overMark} />}
            {!over && !onLines && (
              <>
                <Tick
                  label={msg('station.solveForAScaleOfTheDistances')}
                  checked={draft.freeScale}
                  onChange={draft.setFreeScale}
                />
                {solved && solved.result.scale !== null && (
                  <p className="border-l-4 border-ochre pl-3 text-[14px]">
                    {msg('station.distancesHereArePpmAgainstTheList', {
                      signed: formatSigned((solved.result.scale - 1) * 1e6, 0),
                      sdScale: ((solved.result.sdScale ?? 0) * 1e6).toFixed(0),
                    })}
                  </p>
                )}
              </>
            )}
            {draft.groups.length > 0 && !onLines && (
              <Tick
                label={msg('station.chooseDirectionAndDistanceOfEachSight')}
                checked={byPart}
                onChange={setByPart}
              />
            )}
            {!draft.planOnly && !over && !onLines && draft.groups.length > 0 && (
              <>
                <Button
                  look="quiet"
                  onClick={() =>
                    draft.setUse(
                      draft.groups.flatMap((group) => group.sights),
                      { height: false },
                    )
                  }
                >
                  {msg('station.takeTheHeightFromBenchmarksAlone')}
                </Button>
                <p className="text-[13px] text-ink2">{msg('station.theHeightsOfTheSightsSoFar')}</p>
              </>
            )}
            <div className="mt-4 flex flex-wrap gap-2">
              <HelpButton occupation={occupation} judgement={judgement ?? null} />
              {reopened && <Button onClick={onDone}>{msg('station.backToTheAcceptedStation')}</Button>}
              <Button onClick={onNew}>{msg('station.newStation')}</Button>
            </div>
          </Slip>
        }
      />
      <TypedReading
        title={target ? msg('common.readingTo', { name: target.revision.body.name }) : msg('common.reading')}
      />
      {solved && (
        <AcceptDialog
          open={accepting}
          onClose={() => setAccepting(false)}
          occupation={occupation}
          draft={draft}
          result={solved.result}
          judgement={solved.judgement}
          asked={asked}
          wanted={wanted}
          obstacles={obstacles}
          usageOf={draft.usageOf}
          next={
            target && !draft.groups.some((group) => group.mark === target.id)
              ? target
              : (state.control.find((mark) => mark.id === best[0]?.name) ?? null)
          }
          onSight={(mark) => {
            setAccepting(false);
            void sight(mark);
          }}
          onProve={() => {
            setAccepting(false);
            onDone();
            void navigate(`/sites/${id}/prove`);
          }}
          onAccepted={() => {
            setAccepting(false);
            onDone();
          }}
        />
      )}
    </>
  );
}

/**
 * Back to where it came from when the mark was brought forward; else the longest, which turns least by what either mark
 * is off.
 */
function usualBacksight(
  state: SiteState,
  occupation: Fact<'occupation'>,
  over: Fact<'control'>,
  draft: Draft,
): ControlMark | null {
  const forward = broughtFrom(state, occupation);
  const back = forward && state.control.find((mark) => isGroundOf(state, forward.from, mark.id));
  if (back && !draft.groups.some((group) => group.mark === back.id)) return back;
  const at = { e: over.body.e!, n: over.body.n! };
  const open = state.control.filter(
    ({ id, revision: { body } }) =>
      id !== over.body.mark &&
      body.e !== null &&
      body.usePlan &&
      !body.forProof &&
      body.condition !== 'lost' &&
      !draft.groups.some((group) => group.mark === id),
  );
  const distance = (mark: ControlMark) => planDistance(at, { e: mark.revision.body.e!, n: mark.revision.body.n! });
  return open.reduce<ControlMark | null>(
    (far, mark) => (far === null || distance(mark) > distance(far) ? mark : far),
    null,
  );
}
