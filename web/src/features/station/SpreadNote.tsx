import type { SightGroup } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';

/** Whether a misfit repeated when the mark was sighted again. */
export function SpreadNote({ groups }: { groups: readonly SightGroup[] }) {
  const units = useUnits();
  const group = groups.find((each) => each.spread !== null);
  if (!group?.spread) return null;
  const spread = Math.max(group.spread.across, group.spread.along);
  return (
    <p className="mt-1 font-medium">
      {msg('station.sightedTimesAllWithinItRepeats', {
        sights: group.sights.length,
        smallLength: smallLength(spread, units.lengthUnit),
      })}
    </p>
  );
}
