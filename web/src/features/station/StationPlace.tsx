import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { AcceptedStation } from './AcceptedStation.tsx';
import { HeightWork } from './HeightWork.tsx';
import { NewStation } from './NewStation.tsx';
import { StationWork } from './StationWork.tsx';
import { useState } from 'react';
import { msg } from '@idle-marker/words';

/** Do I know where I am? Set up, sight, judge, accept. */
export function Place() {
  const { occupation, inForce, state } = useSite();
  const [again, setAgain] = useState<string | null>(null);
  const [fresh, setFresh] = useState(false);
  const [over, setOver] = useState<string | null>(null);
  const begin = (mark: string | null) => {
    setOver(mark);
    setFresh(true);
  };
  if (!occupation && state.control.length === 0) {
    return (
      <EmptyTo title={msg('station.nothingToSightYet')} place="control" label={msg('common.listTheControlMarks')}>
        {msg('station.aStationComesFromSightsToMarks')}
      </EmptyTo>
    );
  }
  if (!occupation || fresh)
    return (
      <NewStation over={over} onStarted={() => setFresh(false)} onCancel={occupation ? () => setFresh(false) : null} />
    );
  if (occupation.body.method === 'heightOnly')
    return <HeightWork key={occupation.id} occupation={occupation} onNew={() => begin(null)} />;
  const accepted = inForce?.occupation.id === occupation.id;
  if (accepted && again !== occupation.id) {
    return <AcceptedStation solution={inForce} onSightMore={() => setAgain(occupation.id)} onNew={begin} />;
  }
  return (
    <StationWork
      key={occupation.id}
      occupation={occupation}
      onDone={() => setAgain(null)}
      onNew={() => begin(null)}
      reopened={accepted}
    />
  );
}
