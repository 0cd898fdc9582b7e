/** What every sheet and the crew are told, whatever the figures say. */
export const CAUTIONS: readonly string[] = [
  'Have buried services located before digging or driving anything.',
  'If a hub is leaning, low or gone, do not guess: report it.',
  'Mind traffic and plant, open edges, and overhead lines with a metal pole or rod.',
  'Structural tolerances are the engineer’s documents; boundaries belong to a licensed surveyor.',
  'Local codes and the site’s rules come before anything printed here.',
];
