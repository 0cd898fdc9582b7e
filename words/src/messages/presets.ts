/** Messages of presets: named in the same way whatever the wording is, since they tell the two apart. */
export const presets = {
  northAmerican: 'North American',
  northAmericanAbout: 'hub, lath, station, elevation, curb, benchmark',
  british: 'British and Commonwealth',
  britishAbout: 'peg, stake, chainage, level, kerb, TBM',
  hub: 'Driven mark at the point',
  lath: 'Flat stick that is written on',
  along: 'Distance along an alignment',
  elevation: 'Height above the datum',
  benchmark: 'Mark of known height',
  shot: 'One measurement',
  checkShot: 'Sight that tests a station',
  curb: 'Edge of the pavement',
  azimuth: 'Direction from north',
  grade: 'Finished surface',
} as const;
