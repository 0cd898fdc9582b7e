import type { BritishOf } from './britishOf.ts';
import type { markKinds as whole } from '../markKinds.ts';

export const markKinds: BritishOf<typeof whole> = {
  hubAndLath: 'peg and stake',
  driveBetweenTwoCrossingLinesTheHammer:
    'Scratch two crossing lines well past the point before you drive: they still show where it was. Correct a lean with a bar in the ground, and tamp it; a peg knocked sideways comes loose. Soft ground: hand hammer; hard: sledge, or a drilled hole.',
  inAsphaltANailWithAWasher:
    'In asphalt a nail with a washer and a hand hammer; in concrete drill first. Observe it on the head with the low prism.',
  degreaseThePlateMarkerForTheLine:
    'Degrease the plate. Marker for the line, centre punch for the point; no paint on bearing faces.',
  scribeLightlyBothWaysOfThePoint:
    'Scribe lightly both ways of the point and pencil the ends; observe the crossing once more.',
};
