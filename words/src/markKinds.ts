/** What a crew wants in the ground, and what is needed for it. */
export const MARK_KIND = {
  hubAndLath: 'hub and lath',
  nail: 'nail',
  paintCross: 'paint cross',
  plateLine: 'line on a plate',
  scribedLine: 'scribed line',
} as const;

export const MARK_TOOLS: Readonly<Record<keyof typeof MARK_KIND, string>> = {
  hubAndLath:
    'Drive between two crossing lines: the hammer takes the divot away. To correct it, strike the ground beside the hub, not the hub. Soft ground: hand hammer; hard: sledge, or a drilled hole.',
  nail: 'In asphalt a nail with a washer and a hand hammer; in concrete drill first. Shoot it on the head with the low prism.',
  paintCross: 'Sweep first. Cross the two lines over the point and paint their ends, not their middle.',
  plateLine: 'Degrease the plate. Marker for the line, centre punch for the point; no paint on bearing faces.',
  scribedLine: 'Scribe lightly both ways of the point and pencil the ends; shoot the crossing once more.',
};
