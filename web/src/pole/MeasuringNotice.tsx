import { msg } from '@idle-marker/words';
import { LaserCaution } from './CautionCard.tsx';
import { Card } from '../ui/Slip.tsx';
import type { Measuring } from './useMeasuring.ts';

/** What is being shot, or why nothing was kept. */
export function MeasuringNotice({ measuring: { shooting, fault, remark } }: { measuring: Measuring }) {
  return (
    <>
      <LaserCaution on={msg('pole.measuringWhatStandsThere')} />
      {shooting.doing && <p className="mb-2 font-medium">{shooting.doing}</p>}
      {remark && (
        <Card tone="ochre" title={msg('pole.keptWithoutItsComparison')}>
          {remark}
        </Card>
      )}
      {(shooting.trouble ?? fault) && (
        <Card tone="brick" title={msg('pole.nothingWasKept')}>
          {shooting.trouble ?? fault}
        </Card>
      )}
    </>
  );
}
