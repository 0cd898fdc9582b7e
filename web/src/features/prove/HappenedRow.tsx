import { useState } from 'react';
import type { AcceptedSolution } from '@idle-marker/records';
import { msg, eventKinds, eventWords } from '@idle-marker/words';
import { useProofAge } from '../../site/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { PutOffDialog } from '../../pole/PutOffDialog.tsx';

/** What happens to an instrument, one tap each: a proof is due at once. A due proof may be put off, with a reason. */
export function HappenedRow({ solution }: { readonly solution: AcceptedSolution }) {
  const { say, state } = useSite();
  const age = useProofAge();
  const [putting, setPutting] = useState(false);
  const deferred = state.deferrals.findLast((each) => each.body.solution === solution.fact.id);
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">{msg('prove.somethingHappenedAtTheInstrument')}</h2>
      <div className="flex flex-wrap gap-2">
        {eventKinds().map((kind) => (
          <Button
            key={kind}
            onClick={() => void say({ type: 'event', body: { occupation: solution.occupation.id, kind, note: '' } })}
          >
            {eventWords()[kind].tap}
          </Button>
        ))}
      </div>
      {age?.due && !age.failed && (
        <p className="mt-3">
          <Button onClick={() => setPutting(true)}>{msg('prove.putTheProofOff')}</Button>
          {deferred && <span className="ml-3 text-ochre">{msg('prove.putOff', { reason: deferred.body.reason })}</span>}
        </p>
      )}
      <PutOffDialog
        solution={solution}
        open={putting}
        title={msg('prove.goOnWithoutTheProofThatIs')}
        onClose={() => setPutting(false)}
        onProve={() => setPutting(false)}
      />
    </section>
  );
}
