import { msg, worded } from './message.ts';
/** What a crew wants in the ground, and what is needed for it. */
export const markKindWords = worded(
  () =>
    ({
      hubAndLath: msg('markKinds.hubAndLath'),
      nail: 'nail',
      paintCross: msg('markKinds.paintCross'),
      plateLine: msg('markKinds.lineOnAPlate'),
      scribedLine: msg('markKinds.scribedLine'),
    }) as const,
);

export const markToolWords = worded((): Readonly<Record<keyof ReturnType<typeof markKindWords>, string>> => ({
  hubAndLath: msg('markKinds.driveBetweenTwoCrossingLinesTheHammer'),
  nail: msg('markKinds.inAsphaltANailWithAWasher'),
  paintCross: msg('markKinds.sweepFirstCrossTheTwoLinesOver'),
  plateLine: msg('markKinds.degreaseThePlateMarkerForTheLine'),
  scribedLine: msg('markKinds.scribeLightlyBothWaysOfThePoint'),
}));
