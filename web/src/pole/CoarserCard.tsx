import { Link } from 'react-router';
import { coarserClass, type AcceptedSolution } from '@idle-marker/records';
import { msg, coarserWords } from '@idle-marker/words';
import type { Fact } from '@idle-marker/contract';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { LINK } from '../ui/link.ts';
import { Card } from '../ui/Slip.tsx';

/**
 * The station was accepted for coarser work than this: it stays to be read as long as that is so, and goes along to the
 * sheet.
 */
export function CoarserCard({
  solution,
  work,
}: {
  readonly solution: AcceptedSolution;
  readonly work: Fact<'package'>;
}) {
  const { id, state } = useSite();
  const units = useUnits();
  const coarser = coarserClass(state, solution.fact, [work.body.class]);
  if (!coarser) return null;
  return (
    <Card
      tone="ochre"
      title={msg('pole.notAcceptedFor', { asked: coarser.asked.toLowerCase() })}
      actions={
        <Link to={`/sites/${id}/station`} className={LINK}>
          {msg('common.toTheStation')}
        </Link>
      }
    >
      {msg('pole.sightMoreMarksThereAndAcceptIt', {
        coarser: coarserWords(solution.fact.body.name, coarser, units.lengthUnit),
      })}
    </Card>
  );
}
