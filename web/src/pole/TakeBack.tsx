import type { Fact } from '@idle-marker/contract';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';

/** Takes a measurement back: it stays in the book as withdrawn. */
export function TakeBack({ fact }: { fact: Fact<'asBuilt'> }) {
  const { say } = useSite();
  const { name } = fact.body;
  return (
    <Button
      look="quiet"
      aria-label={`Take back ${name}`}
      onClick={() => void say({ type: 'withdrawal', body: { record: fact.id, occupation: null, reason: `${name} was taken back` } })}
    >
      Take back
    </Button>
  );
}
