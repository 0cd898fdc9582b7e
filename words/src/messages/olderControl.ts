/** Messages of olderControl. */
export const olderControl = {
  wasComputedBeforeRevised: '{name} was computed before {list}{marks, plural, one { was} other { were}} revised',
  inPlan: 'in plan',
  inHeight: 'in elevation',
  isListedFromWhereItWasThen: '{name} is listed {parts} from where it was then',
  withoutTheFigureItHad: 'without the figure it had {where}',
  byTodaysFiguresItsSightsGiveNo: '{listed}. By today’s figures its sights give no station.',
  inHeight2: ', {length} in elevation',
  byTodaysFiguresItWouldStandAway: 'By today’s figures it would stand {length} away in plan{height}.',
  nothingSetHangsOnIt: 'Nothing set depends on it.',
  theMark: 'The mark',
  theMarks: 'The {set} marks',
  inPlanAndInHeight: ' in plan and {length} in elevation',
  setFromItWouldMoveByUp: '{set} set from it would move by up to {length}{height}.',
} as const;
