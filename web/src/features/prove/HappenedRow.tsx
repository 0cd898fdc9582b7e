import { useState } from 'react';
import type { AcceptedSolution } from '@idle-marker/records';
import { EVENT_KINDS, EVENT_WORDS } from '@idle-marker/words';
import { useProofAge } from '../../frame/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';

/** What happens to an instrument, one tap each: a proof is due at once. A due proof may be put off, with a reason. */
export function HappenedRow({ solution }: { readonly solution: AcceptedSolution }) {
  const { say, state } = useSite();
  const age = useProofAge();
  const [putting, setPutting] = useState(false);
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const deferred = state.deferrals.findLast((each) => each.body.solution === solution.fact.id);
  const putOff = async () => {
    setTried(true);
    if (reason.trim() === '') return;
    await say({ type: 'deferral', body: { solution: solution.fact.id, reason: reason.trim() } });
    setPutting(false);
    setReason('');
    setTried(false);
  };
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">Something happened at the instrument?</h2>
      <div className="flex flex-wrap gap-2">
        {EVENT_KINDS.map((kind) => (
          <Button key={kind} onClick={() => void say({ type: 'event', body: { occupation: solution.occupation.id, kind, note: '' } })}>
            {EVENT_WORDS[kind].tap}
          </Button>
        ))}
      </div>
      {age?.due && !age.failed && (
        <p className="mt-3">
          <Button onClick={() => setPutting(true)}>Put the proof off…</Button>
          {deferred && <span className="ml-3 text-ochre">Put off: {deferred.body.reason}</span>}
        </p>
      )}
      <Dialog
        open={putting}
        onClose={() => setPutting(false)}
        title="Go on without the proof that is due?"
        foot={
          <>
            <Button onClick={() => setPutting(false)}>Prove now</Button>
            <Button look="danger" onClick={() => void putOff()}>
              Put it off
            </Button>
          </>
        }
      >
        <p>What is set from now on stays open until a proof comes after it, and the reason stands in the book.</p>
        <Field
          className="mt-3"
          label="Reason (needed)"
          value={reason}
          maxLength={500}
          onChange={(event) => setReason(event.target.value)}
          error={tried && reason.trim() === '' ? 'Say why the proof can’t be made now.' : null}
        />
      </Dialog>
    </section>
  );
}
