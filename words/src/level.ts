/** What to do at the foot screws, in words that need no looking up. */
export interface LevelStepFacts {
  readonly by: 'leg' | 'pair' | 'screw';
  /** Numbers on the picture. */
  readonly numbers: readonly number[];
  /** Of the leg or screw, or of the right one of two, seen from where one stands. */
  readonly lifts: boolean;
}

const turn = (lifts: boolean): string => (lifts ? 'clockwise' : 'anticlockwise');

export function levelStepWords({ by, numbers, lifts }: LevelStepFacts): string {
  const [first, second] = numbers;
  switch (by) {
    case 'leg':
      return `Too far out for the screws: make leg ${first} a little ${lifts ? 'longer' : 'shorter'}.`;
    case 'pair':
      return `Screws ${first} and ${second} together, both thumbs ${lifts ? 'in' : 'out'}: seen from above ${first} ${turn(!lifts)}, ${second} ${turn(lifts)}.`;
    case 'screw':
      return `Screw ${first} alone, ${turn(lifts)} seen from above: its corner ${lifts ? 'rises' : 'sinks'}.`;
  }
}

export const LEVEL_WAIT = 'The display lags: turn, then wait.';
export const levelOutWords = (seconds: number): string =>
  `The level is not in: it shows ${Math.round(seconds)}″. Bring it in, or let the instrument level itself, before the first sight.`;
