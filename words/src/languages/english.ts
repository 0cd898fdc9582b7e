/** What a crew reads in English: the North American table, and what is said otherwise in the British one. */
import { worded } from '../message.ts';
import { heightReferenceWords, meaningWords } from '../vocabulary.ts';
import { inOwnWords, wordingNow, type Wording } from '../wording.ts';
import type { CrewWords } from './crewWords.ts';

const northAmerican = (): CrewWords => ({
  code: 'en',
  name: 'English',
  cut: 'CUT',
  fill: 'FILL',
  onGrade: 'ON GRADE',
  term: {
    offset: 'offset',
    hub: 'hub',
    design: 'design',
    station: 'station',
    centreline: 'centerline',
    ...meaningWords(),
    ...heightReferenceWords(),
    face: 'face of curb',
    back: 'back of curb',
    flowLine: 'flow line',
    kerbHeight: 'curb height',
    curveBegins: 'curve begins',
    curveEnds: 'curve ends',
    anglePoint: 'angle point',
    gradeBreak: 'grade break',
    highPoint: 'high point',
    lowPoint: 'low point',
  },
  point: {
    nail: 'nail',
    tack: 'tack',
    hubCentre: 'center of the hub',
    top: 'top of the hub',
    crossing: 'crossing of the lines',
    punch: 'punch mark',
  },
  carrier: { lath: 'lath', peg: 'hub', surface: 'surface' },
  line: {
    noOffset: 'no offset',
    offset: '{length} {offset}',
    to: 'to {to}, {what}',
    on: 'on {to}, {what}',
    onPoint: 'on {to}',
    beyond: 'beyond {to}, {what}',
    toLine: 'to {what}',
    onLine: 'on {what}',
    partOf: { face: 'face of {name}', back: 'back of {name}', flowLine: 'flow line of {name}' },
    gradeOf: { face: 'top of {name}', back: 'top at the back of {name}', flowLine: 'flow line of {name}' },
    gradeHere: { face: 'top', back: 'top at the back', flowLine: 'flow line' },
    cutFill: '{word} {length} to {what}',
    onGrade: '{word}, {what}',
    noHeight: 'no elevation',
    hubHeight: '{hub} {length}',
    designHeight: '{design} {length}',
    squareBack: 'BACK: square to the line behind',
    squareAhead: 'AHEAD: square to the line ahead',
    transition: {
      begins: '{what} {from} to {to} in the next {length}',
      ends: '{what} {from} to {to} in the last {length}',
      steps: '{what} steps from {from} to {to}',
    },
    transitionOf: { top: '{term}', back: '{term} at the back' },
    insideAngle: 'OFF BOTH LINES, corner at {length}',
    startsAt: 'figures start at the {point}',
    tolerance: 'within {plan} / {height} {unit}',
    set: 'set {day}, {who}',
  },
  reading: {
    title: 'How to read {name}',
    start: {
      lath: 'Find the {point} next to lath {name}. Measure everything from there, not from the lath.',
      peg: 'Find the {point} on hub {name}. Measure everything from there.',
      surface: 'Find the {point} of {name} on the surface. Measure everything from there.',
    },
    squareToFace: 'From the {point}, measure {length} level, square to side {from}–{until}. That is {what}.',
    alongLine: 'From the {point}, measure {length} level along line {from}–{until}. That is {to}, {what}.',
    straight: 'From the {point}, measure {length} level, straight toward {to}. That is the {what}.',
    squareToRoad:
      'From the {point}, measure {length} level, square to the road, to the {side} looking up-station. That is the {what}.',
    side: { left: 'left', right: 'right' },
    inside: 'This mark is {length} off both lines. The corner is {corner} away: do not measure {length} to the corner.',
    stands: 'The {point} is at {to}, {what}.',
    standsOnString: 'The {point} is at the {what}.',
    lower: '{what}: {length} LOWER than the {point}. Go down.',
    higher: '{what}: {length} HIGHER than the {point}. Go up.',
    same: '{what}: at the same elevation as the {point}.',
    noHeight: 'No elevation was measured on this mark. Do not take one from it.',
    unusual: 'Not the usual on this site: the figure is to the {what}, not the {usual}.',
    inDoubt: 'DO NOT BUILD FROM THIS MARK. It is in doubt. Ask {who} first.',
    notProven: 'Not verified yet: ask before placing concrete or steel.',
    tolerance: 'Set within {plan} {unit} in plan and {height} {unit} in elevation.',
    facing: {
      toItem: 'The writing faces the work.',
      angled: 'The writing faces halfway toward the work, so you can read it from the road.',
      alongRoad: 'The writing faces along the road.',
    },
    onStake: 'On the stake: {words}.',
    ribbon: 'Ribbon: {ribbon}. Paint: {paint}.',
    colours: {},
    section: 'From the side',
    plan: 'From above, north up',
    level: 'level',
    hub: 'hub',
    ground: 'ground',
  },
  tape: {
    title: 'Tape ties to {point}',
    from: 'From these two marks',
    flat: 'shallow angle,',
    check: 'Check first: {a} to {b} is {apart}, level. If not, one has moved: use two other marks.',
    arcs: 'Hold one tape at {a} and one at {b}, both level. {point} is where {fromA} from {a} meets {fromB} from {b}, on your {side} as you stand at {a} facing {b}.',
    side: { left: 'left', right: 'right' },
    between: 'Pull a string from {a} to {b}. {point} is on it, {fromA} from {a} and {fromB} from {b}.',
    beyond: 'Pull a string from {from} over {over} and on. {point} is on it, {length} beyond {over}.',
    weak: 'The tapes cross at a shallow angle: an error in one grows {times} times. Use two other marks if you can.',
    third: 'Check it from a third mark before you build on it.',
    none: 'Not enough marks left to tape {point}. Ask the layout crew to set it again.',
    gone: {
      destroyed: 'gone',
      moved: 'hit or moved, do not measure from it',
      inDoubt: 'in doubt, do not measure from it',
      notSet: 'not set',
    },
  },
  page: {
    find: 'Number on the stake',
    show: 'Show the stake',
    scan: 'Or point your phone camera at the QR code on the label.',
    nothingFound: 'No stake {name}. Check the lath again: letters and numbers matter, spaces do not.',
    near: 'These contain {name}. Choose the one on your lath:',
    several: 'More than one stake is called {name}. Which one is it?',
    all: 'All stakes',
    what: 'What is wrong with the stake?',
    destroyed: 'Gone',
    moved: 'Moved or hit',
    report: 'Report a problem',
    reported: 'Reported. Do not build from it until it is set again.',
    remark: 'What happened, if you know',
    yourName: 'Your name',
    cancel: 'Back',
    askFirst: 'Ask {who}.',
    tape: 'Tape ties',
    ended: 'This link is no longer valid. Ask the layout crew for a new one.',
    away: 'No connection. Find a signal and try again; nothing is lost.',
    language: 'Language',
    asOf: 'As of {time}',
    written: 'Written on the stake',
    sides: { front: 'front', back: 'back', left: 'left side', right: 'right side' },
    standing: {
      held: 'good to build from',
      open: 'set, not verified yet',
      unproven: 'station not proven: ask first',
      inDoubt: 'IN DOUBT: do not build from it',
      notMeasured: 'elevation not measured',
      destroyed: 'GONE: to be set again',
    },
  },
});

type Otherwise<T> = { readonly [K in keyof T]?: T[K] extends string ? string : Otherwise<T[K]> };

const BRITISH: Otherwise<CrewWords> = {
  onGrade: 'ON LEVEL',
  term: {
    hub: 'peg',
    station: 'chainage',
    centreline: 'centreline',
    face: 'face of kerb',
    back: 'back of kerb',
    flowLine: 'channel line',
    kerbHeight: 'kerb height',
    gradeBreak: 'change of gradient',
  },
  point: { hubCentre: 'centre of the peg', top: 'top of the peg' },
  carrier: { lath: 'stake', peg: 'peg' },
  line: {
    noHeight: 'no level',
    squareBack: 'BACK: square to back line',
    squareAhead: 'AHEAD: square to ahead line',
    partOf: { flowLine: 'channel line of {name}' },
    gradeOf: { flowLine: 'channel line of {name}' },
    gradeHere: { flowLine: 'channel line' },
  },
  reading: {
    start: {
      lath: 'Find the {point} next to stake {name}. Measure everything from there, not from the stake.',
      peg: 'Find the {point} on peg {name}. Measure everything from there.',
    },
    straight: 'From the {point}, measure {length} level, straight towards {to}. That is the {what}.',
    squareToRoad:
      'From the {point}, measure {length} level, square to the road, to the {side} looking up-chainage. That is the {what}.',
    same: '{what}: at the same level as the {point}.',
    noHeight: 'No level was measured on this mark. Do not take one from it.',
    tolerance: 'Set within {plan} {unit} in plan and {height} {unit} in level.',
    facing: { angled: 'The writing faces halfway towards the work, so you can read it from the road.' },
    hub: 'peg',
  },
  tape: { none: 'Not enough marks left to tape {point}. Ask the setting-out engineer to set it again.' },
  page: {
    nothingFound: 'No stake {name}. Check the stake again: letters and numbers matter, spaces do not.',
    near: 'These contain {name}. Choose the one on your stake:',
    ended: 'This link is no longer valid. Ask the setting-out engineer for a new one.',
    standing: { notMeasured: 'level not measured' },
  },
};

/** Every text of a table in the wording that stands. */
function inWording<T>(whole: T, otherwise: Otherwise<T> | string | undefined, wording: Wording): T {
  if (typeof whole === 'string') {
    const british = typeof otherwise === 'string' ? otherwise : whole;
    return inOwnWords({ northAmerican: whole, british }, wording) as T;
  }
  const entries = Object.entries(whole as Record<string, unknown>).map(([key, value]) => [
    key,
    inWording(value, (otherwise as Record<string, Otherwise<unknown>> | undefined)?.[key], wording),
  ]);
  return Object.fromEntries(entries) as T;
}

export const english = worded((): CrewWords => {
  const words = inWording(northAmerican(), BRITISH, wordingNow());
  // These are messages already, in this wording.
  return { ...words, term: { ...words.term, ...meaningWords(), ...heightReferenceWords() } };
});
