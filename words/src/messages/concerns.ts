/** Messages of concerns. */
export const concerns = {
  poursOver: 'pours over',
  tearsDown: 'tears down',
  willBeLost: '{name} will be lost',
  from: ' from {on}',
  onlyOneUsableMarkIsLeftThen: 'Only one usable mark is left then. ',
  onlyUsableMarksAreLeftThen: 'Only {left} usable marks are left then. ',
  theGroundThereMeasureAMarkTo:
    '{work} {does} the ground there{on}. {left}Measure a mark to replace it now, outside the works, and prove that by a second station while {name} still stands.',
  oneUsableMark: 'One usable mark',
  usableMarks: '{left} usable marks',
  someAreLostInEveryJobMeasure:
    'Some are lost in every job. Measure extra control first in the day, while these still stand: four or more let one bad mark be named.',
  isPastItsDay: '{name} is past its day',
  itWasToBeUsedBeforeReplace:
    'It was to be used before {on}. Replace it by a firm mark, or look at it and give it another day.',
  useItSoon: '{name}: use it soon',
  inDays: 'in {days} days',
  beforeASoftMarkGetsShovedUse:
    'Before {on}, {days}. A soft mark gets shoved: use it now, or replace it by a firm one.',
  lookAtIt: '{name}: look at it',
  notSeenForDaysCrossesWearOff:
    'Not seen for {days} days. Crosses wear off, are swept or covered: find it and refresh it.',
  looksLike: '{name} looks like {other}',
  twoNamesThatLookAlikeGetMixed:
    'Two names that look alike get mixed up. Give one of them a new name, as a new revision.',
  goodTo95: ', good to {length} (95 %)',
  thatIsMoreThanItsPrecisionExplains:
    'That is more than its precision explains: sight the mark with the instrument before you decide.',
  itsPrecisionExplainsThatItSpeaks: 'Its precision explains that; nothing disagrees.',
  aSatelliteReceiverPutItFromWhere:
    '{name}: a satellite receiver put it {length} from where it is listed{goodTo}. {isBeyond}',
} as const;
