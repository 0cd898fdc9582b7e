import { useMemo, useState } from 'react';
import {
  compassWord,
  heightReach,
  NORMAL_95_FACTOR,
  planDistance,
  TARGET_HEIGHT_SD,
  azimuth,
  type HeightStand,
  type Metres,
  type InstrumentPrecision,
  type PlanPoint,
} from '@idle-marker/core';
import { fewOf, placesAlong, sitedBenchmarks, standsForHeights, waitingPlaces, classOf } from '@idle-marker/records';
import { msg, count, smallLength } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useRoads } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';

/** Of a tilting axis from one good benchmark. */
const USUAL_AXIS_SD = 0.0015;
const NOTHING = '';
const NAMED = 3;
/** Farther than this instruments lose the pole, whatever the heights would allow. */
const FOLLOWED: Metres = 300;

interface HeightStandsProps {
  readonly precision: InstrumentPrecision;
  /** Where it stands as things are; null while nothing is chosen. */
  readonly place: PlanPoint | null;
  onPlace: ((place: PlanPoint) => void) | null;
}

/** Where an instrument that gives heights alone sees a benchmark, better two, and the work. */
export function HeightStands({ precision, place, onPlace }: HeightStandsProps) {
  const { state, trust } = useSite();
  const units = useUnits();
  const roads = useRoads();
  const [wanted, setWanted] = useState(NOTHING);
  const work = state.packages.find((each) => each.id === wanted) ?? null;
  const road = roads.find((each) => each.id === wanted)?.road ?? null;
  const benchmarks = useMemo(() => sitedBenchmarks(state), [state]);
  // What the height of the work may be off by, at 95 %; the widest of the site along a road.
  const { height: allowed } = work ? classOf(state, work.body.class) : state.classes[0]!;
  const reach = Math.min(
    FOLLOWED,
    heightReach(allowed / NORMAL_95_FACTOR, { precision, axisSd: USUAL_AXIS_SD, targetHeightSd: TARGET_HEIGHT_SD }),
  );
  const targets = useMemo(
    () =>
      fewOf(
        work
          ? waitingPlaces(state, trust, work)
          : road
            ? placesAlong(road, road.alignment.startStation, road.alignment.endStation)
            : [],
      ),
    [state, trust, work, road],
  );
  const stands = useMemo(
    () => (targets.length > 0 ? standsForHeights(state, targets, reach) : []),
    [state, targets, reach],
  );
  const names = ({ benchmarks: seen }: HeightStand) => {
    const told = seen.slice(0, NAMED).map((i) => benchmarks[i]!.revision.body.name);
    return `${told.join(', ')}${seen.length > NAMED ? msg('station.andMore2', { count: count(seen.length - NAMED) }) : ''}`;
  };
  const from = (stand: HeightStand): string => {
    const nearest = [...benchmarks].sort((a, b) => planDistance(a.at, stand) - planDistance(b.at, stand))[0]!;
    return msg('station.of', {
      length: units.length(planDistance(nearest.at, stand), 0),
      unit: units.unit,
      compassWord: compassWord(azimuth(nearest.at, stand)),
      name: nearest.revision.body.name,
    });
  };
  return (
    <section className="border-y border-rule py-3" aria-label={msg('station.whereToStand')}>
      <Choice
        label={msg('station.whereToStandForIt')}
        value={wanted}
        options={[
          [NOTHING, msg('station.chooseWhatIsToBeSet')],
          ...state.packages.map((each) => [each.id, each.body.name] as const),
          ...roads.map((each) => [each.id, msg('station.along', { name: each.road.name })] as const),
        ]}
        onChange={setWanted}
        help={msg('station.onlyALineOfSightToA')}
      />
      {targets.length > 0 && stands.length === 0 && (
        <p className="mt-2 font-medium text-ochre">
          {benchmarks.length === 0
            ? msg('station.noBenchmarkOfTheListHasA')
            : msg('station.noPlaceSeesABenchmarkAndAny', { length: units.length(reach, 0), unit: units.unit })}
        </p>
      )}
      <ol>
        {stands.map((stand) => {
          const chosen = place !== null && planDistance(place, stand) < 1;
          return (
            <li
              key={`${stand.e} ${stand.n}`}
              className="flex items-center justify-between gap-3 border-b border-rule py-1"
            >
              <span>
                <strong>{from(stand)}</strong>
                <span className="block text-[13px] text-ink2">
                  {msg('station.seesOfPlacesTheFarthestAt', {
                    count: count(stand.benchmarks.length),
                    benchmarks: stand.benchmarks.length,
                    names: names(stand),
                    seen: stand.seen,
                    targets: targets.length,
                    length: units.length(stand.farthest, 0),
                    unit: units.unit,
                  })}
                </span>
              </span>
              {onPlace && (
                <Button
                  className="flex-none px-3 text-[14px] whitespace-nowrap"
                  aria-pressed={chosen}
                  onClick={() => onPlace({ e: stand.e, n: stand.n })}
                >
                  {chosen ? msg('station.chosen') : msg('station.standHere')}
                </Button>
              )}
            </li>
          );
        })}
      </ol>
      {stands.length > 0 && (
        <p className="mt-1 text-[13px] text-ink2">
          {msg('station.heightsStayWithin95UpToAreas', {
            smallLength: smallLength(allowed, units.lengthUnit),
            length: units.length(reach, 0),
            unit: units.unit,
          })}
        </p>
      )}
    </section>
  );
}
