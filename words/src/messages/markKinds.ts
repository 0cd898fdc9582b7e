/** Messages of markKinds. */
export const markKinds = {
  hubAndLath: 'hub and lath',
  paintCross: 'paint cross',
  lineOnAPlate: 'line on a plate',
  scribedLine: 'scribed line',
  driveBetweenTwoCrossingLinesTheHammer:
    'Scratch two crossing lines well past the point before you drive: they still show where it was. Correct a lean with a bar in the ground, and tamp it; a hub knocked sideways comes loose. Soft ground: hand hammer; hard: sledge, or a drilled hole.',
  inAsphaltANailWithAWasher:
    'In asphalt a nail with a washer and a hand hammer; in concrete drill first. Shoot it on the head with the low prism.',
  sweepFirstCrossTheTwoLinesOver:
    'Sweep first. Cross the two lines over the point and paint their ends, not their middle.',
  degreaseThePlateMarkerForTheLine:
    'Degrease the plate. Marker for the line, center punch for the point; no paint on bearing faces.',
  scribeLightlyBothWaysOfThePoint:
    'Scribe lightly both ways of the point and pencil the ends; shoot the crossing once more.',
} as const;
