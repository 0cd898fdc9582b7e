import { useEffect, useState } from 'react';
import {
  heightReach,
  heightSdAt,
  lengthToMetres,
  NORMAL_95_FACTOR,
  RADIANS_PER_DEGREE,
  TARGET_HEIGHT_SD,
  type Metres,
} from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { precisionOf } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useLinked } from '../../link/linkStore.ts';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

/** Round ones, in metres or in feet. */
const DISTANCES = { metre: [20, 50, 100, 200], feet: [60, 150, 300, 600] } as const;
/** A height from satellites alone is seldom better than this, 95 %. */
const SATELLITES_95: Metres = 0.03;
/** What is asked of forms and slabs, 95 %. */
const USUAL_95: Metres = 0.005;
const READINGS_KEPT = 30;
const FEWEST = 5;

/** How far heights by slope and angle replace a level, and how steady they are while the pole is followed. */
export function HeightReach({ occupation, axisSd }: { occupation: FactBody<'occupation'>; axisSd: Metres }) {
  const units = useUnits();
  const asked = { precision: precisionOf(occupation), axisSd, targetHeightSd: TARGET_HEIGHT_SD };
  const small = (metres: Metres) => smallLength(metres, units.lengthUnit);
  const at = (distance: Metres) => NORMAL_95_FACTOR * heightSdAt(distance, asked);
  const reach = heightReach(USUAL_95 / NORMAL_95_FACTOR, asked);
  const noise = useHeightNoise();
  const distances = DISTANCES[units.lengthUnit === 'metre' ? 'metre' : 'feet'].map((each) =>
    lengthToMetres(each, units.lengthUnit),
  );
  return (
    <details className="mt-4">
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        {msg('station.insteadOfALevelHowFar')}
      </summary>
      <Explained term="trigLeveling" />
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('station.atADistanceOf')}</th>
            <th className={TH}>{msg('station.aHeightIsGoodTo95')}</th>
          </tr>
        </thead>
        <tbody>
          {distances.map((distance) => (
            <tr key={distance}>
              <td className={TD_WORD}>
                {units.length(distance, 0)} {units.unit}
              </td>
              <td className={TD}>{small(at(distance))}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[14px]">
        {msg('station.beyondOrForLessThanThatRun', {
          reach:
            reach > 0
              ? msg('station.upToFromHereNoLevelHas', {
                  length: units.length(reach, 0),
                  unit: units.unit,
                  small: small(USUAL_95),
                })
              : msg('station.theBenchmarksAloneLeaveMoreThanSight', { small: small(USUAL_95) }),
        })}
      </p>
      <p className="mt-1 text-[14px]">
        {msg('station.fromSatellitesAloneAHeightMovesBy', {
          noise:
            noise === null
              ? msg('station.whileThePoleIsFollowedItIs')
              : msg('station.theLastReadingsOfTheStandingPole', { small: small(2 * noise) }),
          small: small(SATELLITES_95),
        })}
      </p>
    </details>
  );
}

/**
 * Standard deviation of the height of a standing pole over the last readings; null while it walks or is not followed.
 */
function useHeightNoise(): Metres | null {
  const live = useLinked((link) => link?.live ?? null);
  const walking = useLinked((link) => link?.pole.walking ?? false);
  const [heights, setHeights] = useState<readonly Metres[]>([]);
  useEffect(() => {
    if (!live || walking) setHeights([]);
    else
      setHeights((before) => [
        ...before.slice(1 - READINGS_KEPT),
        live.slope * Math.cos(live.zenithDeg * RADIANS_PER_DEGREE),
      ]);
  }, [live, walking]);
  if (heights.length < FEWEST) return null;
  const mean = heights.reduce((sum, each) => sum + each, 0) / heights.length;
  return Math.sqrt(heights.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (heights.length - 1));
}
