import { Link } from 'react-router';
import { NORMAL_95_FACTOR } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg, heightCheckWords, smallLength, stationErrorSentence } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card, Figures, Slip, Workspace } from '../../ui/Slip.tsx';
import { LINK } from '../../ui/link.ts';
import { HeightReach } from './HeightReach.tsx';
import { EditControl } from '../../evidence/EditControl.tsx';
import { useHeightWork } from './useHeightWork.ts';
import { HeightSpots } from './HeightSpots.tsx';
import { HeightBenchmarks } from './HeightBenchmarks.tsx';

/** A placing for heights alone: benchmarks give the tilting axis, and then every spot that is sighted has a height. */
export function HeightWork({ occupation, onNew }: { readonly occupation: Fact<'occupation'>; onNew(): void }) {
  const model = useHeightWork({ occupation });
  const {
    id,
    units,
    shooting,
    adding,
    setAdding,
    spot,
    reading,
    draft,
    result,
    scene,
    benchmarks,
    sighted,
    off,
    poor,
    isChecked,
    naming,
    nameOf,
    busy,
    sight,
    readSpot,
  } = model;
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={msg('station.planWithTheBenchmarksTheInstrumentHas')}
            fitKey={occupation.id}
          />
        }
        slip={
          <Slip
            topic={`${draft.groups.length} ${draft.spots.length}`}
            head={
              <>
                <h1 className="text-xl">
                  {occupation.body.name}{' '}
                  <strong className="ml-2 rounded-sm border-[1.5px] border-pencil px-2 text-[13px] text-pencil">
                    {msg('station.heightsOnly')}
                  </strong>
                </h1>
                {result && (
                  <Figures
                    items={[
                      [msg('station.tiltingAxis'), units.length(result.height.z + occupation.body.instrumentHeight)],
                      [
                        msg('common.goodTo95'),
                        smallLength(NORMAL_95_FACTOR * result.height.sdTrunnionZ, units.lengthUnit),
                      ],
                      [msg('common.benchmarks'), String(draft.benchmarks)],
                    ]}
                  />
                )}
              </>
            }
            foot={
              <>
                {busy ? (
                  <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>
                ) : (
                  <Button onClick={onNew}>{msg('station.newStation')}</Button>
                )}
                <Button look="primary" disabled={!result || busy || spot.trim() === ''} onClick={() => void readSpot()}>
                  {msg('station.readTheHeight', {
                    spot: spot.trim() === '' ? '' : msg('station.of2', { spot: spot.trim() }),
                  })}
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
            {draft.outcome && !draft.outcome.ok && (
              <Card tone="brick" title={msg('station.noHeightYet')}>
                {stationErrorSentence(draft.outcome.error)}
              </Card>
            )}
            {result && (
              <Card
                tone={poor ? 'brick' : isChecked ? 'good' : 'ochre'}
                title={
                  poor
                    ? off
                      ? msg('station.doesNotFitTheOthers', { name: nameOf(off.name) })
                      : msg('common.theBenchmarksDoNotAgree')
                    : draft.benchmarks > 1
                      ? msg('station.benchmarksAgree', {
                          benchmarks: draft.benchmarks,
                          isChecked: isChecked ? '' : msg('station.andHardlyCheckEachOther'),
                        })
                      : draft.otherPole
                        ? msg('station.oneBenchmarkReadWithTwoTargetHeights')
                        : msg('station.oneBenchmarkNothingChecksIt')
                }
              >
                {poor
                  ? msg('station.isItTheRightSpotNailFlange')
                  : draft.benchmarks > 1
                    ? heightCheckWords(result.reliability, naming)
                    : draft.otherPole
                      ? msg('station.theTargetHeightIsCheckedByThat')
                      : msg('station.aWrongSpotOrAWrongFigure')}
              </Card>
            )}
            {result && <HeightSpots model={model} />}
            {result && <HeightBenchmarks model={model} />}
            <Card
              tone="ink"
              title={msg('station.aReceiverOnTheSamePole')}
              actions={
                <Link to={`/sites/${id}/mark/receiver`} className={LINK}>
                  {msg('common.markWithAReceiver')}
                </Link>
              }
            >
              {msg('station.itGivesThePlanAndTheInstrument')}
            </Card>
            {result && <HeightReach occupation={occupation.body} axisSd={result.height.sdTrunnionZ} />}
            <h2 className="mt-4 mb-1 text-[15px]">{msg('common.benchmarks')}</h2>
            <ul>
              {benchmarks.map((mark) => (
                <li key={mark.id} className="flex items-center justify-between gap-3 border-b border-rule">
                  <span>
                    <strong>{mark.revision.body.name}</strong>{' '}
                    <span className="figures">{units.length(mark.revision.body.z)}</span>{' '}
                    <span className="text-[13px] text-ink2">{mark.revision.body.spot}</span>
                  </span>
                  <Button
                    className="my-0.5 px-3 text-[14px]"
                    disabled={busy}
                    onClick={() => void sight(mark.id)}
                    aria-label={msg('common.sight2', { name: mark.revision.body.name })}
                  >
                    {sighted.has(mark.id) ? msg('station.again') : msg('common.sight')}
                  </Button>
                </li>
              ))}
            </ul>
            {benchmarks.length === 0 && <p className="text-ink2">{msg('station.noMarkOnTheListHasA')}</p>}
            <Button look="quiet" onClick={() => setAdding(true)}>
              {msg('station.aBenchmarkThatIsNotListed')}
            </Button>
          </Slip>
        }
      />
      <TypedReading title={reading} />
      {adding && <EditControl mark={null} onClose={() => setAdding(false)} />}
    </>
  );
}
