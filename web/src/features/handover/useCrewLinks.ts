import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { CrewLink } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { call } from '../../data/server.ts';

export const isOpen = (link: CrewLink, now: Date): boolean =>
  link.revokedAt === null && Date.parse(link.expiresAt) > now.getTime();

/** Links of the crews of a site, as the server keeps them. */
export function useCrewLinks(site: string) {
  const queries = useQueryClient();
  const found = useQuery({
    queryKey: ['crewLinks', site],
    queryFn: async () => (await call('listCrewLinks', { site })).links,
  });
  return {
    links: found.data ?? [],
    away: found.isError,
    read: () => queries.invalidateQueries({ queryKey: ['crewLinks', site] }),
  };
}

const LOOPBACK = /^https?:\/\/(localhost|127(\.\d+){3}|\[::1\])(:\d+)?$/i;

/** What keeps a phone from opening the crew's page; null when nothing does that can be known here. */
export function addressFault(address: string | undefined): string | null {
  if (!address) return msg('handover.noAddressIsSetUnderWhichPhones');
  return LOOPBACK.test(address) ? msg('handover.isThisMachineAloneNoPhoneCan', { address }) : null;
}
