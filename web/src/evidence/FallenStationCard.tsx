import type { FallenStation } from '@idle-marker/records';
import { msg, fallenWords } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useNaming } from '../site/useNaming.ts';

/** A station that was called checked and is not by the rules of now: why, and what to sight again. */
export function FallenStationCard({ fallen, onSightMore }: { readonly fallen: FallenStation; onSightMore?(): void }) {
  const { inForce } = useSite();
  const naming = useNaming();
  const stands = inForce?.fact.id === fallen.solution.fact.id;
  const again = fallen.again.map((mark) => mark.body.name);
  const { title, text, todo } = fallenWords(
    { station: fallen.solution.fact.body.name, worst: fallen.worst, set: fallen.set, again, inForce: stands },
    naming,
  );
  return (
    <Card
      tone="ochre"
      title={title}
      actions={onSightMore && stands && <Button onClick={onSightMore}>{msg('common.sightMoreMarks')}</Button>}
    >
      <p>{text}</p>
      <p className="mt-1 font-semibold">{todo}</p>
    </Card>
  );
}
