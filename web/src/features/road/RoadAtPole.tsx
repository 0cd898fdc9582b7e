import { type Metres } from '@idle-marker/core';
import { placeOnRoad } from '@idle-marker/records';
import {
  msg,
  cutFillWords,
  noHeightHere,
  offsetWords,
  stationText,
  gradeWords,
  walkingFigures,
  walkingLines,
  type WalkingFigure,
} from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { MeasureAtPole } from '../../pole/view/MeasureAtPole.tsx';
import { viewChoices, type RoadPlaceModel } from './useRoadPlace.ts';
import { useHeld } from '../../pole/view/useHeld.ts';
import { nameOf, RoadBoard, RoadBody } from './RoadParts.tsx';

/** Figures with no more decimals than what gives the place carries. */
const carried = (figures: readonly WalkingFigure[], decimals: number): readonly WalkingFigure[] =>
  figures.filter(({ figure }) => (/\.(\d+)$/.exec(figure)?.[1]?.length ?? 0) <= decimals);

/** Nearer than this to a station the pole is held. */
const WITHIN: Metres = 0.005;

/** Carried: where along the road the pole is, or the way to the station that is gone to. */
export function RoadAtPole({ model }: { readonly model: RoadPlaceModel }) {
  const {
    units,
    style,
    word,
    road,
    active,
    against,
    station,
    at,
    stale,
    pole,
    goal,
    shot,
    measuring,
    shooting,
    view,
    setView,
  } = model;
  const way = goal.way?.(against) ?? null;
  const isHeld = useHeld(way && !stale ? Math.hypot(way.ahead, way.right) : null, WITHIN);
  if (!active || !road) return null;
  const { lengthUnit } = units;
  const design = station === null ? null : placeOnRoad(road, { station, string: goal.gradeString });
  const designZ = design?.z ?? null;
  const cutFill = at === null || at.z === null || designZ === null ? null : at.z - designZ;
  const nearest = against?.nearest ?? null;
  const where =
    nearest === null
      ? null
      : 'station' in nearest
        ? stationText(nearest.displayed, style)
        : msg('road.beyondBy', { length: units.length(nearest.extension), unit: units.unit });
  const noise = pole ? Math.hypot(Math.sqrt((pole.plan.ee + pole.plan.nn) / 2), MOTION_NOISE) : 0;
  const views = viewChoices();
  const nextView = views[(views.findIndex(([each]) => each === view) + 1) % views.length]!;
  return (
    <MeasureAtPole
      name={road.name}
      count={goal.station === null ? where : msg('road.goingTo', { station: goal.text })}
      detail={where}
      lines={
        nearest === null || where === null
          ? []
          : way
            ? walkingLines({ up: way.ahead, right: way.right }, 'alongLine', lengthUnit)
            : [
                {
                  arrow: null,
                  way: word,
                  figures:
                    'station' in nearest
                      ? [3, 2, 1, 0]
                          .filter((each) => each <= model.decimals)
                          .map((decimals) => ({
                            figure: stationText(nearest.displayed, style, decimals),
                            unit: '',
                          }))
                      : walkingFigures(nearest.extension, lengthUnit),
                },
                {
                  arrow: null,
                  way:
                    offsetWords(nearest.offset, lengthUnit).split(' ').slice(1).join(' ') ||
                    msg('guidance.nothingToGo'),
                  figures: carried(walkingFigures(nearest.offset, lengthUnit), model.decimals),
                },
              ]
      }
      waiting={nearest === null ? msg('common.searchForThePoleOrShoot') : null}
      isHeld={isHeld}
      noise={way ? noise : 0}
      board={<RoadBoard model={model} name={nameOf(model)} />}
      underBoard={
        <PolePad
          distance={against ? Math.abs(against.nearest.offset) : null}
          busy={shooting.doing !== null}
          onWalk={() => void shooting.walk(goal.place ?? road.alignment.elements[0]!.start, true)}
        />
      }
      height={{
        written: cutFill === null ? null : cutFillWords(cutFill, lengthUnit),
        none:
          model.lost !== null
            ? model.lost
            : station === null
              ? noHeightHere().beyondLine
              : designZ === null
                ? road.profile
                  ? noHeightHere().beyondProfile
                  : noHeightHere().noProfile
                : msg('pole.cutOrFillAfterTheFirstShot'),
        notes:
          cutFill === null
            ? []
            : [
                msg('pole.fromGround'),
                msg('pole.toDesign', { to: gradeWords(goal.gradeString), length: units.length(designZ) }),
              ],
      }}
      measuring={measuring}
      advice={way && where !== null ? where : null}
      lesser={[
        { label: msg('road.previous'), key: ',', isDisabled: !goal.step, onPress: () => goal.step?.(-1) },
        { label: msg('road.next'), key: '.', isDisabled: !goal.step, onPress: () => goal.step?.(1) },
        { label: nextView[1], key: 'm', onPress: () => setView(nextView[0]) },
      ]}
      action={{
        label: msg('road.shootHere', { wanted: shot.wanted || 'it' }),
        notes: [shot.code],
        isDisabled: shot.wanted === '' || shot.taken || !measuring.canMeasure,
        onPress: () => void shot.take(),
      }}
      more={
        <>
          <RoadBody model={model} />
          <div className="my-3 flex flex-wrap gap-2">
            <Button onClick={() => model.setReturning(true)}>{msg('road.kerbReturn')}</Button>
            <Button onClick={() => model.setMarking(true)}>{msg('road.marksAlongIt')}</Button>
          </div>
        </>
      }
      topic={active.id}
    />
  );
}
