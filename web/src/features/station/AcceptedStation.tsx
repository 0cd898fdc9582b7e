import { goodToOf, type AcceptedSolution } from '@idle-marker/records';
import { msg, goodToWords, worded } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card, Figures, PlanOnlyBadge, Slip, Workspace } from '../../ui/Slip.tsx';
import { clockTime } from '../../ui/time.ts';
import { LiftProvision } from '../../evidence/LiftProvision.tsx';
import { OlderControlCard } from '../../evidence/OlderControlCard.tsx';
import { FallenStationCard } from '../../evidence/FallenStationCard.tsx';
import { CorrectEntries } from './CorrectEntries.tsx';
import { OwnControl } from './OwnControl.tsx';
import { Promise95 } from './Promise95.tsx';
import { useAcceptedStation } from './useAcceptedStation.ts';
import { StationFacts } from './StationFacts.tsx';
import { EventDialog } from './EventDialog.tsx';
import { CloseStationDialog } from './CloseStationDialog.tsx';

/** What is promised over what the class allows. */
const shadeList = worded(
  () =>
    [
      ['bg-spruce', msg('station.promisedWellInside')],
      ['bg-ochre', msg('station.justInside')],
      ['bg-brick', msg('station.notPromised')],
    ] as const,
);

export function AcceptedStation({
  solution,
  onSightMore,
  onNew,
}: {
  solution: AcceptedSolution;
  onSightMore(): void;
  onNew(over: string | null): void;
}) {
  const model = useAcceptedStation({ solution });
  const {
    id,
    units,
    proof,
    navigate,
    setEvent,
    setClosing,
    carrying,
    setCarrying,
    swapping,
    setSwapping,
    correcting,
    setCorrecting,
    result,
    name,
    provisional,
    shades,
    scene,
    said,
    fallen,
    older,
    ground,
    correctedSince,
    keepGround,
    rivals,
    stoodOver,
  } = model;
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={msg('station.planWithStationAndTheMarksIt', { name })}
            fitKey={solution.fact.id}
          >
            {shades.length > 0 && (
              <ul
                className="pointer-events-none absolute bottom-3 left-4 flex flex-wrap gap-x-4 text-[13px] text-ink2"
                aria-label={msg('station.coloursAtTheMarksToSet')}
              >
                {shadeList().map(([colour, words]) => (
                  <li key={words} className="flex items-center gap-1.5">
                    <span aria-hidden="true" className={`h-3 w-3 rounded-full opacity-60 ${colour}`} />
                    {words}
                  </li>
                ))}
              </ul>
            )}
          </Board>
        }
        slip={
          <Slip
            head={
              <>
                <h1 className="text-xl">
                  {msg('station.station', { name })}{' '}
                  <span className="ml-1 text-[15px] font-normal text-ink2">
                    {msg('station.inForceSince', { clockTime: clockTime(solution.decision.at) })}
                  </span>
                  {result.z === null && <PlanOnlyBadge />}
                </h1>
                <Figures
                  items={[
                    ...units.axes.map(
                      (axis) =>
                        [axis === 'e' ? msg('common.east') : msg('common.north'), units.length(result[axis])] as const,
                    ),
                    [msg('common.height'), units.length(result.z)],
                    [msg('common.goodTo95'), goodToWords(goodToOf(solution), units.lengthUnit)],
                  ]}
                />
              </>
            }
            foot={
              <>
                <Button onClick={onSightMore}>{msg('common.sightMoreMarks')}</Button>
                <Button look="primary" hint="P" onClick={() => void navigate(`/sites/${id}/prove`)}>
                  {msg('station.proveIt')}
                </Button>
              </>
            }
          >
            {provisional && (
              <Card tone="ochre" title={msg('common.provisional')}>
                {msg('station.thisGoesAlongToEverySheet', { reason: solution.decision.body.reason })}
              </Card>
            )}
            <LiftProvision solution={solution} />
            {fallen && <FallenStationCard fallen={fallen} onSightMore={onSightMore} />}
            {older && <OlderControlCard older={older} />}
            {rivals.length > 0 && (
              <Card tone="ochre" title={msg('station.wasAcceptedMoreThanOnce', { name })}>
                {msg('station.twoDevicesDecidedOnItWithoutKnowing', {
                  rivals: rivals.map((each) => clockTime(each.decision.at)).join(', '),
                  clockTime: clockTime(solution.decision.at),
                })}
              </Card>
            )}
            {proof && !proof.proven && !proof.failed && (
              <Card tone="ochre" title={said.title}>
                {said.text} {said.todo}
              </Card>
            )}
            {proof?.failed && (
              <Card tone="brick" title={msg('station.aProofOfFailed', { name })}>
                {msg('station.marksSetSinceTheLastGoodProof')}
              </Card>
            )}
            <StationFacts model={model} solution={solution} />
            <Promise95 solution={solution} />
            {correctedSince && (
              <Card
                tone="ochre"
                title={msg('station.anEntryWasCorrectedAfterItWas')}
                actions={<Button onClick={onSightMore}>{msg('station.takeItUpAgain')}</Button>}
              >
                {msg('station.marksThatItConcernsWereComputedAgain')}
              </Card>
            )}
            <h2 className="mt-5 mb-2 text-[15px]">{msg('station.carryOnFromHere')}</h2>
            <div className="flex flex-wrap gap-2">
              <Button onClick={() => setCarrying(true)}>{msg('station.measureAControlMarkOfOnesOwn')}</Button>
              <Button onClick={() => setSwapping(true)}>{msg('station.changePlacesWithATripodTarget')}</Button>
              {!ground && !stoodOver && (
                <Button onClick={() => void keepGround()}>{msg('station.markTheGroundUnderItToLook')}</Button>
              )}
              <Button onClick={() => setCorrecting(true)}>{msg('station.anEntryWasWrong')}</Button>
            </div>
            {ground && (
              <p className="mt-1 text-[13px] text-ink2">
                {msg('station.theGroundUnderItIsListedAs', { name: ground.revision.body.name })}
              </p>
            )}
            <h2 className="mt-5 mb-2 text-[15px]">{msg('station.somethingHappened')}</h2>
            <div className="flex flex-wrap gap-2">
              <Button onClick={() => setEvent('bump')}>{msg('station.noteAnEvent')}</Button>
              <Button onClick={() => setClosing(true)}>{msg('station.closeTheStation')}</Button>
              <Button onClick={() => onNew(null)}>{msg('station.newStation')}</Button>
            </div>
          </Slip>
        }
      />
      {correcting && <CorrectEntries solution={solution} onClose={() => setCorrecting(false)} />}
      {swapping && (
        <OwnControl
          solution={solution}
          onClose={() => setSwapping(false)}
          onSwapped={(mark) => {
            setSwapping(false);
            void (ground || stoodOver ? Promise.resolve() : keepGround()).then(() => onNew(mark));
          }}
        />
      )}
      {carrying && <OwnControl solution={solution} onClose={() => setCarrying(false)} />}
      <EventDialog model={model} />
      <CloseStationDialog model={model} />
    </>
  );
}
