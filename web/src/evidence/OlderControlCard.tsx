import type { OlderControl } from '@idle-marker/records';
import { msg, olderControlWords } from '@idle-marker/words';
import { Card } from '../ui/Slip.tsx';
import { useUnits } from '../field/useUnits.ts';

/** A station that hangs on figures of control that were revised since, and what today's would change. */
export function OlderControlCard({ older }: { readonly older: OlderControl }) {
  const units = useUnits();
  const { title, text } = olderControlWords({ ...older, name: older.solution.fact.body.name }, units.lengthUnit);
  return (
    <Card tone="ochre" title={title}>
      {msg('evidence.sightItAgainToTakeTodaysFigures', { text })}
    </Card>
  );
}
