import { formatSigned } from '@idle-marker/core';
import { msg, stationErrorSentence } from '@idle-marker/words';
import { MisnamedCard } from '../../pole/MisnamedCard.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
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
import { EXAGGERATION } from './stationScene.ts';
import { Unseen } from './Unseen.tsx';
import { WithoutTable } from './WithoutTable.tsx';
import { InstrumentSuspect } from './InstrumentSuspect.tsx';
import { smallLength } from '@idle-marker/words';
import { useStationWork, type StationWorkProps } from './useStationWork.ts';
import { StationWorkHead } from './StationWorkHead.tsx';
import { StationWorkActions } from './StationWorkActions.tsx';

export function StationWork({ occupation, onDone, onNew, reopened }: StationWorkProps) {
  const model = useStationWork({ occupation });
  const {
    id,
    state,
    navigate,
    units,
    kind,
    classId,
    setClassId,
    asked,
    wanted,
    draft,
    accepting,
    setAccepting,
    solved,
    readings,
    setReadings,
    byPart,
    setByPart,
    onLines,
    shooting,
    chosen,
    choose,
    sight,
    sightAll,
    notFound,
    misnamed,
    rename,
    unsteady,
    obstacles,
    overMark,
    over,
    judgement,
    offMarks,
    restate,
    scene,
    isBlind,
    best,
    target,
    leaveOut,
    sights,
  } = model;
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
            head={<StationWorkHead model={model} occupation={occupation} reopened={reopened} />}
            foot={<StationWorkActions model={model} />}
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
              term="toleranceClass"
              value={classId}
              options={state.classes.map(
                (each) =>
                  [
                    each.id,
                    msg('station.planMmHeightMm', {
                      name: each.name,
                      plan: smallLength(each.plan, units.lengthUnit),
                      elevation: smallLength(each.height, units.lengthUnit),
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
