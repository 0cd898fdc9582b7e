import type { RoundStop } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';
import { clockTime } from '../ui/time.ts';

/** The same in a word or two; null where there is nothing to be said. */
export function standingShort({ obstruction, mark, outdated, standing }: RoundStop, stands: boolean): string | null {
  if (obstruction) return msg('pole.shortBlocked');
  if (!mark || mark.body.state === 'rough' || stands) return null;
  if (outdated) return msg('pole.shortOutdated');
  return standing === 'inDoubt' ? msg('pole.shortInDoubt') : null;
}

/** What is the matter with the mark's place, or with the mark that stands there. */
export function MarkStanding({ stop, stands, onOthers }: { stop: RoundStop; stands: boolean; onOthers(): void }) {
  const { say } = useSite();
  const { obstruction, mark, outdated, plan } = stop;
  if (obstruction) {
    const free = () =>
      say({
        type: 'withdrawal',
        body: {
          record: obstruction.id,
          occupation: null,
          reason: msg('pole.thePlaceIsFreeAgain', { name: plan.name }),
        },
      });
    return (
      <Card
        tone="ochre"
        title={msg('pole.blocked2', { what: obstruction.body.what })}
        actions={
          <>
            <Button onClick={() => void free()}>{msg('pole.itIsFreeAgain')}</Button>
            <Button onClick={onOthers}>{msg('pole.otherOffsets')}</Button>
          </>
        }
      >
        {msg('pole.seenAtTheRoundGoesPastIt', { clockTime: clockTime(obstruction.at) })}
      </Card>
    );
  }
  if (!mark || mark.body.state === 'rough' || stands) return null;
  if (outdated)
    return (
      <Card tone="brick" title={msg('pole.setForAnEarlierPlan')}>
        {msg('pole.thePackageAsksForAnotherPlaceOr')}
      </Card>
    );
  if (stop.standing === 'inDoubt')
    return (
      <Card tone="brick" title={msg('pole.theMarkThatStandsIsInDoubt')}>
        {msg('pole.nobodyShouldBuildFromItPullThe')}
      </Card>
    );
  return null;
}
