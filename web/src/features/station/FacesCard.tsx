import { facePairs, formatSigned, RADIANS_PER_SECOND, type ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg, coarseAngle } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { useNaming } from '../../site/useNaming.ts';
import { Card } from '../../ui/Slip.tsx';

/**
 * Collimation and index error from marks sighted in two faces; they drop out of the means, but say how the instrument
 * is.
 */
export function FacesCard({
  result,
  occupation,
}: {
  readonly result: ResectionResult;
  readonly occupation: Fact<'occupation'>;
}) {
  const naming = useNaming();
  const units = useUnits();
  const pairs = facePairs(result, occupation.body.instrument.angleSdSec * RADIANS_PER_SECOND);
  if (pairs.length === 0) return null;
  const seconds = (radians: number) => `${formatSigned(radians / RADIANS_PER_SECOND, 1)}″`;
  const wrong = pairs.find((pair) => pair.otherMark);
  if (wrong) {
    const apart = 2 * Math.max(Math.abs(wrong.collimation), Math.abs(wrong.indexError));
    return (
      <Card tone="brick" title={msg('station.theTwoFacesOfAreNotOf', { name: naming.nameOf(wrong.name) })}>
        {msg('station.theyLieApartOneOfTheTwo', { coarseAngle: coarseAngle(apart, units.angleUnit, 1) })}
      </Card>
    );
  }
  const unadjusted = pairs.some((pair) => pair.unadjusted);
  return (
    <div className="mt-2">
      <p className={unadjusted ? 'text-ochre' : ''}>
        {pairs
          .map((pair) =>
            msg('station.inTwoFacesCollimationIndex', {
              name: naming.nameOf(pair.name),
              seconds: seconds(pair.collimation),
              seconds2: seconds(pair.indexError),
            }),
          )
          .join('; ')}
        .
      </p>
      {unadjusted && <p className="text-[13px] text-ink2">{msg('station.moreThanTheInstrumentsAnglesExplain')}</p>}
    </div>
  );
}
