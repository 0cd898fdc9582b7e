import { msg } from '@idle-marker/words';
import { bookPlaces } from '../../site/places.ts';
import { Ways } from '../../site/Ways.tsx';

/** The book entry by entry, by days and set-ups, and the end of the day. */
export const BookWays = () => <Ways label={msg('fieldbook.partsOfTheBook')} ways={bookPlaces()} />;
