import { useMemo } from 'react';
import { setTwice } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { SetTwiceCard } from '../../evidence/SetTwiceCard.tsx';
import { useSite } from '../../site/SiteContext.tsx';

/** Marks that two tablets have set, until somebody says which stands. */
export function SetTwiceCards() {
  const { state } = useSite();
  const found = useMemo(() => setTwice(state), [state]);
  if (found.length === 0) return null;
  return (
    <section className="flex flex-col gap-3 [&>*]:my-0 [&>*]:bg-sheet" aria-label={msg('today.marksThatWereSetTwice')}>
      {found.map((twice) => (
        <SetTwiceCard key={`${twice.work.id} ${twice.name}`} twice={twice} />
      ))}
    </section>
  );
}
