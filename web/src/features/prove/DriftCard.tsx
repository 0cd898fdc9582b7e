import { dayDrift, type AcceptedSolution } from '@idle-marker/records';
import { driftWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Card } from '../../ui/Slip.tsx';
import { clockTime } from '../../ui/time.ts';

/** Whether the proofs of the day show a step or a creep, and when it happened. */
export function DriftCard({ solution }: { readonly solution: AcceptedSolution }) {
  const { state } = useSite();
  return dayDrift(state, solution).map(({ of, drift }) => {
    const said = driftWords(drift, of, state.settings.lengthUnit, (at) => clockTime(new Date(at)));
    return (
      said && (
        <Card key={of} tone="brick" title={said.title}>
          {said.text}
        </Card>
      )
    );
  });
}
