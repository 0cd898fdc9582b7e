import { useMemo, useState } from 'react';
import { bookLine, memberName, revisedTwice, thisRevisionStands, type RevisedTwice } from '@idle-marker/records';
import { msg, revisedKindWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Card } from '../../ui/Slip.tsx';
import { dayAndTime } from '../../ui/time.ts';

/** What two tablets have revised without knowing of each other, until somebody says which revision stands. */
export function RevisedTwiceCards() {
  const { state } = useSite();
  const found = useMemo(() => revisedTwice(state), [state]);
  const [deciding, setDeciding] = useState<string | null>(null);
  const keyOf = ({ revisions }: RevisedTwice) => revisions[0]!.id;
  const open = found.find((each) => keyOf(each) === deciding);
  if (found.length === 0) return null;
  return (
    <section className="flex flex-col gap-3 [&>*]:my-0 [&>*]:bg-sheet" aria-label={msg('today.whatWasRevisedTwice')}>
      {found.map((twice) => (
        <Card
          key={keyOf(twice)}
          tone="brick"
          title={msg('today.wasRevisedTwiceAtOnce', { revisedKind: revisedKindWords()[twice.kind], name: twice.name })}
          actions={<Button onClick={() => setDeciding(keyOf(twice))}>{msg('common.sayWhichStands')}</Button>}
        >
          {msg('today.theLaterOneIsInForceAnd', {
            revisions: twice.revisions
              .map((fact) => `${memberName(state, fact.by)}, ${dayAndTime(fact.at)}`)
              .join('; '),
          })}
        </Card>
      ))}
      {open && <WhichStands twice={open} onClose={() => setDeciding(null)} />}
    </section>
  );
}

function WhichStands({ twice, onClose }: { readonly twice: RevisedTwice; onClose(): void }) {
  const { state, say } = useSite();
  const decide = async (stands: RevisedTwice['revisions'][number]) => {
    await say(...thisRevisionStands(state, twice, stands, memberName(state, stands.by)));
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('today.whichRevisionOfStands', { name: twice.name })}
      foot={<Button onClick={onClose}>{msg('common.notNow')}</Button>}
    >
      <p>{msg('today.theOthersAreWithdrawnAndStayIn')}</p>
      {twice.revisions.map((fact, i) => (
        <section
          key={fact.id}
          className="mt-3 border border-ink2 p-3"
          aria-label={msg('today.revisedBy', { memberName: memberName(state, fact.by) })}
        >
          <p className="font-semibold">
            {memberName(state, fact.by)}, {dayAndTime(fact.at)}
            {i === twice.revisions.length - 1 && msg('common.inForce')}
          </p>
          <p className="break-words">{bookLine(state, fact).text}</p>
          <Button className="mt-2" onClick={() => void decide(fact)}>
            {msg('common.thisOneStands')}
          </Button>
        </section>
      ))}
    </Dialog>
  );
}
