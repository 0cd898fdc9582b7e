/** Where the height of a kerb changes along the way, as it is dropped for a driveway or a ramp. */
import type { Metres } from '../quantity/unit.ts';
import type { KerbDefinition, StationTable } from './strings.ts';

export interface KerbTransition {
  /** The top at the face, or the back where it has a height of its own. */
  readonly part: 'top' | 'back';
  /** Along the line, without equations; where they are one, it is a step. */
  readonly begin: Metres;
  readonly end: Metres;
  /** Heights above the flow line. */
  readonly from: Metres;
  readonly to: Metres;
}

/** One that begins, ends or steps at a station. */
export interface TransitionHere extends KerbTransition {
  readonly here: 'begins' | 'ends' | 'steps';
}

/** Less than this is how a table was rounded. */
const LEVEL: Metres = 0.0005;
/** Two stations that lie nearer are one. */
const SAME: Metres = 0.005;

function changesOf(table: StationTable, part: KerbTransition['part']): KerbTransition[] {
  return table.slice(1).flatMap((row, i): KerbTransition[] => {
    const before = table[i]!;
    return Math.abs(row.value - before.value) > LEVEL
      ? [{ part, begin: before.station, end: row.station, from: before.value, to: row.value }]
      : [];
  });
}

/** The changes of a kerb's height, in order along the way. */
const kerbTransitions = ({
  topHeight,
  backHeight,
}: Pick<KerbDefinition, 'topHeight' | 'backHeight'>): KerbTransition[] => [
  ...changesOf(topHeight, 'top'),
  ...(backHeight ? changesOf(backHeight, 'back') : []),
];

/** Those that somebody who stands at a station has to know of: the ones that end there before the ones that begin. */
export function transitionsAt(
  kerb: Pick<KerbDefinition, 'topHeight' | 'backHeight'>,
  station: Metres,
): TransitionHere[] {
  const all = kerbTransitions(kerb);
  const isHere = (at: Metres) => Math.abs(at - station) <= SAME;
  return [
    ...all
      .filter(({ begin, end }) => isHere(end) && !isHere(begin))
      .map((each) => ({ ...each, here: 'ends' as const })),
    ...all
      .filter(({ begin, end }) => isHere(begin) && isHere(end))
      .map((each) => ({ ...each, here: 'steps' as const })),
    ...all
      .filter(({ begin, end }) => isHere(begin) && !isHere(end))
      .map((each) => ({ ...each, here: 'begins' as const })),
  ];
}
