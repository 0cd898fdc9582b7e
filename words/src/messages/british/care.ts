import type { BritishOf } from './britishOf.ts';
import type { care as whole } from '../care.ts';

export const care: BritishOf<typeof whole> = {
  bareSurfacesAreMeasuredWithABeam:
    'Readings without a prism use a visible beam: never at eye height, never into mirrors or glass. Tell people nearby first.',
  neverOnTheEdgeOfAPlate:
    'Never set it on the edge of a plate, a slab or a kerb. Never carry it over your shoulder on its legs.',
  agreeOnAStopWithTheDriver:
    'Agree on a stop with the operator, face to face. If a roller works nearby, wait, then take a check sight before you go on.',
  fewNailsAndLittlePaintOnPavements:
    'Use few nails and little paint on pavements and driveways, in the agreed colours.',
};
