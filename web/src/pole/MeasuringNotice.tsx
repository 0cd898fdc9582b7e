import { LaserCaution } from './CautionCard.tsx';
import { Card } from '../ui/Slip.tsx';
import type { Measuring } from './useMeasuring.ts';

/** What is being shot, or why nothing was kept. */
export function MeasuringNotice({ measuring: { shooting, fault, remark } }: { measuring: Measuring }) {
  return (
    <>
      <LaserCaution on="Measuring what stands there" />
      {shooting.doing && <p className="mb-2 font-medium">{shooting.doing}</p>}
      {remark && (
        <Card tone="ochre" title="Kept without its comparison">
          {remark}
        </Card>
      )}
      {(shooting.trouble ?? fault) && (
        <Card tone="brick" title="Nothing was kept">
          {shooting.trouble ?? fault}
        </Card>
      )}
    </>
  );
}
