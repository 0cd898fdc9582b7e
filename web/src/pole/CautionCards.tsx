import type { Fact } from '@idle-marker/contract';
import {
  cautionsFor,
  isIndependentlyChecked,
  independentCheckFor,
  type AcceptedSolution,
  type RoundStop,
} from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Card } from '../ui/Slip.tsx';
import { CautionCard, LaserCaution } from './CautionCard.tsx';

interface CautionCardsProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly solution: AcceptedSolution;
}

/**
 * Cautions for this mark: each stays until somebody says what was done about it, and then is not asked again that day.
 */
export function CautionCards({ work, stop, solution }: CautionCardsProps) {
  const { state, now } = useSite();
  const { plan, mark } = stop;
  const stands = mark !== null && mark.body.state !== 'rough';
  const cautions = stands ? [] : cautionsFor(state, work, plan.place, solution, now);
  const why = stands && !isIndependentlyChecked(state, mark) ? independentCheckFor(state, work, mark.body.place) : null;
  return (
    <>
      {cautions.map((caution) => (
        <CautionCard key={`${caution.code} ${caution.about}`} caution={caution} on={work.body.name} />
      ))}
      <LaserCaution on={work.body.name} />
      {why !== null && (
        <Card tone="ochre" title={msg('pole.wantsAnIndependentCheck')}>
          {msg('pole.tapeToAnotherMarkOrSightIt', {
            why: why === 'fine' ? msg('pole.steelAndBoltsShowAWrongMark') : msg('pole.besideABuildingThatStandsAWrong'),
            name: plan.name,
          })}
        </Card>
      )}
    </>
  );
}
