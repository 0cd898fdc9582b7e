import { isRoughCorner } from '@idle-marker/records';
import { hubPlaceWords, msg } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { PlanOnlyBadge, Slip } from '../ui/Slip.tsx';
import { useKey } from '../ui/useKey.ts';
import { MarkBody, type MarkBodyProps } from './MarkBody.tsx';
import { MarkWays } from './MarkWays.tsx';
import type { MarkActs } from './useMarkActs.tsx';

interface MarkSlipProps extends Omit<MarkBodyProps, 'onCare' | 'onChosen'> {
  readonly acts: MarkActs;
}

/** The slip of one mark on the desk: what it is, everything about it, and what is due. */
export function MarkSlip({ acts, ...about }: MarkSlipProps) {
  const { work, stop, round, staking, solution } = about;
  const units = useUnits();
  const { due, shot, shooting } = staking;
  const { plan, mark } = stop;
  const { busy } = acts;
  const onCorner = isRoughCorner(plan);
  const stands = due === 'next' || due === 'shootHub';
  useKey('n', busy ? null : round.next);
  useKey('b', busy || onCorner ? null : acts.block);
  // With one key for all, a press while the pole is on its way is meant for where it comes to stand.
  useKey(' ', (busy && !staking.isOneKey) || acts.isAsking ? null : acts.act);
  return (
    <Slip
      topic={`${plan.key} ${mark?.id ?? ''} ${shot?.sight.id ?? ''}`}
      head={
        <>
          <MarkWays />
          <h1 className="text-xl">
            {work.body.name} · {plan.name}{' '}
            <span className="ml-1 text-[15px] font-normal text-ink2">
              {msg('common.of2', { index: round.stops.indexOf(stop) + 1, stops: round.stops.length })}
            </span>
            {(plan.designZ === null || solution.fact.body.result.z === null) && <PlanOnlyBadge />}
          </h1>
          <p className="text-ink2">{hubPlaceWords(plan, units.lengthUnit)}</p>
        </>
      }
      foot={
        <>
          <span className="flex flex-wrap gap-2">
            {busy && <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>}
            {!busy && !shot && due !== 'next' && (
              <Button hint="N" onClick={round.next}>
                {msg('common.skip')}
              </Button>
            )}
            {!busy && due === 'shoot' && !shot && !onCorner && (
              <Button hint="B" onClick={acts.block}>
                {msg('pole.blocked')}
              </Button>
            )}
            {!busy && stands && (
              <Button look={due === 'next' ? 'quiet' : 'plain'} onClick={staking.pull}>
                {msg('common.setItAnew')}
              </Button>
            )}
            {!busy && shot && due !== 'rough' && (
              <Button onClick={() => void staking.set('rough')}>{msg('pole.paintIt')}</Button>
            )}
          </span>
          <span className="flex gap-2">
            {!busy && (due === 'set' || due === 'next') && (
              <Button onClick={() => void staking.shoot()}>{msg('common.shootAgain')}</Button>
            )}
            <Button look="primary" hint={msg('common.space')} disabled={busy} onClick={acts.act}>
              {acts.label}
            </Button>
          </span>
        </>
      }
    >
      <MarkBody {...about} onCare={acts.care} />
    </Slip>
  );
}
