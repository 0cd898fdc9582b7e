import { useQuery, useQueryClient } from '@tanstack/react-query';
import { msg } from '@idle-marker/words';
import { ask, listIn } from '../../data/server.ts';

export interface CrewLink {
  readonly id: string;
  readonly token: string;
  readonly label: string;
  readonly who: string;
  readonly roots: readonly string[] | null;
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
}

export const isOpen = (link: CrewLink, now: Date): boolean =>
  link.revokedAt === null && Date.parse(link.expiresAt) > now.getTime();

/** Links of the crews of a site, as the server keeps them. */
export function useCrewLinks(site: string) {
  const queries = useQueryClient();
  const found = useQuery({
    queryKey: ['crewLinks', site],
    queryFn: () => ask(`/api/v1/sites/${site}/crew-links`, listIn<CrewLink>('links')),
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
