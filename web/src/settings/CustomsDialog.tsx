import type { ReactNode } from 'react';
import { ALONG_WORD, crewWords, FACING, SCHOOLS, VIEWPOINT_NAME, type School, type SchoolTopic } from '@idle-marker/words';
import { conventionFor } from '@idle-marker/records';
import { FacingPicture } from '../stakes/FacingPicture.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice } from '../ui/Field.tsx';
import { useViewpoint, useWayOfWorking, WAYS_OF_WORKING } from '../pole/ways.ts';

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

/** Where people who do this work differ: what others do, how it is done on this site, and the choice itself where it is a person's. */
export function CustomsDialog({ onClose, onSettings }: { onClose(): void; onSettings(): void }) {
  const { state, inForce, paired } = useSite();
  const { settings } = state;
  const { convention } = conventionFor(state, null);
  const units = useUnits();
  const [viewpoint, setViewpoint] = useViewpoint();
  const [way, setWay] = useWayOfWorking();
  const offsets = settings.classes.flatMap(({ name, offset }) => (offset ? [`${name} ${units.length(offset)} ${units.unit}`] : []));
  const now: Readonly<Partial<Record<SchoolTopic, ReactNode>>> = {
    moves: <Choice label="On this device" value={viewpoint} options={entries(VIEWPOINT_NAME)} onChange={setViewpoint} />,
    approach: <Choice label="On this device" value={way} options={WAYS_OF_WORKING} onChange={setWay} />,
    cutFill: `Stakes here: ${convention.cut} and ${convention.fill}.`,
    kerb:
      convention.usual.offsetTo.length > 0
        ? `Usual here: ${convention.usual.offsetTo.map((term) => crewWords('en').term[term]).join(' or ')}; anything else is boxed on the stake and said to the crew.`
        : 'Nothing is set as usual here.',
    lath: (
      <span className="flex items-center gap-3 font-semibold">
        Here: {FACING[convention.facing]}. <FacingPicture facing={convention.facing} />
      </span>
    ),
    book: 'Every set-up has its page in the field book.',
    zero: settings.siteZero === null ? 'This site has no zero of its own.' : `Zero here is ${units.length(settings.siteZero)} ${units.unit}.`,
    along: `Here: ${ALONG_WORD[settings.alongWord ?? 'along']}.`,
    heightFrom: paired
      ? `Now: plan from ${paired.pairing.body.receiver}, height from ${paired.solution.body.name} and its benchmarks.`
      : inForce
        ? `Now: from station ${inForce.fact.body.name}.`
        : 'Nothing is stationed now.',
    offset: offsets.length > 0 ? `Usual here: ${offsets.join(', ')}.` : 'No usual offset is set here.',
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title="Where people differ"
      foot={
        <>
          <Button onClick={onSettings}>Settings…</Button>
          <Button look="primary" onClick={onClose}>
            Done
          </Button>
        </>
      }
    >
      {(Object.entries(SCHOOLS) as [SchoolTopic, School][]).map(([topic, { question, schools, here }]) => (
        <section key={topic} className="grid gap-x-6 gap-y-1 border-b border-rule py-3 md:grid-cols-2">
          <div>
            <h3 className="text-[16px]">{question}</h3>
            <p className="text-[14px] text-ink2">{schools.join(' · ')}</p>
          </div>
          <div className="text-[15px]">
            <p>{here}</p>
            {typeof now[topic] === 'string' ? <p className="font-semibold">{now[topic]}</p> : now[topic] && <div className="mt-1 max-w-80">{now[topic]}</div>}
          </div>
        </section>
      ))}
    </Dialog>
  );
}
