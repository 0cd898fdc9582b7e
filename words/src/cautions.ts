/** What every sheet and the crew are told, whatever the figures say. */
/** What stands at the foot of every control report. */
export const REPORT_CAUTIONS: readonly string[] = [
  'All trades should build on the same marks. Marks that are called lost, disagreeing or left out are not to be used until they are set or surveyed anew.',
  'A mark is trusted for plan, for height or for both, as the table says; a height that is not trusted is not a height.',
  'Whoever finds a mark hit, covered or moved tells it the same day: what was set from it is looked at again.',
];

export const CAUTIONS: readonly string[] = [
  'Have buried services located before digging or driving anything.',
  'If a hub is leaning, low or gone, do not guess: report it.',
  'Mind traffic and plant, open edges, and overhead lines with a metal pole or rod.',
  'Structural tolerances are the engineer’s documents; boundaries belong to a licensed surveyor.',
  'Local codes and the site’s rules come before anything printed here.',
];
