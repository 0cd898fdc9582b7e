import { useMemo } from 'react';
import { fallenStations } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { FallenStationCard } from '../../evidence/FallenStationCard.tsx';
import { useSite } from '../../site/SiteContext.tsx';

/** Stations of before that are not checked by the rules of now, those first from which something is not held. */
export function FallenCard() {
  const { state, trust } = useSite();
  const fallen = useMemo(
    () => fallenStations(state, trust).sort((a, b) => b.again.length - a.again.length),
    [state, trust],
  );
  if (fallen.length === 0) return null;
  return (
    <section
      className="[&>*]:my-0 [&>*]:bg-sheet flex flex-col gap-3"
      aria-label={msg('today.stationsThatAreNotChecked')}
    >
      {fallen.map((each) => (
        <FallenStationCard key={each.solution.fact.id} fallen={each} />
      ))}
    </section>
  );
}
