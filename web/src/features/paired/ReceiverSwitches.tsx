import { useState } from 'react';
import { msg } from '@idle-marker/words';
import { currentLink, useLinked, useLinkKind } from '../../link/linkStore.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Field, Tick } from '../../ui/Field.tsx';
import { smallOf, smallDraft, type Draft } from '../../field/draft.ts';
import { SmallField } from '../../field/SmallField.tsx';

/** What is switched at the receiver: of the simulated one here, of a real one by hand. */
export function ReceiverSwitches({ offset }: { readonly offset: number }) {
  const kind = useLinkKind();
  const on = useLinked((link) => (link?.receiver ?? null) !== null);
  const compensating = useLinked((link) => link?.receiver?.compensating ?? true);
  const linked = useLinked((link) => link?.receiver?.linked ?? true);
  if (kind === 'typed') return <TypedReceiver />;
  const turn = (change: { on?: boolean; compensating?: boolean; linked?: boolean }) => {
    const link = currentLink();
    if (link?.kind === 'simulator') link.switchReceiver({ ...change, offset });
  };
  return (
    <section className="mt-4" aria-label={msg('paired.atTheReceiver')}>
      <h2 className="text-[15px]">{msg('paired.atTheReceiver')}</h2>
      <Button className="my-1" onClick={() => turn({ on: !on })}>
        {on ? msg('paired.switchTheReceiverOff') : msg('paired.switchTheReceiverOn')}
      </Button>
      {on && (
        <>
          <Tick
            label={msg('paired.tiltCompensation')}
            checked={compensating}
            onChange={(next) => turn({ compensating: next })}
          />
          <Tick
            label={msg('paired.correctionsReceived')}
            checked={linked}
            onChange={(next) => turn({ linked: next })}
          />
        </>
      )}
    </section>
  );
}

const EMPTY = { first: '', second: '', z: '' };
/** What most receivers state, millimetres; on sites in feet round ones of those. */
const STATED = { plan: 10, height: 15 };
const STATED_FEET = { plan: 9.144, height: 15.24 };

/** What a receiver without a link shows, keyed in for the next shot. */
function TypedReceiver() {
  const units = useUnits();
  const [text, setText] = useState(EMPTY);
  const stated = units.lengthUnit === 'metre' ? STATED : STATED_FEET;
  const [sds, setSds] = useState(() => ({
    plan: smallDraft(stated.plan, units.lengthUnit),
    height: smallDraft(stated.height, units.lengthUnit),
  }));
  const [fixed, setFixed] = useState(true);
  const [plumb, setPlumb] = useState(false);
  const given = useLinked((link) => link?.receiver ?? null);
  const [first, second, z] = [units.readLength(text.first), units.readLength(text.second), units.readLength(text.z)];
  const [plan, height] = [smallOf(sds.plan, units.lengthUnit), smallOf(sds.height, units.lengthUnit)];
  const complete = first !== null && second !== null && z !== null && plan > 0 && height > 0;
  const forget = () => {
    const link = currentLink();
    if (link?.kind === 'typed') link.giveReceiver(null);
  };
  const set = (field: keyof typeof EMPTY) => (event: { target: { value: string } }) => {
    setText({ ...text, [field]: event.target.value });
    forget();
  };
  const setSd = (field: keyof typeof STATED) => (draft: Draft<number>) => {
    setSds({ ...sds, [field]: draft });
    forget();
  };
  const use = () => {
    const link = currentLink();
    if (link?.kind !== 'typed' || !complete) return;
    const [e, n] = units.axes[0] === 'e' ? [first, second] : [second, first];
    const sd = { sdPlan: plan / 1000, sdHeight: height / 1000 };
    link.giveReceiver({
      e,
      n,
      z,
      ...sd,
      fix: fixed ? 'fixed' : 'float',
      correctionAge: 0,
      compensating: !plumb,
      leanDeg: null,
      linked: true,
    });
  };
  return (
    <section className="mt-4 flex flex-col gap-2" aria-label={msg('paired.atTheReceiver')}>
      <h2 className="text-[15px]">{msg('paired.whatTheReceiverShows')}</h2>
      <div className="grid grid-cols-3 gap-2">
        <Field
          label={units.axes[0] === 'e' ? msg('common.east') : msg('common.north')}
          inputMode="decimal"
          value={text.first}
          onChange={set('first')}
        />
        <Field
          label={units.axes[0] === 'e' ? msg('common.north') : msg('common.east')}
          inputMode="decimal"
          value={text.second}
          onChange={set('second')}
        />
        <Field label={msg('paired.heightOfTheReceiver')} inputMode="decimal" value={text.z} onChange={set('z')} />
      </div>
      <div className="grid grid-cols-2 gap-2">
        <SmallField label={msg('paired.itStatesForPlanMm')} draft={sds.plan} onDraft={setSd('plan')} />
        <SmallField label={msg('paired.andForHeightMm')} draft={sds.height} onDraft={setSd('height')} />
      </div>
      <Tick label={msg('paired.itSaysFixedWithCorrectionsUnder10')} checked={fixed} onChange={setFixed} />
      <Tick label={msg('paired.tiltCompensationIsOffThePoleIs')} checked={plumb} onChange={setPlumb} />
      <Button disabled={!complete} onClick={use}>
        {given ? msg('paired.readyForTheShot') : msg('paired.useThisReadingForTheNextShot')}
      </Button>
    </section>
  );
}
