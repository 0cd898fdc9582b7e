import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { bookLine } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { call } from '../../data/server.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Card } from '../../ui/Slip.tsx';

const MOST_NAMED = 8;

/** Entries that were kept before a rule held for them: told, since figures that no site has may lie among them. */
export function QuarantineCard() {
  const { id, state } = useSite();
  const found = useQuery({
    queryKey: ['quarantine', id],
    queryFn: async () => (await call('readQuarantine', { site: id })).quarantined,
    staleTime: Infinity,
  });
  const facts = useMemo(() => new Map(state.timeline.map((fact) => [fact.id, fact])), [state]);
  const listed = (found.data ?? []).flatMap((each) => {
    const fact = facts.get(each.id);
    return fact ? [{ ...each, fact }] : [];
  });
  if (listed.length === 0) return null;
  return (
    <Card
      tone="ochre"
      title={
        listed.length === 1
          ? msg('today.anEntryWouldNotBeTakenToday')
          : msg('today.entriesWouldNotBeTakenToday', { listed: listed.length })
      }
    >
      <p>{listed.length === 1 ? msg('today.itCameInBeforeARuleHeld') : msg('today.theyCameInBeforeARuleHeld')}</p>
      <ul className="mt-1 list-disc pl-5">
        {listed.slice(0, MOST_NAMED).map(({ fact, message }) => (
          <li key={fact.id} className="break-words">
            <span className="line-clamp-2">{bookLine(state, fact).text}</span>
            <span className="text-ink2">{message}</span>
          </li>
        ))}
        {listed.length > MOST_NAMED && <li>{msg('today.andMore4', { listed: listed.length - MOST_NAMED })}</li>}
      </ul>
    </Card>
  );
}
