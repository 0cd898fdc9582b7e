import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { decidedSolution, memberName, thisOneStands, type SetTwice, offOf } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Card } from '../ui/Slip.tsx';
import { dayAndTime } from '../ui/time.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';

/** Two stakes for one mark: who set them, how far they are apart, and the way to say which one stands. */
export function SetTwiceCard({ twice }: { readonly twice: SetTwice }) {
  const { state } = useSite();
  const { lengthUnit } = useUnits();
  const [deciding, setDeciding] = useState(false);
  const { name, work, marks, apart, apartZ, differ } = twice;
  const said = marks.map((mark) => `${memberName(state, mark.by)}, ${dayAndTime(mark.at)}`);
  return (
    <>
      <Card
        tone={differ ? 'brick' : 'ochre'}
        title={msg('evidence.wasSet', {
          name,
          marks: marks.length === 2 ? 'twice' : msg('evidence.times', { marks: marks.length }),
        })}
        actions={<Button onClick={() => setDeciding(true)}>{msg('common.sayWhichStands')}</Button>}
      >
        {msg('evidence.theyAreApartTheLaterOneIs', {
          name: work.body.name,
          said: said.join('; '),
          smallLength: smallLength(apart, lengthUnit),
          apartZ: apartZ === null ? '' : msg('evidence.inHeight2', { smallLength: smallLength(apartZ, lengthUnit) }),
        })}
      </Card>
      {deciding && <WhichStands twice={twice} onClose={() => setDeciding(false)} />}
    </>
  );
}

function WhichStands({ twice, onClose }: { readonly twice: SetTwice; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const decide = async (stands: Fact<'mark'>) => {
    await say(...thisOneStands(state, twice, stands, memberName(state, stands.by)));
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('evidence.whichStands', { name: twice.name })}
      foot={<Button onClick={onClose}>{msg('common.notNow')}</Button>}
    >
      <p>{msg('evidence.lookAtTheGroundFirstPullWhat')}</p>
      {twice.marks.map((mark, i) => {
        const { body } = mark;
        return (
          <section
            key={mark.id}
            className="mt-3 border border-ink2 p-3"
            aria-label={msg('evidence.setBy', { memberName: memberName(state, mark.by) })}
          >
            <p className="font-semibold">
              {memberName(state, mark.by)}, {dayAndTime(mark.at)}
              {i === twice.marks.length - 1 && msg('common.inForce')}
            </p>
            <p className="figures">
              {msg('evidence.offFrom', {
                axes: units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(body.place[axis])}`).join(', '),
                hubZ: body.hubZ === null ? '' : msg('evidence.hub', { length: units.length(body.hubZ) }),
                smallLength: smallLength(Math.hypot(offOf(mark).e, offOf(mark).n), units.lengthUnit),
                state: body.state === 'confirmed' ? 'confirmed' : msg('evidence.notShotAgainAfterDriving'),
                name: decidedSolution(state, body.solution)?.fact.body.name ?? msg('evidence.anUnknownStation'),
              })}
            </p>
            <Button className="mt-2" onClick={() => void decide(mark)}>
              {msg('common.thisOneStands')}
            </Button>
          </section>
        );
      })}
    </Dialog>
  );
}
