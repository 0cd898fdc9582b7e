/** Messages of stakeNotices. */
export const stakeNotices = {
  leftSide: 'left side',
  rightSide: 'right side',
  hasNoRoomOnTheItGoes: '“{text}” has no room on the {side}: it goes on the {side2}.',
  hasNoRoomOnAnySideTake: '“{text}” has no room on any side: take a longer lath or smaller letters.',
  isWiderThanTheLathWhichTakes: '“{text}” is wider than the lath, which takes {characters} letters.',
  isAlsoReadAsWrite: '{short} is also read as {meanings}: write “{better}”.',
  isOffTheExactFigureMoreThan:
    '{figure} is {smallLength} off the exact figure, more than the {smallLength2} of its class: write it finer.',
  isNotAsUsualHerePointIt: '“{text}” is not as usual here: point it out to the crew.',
} as const;
