import { useMemo, useState } from 'react';
import { carriedDecimals, type Metres, type PlanPoint, type SitePoint } from '@idle-marker/core';
import { againstRoad, measuredAlong } from '@idle-marker/records';
import { LENGTH_DECIMALS, msg, worded } from '@idle-marker/words';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { useSurfaces } from '../../drawings/useSurfaces.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useActiveRoad, useRoads, useStationStyle, useStationWord } from '../../site/useRoads.ts';
import { useRemembered } from '../../site/useRemembered.ts';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import { useUnits } from '../../field/useUnits.ts';
import { usePolePlace } from '../../pole/usePolePlace.ts';
import { usePairedSources } from '../../pole/usePairedSources.ts';
import { useMeasuring } from '../../pole/useMeasuring.ts';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useRoadShot } from './MeasureHere.tsx';
import { useStationGoal } from './useStationGoal.ts';
import { useGround, useGroundAlong } from './useGround.ts';
import { useRoadFields } from './useRoadFields.ts';
import { useRoadBoard } from './useRoadBoard.ts';

export const viewChoices = worded(
  () =>
    [
      ['plan', msg('common.plan')],
      ['section', msg('road.section')],
      ['profile', msg('road.profile')],
    ] as const,
);

type View = ReturnType<typeof viewChoices>[number][0];

export const POLE = 'pole';

export const INSTRUMENT = 'instrument';

export const TYPED = 'typed';

export const NO_SURFACE = 'none';

/** Where along the road is asked, as it is typed or was touched on the plan. */
type PlaceDraft = Readonly<Record<'e' | 'n' | 'z', Draft<Metres>>>;

const NO_PLACE: PlaceDraft = { e: { text: '' }, n: { text: '' }, z: { text: '' } };

function controlAt(control: ReturnType<typeof useSite>['state']['control'], name: string): SitePoint | null {
  const body = control.find(({ revision }) => revision.body.name === name)?.revision.body;
  return body && body.e !== null && body.n !== null ? { e: body.e, n: body.n, z: body.z } : null;
}

/** What RoadPlace shows, and what its buttons do. */
export function useRoadPlace() {
  const { state, inForce, occupation } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const word = useStationWord();
  const roads = useRoads();
  const [active, setActive] = useActiveRoad();
  const surfaces = useSurfaces();
  const underlay = useUnderlay();
  const withPole = inForce !== null || occupation?.body.method === 'heightOnly';
  const [subject, setSubject] = useState<string>(withPole ? POLE : TYPED);
  const [typed, setTyped] = useRemembered<PlaceDraft>('place on the road', NO_PLACE);
  const [view, setView] = useRemembered<View>('road view', 'plan');
  const [surfaceChoice, setSurface] = useRemembered('road surface', NO_SURFACE);
  const { place: pole, stale } = usePolePlace();
  const sources = usePairedSources();
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const measured = useMemo(() => (active ? measuredAlong(state, active.id) : []), [state, active]);
  const [fields, showField] = useRoadFields();
  const [marking, setMarking] = useState(false);
  const [returning, setReturning] = useState(false);
  const goal = useStationGoal(active);
  const shot = useRoadShot(active, measuring, goal.gradeString);
  const isCarried = useIsCarried();
  const at = useMemo((): SitePoint | null => {
    if (subject === POLE) return pole;
    if (subject === INSTRUMENT) return inForce && inForce.fact.body.result;
    if (subject !== TYPED) return controlAt(state.control, subject);
    const [e, n] = [lengthOf(typed.e, units), lengthOf(typed.n, units)];
    return e === null || n === null ? null : { e, n, z: lengthOf(typed.z, units) };
  }, [subject, pole, inForce, state.control, units, typed]);
  const pick = (point: PlanPoint) => {
    setSubject(TYPED);
    setTyped({ e: lengthDraft(point.e, units), n: lengthDraft(point.n, units), z: { text: '' } });
  };
  const road = active?.road ?? null;
  const against = useMemo(() => (road && at ? againstRoad(road, at) : null), [road, at]);
  const station = against && 'station' in against.nearest ? against.nearest.station : null;
  const surface = surfaces.find(({ id }) => id === surfaceChoice) ?? null;
  const shownStation = station ?? goal.station ?? road?.alignment.startStation ?? 0;
  const ground = useGround(view === 'section' ? surface : null, road, shownStation);
  const groundAlong = useGroundAlong(view === 'profile' ? surface : null, road);
  const scene = useRoadBoard(roads, active?.id ?? null, style, at, subject === POLE && stale, goal.place);
  return {
    state,
    inForce,
    units,
    style,
    word,
    roads,
    active,
    setActive,
    surfaces,
    underlay,
    withPole,
    subject,
    setSubject,
    typed,
    setTyped,
    pick,
    view,
    setView,
    surfaceChoice,
    setSurface,
    pole,
    sources,
    // As fine as what gives the place: of a pole in motion the last digits are dimmed besides.
    decimals:
      sources && subject === POLE && pole
        ? Math.min(LENGTH_DECIMALS, carriedDecimals(Math.sqrt((pole.plan.ee + pole.plan.nn) / 2), units.lengthUnit))
        : LENGTH_DECIMALS,
    /** Why there is no height under the pole, in words; null while there is one. */
    lost:
      subject === POLE && sources && sources.place.height === null && sources.link.lock !== 'locked'
        ? msg('road.lockLostNoElevation')
        : null,
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
    shot,
    isCarried,
    at,
    road,
    against,
    station,
    surface,
    shownStation,
    ground,
    groundAlong,
    scene,
  };
}

export type RoadPlaceModel = ReturnType<typeof useRoadPlace>;
