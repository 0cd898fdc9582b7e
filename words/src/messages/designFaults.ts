/** Messages of designFaults. */
export const designFaults = {
  theTwoPointsOfALineAre: 'The two points of a line are one place: give two different ones.',
  theGridHasNoLineTakeOne: 'The grid has no line {label}: take one of its labels.',
  theGridHasNoLinesNameAt: 'The grid has no {family} lines: name at least one.',
  linesHaveSpacingsBetweenThemButAre:
    '{labels} {family} lines have {labels2} spacings between them, but {spacings} are given.',
  spacingOfTheLinesIsMIt: 'Spacing {index} of the {family} lines is {length} m: it must be over 0.',
  standsForTwoLinesOfTheGrid: '{label} stands for two lines of the grid: every line needs a name of its own.',
  theLetteredAndTheNumberedLinesRun: 'The lettered and the numbered lines run the same way: turn one of them.',
} as const;
