/** Cautions where they matter, and what is noted when they were seen to. */
type Care =
  'services' | 'traffic' | 'machine' | 'edge' | 'overhead' | 'keepOut' | 'laser' | 'unattended' | 'adjustment' | 'cleaning' | 'battery' | 'transport' | 'wear';

/** As the book says it. */
export const CARE: Readonly<Record<Care, string>> = {
  services: 'Buried services located',
  traffic: 'Lane closed or watched',
  machine: 'Stop agreed with the driver',
  edge: 'Edge guarded',
  overhead: 'Overhead line: height agreed, pole kept low',
  keepOut: 'Entry agreed',
  laser: 'Laser: everybody told, nobody in the line',
  unattended: 'Instrument taped off, in sight of somebody',
  adjustment: 'Adjusted or tested',
  cleaning: 'Cleaned',
  battery: 'Batteries charged',
  transport: 'Packed and carried',
  wear: 'Wear or damage found',
};

/** What is looked after on the equipment. */
export const CARE_OF_EQUIPMENT = ['adjustment', 'cleaning', 'battery', 'transport', 'wear'] as const satisfies readonly Care[];

export interface CautionSaid {
  readonly title: string;
  readonly text: string;
  /** What the person says by pressing it: never a bare OK. */
  readonly answer: string;
}

/** @param area name of the ground that it is about; null when it is the package as a whole */
export function cautionWords(
  code: 'services' | 'traffic' | 'machine' | 'edge' | 'overhead' | 'keepOut' | 'laser' | 'unattended',
  area: string | null,
  who: 'mark' | 'instrument',
): CautionSaid {
  const where = area ?? 'here';
  const stands = who === 'instrument' ? 'The instrument stands' : 'This mark is';
  switch (code) {
    case 'services':
      return {
        title: 'Before driving: buried services',
        text: `Stakes go into the ground${area === null ? '' : `, and ${area} runs near`}. Have lines located; look for pits, valves and hydrants.`,
        answer: 'They are located',
      };
    case 'traffic':
      return {
        title: `${stands} in a lane`,
        text: `${where} carries traffic. Close it, or somebody watches while you look down.`,
        answer: 'Closed, or somebody watches',
      };
    case 'machine':
      return { title: `${stands} where a machine works`, text: `${where}: agree with the driver that it stops until you wave.`, answer: 'The driver stops' };
    case 'edge':
      return {
        title: `${stands} at an open edge`,
        text: `${where}: never step backwards here; let the figures be read to you.`,
        answer: 'Guarded, or tied on',
      };
    case 'overhead':
      return {
        title: `${stands} under an overhead line`,
        text: `${where}: a raised metal pole conducts. Keep it low, or keep away.`,
        answer: 'The height is agreed',
      };
    case 'laser':
      return {
        title: 'The laser is on',
        text: 'Bare surfaces are measured with a beam that can be seen: never at the height of eyes, never into mirrors or glass. Tell whoever is there first.',
        answer: 'Told, and nobody is in the line',
      };
    case 'unattended':
      return {
        title: 'The instrument will stand alone',
        text: 'This mark is far from it. Tape or a frame round it, somebody who sees it, nothing that reverses near it. A lost lock or level is told here at once.',
        answer: 'It is guarded',
      };
    case 'keepOut':
      return { title: `${stands} on ground that is kept free`, text: `${where}: ask before you go there.`, answer: 'Entry is agreed' };
  }
}

/** What is known by heart and forgotten by evening, by occasion. */
export const CARE_LIST: readonly { readonly title: string; readonly lines: readonly string[] }[] = [
  {
    title: 'So that it does not fall',
    lines: [
      'A hand stays on the instrument until the screw holds it; then try it once.',
      'Legs spread and stamped in; on a smooth floor a strap or a star under them; clamps all tight, low in wind.',
      'Never on the edge of a plate, a slab or a kerb. Never carried over the shoulder on its legs.',
    ],
  },
  {
    title: 'When it is left alone',
    lines: ['Tape or a frame round it, in sight, and not where things reverse.', 'Lost lock or level is told here at once: go and look before the next mark.'],
  },
  {
    title: 'Traffic and machines',
    lines: [
      'Know the lane you stand in before you look down. Walk round, not backwards; switch Speak on and keep the eyes on the way.',
      'Agree on a stop with the driver, face to face. A roller nearby: wait, then prove before going on.',
    ],
  },
  {
    title: 'Laser and sun',
    lines: [
      'The pointer at ground height, told before it is on, off when the point is found. Never into eyes or mirrors.',
      'Never the telescope into the sun.',
    ],
  },
  {
    title: 'Hammering',
    lines: [
      'Services located first. Stakes in one hand, hammer in the other, head down; nobody opposite.',
      'Ribbons tied and stakes sharpened beforehand; the right hammer: hand for soft ground, sledge for hard, drill for rock and slabs.',
      'The tape is held level: along a slope an offset comes out short.',
    ],
  },
  {
    title: 'In public',
    lines: ['Few nails and little paint on pavements and driveways, in the agreed colours.', 'Nothing that is driven sticks out where people walk.'],
  },
  {
    title: 'The instrument itself',
    lines: [
      'Case shut in dust and rain, cap on, lens cleaned with the brush first. Clamps gentle, screws never forced.',
      'Wet: out of the case overnight. Batteries charged the evening before, a spare in the bag.',
      'Far out: a reserve of battery, and somebody knows when you are due.',
    ],
  },
];

/** What a sheet says of a caution that nobody answered. */
const OPEN_SUBJECT: Readonly<Record<Parameters<typeof cautionWords>[0] | 'independent' | 'setTwice', string>> = {
  services: 'Nobody said that buried services were located before they were driven',
  traffic: 'Nobody said what was done about traffic there',
  machine: 'Nobody said that the machine there was stopped',
  edge: 'Nobody said how the open edge there was guarded',
  overhead: 'Nobody said what was agreed about the line overhead',
  keepOut: 'Nobody said that entering there was allowed',
  laser: 'Nobody said who was told about the laser',
  unattended: 'Nobody said who watched the instrument',
  setTwice: 'They were set twice, and nobody has said which stake stands; the figures here are of the later one',
  independent: 'Nothing but the station that set them has checked them',
};
export const openCautionWords = ({ code, marks }: { readonly code: keyof typeof OPEN_SUBJECT; readonly marks: readonly string[] }): string =>
  `${OPEN_SUBJECT[code]}: ${marks.join(', ')}.`;
