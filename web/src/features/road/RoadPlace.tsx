import { displayedStation } from '@idle-marker/core';
import { placeOnRoad } from '@idle-marker/records';
import {
  msg,
  alignmentKindWords,
  cutFillWords,
  noHeightHere,
  shapeWords,
  stationText,
  gradeWords,
} from '@idle-marker/words';
import { Sources } from '../../pole/Sources.tsx';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card, Slip } from '../../ui/Slip.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { withUnit } from './useStationGoal.ts';
import { ReturnPackage } from '../../packages/ReturnPackage.tsx';
import { RoadPackage } from '../../packages/RoadPackage.tsx';
import { BySections, OnSurface, Where } from './Where.tsx';
import { ShiftBadge } from './ShiftBadge.tsx';
import { useRoadPlace, viewChoices, POLE, INSTRUMENT, TYPED } from './useRoadPlace.ts';
import { RoadAtPole } from './RoadAtPole.tsx';
import { nameOf, RoadBoard, RoadBody } from './RoadParts.tsx';

/** Where along the road is this, how far off, and how high should it be there? */
export function Place() {
  const model = useRoadPlace();
  const {
    isCarried,
    units,
    style,
    roads,
    active,
    subject,
    view,
    setView,
    pole,
    stale,
    shooting,
    fields,
    marking,
    setMarking,
    returning,
    setReturning,
    goal,
    at,
    road,
    against,
    station,
    surface,
    sources,
    decimals,
    lost,
  } = model;
  if (roads.length === 0)
    return (
      <EmptyTo
        title={msg('road.noRoadYet')}
        place="design"
        label={msg('road.goToWork')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('road.takeALandxmlFileWithAlignmentsThere')}
      </EmptyTo>
    );
  if (!active || !road) return null;
  const name = nameOf(model);
  const noise = subject === POLE && pole ? Math.hypot(Math.sqrt((pole.plan.ee + pole.plan.nn) / 2), MOTION_NOISE) : 0;
  const design = station === null ? null : placeOnRoad(road, { station, string: goal.gradeString });
  const designZ = design?.z ?? null;
  const cutFill = at === null || at.z === null || designZ === null ? null : at.z - designZ;
  // A typed place and a mark are looked up at leisure: only the pole is carried.
  if (isCarried && subject === POLE)
    return (
      <>
        <RoadAtPole model={model} />
        {returning && <ReturnPackage active={active} work={null} onClose={() => setReturning(false)} />}
        {marking && <RoadPackage active={active} work={null} string={goal.string} onClose={() => setMarking(false)} />}
        <TypedReading title={msg('road.readingAlong', { name: road.name })} />
      </>
    );
  return (
    <>
      <div className="flex h-full min-h-0 flex-col max-md:overflow-y-auto lg:flex-row low:flex-row">
        <section
          className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
          aria-label={msg('road.alongTheRoad')}
        >
          <ShiftBadge fact={active.fact} />
          {subject === POLE && sources && <Sources now={sources} />}
          <div className="min-h-[132px] border-b border-ink px-6 py-3 max-lg:min-h-0 max-lg:px-4" aria-live="polite">
            <p className="flex flex-wrap items-center gap-x-4 text-[15px] text-ink2">
              <strong className="text-ink">{road.name}</strong>
              <span>
                {subject === POLE
                  ? msg('road.thePole')
                  : subject === INSTRUMENT
                    ? msg('road.whereStands', { name })
                    : subject === TYPED
                      ? msg('road.aTypedPlace')
                      : msg('road.mark', { name })}
              </span>
              {shooting.doing && <span aria-live="polite">{shooting.doing}</span>}
              {subject === POLE && stale && pole && (
                <strong className="text-brick">{msg('common.lockLostOrStillTheFiguresAre')}</strong>
              )}
              <span role="group" aria-label={msg('road.whatIsDrawn')} className="ml-auto flex">
                {viewChoices().map(([each, label]) => (
                  <button
                    key={each}
                    type="button"
                    aria-pressed={view === each}
                    onClick={() => setView(each)}
                    className={`min-h-11 border-b-4 px-3 ${view === each ? 'border-spruce font-semibold text-ink' : 'border-transparent'}`}
                  >
                    {label}
                  </button>
                ))}
              </span>
            </p>
            <Where
              against={against}
              road={road}
              style={style}
              noise={noise}
              stale={subject === POLE && stale}
              decimals={decimals}
              waiting={subject === POLE ? msg('common.searchForThePoleOrShoot') : msg('road.giveAPlace')}
            />
            {fields.has('coordinates') && at && (
              <p className="figures text-[15px]" data-testid="road-coordinates">
                {msg('common.height3', {
                  axes: units.axes
                    .map((axis) => `${axis.toUpperCase()} ${units.length(at[axis], decimals)}`)
                    .join(', '),
                  length: units.length(at.z),
                })}
              </p>
            )}
            {fields.has('height') && against && (
              <p className="text-[17px] leading-snug" data-testid="road-height">
                {against.on && shapeWords(against.on.kind, against.on.curvature, units.lengthUnit)}
                {against.on && '; '}
                {lost && <strong className="text-brick">{lost}; </strong>}
                {station === null ? (
                  <span className="text-ochre">{noHeightHere().beyondLine}</span>
                ) : designZ === null ? (
                  <span className="text-ochre">
                    {road.profile ? noHeightHere().beyondProfile : noHeightHere().noProfile}
                  </span>
                ) : (
                  <>
                    {gradeWords(goal.gradeString)} {units.length(designZ)} {units.unit}
                    {cutFill !== null && (
                      <strong>
                        {' '}
                        {msg('road.to', {
                          withUnit: withUnit(cutFillWords(cutFill, units.lengthUnit), units.unit),
                          grade: gradeWords(goal.gradeString),
                        })}
                      </strong>
                    )}
                  </>
                )}
              </p>
            )}
            {fields.has('surface') && surface && at && <OnSurface surface={surface} at={at} />}
            {fields.has('sections') && road.sections.length > 0 && station !== null && against && (
              <BySections road={road} station={station} offset={against.nearest.offset} z={at?.z ?? null} />
            )}
            {fields.has('move') && goal.move && at && (
              <p className="text-[17px] leading-snug font-semibold" data-testid="road-move">
                {goal.move(at, against)}
              </p>
            )}
          </div>
          <div className="relative min-h-0 flex-1 max-lg:h-[250px] max-lg:flex-none max-md:h-[190px]">
            <RoadBoard model={model} name={name} />
          </div>
          {subject === POLE && (
            <PolePad
              distance={against ? Math.abs(against.nearest.offset) : null}
              busy={shooting.doing !== null}
              onWalk={() => void shooting.walk(goal.place ?? road.alignment.elements[0]!.start, true)}
            />
          )}
        </section>
        <Slip
          long
          topic={`${active.id} ${shooting.trouble ?? ''}`}
          foot={
            <>
              <Button onClick={() => setReturning(true)}>{msg('road.kerbReturn')}</Button>
              <Button look="primary" onClick={() => setMarking(true)}>
                {msg('road.marksAlongIt')}
              </Button>
            </>
          }
          head={
            <>
              <MarkWays />
              <h1 className="text-xl">{road.name}</h1>
              <p className="text-ink2">
                {msg('road.toLong', {
                  alignmentKind: alignmentKindWords()[active.fact.body.kind],
                  station: stationText(road.alignment.startStation, style, 0),
                  station2: stationText(
                    displayedStation(road.alignment, road.alignment.endStation).displayed,
                    style,
                    0,
                  ),
                  length: units.length(road.alignment.length, 1),
                  unit: units.unit,
                })}
              </p>
            </>
          }
        >
          {shooting.trouble && (
            <Card
              tone="brick"
              title={msg('common.nothingWasStored')}
              actions={<Button onClick={shooting.clear}>{msg('common.close')}</Button>}
            >
              {shooting.trouble}
            </Card>
          )}
          <RoadBody model={model} />
        </Slip>
      </div>
      {returning && <ReturnPackage active={active} work={null} onClose={() => setReturning(false)} />}
      {marking && <RoadPackage active={active} work={null} string={goal.string} onClose={() => setMarking(false)} />}
      {subject === POLE && <TypedReading title={msg('road.readingAlong', { name: road.name })} />}
    </>
  );
}
