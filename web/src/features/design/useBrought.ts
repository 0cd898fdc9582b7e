import { useState } from 'react';
import type { AffectedPackage } from '@idle-marker/records';
import { useSite } from '../../site/SiteContext.tsx';
import { canBeBrought } from './Compared.tsx';

/**
 * Which packages come along with a change of the design: all that can, but for those that a person has left as they
 * are. That choice holds for the package, whatever revision of it comes in meanwhile.
 */
export function useBrought(
  affected: readonly AffectedPackage[],
): readonly [ReadonlySet<string>, (bring: ReadonlySet<string>) => void] {
  const { packageRoots } = useSite().state;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const rootOf = ({ work }: AffectedPackage) => packageRoots.get(work.id) ?? work.id;
  const able = affected.filter(canBeBrought);
  const bring = new Set(able.filter((each) => !left.has(rootOf(each))).map(({ work }) => work.id));
  const choose = (next: ReadonlySet<string>) => {
    const chosen = new Map(able.map((each) => [rootOf(each), next.has(each.work.id)]));
    setLeft(
      new Set([
        ...[...left].filter((root) => !chosen.has(root)),
        ...[...chosen].flatMap(([root, comes]) => (comes ? [] : [root])),
      ]),
    );
  };
  return [bring, choose];
}
