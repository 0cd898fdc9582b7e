import { useMemo } from 'react';
import { bookLine, memberName, stampedAhead, type StampedAhead } from '@idle-marker/records';
import { msg, durationWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { dayAndTime } from '../../ui/time.ts';

const MOST_NAMED = 5;

/**
 * Entries of a clock that was ahead: where they stand now, and what changed in order by it. It goes once somebody has
 * seen it; the field book keeps the mark.
 */
export function ClockAheadCard() {
  const { state } = useSite();
  const [seen, setSeen] = useRemembered<readonly string[]>('clocks ahead seen', []);
  const groups = useMemo(() => stampedAhead(state), [state]);
  const open = groups.filter(({ entries }) => !seen.includes(entries.at(-1)!.id));
  if (open.length === 0) return null;
  return (
    <section className="flex flex-col gap-3 [&>*]:my-0 [&>*]:bg-sheet" aria-label={msg('today.clocksThatWereAhead')}>
      {open.map((group) => (
        <Ahead key={group.device} group={group} onSeen={() => setSeen([...seen, group.entries.at(-1)!.id])} />
      ))}
    </section>
  );
}

function Ahead({ group, onSeen }: { readonly group: StampedAhead; onSeen(): void }) {
  const { state } = useSite();
  const { device, by, entries, ahead, passed } = group;
  const [first, last] = [entries[0]!, entries.at(-1)!];
  const one = entries.length === 1;
  return (
    <Card
      tone="ochre"
      title={msg('today.aClockWasAhead', { duration: durationWords(ahead) })}
      actions={<Button onClick={onSeen}>{msg('today.seen')}</Button>}
    >
      <p>
        {msg('today.madeWithItWhereTheServerReceived', {
          memberName: memberName(state, by),
          device,
          one: one ? msg('today.anEntry') : msg('today.entries', { entries: entries.length }),
          one2: one ? msg('today.itStands') : msg('today.theyStand'),
          one3: one ? 'it' : 'them',
          dayAndTime: dayAndTime(first.at),
          dayAndTime2:
            dayAndTime(first.at) === dayAndTime(last.at) ? '' : msg('today.to', { dayAndTime: dayAndTime(last.at) }),
        })}
      </p>
      {passed.length === 0 ? (
        <p className="mt-1">{msg('today.nothingElseChangedItsPlaceByIt')}</p>
      ) : (
        <>
          <p className="mt-1">
            {msg('today.ofOthersWouldHaveStoodBeforeBy', {
              passed:
                passed.length === 1 ? msg('today.oneLaterEntry') : msg('today.laterEntries', { passed: passed.length }),
              one: one ? 'it' : 'them',
              passed2: passed.length,
            })}
          </p>
          <ul className="mt-1 list-disc pl-5">
            {passed.slice(0, MOST_NAMED).map((fact) => (
              <li key={fact.id} className="figures">
                {dayAndTime(fact.at)} {bookLine(state, fact).text}
              </li>
            ))}
            {passed.length > MOST_NAMED && (
              <li>{msg('today.andMoreSeeTheFieldBook', { passed: passed.length - MOST_NAMED })}</li>
            )}
          </ul>
        </>
      )}
    </Card>
  );
}
