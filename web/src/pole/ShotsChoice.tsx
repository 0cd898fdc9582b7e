import { msg } from '@idle-marker/words';
import { Choice } from '../ui/Field.tsx';
import { SHOTS, type Shots } from './useMeasuring.ts';

/** How often a thing is shot for one mean. */
export function ShotsChoice({ shots, onShots }: { shots: Shots; onShots(shots: Shots): void }) {
  return (
    <Choice
      label={msg('pole.shotsAveraged')}
      value={shots}
      options={SHOTS.map((each) => [each, each] as const)}
      onChange={onShots}
    />
  );
}
