import { facePairs, formatSigned, RADIANS_PER_SECOND, type ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { coarseAngle } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { useNaming } from '../../site/useNaming.ts';
import { Card } from '../../ui/Slip.tsx';

/** Collimation and index error from marks sighted in two faces; they drop out of the means, but say how the instrument is. */
export function FacesCard({ result, occupation }: { readonly result: ResectionResult; readonly occupation: Fact<'occupation'> }) {
  const naming = useNaming();
  const units = useUnits();
  const pairs = facePairs(result, occupation.body.instrument.angleSdSec * RADIANS_PER_SECOND);
  if (pairs.length === 0) return null;
  const seconds = (radians: number) => `${formatSigned(radians / RADIANS_PER_SECOND, 1)}″`;
  const wrong = pairs.find((pair) => pair.otherMark);
  if (wrong) {
    const apart = 2 * Math.max(Math.abs(wrong.collimation), Math.abs(wrong.indexError));
    return (
      <Card tone="brick" title={`The two faces of ${naming.nameOf(wrong.name)} are not of one mark`}>
        They lie {coarseAngle(apart, units.angleUnit, 1)} apart. One of the two readings was to something else, or a circle was misread: leave it out, and sight
        the mark again in both faces.
      </Card>
    );
  }
  const unadjusted = pairs.some((pair) => pair.unadjusted);
  return (
    <div className="mt-2">
      <p className={unadjusted ? 'text-ochre' : ''}>
        {pairs
          .map((pair) => `${naming.nameOf(pair.name)} in two faces: collimation ${seconds(pair.collimation)}, index ${seconds(pair.indexError)}`)
          .join('; ')}
        .
      </p>
      {unadjusted && <p className="text-[13px] text-ink2">More than the instrument’s angles explain: have it adjusted, and sight in two faces until then.</p>}
    </div>
  );
}
