import { displayedStation, type Metres } from '@idle-marker/core';
import { measuredAt, placeOnRoad } from '@idle-marker/records';
import {
  msg,
  alignmentKindWords,
  cutFillWords,
  noHeightHere,
  shapeWords,
  offsetWords,
  stationText,
  gradeWords,
} from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { roadAt, TOUCH } from '../../site/useRoads.ts';
import { Button } from '../../ui/Button.tsx';
import { Tick } from '../../ui/Field.tsx';
import { Card, Slip } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { ProfileChart } from './LazyProfileChart.tsx';
import { SectionDrawing } from '../../board/SectionDrawing.tsx';
import { SlopeCard } from './SlopeCard.tsx';
import { StationGoal } from './StationGoal.tsx';
import { withUnit } from './useStationGoal.ts';
import { ReturnPackage } from '../../packages/ReturnPackage.tsx';
import { RoadPackage } from '../../packages/RoadPackage.tsx';
import { StationTable } from './StationTable.tsx';
import { roadFields } from './useRoadFields.ts';
import { BySections, OnSurface, Remarks, Where } from './Where.tsx';
import { MeasureHere } from './MeasureHere.tsx';
import { ShiftBadge } from './ShiftBadge.tsx';
import { useRoadPlace, viewChoices, POLE, INSTRUMENT, TYPED } from './useRoadPlace.ts';
import { RoadSource } from './RoadSource.tsx';

/** What was measured so far from a station still belongs to its section. */
const SAME_SECTION: Metres = 1;

/** Where along the road is this, how far off, and how high should it be there? */
export function Place() {
  const model = useRoadPlace();
  const {
    inForce,
    units,
    style,
    word,
    roads,
    active,
    setActive,
    surfaces,
    underlay,
    subject,
    pick,
    view,
    setView,
    pole,
    stale,
    measuring,
    shooting,
    measured,
    fields,
    showField,
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
    shownStation,
    ground,
    groundAlong,
    scene,
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
  const name =
    subject === POLE
      ? 'pole'
      : subject === INSTRUMENT
        ? (inForce?.fact.body.name ?? 'instrument')
        : subject === TYPED
          ? msg('road.thePlace')
          : subject;
  const noise = subject === POLE && pole ? Math.hypot(Math.sqrt((pole.plan.ee + pole.plan.nn) / 2), MOTION_NOISE) : 0;
  const chosen = goal.string;
  const design = station === null ? null : placeOnRoad(road, { station, string: goal.gradeString });
  const designZ = design?.z ?? null;
  const cutFill = at === null || at.z === null || designZ === null ? null : at.z - designZ;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col max-md:overflow-y-auto lg:flex-row">
        <section
          className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
          aria-label={msg('road.alongTheRoad')}
        >
          <ShiftBadge fact={active.fact} />
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
              waiting={subject === POLE ? msg('common.searchForThePoleOrShoot') : msg('road.giveAPlace')}
            />
            {fields.has('coordinates') && at && (
              <p className="figures text-[15px]" data-testid="road-coordinates">
                {msg('common.height3', {
                  axes: units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(at[axis])}`).join(', '),
                  length: units.length(at.z),
                })}
              </p>
            )}
            {fields.has('height') && against && (
              <p className="text-[17px] leading-snug" data-testid="road-height">
                {against.on && shapeWords(against.on.kind, against.on.curvature, units.lengthUnit)}
                {against.on && '; '}
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
            {view === 'plan' && (
              <Board
                scene={scene}
                underlay={underlay}
                description={msg('road.planWithStationsWhereItChangesAnd', { name: road.name })}
                onPlace={(point, pixel) => {
                  // Another line that is touched is worked along; anything else is a place.
                  const touched = roadAt(roads, point, TOUCH * pixel);
                  if (touched && touched.id !== active.id) return setActive(touched.id);
                  pick(point);
                }}
                fitTo={road.alignment.elements.flatMap(({ start, end }) => [start, end])}
                fitKey={active.id}
              />
            )}
            {view === 'section' && (
              <SectionDrawing
                road={road}
                station={shownStation}
                title={msg('road.at', {
                  name: road.name,
                  station: stationText(displayedStation(road.alignment, shownStation).displayed, style),
                })}
                at={against && station !== null ? { offset: against.nearest.offset, z: at?.z ?? null, name } : null}
                ground={ground}
                measured={measuredAt(measured, shownStation, SAME_SECTION).map(({ fact, shot }) => ({
                  name: fact.body.name,
                  offset: shot.offset,
                  z: fact.body.place.z,
                }))}
                chosen={chosen}
              />
            )}
            {view === 'profile' && (
              <ProfileChart road={road} station={station} z={at?.z ?? null} ground={groundAlong} />
            )}
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
          <RoadSource model={model} />
          {against && against.feet.length > 1 && (
            <div className="mt-3">
              <p className="font-medium text-ochre">
                {msg('road.theLinePassesTimesWithinItsCorridor', { feet: against.feet.length })}
              </p>
              <table className={`${TABLE} mt-1`}>
                <thead>
                  <tr>
                    <th className={TH}>{word}</th>
                    <th className={TH_WORD}>{msg('common.off2')}</th>
                  </tr>
                </thead>
                <tbody>
                  {against.feet.map((foot) => (
                    <tr key={foot.station}>
                      <td className={TD}>{stationText(foot.displayed, style)}</td>
                      <td className={TD_WORD}>{offsetWords(foot.offset, units.lengthUnit)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          )}
          <StationGoal goal={goal} road={road} />
          <SlopeCard
            active={active}
            measuring={subject === POLE ? measuring : null}
            gradeString={goal.gradeString}
            station={station ?? goal.station}
            offset={station === null ? null : (against?.nearest.offset ?? null)}
            z={at?.z ?? null}
            surface={surface}
            surfaces={surfaces}
          />
          <MeasureHere
            key={active.id}
            active={active}
            measuring={measuring}
            gradeString={goal.gradeString}
            onGo={goal.goTo}
          />
          <StationTable active={active} onGo={goal.goTo} />
          <details className="mt-4 border-t border-rule pt-2">
            <summary className="min-h-11 cursor-pointer text-[17px]">{msg('road.figuresAtTheTop')}</summary>
            {roadFields().map(([field, label]) => (
              <Tick key={field} label={label} checked={fields.has(field)} onChange={(on) => showField(field, on)} />
            ))}
          </details>
          <Remarks road={road} style={style} />
        </Slip>
      </div>
      {returning && <ReturnPackage active={active} work={null} onClose={() => setReturning(false)} />}
      {marking && <RoadPackage active={active} work={null} string={goal.string} onClose={() => setMarking(false)} />}
      {subject === POLE && <TypedReading title={msg('road.readingAlong', { name: road.name })} />}
    </>
  );
}
