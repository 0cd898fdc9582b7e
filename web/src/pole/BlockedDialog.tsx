import { useState } from 'react';
import { planDistance, type OtherOffset } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { alternativesFor, keepClearOf, withOffset, type RoundStop } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field } from '../ui/Field.tsx';

const usualList = worded(() => [
  msg('pole.spoilHeap'),
  msg('pole.stackedMaterial'),
  msg('pole.fence'),
  msg('common.slope'),
  msg('pole.machine'),
  msg('pole.water'),
]);

interface BlockedDialogProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  onClose(): void;
  onLeave(): void;
}

/** Something stands at the mark's place: what it is, and where the hub can go instead. */
export function BlockedDialog({ work, stop, onClose, onLeave }: BlockedDialogProps) {
  const { state, say, inForce } = useSite();
  const units = useUnits();
  const { plan } = stop;
  const [what, setWhat] = useState('');
  const [tried, setTried] = useState(false);
  const others = alternativesFor(work, plan, units.lengthUnit, keepClearOf(state), inForce?.fact.body.result ?? null);
  const sisters = work.body.plans
    .filter((each) => each.key !== plan.key && each.item === plan.item && each.corner === plan.corner)
    .map((each) => each.name);
  const obstruction = { package: work.id, key: plan.key, name: plan.name, place: plan.place, what: what.trim() };
  const leave = async () => {
    setTried(true);
    if (what.trim() === '') return;
    await say({ type: 'obstruction', body: obstruction });
    onClose();
    onLeave();
  };
  const move = async (to: OtherOffset) => {
    setTried(true);
    if (what.trim() === '') return;
    await say({ type: 'obstruction', body: obstruction }, { type: 'package', body: withOffset(work, plan.key, to) });
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('pole.cantBeSetHere', { name: plan.name })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void leave()}>
            {msg('pole.leaveItForNow')}
          </Button>
        </>
      }
    >
      <Field
        label={msg('pole.whatIsInTheWay')}
        value={what}
        maxLength={80}
        autoFocus
        onChange={(event) => setWhat(event.target.value)}
        error={tried && what.trim() === '' ? msg('pole.sayWhatStandsThereSoThatThe') : null}
      />
      <p className="mt-2 flex flex-wrap gap-2">
        {usualList().map((each) => (
          <Button key={each} className="px-3 text-[14px]" onClick={() => setWhat(each)}>
            {each}
          </Button>
        ))}
      </p>
      <h3 className="mt-4 text-[17px]">{msg('pole.setItElsewhereOnTheSameLine')}</h3>
      {others.length === 0 ? (
        <p className="text-ink2">{msg('pole.noOtherOffsetOnThisLineIs')}</p>
      ) : (
        <ul className="mt-1 flex flex-wrap gap-2">
          {others.map((other) => (
            <li key={other.offset}>
              <Button onClick={() => void move(other)}>
                {msg('pole.off', { length: units.length(other.offset), unit: units.unit })}{' '}
                <span className="font-normal text-ink2">
                  ({units.length(planDistance(other.place, plan.place), 1)} {units.unit}{' '}
                  {other.offset > plan.offset ? msg('pole.furtherOut') : msg('pole.nearerIn')})
                </span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 text-[14px] text-ink2">
        {msg('pole.anotherOffsetMakesANewRevisionOf', {
          name: work.body.name,
          sisters:
            sisters.length > 0 &&
            msg('pole.toTheSameCornerSoItCan', { sisters: sisters.join(' and '), sisters2: sisters.length }),
          obstructions:
            state.obstructions.size > 0 && msg('pole.blockedSoFar', { obstructions: state.obstructions.size }),
        })}
      </p>
    </Dialog>
  );
}
