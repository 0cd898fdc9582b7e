import { azimuth, planDistance, tapeAdvised, WALK_FROM } from '@idle-marker/core';
import { goodToOf, isRoughCorner, nextOpen, placeAtGround } from '@idle-marker/records';
import {
  goodToWords,
  hubPlaceWords,
  msg,
  moveWords,
  nextMarkWords,
  shotOffWords,
  tapeWords,
  walkingLines,
} from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { useLinked, useLinkKind } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { MarkBody } from '../../pole/MarkBody.tsx';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { sayAloud, useSpokenMove } from '../../pole/useSpokenMove.ts';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import type { PoleAction } from '../../pole/view/PoleAction.tsx';
import { plannedHeight } from '../../pole/view/plannedHeight.ts';
import { PoleView, type LesserAction } from '../../pole/view/PoleView.tsx';
import { isGone, usePoleReading } from '../../pole/view/poleReading.ts';
import { searchAction, searchesAside } from '../../pole/view/searches.ts';
import { useHeld } from '../../pole/view/useHeld.ts';
import { clockTime } from '../../ui/time.ts';
import { useKey } from '../../ui/useKey.ts';
import { MarkBoard } from './MarkBoard.tsx';
import type { MarkScene } from './markScene.ts';

/** Carried: the whole screen for the one mark. */
export function MarkAtPole(scene: MarkScene) {
  const { work, stop, round, staking, solution, viewpoint, shown, move, acts, stale } = scene;
  const { state, now } = useSite();
  const units = useUnits();
  const kind = useLinkKind();
  const pole = useLinked((link) => link?.pole ?? null);
  const reading = usePoleReading();
  const { plan, mark } = stop;
  const { due, shot, shooting, tolerance } = staking;
  const { name, result } = solution.fact.body;
  const stands = due === 'next' || due === 'shootHub';
  const distance = shown && Math.hypot(shown.deltaE, shown.deltaN);
  const isHeld = useHeld(scene.isLive && !stale ? distance : null, tolerance);
  const isLost = isGone(reading) && due !== 'next';
  const { length } = round.stops;
  const said = move && moveWords(move, viewpoint, units.lengthUnit);
  useSpokenMove(stale ? null : said);
  useKey('r', said === null ? null : () => sayAloud(said));

  const noise = shown ? Math.sqrt((shown.measured.plan.ee + shown.measured.plan.nn) / 2) : 0;
  const isFar = distance !== null && distance >= WALK_FROM;
  const carried = pole
    ? msg('pole.poleSetAt', {
        length: units.length(pole.targetHeight),
        unit: units.unit,
        legs: pole.legs ? msg('common.onLegs') : msg('common.byHand'),
      })
    : '';
  const shotNotes = shot && [
    msg('pole.shotAt', { shots: shot.shots, clockTime: clockTime(shot.sight.at) }),
    shotOffWords(Math.hypot(shot.stake.deltaE, shot.stake.deltaN), tolerance, units.lengthUnit),
  ];
  const action = ((): PoleAction => {
    if (shooting.doing !== null) return { label: msg('common.cancel'), isOutlined: true, onPress: shooting.cancel };
    const found = isGone(reading) && due !== 'next' ? searchAction(reading) : null;
    if (found) return found;
    const notes =
      due === 'next'
        ? []
        : (shotNotes ??
          (isFar
            ? [
                msg('pole.farFromThePoint', { length: units.length(distance, 1), unit: units.unit }),
                msg('pole.aGroundShotOnly'),
              ]
            : [kind === 'typed' ? msg('pole.keyInTheReading') : msg('pole.oneCarefulShot'), carried]));
    return { label: acts.label, notes, isOutlined: due === 'shoot' && isFar, onPress: acts.act };
  })();

  const plainActions = (): LesserAction[] => [
    ...(stands
      ? [{ label: msg('common.setItAnew'), onPress: staking.pull }]
      : [{ label: msg('common.skip'), key: 'n', onPress: round.next }]),
    due === 'set' || due === 'next' || due === 'rough'
      ? { label: msg('common.shootAgain'), onPress: () => void staking.shoot() }
      : shot
        ? { label: msg('pole.paintIt'), onPress: () => void staking.set('rough') }
        : // A corner that is only painted has nothing that could be set elsewhere.
          { label: msg('pole.blocked'), key: 'b', isDisabled: isRoughCorner(plan), onPress: acts.block },
    { label: msg('common.plan'), key: 'm', isPressed: scene.onPlan, onPress: () => scene.onView(!scene.onPlan) },
  ];
  const lesser =
    isLost && kind === 'simulator'
      ? searchesAside()
      : plainActions().map((each) => ({
          ...each,
          isDisabled: each.isDisabled === true || (acts.busy && each.key !== 'm'),
        }));

  const onward = due === 'shoot' ? null : nextOpen(round.stops, plan.key);
  const here = shown?.measured ?? plan.place;
  const nextSaid =
    onward &&
    nextMarkWords(
      onward.plan.name,
      planDistance(here, onward.plan.place),
      azimuth(here, onward.plan.place),
      viewpoint === 'facingInstrument'
        ? azimuth(here, result)
        : viewpoint === 'fromInstrument'
          ? azimuth(result, here)
          : null,
      units.lengthUnit,
    );
  const height = plannedHeight({
    work,
    stop,
    stands,
    groundZ: shown?.measured.z ?? null,
    hasHeight: result.z !== null,
    isFar,
    units,
  });
  const place = hubPlaceWords(plan, units.lengthUnit);
  return (
    <PoleView
      name={plan.name}
      count={msg('common.of2', { index: round.stops.indexOf(stop) + 1, stops: length })}
      detail={`${work.body.name} · ${place}`}
      reading={reading}
      doing={shooting.doing}
      station={msg('pole.stationGood', { name, goodTo: goodToWords(goodToOf(solution), units.lengthUnit) })}
      lines={move ? walkingLines(move, viewpoint, units.lengthUnit) : []}
      waiting={
        move
          ? null
          : due === 'next'
            ? msg('pole.isConfirmed', { name: plan.name })
            : kind === 'simulator'
              ? msg('pole.noReadingYet')
              : msg('pole.shootToGetTheFirstFigure')
      }
      isHeld={isHeld}
      noise={scene.isLive ? Math.hypot(noise, MOTION_NOISE) : noise}
      unit={units.lengthUnit}
      board={<MarkBoard {...scene} />}
      underBoard={
        <PolePad
          distance={distance}
          busy={shooting.doing !== null}
          onWalk={() => void shooting.walk(placeAtGround(plan, shown?.measured.z ?? null), true)}
        />
      }
      height={height}
      due={scene.due}
      asksFirst={due === 'set' ? `${state.packageRoots.get(work.id)} ${now.toISOString().slice(0, 10)}` : null}
      advice={
        staking.kept ??
        (move && distance !== null && due === 'shoot' && tapeAdvised(distance, tolerance)
          ? tapeWords(move, viewpoint, units.lengthUnit)
          : nextSaid)
      }
      lesser={lesser}
      action={action}
      more={(close) => (
        <>
          <MarkWays />
          <p className="py-2">{place}</p>
          <MarkBody
            {...scene}
            groundZ={shown?.measured.z ?? null}
            pole={shown?.measured ?? { e: result.e, n: result.n }}
            onCare={acts.care}
            onChosen={close}
          />
        </>
      )}
      topic={`${plan.key} ${mark?.id ?? ''} ${shot?.sight.id ?? ''}`}
    />
  );
}
