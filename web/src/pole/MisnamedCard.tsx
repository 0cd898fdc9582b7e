import { msg, misnamedWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';
import type { Misnamed } from './useMisnamed.ts';

/** Asks whether a reading was to the mark that was named, or to the one that it fits. */
export function MisnamedCard({
  doubt,
  onRename,
  onKeep,
}: {
  doubt: Misnamed['doubt'];
  onRename(): void;
  onKeep(): void;
}) {
  const { state } = useSite();
  const units = useUnits();
  if (!doubt) return null;
  const nameOf = (mark: string) => state.control.find((each) => each.id === mark)?.revision.body.name ?? '?';
  const { named, likely } = doubt;
  return (
    <Card
      tone="brick"
      title={msg('pole.wasThat', { name: nameOf(likely.name) })}
      actions={
        <>
          <Button look="primary" onClick={onRename}>
            {msg('pole.itWas', { name: nameOf(likely.name) })}
          </Button>
          <Button onClick={onKeep}>{msg('pole.noItWas', { name: nameOf(named) })}</Button>
        </>
      }
    >
      {misnamedWords(nameOf(named), nameOf(likely.name), likely, units.lengthUnit)}
    </Card>
  );
}
