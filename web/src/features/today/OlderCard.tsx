import { useMemo } from 'react';
import { stationsOnOlderControl } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { OlderControlCard } from '../../evidence/OlderControlCard.tsx';
import { useSite } from '../../site/SiteContext.tsx';

/** Stations whose control was revised after they were accepted. */
export function OlderCard() {
  const { state } = useSite();
  const older = useMemo(() => stationsOnOlderControl(state), [state]);
  if (older.length === 0) return null;
  return (
    <section
      className="[&>*]:my-0 [&>*]:bg-sheet flex flex-col gap-3"
      aria-label={msg('today.stationsOnOlderFiguresOfControl')}
    >
      {older.map((each) => (
        <OlderControlCard key={each.solution.fact.id} older={each} />
      ))}
    </section>
  );
}
