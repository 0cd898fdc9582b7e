import type { Fact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';

/** Takes a measurement back: it stays in the book as withdrawn. */
export function TakeBack({ fact }: { fact: Fact<'asBuilt'> }) {
  const { say } = useSite();
  const { name } = fact.body;
  return (
    <Button
      look="quiet"
      aria-label={msg('common.takeBack2', { name })}
      onClick={() =>
        void say({
          type: 'withdrawal',
          body: { record: fact.id, occupation: null, reason: msg('pole.wasTakenBack', { name }) },
        })
      }
    >
      {msg('common.takeBack')}
    </Button>
  );
}
