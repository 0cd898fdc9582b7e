import { outsideWork, type AcceptedSolution, type ControlMark } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';

const NAMED = 4;

/** Work outside of what the control spans asks for a proof of its own, out there. */
export function OutsideCard({
  solution,
  busy,
  onProve,
}: {
  readonly solution: AcceptedSolution;
  readonly busy: boolean;
  onProve(mark: ControlMark): void;
}) {
  const { state } = useSite();
  const outside = outsideWork(state, solution);
  if (!outside || outside.proven) return null;
  const { names, best } = outside;
  const which = `${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? msg('prove.andMore', { names: names.length - NAMED }) : ''}`;
  return (
    <Card
      tone="ochre"
      title={msg('prove.toSetOutsideTheControl', {
        names: names.length === 1 ? msg('prove.oneMark') : msg('prove.marks', { names: names.length }),
      })}
      actions={
        best && (
          <Button disabled={busy} onClick={() => onProve(best)}>
            {msg('prove.proveOutThereOn', { name: best.revision.body.name })}
          </Button>
        )
      }
    >
      {msg('prove.theStationsFiguresSayLittleThere', {
        which,
        best: best
          ? msg('prove.aProofOnOnThatSideWould', { name: best.revision.body.name })
          : msg('prove.noListedMarkStandsOnThatSide'),
      })}
    </Card>
  );
}
