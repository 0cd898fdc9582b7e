import { msg } from '@idle-marker/words';
import { handOverPlaces } from '../../site/places.ts';
import { Ways } from '../../site/Ways.tsx';

/** What is handed over: sheets, what stands on the stakes, the sketch, the crew's page, and how stakes are written. */
export const HandOverWays = () => <Ways label={msg('handover.whatIsHandedOver')} ways={handOverPlaces()} />;
