import { useMemo } from 'react';
import { judgedBody, mayDecide, provisionToLift, type AcceptedSolution } from '@idle-marker/records';
import { msg, allowedRoles, liftWords } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';
import { useSite } from '../site/SiteContext.tsx';

/** A provisional station that its proofs have made good: accepted again in one press. */
export function LiftProvision({ solution }: { readonly solution: AcceptedSolution }) {
  const { state, say, who } = useSite();
  const lifted = useMemo(() => provisionToLift(state, solution), [state, solution]);
  if (!lifted) return null;
  const { title, text, reason } = liftWords(solution.fact.body.name, lifted.marks);
  const allowed = mayDecide(state, who, 'accepted');
  const accept = () =>
    say({
      type: 'decision',
      body: {
        solution: solution.fact.id,
        verdict: 'accepted',
        reason,
        judged: judgedBody(lifted.judgement, lifted.asked),
      },
    });
  return (
    <Card
      tone="good"
      title={title}
      actions={
        <Button look="primary" disabled={!allowed} onClick={() => void accept()}>
          {msg('evidence.acceptItWithoutTheProvision')}
        </Button>
      }
    >
      {text}
      {!allowed &&
        msg('evidence.hereAStationIsAcceptedBy', {
          allowedRoles: allowedRoles(state.settings.mayAccept?.accepted ?? []),
        })}
    </Card>
  );
}
