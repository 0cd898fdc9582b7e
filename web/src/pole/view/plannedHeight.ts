import type { Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { RoundStop } from '@idle-marker/records';
import { cutFillWords, gradeWords, heightReferenceWords, msg } from '@idle-marker/words';
import type { Units } from '../../field/useUnits.ts';
import type { PoleHeight } from './PoleHeightLine.tsx';

interface PlannedHeightOf {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  /** The mark that is there counts: it is its hub that is told, not the ground at the pole. */
  readonly stands: boolean;
  /** Of the ground at the pole, as it is read now or was at the last shot. */
  readonly groundZ: Metres | null;
  readonly hasHeight: boolean;
  /** Where one still walks a tenth is fine enough. */
  readonly isFar: boolean;
  readonly units: Units;
}

/** Cut or fill of a planned mark: from its hub once that stands, from the ground at the pole before. */
export function plannedHeight(about: PlannedHeightOf): PoleHeight {
  const { work, stop, stands, groundZ, hasHeight, isFar, units } = about;
  const { plan, mark } = stop;
  const hubZ = stands ? (mark?.body.hubZ ?? null) : null;
  const from = hubZ ?? groundZ ?? mark?.body.groundZ ?? null;
  const cutFill = from !== null && plan.designZ !== null ? from - plan.designZ : null;
  const isRough = isFar && hubZ === null;
  const to = plan.road ? gradeWords(plan.road.gradeTo) : heightReferenceWords()[work.body.heightReference];
  return {
    written: cutFill === null ? null : cutFillWords(cutFill, units.lengthUnit, isRough ? 'tenth' : work.body.rounding),
    none:
      plan.designZ === null
        ? msg('pole.noDesignHeight')
        : hasHeight
          ? msg('pole.cutOrFillAfterTheFirstShot')
          : msg('pole.theStationHasNoHeightTheStake'),
    notes:
      cutFill === null
        ? []
        : isRough
          ? [msg('pole.roughGround'), msg('pole.atThePole')]
          : [
              hubZ === null ? msg('pole.fromGround') : msg('pole.fromTheHub'),
              msg('pole.toDesign', { to, length: units.length(plan.designZ) }),
            ],
    isKept: hubZ !== null,
  };
}
