import type { Judgement } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { lastTest } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';

/** What an instrument out of adjustment would do. */
const SUSPICIOUS: ReadonlySet<string> = new Set(['NOISIER_THAN_STATED', 'HEIGHT_GROWS']);

/** Where the misfit looks like the instrument's own, when that was last tested. */
export function InstrumentSuspect({
  judgement,
  occupation,
}: {
  readonly judgement: Judgement;
  readonly occupation: Fact<'occupation'>;
}) {
  const { state, now } = useSite();
  if (!judgement.because.some((reason) => SUSPICIOUS.has(reason.code))) return null;
  const item = state.equipment.find((each) => each.body.item === occupation.body.instrumentItem)?.body.what;
  const { on: tested, old } = lastTest(item, now) ?? { on: null, old: true };
  return (
    <p className={`my-2 border-l-4 pl-3 ${old ? 'border-ochre' : 'border-rule'}`}>
      {occupation.body.instrument.name}:{' '}
      {tested === null
        ? msg('station.noTestOfCollimationAndIndexIs')
        : msg('station.collimationAndIndexWereTestedOn', { tested })}
      . {old && msg('station.itMayBeTheInstrumentSightOne')}
    </p>
  );
}
