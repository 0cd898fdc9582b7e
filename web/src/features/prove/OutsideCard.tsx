import { outsideWork, type AcceptedSolution, type ControlMark } from '@idle-marker/records';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';

const NAMED = 4;

/** Work outside of what the control spans asks for a proof of its own, out there. */
export function OutsideCard({ solution, busy, onProve }: { readonly solution: AcceptedSolution; readonly busy: boolean; onProve(mark: ControlMark): void }) {
  const { state } = useSite();
  const outside = outsideWork(state, solution);
  if (!outside || outside.proven) return null;
  const { names, best } = outside;
  const which = `${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? ` and ${names.length - NAMED} more` : ''}`;
  return (
    <Card
      tone="ochre"
      title={`${names.length === 1 ? 'One mark' : `${names.length} marks`} to set outside the control`}
      actions={
        best && (
          <Button disabled={busy} onClick={() => onProve(best)}>
            Prove out there, on {best.revision.body.name}
          </Button>
        )
      }
    >
      {which}: the station’s figures say little there.{' '}
      {best
        ? `A proof on ${best.revision.body.name}, on that side, would.`
        : 'No listed mark stands on that side: measure one of your own there and prove it, or stand nearer to that work.'}
    </Card>
  );
}
