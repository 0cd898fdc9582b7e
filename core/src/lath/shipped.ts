/**
 * Conventions to begin with: schools of writing on stakes, of this project's own making. Sites adapt copies of them.
 */
import { READABLE_LETTERS } from './convention.ts';
import type { ConventionLine, LathSize, StakeConvention, StakeMarkKind, StakePart, StakeTerm } from './convention.ts';

const line = (part: StakePart, ruled = false): ConventionLine => ({ part, ruled });
const short = (forms: Partial<Record<StakeTerm, string>>): StakeConvention['abbreviations'] =>
  Object.entries(forms).map(([term, form]) => ({ term: term as StakeTerm, short: form }));
const colours = (ribbon: string, paint: string): StakeConvention['colours'] =>
  (['hubAndLath', 'nail', 'paintCross'] as const satisfies readonly StakeMarkKind[]).map((kind) => ({
    kind,
    ribbon: kind === 'hubAndLath' ? ribbon : '',
    paint,
  }));

// Letters that are read at arm's length stand along a lath: across it three of them would fill a row.
const NARROW: LathSize = { length: 1.2, width: 0.045, inGround: 0.3, letterHeight: READABLE_LETTERS, writing: 'along' };
const WIDE: LathSize = { ...NARROW, width: 0.09 };
const PEG: LathSize = { length: 0.6, width: 0.075, inGround: 0.25, letterHeight: READABLE_LETTERS, writing: 'along' };
const FLAT: LathSize = { length: 0.6, width: 0.3, inGround: 0, letterHeight: READABLE_LETTERS, writing: 'across' };

/** What changes along a road, spelled so that nobody takes the begin of a curve for the back of a kerb. */
const CHANGES: Partial<Record<StakeTerm, string>> = {
  curveBegins: 'BEG CRV',
  curveEnds: 'END CRV',
  anglePoint: 'ANG PT',
  gradeBreak: 'GR BRK',
  highPoint: 'HI PT',
  lowPoint: 'LO PT',
  kerbHeight: 'K HT',
};

const PLAIN: StakeConvention = {
  name: 'Plain words',
  carrier: 'lath',
  sides: {
    front: [
      line('offset', true),
      line('angle'),
      line('to'),
      line('station'),
      line('cutFill'),
      line('also'),
      line('why'),
    ],
    back: [line('name'), line('hubHeight'), line('designHeight')],
    left: [],
    right: [],
  },
  abbreviate: false,
  showUnit: true,
  cut: 'CUT',
  fill: 'FILL',
  onGrade: 'ON GRADE',
  rounding: { offset: 'finest', height: 'finest' },
  offsetFigure: 'asSet',
  abbreviations: short(CHANGES),
  usual: { offsetTo: [], heightTo: [] },
  unusualPaint: 'red',
  facing: 'toItem',
  lath: WIDE,
  colours: colours('orange', 'white'),
  languages: ['en'],
};

const SHORT_FORMS = short({
  offset: 'O/S',
  finishedFloor: 'FFL',
  topOfWall: 'TOW',
  underside: 'U/S',
  invert: 'INV',
  topOfKerb: 'TOK',
  subgrade: 'SUBG',
  surface: 'DS',
  ...CHANGES,
});

/**
 * The kerb schools differ in what offset and grade lead to; either word is spelled so that it can't be taken for the
 * other.
 */
const KERB = short({
  offset: 'O/S',
  face: 'FACE K',
  back: 'BACK K',
  flowLine: 'FLOW',
  topOfKerb: 'TOP K',
  finishedFloor: 'FFL',
  subgrade: 'SUBG',
  centreline: 'C/L',
  ...CHANGES,
});

export const SHIPPED_CONVENTIONS = {
  plainWords: PLAIN,
  shortForms: { ...PLAIN, name: 'Short forms', abbreviate: true, showUnit: false, abbreviations: SHORT_FORMS },
  kerbFace: {
    ...PLAIN,
    name: 'Kerb: to the face, grade to the top',
    sides: {
      front: [line('offset', true), line('to', true), line('angle'), line('cutFill'), line('also'), line('why')],
      back: [line('station'), line('hubHeight'), line('name')],
      left: [],
      right: [],
    },
    abbreviate: true,
    showUnit: false,
    rounding: { offset: 'hundredth', height: 'hundredth' },
    abbreviations: KERB,
    usual: { offsetTo: ['face'], heightTo: ['topOfKerb'] },
    unusualPaint: 'red',
    facing: 'toItem',
    lath: NARROW,
    colours: colours('pink', 'white'),
    languages: ['en', 'es'],
  },
  kerbBack: {
    ...PLAIN,
    name: 'Kerb: to the back, grade to the top at the back',
    sides: {
      front: [
        line('station', true),
        line('offset'),
        line('to', true),
        line('angle'),
        line('cutFill'),
        line('also'),
        line('why'),
      ],
      back: [line('name'), line('hubHeight')],
      left: [],
      right: [],
    },
    abbreviate: true,
    showUnit: false,
    rounding: { offset: 'hundredth', height: 'hundredth' },
    abbreviations: KERB,
    usual: { offsetTo: ['back'], heightTo: ['back', 'topOfKerb'] },
    unusualPaint: 'blue',
    facing: 'angled',
    lath: NARROW,
    colours: colours('pink', 'white'),
    languages: ['en', 'es'],
  },
  pegLevels: {
    ...PLAIN,
    name: 'Pegs with levels',
    carrier: 'peg',
    sides: {
      front: [line('name', true), line('hubHeight'), line('cutFill'), line('also')],
      back: [line('offset'), line('to'), line('station'), line('angle')],
      left: [line('designHeight')],
      right: [line('why')],
    },
    cut: 'DOWN',
    fill: 'UP',
    onGrade: 'LEVEL',
    abbreviate: true,
    showUnit: false,
    abbreviations: short({
      offset: 'OFF',
      hub: 'PEG',
      design: 'FIN',
      finishedFloor: 'FLOOR',
      topOfKerb: 'TOP K',
      subgrade: 'FORM',
      centreline: 'C/L',
      invert: 'INV',
      ...CHANGES,
      curveBegins: 'CRV IN',
      curveEnds: 'CRV OUT',
      gradeBreak: 'GRAD CH',
    }),
    lath: PEG,
    colours: colours('blue', 'blue'),
    languages: ['en'],
  },
  buildingGrid: {
    ...PLAIN,
    name: 'Building grid',
    sides: {
      front: [line('name', true), line('to'), line('offset'), line('cutFill'), line('also')],
      back: [
        line('angle'),
        line('station'),
        line('why'),
        line('package'),
        line('hubHeight'),
        line('designHeight'),
        line('tolerance'),
      ],
      left: [],
      right: [],
    },
    abbreviate: true,
    showUnit: false,
    abbreviations: short({
      offset: 'OFF',
      finishedFloor: 'FFL',
      topOfWall: 'TOP W',
      underside: 'UNDER',
      gridLine: 'GRID',
      outsideFace: 'OUT F',
      insideFace: 'IN F',
      wallCentre: 'C WALL',
      ...CHANGES,
    }),
    usual: { offsetTo: ['gridLine', 'outsideFace'], heightTo: ['finishedFloor'] },
    lath: WIDE,
    colours: colours('yellow', 'white'),
    languages: ['en', 'es'],
  },
  steelMarks: {
    ...PLAIN,
    name: 'Steel and walls: written on the surface',
    carrier: 'surface',
    sides: {
      front: [line('name', true), line('offset'), line('to'), line('cutFill'), line('also'), line('startsAt')],
      back: [],
      left: [],
      right: [],
    },
    offsetFigure: 'asSet',
    lath: FLAT,
    usual: { offsetTo: ['gridLine', 'centre'], heightTo: [] },
    colours: [
      { kind: 'plateLine', ribbon: '', paint: 'silver marker' },
      { kind: 'scribedLine', ribbon: '', paint: 'silver marker' },
      { kind: 'nail', ribbon: '', paint: 'white' },
    ],
    languages: ['en'],
  },
} as const satisfies Readonly<Record<string, StakeConvention>>;

export type ShippedConvention = keyof typeof SHIPPED_CONVENTIONS;
export const isShipped = (id: string): id is ShippedConvention => Object.hasOwn(SHIPPED_CONVENTIONS, id);
