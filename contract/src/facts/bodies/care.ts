/** What was done for safety before work went on, and for the equipment. */
import { closed, NullableUuid, Type, Words } from '../parts.ts';

export const CareWord = Words(
  'services',
  'traffic',
  'machine',
  'edge',
  'overhead',
  'keepOut',
  'laser',
  'unattended',
  'adjustment',
  'cleaning',
  'battery',
  'transport',
  'wear',
);

export const CareBody = closed({
  what: CareWord,
  /** The area, the package, the station or the item of the library that it is about. */
  about: NullableUuid,
  text: Type.String({ maxLength: 500 }),
});
