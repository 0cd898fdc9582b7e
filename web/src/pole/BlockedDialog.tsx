import { useState } from 'react';
import { planDistance, type OtherOffset } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { alternativesFor, keepClearOf, withOffset, type RoundStop } from '@idle-marker/records';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field } from '../ui/Field.tsx';

const USUAL = ['Spoil heap', 'Stacked material', 'Fence', 'Slope', 'Machine', 'Water'];

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
  const sisters = work.body.plans.filter((each) => each.key !== plan.key && each.item === plan.item && each.corner === plan.corner).map((each) => each.name);
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
      title={`${plan.name} can’t be set here`}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void leave()}>
            Leave it for now
          </Button>
        </>
      }
    >
      <Field
        label="What is in the way"
        value={what}
        maxLength={80}
        autoFocus
        onChange={(event) => setWhat(event.target.value)}
        error={tried && what.trim() === '' ? 'Say what stands there, so that the next one knows.' : null}
      />
      <p className="mt-2 flex flex-wrap gap-2">
        {USUAL.map((each) => (
          <Button key={each} className="px-3 text-[14px]" onClick={() => setWhat(each)}>
            {each}
          </Button>
        ))}
      </p>
      <h3 className="mt-4 text-[17px]">Set it elsewhere on the same line</h3>
      {others.length === 0 ? (
        <p className="text-ink2">No other offset on this line is free of outlines, areas and other hubs, and seen from the instrument.</p>
      ) : (
        <ul className="mt-1 flex flex-wrap gap-2">
          {others.map((other) => (
            <li key={other.offset}>
              <Button onClick={() => void move(other)}>
                {units.length(other.offset)} {units.unit} off{' '}
                <span className="font-normal text-ink2">
                  ({units.length(planDistance(other.place, plan.place), 1)} {units.unit} {other.offset > plan.offset ? 'further out' : 'nearer in'})
                </span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-3 text-[14px] text-ink2">
        Another offset makes a new revision of {work.body.name}; its stake says the new figure.
        {sisters.length > 0 && ` ${sisters.join(' and ')} ${sisters.length === 1 ? 'leads' : 'lead'} to the same corner, so it can also be done without.`}
        {state.obstructions.size > 0 && ` ${state.obstructions.size} ${state.obstructions.size === 1 ? 'mark is' : 'marks are'} blocked so far.`}
      </p>
    </Dialog>
  );
}
