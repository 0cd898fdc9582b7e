import type { ReactNode } from 'react';
import {
  msg,
  alongLabel,
  crewWords,
  facingWords,
  allSchools,
  viewpointWords,
  type School,
  type SchoolTopic,
} from '@idle-marker/words';
import { conventionFor } from '@idle-marker/records';
import { FacingPicture } from '../stakes/FacingPicture.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice } from '../ui/Field.tsx';
import { useViewpoint, useWayOfWorking, waysOfWorking } from '../pole/ways.ts';

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

/**
 * Where people who do this work differ: what others do, how it is done on this site, and the choice itself where it is
 * a person's.
 */
export function CustomsDialog({ onClose, onSettings }: { onClose(): void; onSettings(): void }) {
  const { state, inForce, paired } = useSite();
  const { settings } = state;
  const { convention } = conventionFor(state, null);
  const units = useUnits();
  const [viewpoint, setViewpoint] = useViewpoint();
  const [way, setWay] = useWayOfWorking();
  const offsets = settings.classes.flatMap(({ name, offset }) =>
    offset ? [`${name} ${units.length(offset)} ${units.unit}`] : [],
  );
  const now: Readonly<Partial<Record<SchoolTopic, ReactNode>>> = {
    moves: (
      <Choice
        label={msg('settings.onThisDevice')}
        value={viewpoint}
        options={entries(viewpointWords())}
        onChange={setViewpoint}
      />
    ),
    approach: <Choice label={msg('settings.onThisDevice')} value={way} options={waysOfWorking()} onChange={setWay} />,
    cutFill: msg('settings.stakesHereAnd', { cut: convention.cut, fill: convention.fill }),
    kerb:
      convention.usual.offsetTo.length > 0
        ? msg('settings.usualHereAnythingElseIsBoxedOn', {
            offsetTo: convention.usual.offsetTo.map((term) => crewWords('en').term[term]).join(' or '),
          })
        : msg('settings.nothingIsSetAsUsualHere'),
    lath: (
      <span className="flex items-center gap-3 font-semibold">
        {msg('settings.here', { facing: facingWords()[convention.facing] })}{' '}
        <FacingPicture facing={convention.facing} />
      </span>
    ),
    book: msg('settings.everySetUpHasItsPageIn'),
    zero:
      settings.siteZero === null
        ? msg('settings.thisSiteHasNoZeroOfIts')
        : msg('settings.zeroHereIs', { length: units.length(settings.siteZero), unit: units.unit }),
    along: msg('settings.here2', { alongWord: alongLabel()[settings.alongWord ?? 'along'] }),
    heightFrom: paired
      ? msg('settings.nowPlanFromHeightFromAndIts', {
          receiver: paired.pairing.body.receiver,
          name: paired.solution.body.name,
        })
      : inForce
        ? msg('settings.nowFromStation', { name: inForce.fact.body.name })
        : msg('settings.nothingIsStationedNow'),
    offset:
      offsets.length > 0
        ? msg('settings.usualHere', { offsets: offsets.join(', ') })
        : msg('settings.noUsualOffsetIsSetHere'),
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('settings.wherePeopleDiffer')}
      foot={
        <>
          <Button onClick={onSettings}>{msg('common.settings')}</Button>
          <Button look="primary" onClick={onClose}>
            {msg('common.done')}
          </Button>
        </>
      }
    >
      {(Object.entries(allSchools()) as [SchoolTopic, School][]).map(([topic, { question, schools, here }]) => (
        <section key={topic} className="grid gap-x-6 gap-y-1 border-b border-rule py-3 md:grid-cols-2">
          <div>
            <h3 className="text-[16px]">{question}</h3>
            <p className="text-[14px] text-ink2">{schools.join(' · ')}</p>
          </div>
          <div className="text-[15px]">
            <p>{here}</p>
            {typeof now[topic] === 'string' ? (
              <p className="font-semibold">{now[topic]}</p>
            ) : (
              now[topic] && <div className="mt-1 max-w-80">{now[topic]}</div>
            )}
          </div>
        </section>
      ))}
    </Dialog>
  );
}
