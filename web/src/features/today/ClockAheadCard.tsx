import { useMemo } from 'react';
import { bookLine, memberName, stampedAhead, type StampedAhead } from '@idle-marker/records';
import { durationWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { dayAndTime } from '../../ui/time.ts';

const MOST_NAMED = 5;

/** Entries of a clock that was ahead: where they stand now, and what changed in order by it. It goes once somebody has seen it; the field book keeps the mark. */
export function ClockAheadCard() {
  const { state } = useSite();
  const [seen, setSeen] = useRemembered<readonly string[]>('clocks ahead seen', []);
  const groups = useMemo(() => stampedAhead(state), [state]);
  const open = groups.filter(({ entries }) => !seen.includes(entries.at(-1)!.id));
  if (open.length === 0) return null;
  return (
    <section className="flex flex-col gap-3 [&>*]:my-0 [&>*]:bg-sheet" aria-label="Clocks that were ahead">
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
    <Card tone="ochre" title={`A clock was ${durationWords(ahead)} ahead`} actions={<Button onClick={onSeen}>Seen</Button>}>
      <p>
        {memberName(state, by)} ({device}) made {one ? 'an entry' : `${entries.length} entries`} with it. {one ? 'It stands' : 'They stand'} where the server
        received {one ? 'it' : 'them'}, {dayAndTime(first.at)}
        {dayAndTime(first.at) === dayAndTime(last.at) ? '' : ` to ${dayAndTime(last.at)}`}. Set that clock right.
      </p>
      {passed.length === 0 ? (
        <p className="mt-1">Nothing else changed its place by it.</p>
      ) : (
        <>
          <p className="mt-1">
            {passed.length === 1 ? 'One later entry' : `${passed.length} later entries`} of others would have stood before {one ? 'it' : 'them'} by the wrong
            stamp, and
            {passed.length === 1 ? ' counts' : ' count'} as made after:
          </p>
          <ul className="mt-1 list-disc pl-5">
            {passed.slice(0, MOST_NAMED).map((fact) => (
              <li key={fact.id} className="figures">
                {dayAndTime(fact.at)} {bookLine(state, fact).text}
              </li>
            ))}
            {passed.length > MOST_NAMED && <li>and {passed.length - MOST_NAMED} more: see the field book</li>}
          </ul>
        </>
      )}
    </Card>
  );
}
