import { useSearchParams } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { useSite } from '../../site/SiteContext.tsx';

/** The package that is handed over, kept in the address so that every view of it is about the same one. */
export function useWork(): readonly [Fact<'package'> | null, (id: string) => void] {
  const { state } = useSite();
  const [search, setSearch] = useSearchParams();
  const asked = search.get('package');
  const root = asked && state.packageRoots.get(asked);
  const work = state.packages.find((each) => state.packageRoots.get(each.id) === root) ?? state.packages[0] ?? null;
  return [work, (id) => setSearch({ package: id }, { replace: true })];
}
