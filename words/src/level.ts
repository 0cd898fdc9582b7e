import { msg, worded } from './message.ts';
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
      return msg('level.tooFarOutForTheScrewsMake', { first, lifts: lifts ? 'longer' : 'shorter' });
    case 'pair':
      return msg('level.screwsAndTogetherBothThumbsSeenFrom', {
        first,
        second,
        lifts: lifts ? 'in' : 'out',
        turn: turn(!lifts),
        turn2: turn(lifts),
      });
    case 'screw':
      return msg('level.screwAloneSeenFromAboveItsCorner', {
        first,
        turn: turn(lifts),
        lifts: lifts ? 'rises' : 'sinks',
      });
  }
}

export const levelWait = worded(() => msg('level.theDisplayLagsTurnThenWait'));
export const levelOutWords = (seconds: number): string =>
  msg('level.theLevelIsNotInItShows', { seconds: Math.round(seconds) });
