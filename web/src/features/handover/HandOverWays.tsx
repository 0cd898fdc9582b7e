import { HAND_OVER } from '../../frame/places.ts';
import { Ways } from '../../frame/Ways.tsx';

/** What is handed over: sheets, what stands on the stakes, the sketch, the crew's page, and how stakes are written. */
export const HandOverWays = () => <Ways label="What is handed over" ways={HAND_OVER} />;
