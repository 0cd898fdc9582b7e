import type { BritishOf } from './britishOf.ts';
import type { care as whole } from '../care.ts';

export const care: BritishOf<typeof whole> = {
  neverOnTheEdgeOfAPlate:
    'Never on the edge of a plate, a slab or a kerb. Never carried over the shoulder on its legs.',
  fewNailsAndLittlePaintOnPavements: 'Few nails and little paint on pavements and driveways, in the agreed colours.',
};
