import type { SmallestNoticed } from '@idle-marker/core';
import { smallLength } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../site/useUnits.ts';

/** How tight is one thing, how checkable another: the largest mistake at each mark that would go unseen. */
export function Noticed({ noticed }: { readonly noticed: readonly SmallestNoticed[] }) {
  const naming = useNaming();
  const units = useUnits();
  const known = noticed.filter((each) => each.plan !== null);
  if (known.length === 0) return null;
  const worst = known.reduce((a, b) => (b.plan! > a.plan! ? b : a));
  return (
    <details className="mt-2 border-y border-rule">
      <summary className="min-h-11 cursor-pointer py-2.5">
        A shift of <strong>{naming.nameOf(worst.name)}</strong> under {smallLength(worst.plan!, units.lengthUnit)} could go unseen.
      </summary>
      <ul className="figures pb-2">
        {known.map((each) => (
          <li key={each.name}>
            {naming.nameOf(each.name)}: {smallLength(each.plan!, units.lengthUnit)} in plan
            {each.height === null ? '' : `, ${smallLength(each.height, units.lengthUnit)} in height`}
          </li>
        ))}
      </ul>
      <p className="pb-2 text-[13px] text-ink2">
        Found four times out of five, and by chance once in 1000. More marks, and marks on all sides, make it smaller.
      </p>
    </details>
  );
}
