/** Messages of markKinds. */
export const markKinds = {
  hubAndLath: 'hub and lath',
  paintCross: 'paint cross',
  lineOnAPlate: 'line on a plate',
  scribedLine: 'scribed line',
  driveBetweenTwoCrossingLinesTheHammer:
    'Drive between two crossing lines: the hammer takes the divot away. To correct it, strike the ground beside the hub, not the hub. Soft ground: hand hammer; hard: sledge, or a drilled hole.',
  inAsphaltANailWithAWasher:
    'In asphalt a nail with a washer and a hand hammer; in concrete drill first. Shoot it on the head with the low prism.',
  sweepFirstCrossTheTwoLinesOver:
    'Sweep first. Cross the two lines over the point and paint their ends, not their middle.',
  degreaseThePlateMarkerForTheLine:
    'Degrease the plate. Marker for the line, center punch for the point; no paint on bearing faces.',
  scribeLightlyBothWaysOfThePoint:
    'Scribe lightly both ways of the point and pencil the ends; shoot the crossing once more.',
} as const;
