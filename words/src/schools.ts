/** Where people who do this work differ, and how it is done here: said openly, with where to change it. */
export interface School {
  readonly question: string;
  readonly schools: readonly string[];
  readonly here: string;
}

export type SchoolTopic =
  'moves' | 'approach' | 'cutFill' | 'sides' | 'oldMarks' | 'zero' | 'along' | 'offset' | 'rounding' | 'kerb' | 'lath' | 'book' | 'heightFrom';

export const SCHOOLS: Readonly<Record<SchoolTopic, School>> = {
  moves: {
    question: 'Whose left and right are moves told in?',
    schools: ['from the instrument', 'along the line that is set out', 'as the helper faces', 'as one faces oneself'],
    here: 'Any of them, chosen at the pole and written beside every move.',
  },
  approach: {
    question: 'How does one come to a point?',
    schools: ['follow the figures until they are zero', 'a few single shots, then the tape', 'paint all of them roughly first, and set the hubs later'],
    here: 'Chosen for each person; what is kept is the same.',
  },
  cutFill: {
    question: 'Does cut or fill carry a sign?',
    schools: ['a dash', 'a plus', 'neither'],
    here: 'A word or its letter, never a bare sign.',
  },
  sides: {
    question: 'Lines chosen so that no figure is negative?',
    schools: ['always', 'negative figures are fine if one remembers them'],
    here: 'No need: every figure off a line has its side by hand and by compass, before or along.',
  },
  oldMarks: {
    question: 'What happens to marks that are not used any more?',
    schools: ['deleted, so that the screen is tidy', 'kept as long as the job runs'],
    here: 'Put aside with the reason: off the lists, never out of the book.',
  },
  zero: {
    question: 'Heights against the floor or true heights?',
    schools: ['the floor is zero', 'true heights'],
    here: 'Both: the site’s zero is a setting, and both figures can be shown.',
  },
  along: {
    question: 'What is a place along a line called?',
    schools: ['chainage', 'station', 'so far along it'],
    here: 'A setting of the site; searching finds all three.',
  },
  offset: {
    question: 'How far off do hubs stand?',
    schools: ['always the same, by the firm’s rule', 'by the kind of work', 'as the place allows'],
    here: 'A usual offset for each class in the settings; each package and each corner may have its own.',
  },
  kerb: {
    question: 'To what of a kerb is the offset measured?',
    schools: ['to its face, with the grade to its top', 'to its back', 'to the flow line'],
    here: 'By package: offset and height each name their own part, on the screen and on the stake.',
  },
  lath: {
    question: 'Which way does a lath face?',
    schools: ['toward what it offsets to', 'turned halfway toward it, to be read from the road'],
    here: 'As the site’s convention says, with its picture; each crew’s card says it too.',
  },
  book: {
    question: 'Is a field book written by hand as well?',
    schools: ['by hand, beside the tool', 'what the tool keeps is enough'],
    here: 'Its page is written from what was measured, with room to draw by hand.',
  },
  heightFrom: {
    question: 'Where does a height come from?',
    schools: ['a benchmark, through the station', 'a receiver that was calibrated to the site', 'levels that are run'],
    here: 'The source stands beside every height, with how good it is; one source never stands in for another unsaid.',
  },
  rounding: {
    question: 'How finely is a figure written?',
    schools: ['as it was measured', 'to the hundredth or tenth', 'to a sixteenth of an inch'],
    here: 'By package, for whoever reads it; the exact figure is kept.',
  },
};

/** A place along a line, as the site calls it. */
export type AlongWord = 'chainage' | 'station' | 'along';
export const ALONG_WORD: Readonly<Record<AlongWord, string>> = { chainage: 'chainage', station: 'station', along: 'so far along it' };
export const ALONG_HEAD: Readonly<Record<AlongWord, string>> = { chainage: 'Chainage', station: 'Station along', along: 'Along' };

/** Kinds of names that count up. */
export const NUMBERED_FROM = { asBuilt: 'As-built names from', lines: 'Names on lines from', ownControl: 'Own control from' } as const;
export const NUMBERED_NAME = {
  asBuilt: 'things measured as they stand',
  lines: 'what is read against lines',
  ownControl: 'control of one’s own',
} as const;
