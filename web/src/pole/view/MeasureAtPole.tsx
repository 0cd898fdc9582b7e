import type { ReactNode } from 'react';
import { goodToOf } from '@idle-marker/records';
import { goodToWords, msg, type WalkingLine } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { useLinkKind } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { MarkWays } from '../MarkWays.tsx';
import { useMeasuringDue } from '../useDueItems.tsx';
import { sourcesWords, usePairedSources } from '../usePairedSources.ts';
import type { Measuring } from '../useMeasuring.ts';
import type { PoleAction } from './PoleAction.tsx';
import type { PoleHeight } from './PoleHeightLine.tsx';
import { isGone, usePoleReading } from './poleReading.ts';
import { PoleView, type LesserAction } from './PoleView.tsx';
import { searchAction, searchesAside } from './searches.ts';

interface MeasureAtPoleProps {
  readonly name: string;
  readonly count: string | null;
  readonly detail: string | null;
  readonly lines: readonly WalkingLine[];
  readonly waiting: string | null;
  readonly isHeld?: boolean;
  readonly noise?: number;
  readonly board: ReactNode;
  readonly underBoard?: ReactNode;
  readonly height: PoleHeight | null;
  readonly measuring: Measuring;
  readonly advice: string | null;
  readonly lesser: readonly LesserAction[];
  /** What measures, or goes on. */
  readonly action: PoleAction;
  readonly more: ReactNode;
  readonly topic: string;
}

/** The same screen for what is measured as it stands: along a line or a road, at columns, as built. */
export function MeasureAtPole({ measuring, action, lesser, more, advice, ...about }: MeasureAtPoleProps) {
  const { inForce } = useSite();
  const units = useUnits();
  const kind = useLinkKind();
  const reading = usePoleReading();
  const due = useMeasuringDue(measuring);
  const sources = usePairedSources();
  const { shooting, remark } = measuring;
  const isLost = isGone(reading);
  const chosen: PoleAction =
    shooting.doing !== null
      ? { label: msg('common.cancel'), isOutlined: true, onPress: shooting.cancel }
      : isLost
        ? searchAction(reading)
        : action;
  return (
    <PoleView
      {...about}
      isHeld={about.isHeld ?? false}
      noise={about.noise ?? 0}
      unit={units.lengthUnit}
      reading={reading}
      doing={shooting.doing ?? (sources && sourcesWords(sources, units.lengthUnit))}
      station={
        inForce &&
        msg('pole.stationGood', {
          name: inForce.fact.body.name,
          goodTo: goodToWords(goodToOf(inForce), units.lengthUnit),
        })
      }
      due={due}
      asksFirst={null}
      advice={remark ?? advice}
      lesser={isLost && kind === 'simulator' ? searchesAside() : lesser}
      action={chosen}
      more={() => (
        <>
          <MarkWays />
          {more}
        </>
      )}
    />
  );
}
