import { displayedStation, type Metres } from '@idle-marker/core';
import { measuredAt } from '@idle-marker/records';
import { msg, offsetWords, stationText } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { roadAt, TOUCH } from '../../site/useRoads.ts';
import { Tick } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { ProfileChart } from './LazyProfileChart.tsx';
import { SectionDrawing } from '../../board/SectionDrawing.tsx';
import { SlopeCard } from './SlopeCard.tsx';
import { StationGoal } from './StationGoal.tsx';
import { StationTable } from './StationTable.tsx';
import { roadFields } from './useRoadFields.ts';
import { Remarks } from './Where.tsx';
import { MeasureHere } from './MeasureHere.tsx';
import { POLE, INSTRUMENT, TYPED, type RoadPlaceModel } from './useRoadPlace.ts';
import { RoadSource } from './RoadSource.tsx';

/** What was measured so far from a station still belongs to its section. */
const SAME_SECTION: Metres = 1;

/** What is looked at, in a word. */
export function nameOf({ subject, inForce }: RoadPlaceModel): string {
  return subject === POLE
    ? 'pole'
    : subject === INSTRUMENT
      ? (inForce?.fact.body.name ?? 'instrument')
      : subject === TYPED
        ? msg('road.thePlace')
        : subject;
}

/** Plan, section or profile, with the place in it. */
export function RoadBoard({ model, name }: { readonly model: RoadPlaceModel; readonly name: string }) {
  const {
    style,
    roads,
    setActive,
    underlay,
    pick,
    view,
    measured,
    at,
    against,
    station,
    shownStation,
    ground,
    groundAlong,
    scene,
    active,
    road,
    goal,
  } = model;
  if (!active || !road) return null;
  const chosen = goal.string;
  return (
    <>
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
      {view === 'profile' && <ProfileChart road={road} station={station} z={at?.z ?? null} ground={groundAlong} />}
    </>
  );
}

/** Everything about the road at this place, what is gone to, and what was measured along it. */
export function RoadBody({ model }: { readonly model: RoadPlaceModel }) {
  const {
    units,
    style,
    word,
    surfaces,
    subject,
    measuring,
    fields,
    showField,
    goal,
    at,
    against,
    station,
    surface,
    shot,
    active,
    road,
  } = model;
  if (!active || !road) return null;
  return (
    <>
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
      <MeasureHere key={active.id} active={active} measuring={measuring} shot={shot} onGo={goal.goTo} />
      <StationTable active={active} onGo={goal.goTo} />
      <details className="mt-4 border-t border-rule pt-2">
        <summary className="min-h-11 cursor-pointer text-[17px]">{msg('road.figuresAtTheTop')}</summary>
        {roadFields().map(([field, label]) => (
          <Tick key={field} label={label} checked={fields.has(field)} onChange={(on) => showField(field, on)} />
        ))}
      </details>
      <Remarks road={road} style={style} />
    </>
  );
}
