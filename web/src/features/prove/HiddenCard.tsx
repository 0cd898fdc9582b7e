import { checkOf, type AcceptedSolution, classOf } from '@idle-marker/records';
import { msg, checkabilityWords, hardlyChecked, partlyChecked, unnoticedWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { Card } from '../../ui/Slip.tsx';

/** What the station's own sights leave unseen, as long as that is more than the work bears and no proof has spoken. */
export function HiddenCard({ solution, proven }: { readonly solution: AcceptedSolution; readonly proven: boolean }) {
  const { state } = useSite();
  const naming = useNaming();
  const check = checkOf(state, solution);
  const asked = classOf(state, solution.fact.body.class);
  if (proven || !check) return null;
  const { worst, now } = check;
  if (!worst) {
    return now === 'unchecked' ? (
      <Card tone="ochre" title={checkabilityWords().unchecked.title}>
        {msg('prove.proveItBeforeTheFirstStake', { text: checkabilityWords().unchecked.text })}
      </Card>
    ) : null;
  }
  if ((worst.effect ?? Infinity) <= asked.plan) return null;
  return (
    <Card tone="ochre" title={(now === 'unchecked' ? hardlyChecked : partlyChecked)(worst, naming)}>
      {msg('prove.aProofOnAMarkThatThe', { unnoticed: unnoticedWords(worst, naming) })}
    </Card>
  );
}
