/** Messages of stakeLines. */
export const stakeLines = {
  squareToTheLineBehind: 'square to the line behind',
  squareToTheLineAhead: 'square to the line ahead',
  offBothLinesToTheCornerIt:
    'off both lines: to the corner it is {length} {unitAbbreviation}, not the offset. Tape along both lines',
  noHeight: 'no elevation',
  onGrade: 'ON GRADE',
  on: 'On {string}',
  offsetHubOf: 'Offset hub, {length} {unitAbbreviation} {side} of {string}',
  atOf: '{where} at {corner} of {name}{why}{angle}',
  onItself: 'On {corner} itself, {what}',
  off: 'off {offFace}',
  beyond: 'beyond {corner}',
  beside: 'beside {corner}',
  and: ' and {alsoOffFace}',
  onTheLine: ', on the line {onLine}',
  offsetHub: 'Offset hub, {length} {unitAbbreviation} {off}{and}, {what}',
} as const;
