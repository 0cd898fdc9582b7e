import type { SightGroup } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';

/** Whether a misfit repeated when the mark was sighted again. */
export function SpreadNote({ groups }: { groups: readonly SightGroup[] }) {
  const units = useUnits();
  const group = groups.find((each) => each.spread !== null);
  if (!group?.spread) return null;
  const spread = Math.max(group.spread.across, group.spread.along);
  return (
    <p className="mt-1 font-medium">
      Sighted {group.sights.length} times, all within {smallLength(spread, units.lengthUnit)}: it repeats.
    </p>
  );
}
