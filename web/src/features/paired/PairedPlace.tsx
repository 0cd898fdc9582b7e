import { moveFor } from '@idle-marker/core';
import { roundRows } from '@idle-marker/records';
import { msg, hubPlaceWords, moveWords, smallLength, twoHeights } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Card, Slip } from '../../ui/Slip.tsx';
import { HangsOn } from '../../pole/HangsOn.tsx';
import { dueLabel } from '../../pole/useMarkActs.tsx';
import { MarkHeights } from '../../pole/MarkHeights.tsx';
import { RoundTable } from '../../pole/RoundTable.tsx';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { KnownMarks } from './KnownMarks.tsx';
import { PairDialog } from './PairDialog.tsx';
import { PlanFrom } from './PlanFrom.tsx';
import { ReceiverSwitches } from './ReceiverSwitches.tsx';
import { StartSteps } from './StartSteps.tsx';
import { usePairedSet, type PairedSet } from '../../pole/usePaired.ts';
import { PairedAtPole } from './PairedAtPole.tsx';
import { usePairedWork, moveInput, type PairedWorkModel } from './usePairedWork.ts';
import { PairedGuidance } from './PairedGuidance.tsx';
import { PairedNotices } from './PairedNotices.tsx';

/** Marks set with the plan from a receiver and the height from the instrument. */
export function Place() {
  const set = usePairedSet();
  if (!set)
    return (
      <EmptyTo
        title={msg('paired.setTheInstrumentUpForHeightsAlone')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('paired.withAReceiverOnThePoleThe')}
      </EmptyTo>
    );
  return <PairedWork set={set} />;
}

function PairedWork({ set }: { readonly set: PairedSet }) {
  const model = usePairedWork({ set });
  const {
    units,
    round,
    work,
    stop,
    plan,
    staking,
    pairing,
    setPairing,
    accepted,
    shooting,
    busy,
    due,
    stands,
    ready,
    blocked,
  } = model;
  const isAtPole = model.isCarried && accepted !== null && stop !== null && plan !== null;
  if (isAtPole)
    return (
      <>
        <PairedAtPole model={model} more={<PairedBody model={model} set={set} />} />
        <TypedReading title={msg('common.readingAt', { name: plan.name })} />
        {pairing && <PairDialog set={set} onClose={() => setPairing(false)} />}
      </>
    );
  return (
    <>
      <div className="flex h-full min-h-0 flex-col max-md:overflow-y-auto lg:flex-row">
        <PairedGuidance model={model} />
        <Slip
          long
          topic={`${plan?.key ?? ''} ${stop?.mark?.id ?? ''} ${staking.shot?.sight.id ?? ''} ${accepted?.solution.id ?? ''}`}
          head={
            <>
              <MarkWays className="-mx-[18px] -mt-3 mb-2 max-md:hidden" />
              <h1 className="text-xl">
                {work && plan ? `${work.body.name} · ${plan.name}` : set.occupation.body.name}{' '}
                {stop && (
                  <span className="ml-1 text-[15px] font-normal text-ink2">
                    {msg('common.of2', { index: round.stops.indexOf(stop) + 1, stops: round.stops.length })}
                  </span>
                )}
              </h1>
              {plan && <p className="text-ink2">{hubPlaceWords(plan, units.lengthUnit)}</p>}
              <PlanFrom />
            </>
          }
          foot={
            accepted && (
              <>
                <span className="flex flex-wrap gap-2">
                  {busy && <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>}
                  {!busy && !staking.shot && due !== 'next' && (
                    <Button hint="N" onClick={round.next}>
                      {msg('common.skip')}
                    </Button>
                  )}
                  {!busy && stands && (
                    <Button look={due === 'next' ? 'quiet' : 'plain'} onClick={staking.pull}>
                      {msg('common.setItAnew')}
                    </Button>
                  )}
                </span>
                <span className="flex gap-2">
                  {!busy && (due === 'set' || due === 'next') && (
                    <Button disabled={blocked} onClick={() => void staking.shoot()}>
                      {msg('common.shootAgain')}
                    </Button>
                  )}
                  <Button
                    look="primary"
                    hint={msg('common.space')}
                    disabled={busy || !ready || (blocked && due !== 'set' && due !== 'next')}
                    onClick={staking.act}
                  >
                    {dueLabel()[due]}
                  </Button>
                </span>
              </>
            )
          }
        >
          <PairedNotices model={model} />
          <PairedBody model={model} set={set} />
        </Slip>
      </div>
      <TypedReading title={plan ? msg('common.readingAt', { name: plan.name }) : msg('common.reading')} />
      {pairing && <PairDialog set={set} onClose={() => setPairing(false)} />}
    </>
  );
}

/** Everything about the mark and the pair of devices. */
function PairedBody({ model, set }: { readonly model: PairedWorkModel; readonly set: PairedSet }) {
  const {
    state,
    units,
    round,
    work,
    stop,
    plan,
    tolerance,
    proving,
    staking,
    now,
    setPairing,
    viewpoint,
    accepted,
    lineAzimuth,
    groundZ,
    due,
    stands,
    promise,
    pole,
  } = model;
  return (
    <>
      {accepted && promise && (
        <Card tone="ochre" title={promise.title}>
          {promise.text}
        </Card>
      )}
      {!accepted && <StartSteps set={set} now={now} onPair={() => setPairing(true)} />}
      {accepted && staking.shot && (
        <Card
          tone={due === 'set' ? 'good' : 'ochre'}
          title={
            due === 'set'
              ? msg('common.insideSetIt', { smallLength: smallLength(tolerance, units.lengthUnit) })
              : msg('common.notThereYet')
          }
        >
          {msg('common.shot', {
            shots: staking.shot.shots,
            move: moveWords(
              moveFor(viewpoint, moveInput(staking.shot.stake), lineAzimuth),
              viewpoint,
              units.lengthUnit,
            ),
          })}
        </Card>
      )}
      {accepted && work && stop && (
        <MarkHeights
          work={work}
          stop={stop}
          groundZ={groundZ ?? stop.mark?.body.groundZ ?? null}
          stands={stands}
          hasHeight
        />
      )}
      {accepted && stop?.mark && stop.mark.body.state !== 'rough' && <HangsOn mark={stop.mark} />}
      <ReceiverSwitches offset={set.pairing?.body.offset ?? 0} />
      {accepted && <KnownMarks paired={accepted} shooting={proving} />}
      {accepted && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Button onClick={() => setPairing(true)}>{msg('paired.changeThePair')}</Button>
        </div>
      )}
      {work && state.packages.length > 1 && (
        <Choice
          className="my-2"
          label={msg('common.workPackage')}
          value={work.id}
          options={state.packages.map((each) => [each.id, each.body.name] as const)}
          onChange={round.chooseWork}
        />
      )}
      {accepted && plan && (
        <RoundTable
          rows={roundRows(round.stops, pole ?? plan.place)}
          chosen={plan.key}
          instrument={null}
          minutesPerMark={null}
          onChoose={round.choose}
          onFirst={round.putFirst}
        />
      )}
      <details className="mt-3 border-y border-rule">
        <summary className="min-h-11 cursor-pointer py-2.5">{msg('paired.whyTheTwoHeightsDiffer')}</summary>
        {twoHeights().map((paragraph) => (
          <p key={paragraph} className="pb-2 leading-snug">
            {paragraph}
          </p>
        ))}
      </details>
      <MarkWays className="mt-3 border-t md:hidden" />
    </>
  );
}
