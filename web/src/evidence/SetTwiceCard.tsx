import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { decidedSolution, memberName, thisOneStands, type SetTwice, offOf } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
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
        title={`${name} was set ${marks.length === 2 ? 'twice' : `${marks.length} times`}`}
        actions={<Button onClick={() => setDeciding(true)}>Say which stands…</Button>}
      >
        {work.body.name}: {said.join('; ')}. They are {smallLength(apart, lengthUnit)} apart
        {apartZ === null ? '' : `, ${smallLength(apartZ, lengthUnit)} in height`}. The later one is in force until somebody decides.
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
    <Dialog open onClose={onClose} title={`Which ${twice.name} stands?`} foot={<Button onClick={onClose}>Not now</Button>}>
      <p>Look at the ground first: pull what does not stand. The others are withdrawn, stay in the field book, and whoever was handed them is told.</p>
      {twice.marks.map((mark, i) => {
        const { body } = mark;
        return (
          <section key={mark.id} className="mt-3 border border-ink2 p-3" aria-label={`Set by ${memberName(state, mark.by)}`}>
            <p className="font-semibold">
              {memberName(state, mark.by)}, {dayAndTime(mark.at)}
              {i === twice.marks.length - 1 && ' · in force'}
            </p>
            <p className="figures">
              {units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(body.place[axis])}`).join(', ')}
              {body.hubZ === null ? '' : ` · hub ${units.length(body.hubZ)}`} · off {smallLength(Math.hypot(offOf(mark).e, offOf(mark).n), units.lengthUnit)} ·{' '}
              {body.state === 'confirmed' ? 'confirmed' : 'not shot again after driving'} · from{' '}
              {decidedSolution(state, body.solution)?.fact.body.name ?? 'an unknown station'}
            </p>
            <Button className="mt-2" onClick={() => void decide(mark)}>
              This one stands
            </Button>
          </section>
        );
      })}
    </Dialog>
  );
}
