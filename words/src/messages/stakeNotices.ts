/** Messages of stakeNotices. */
export const stakeNotices = {
  leftSide: 'left side',
  rightSide: 'right side',
  hasNoRoomOnTheItGoes: '“{text}” has no room on the {side}: it goes on the {side2}.',
  hasNoRoomOnAnySideTake: '“{text}” has no room on any side: take a longer lath or smaller letters.',
  isWiderThanTheLathWhichTakes: '“{text}” is wider than the lath, which takes {characters} letters.',
  isAlsoReadAsWrite: '{short} is also read as {meanings}: write “{better}”.',
  isOffTheExactFigureMoreThan:
    '{figure} is rounded by {smallLength}, more than the {smallLength2} tolerance. Use finer rounding.',
  isNotAsUsualHerePointIt: '“{text}” isn’t as usual here: point it out to the crew.',
} as const;
