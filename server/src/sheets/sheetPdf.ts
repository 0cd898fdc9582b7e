/** A cut sheet as PDF: text selectable, fonts embedded, every figure as on the CSV. */
import { formatLength, type LengthUnit } from '@idle-marker/core';
import {
  boardFor,
  north,
  planItems,
  READING_HEIGHT,
  READING_WIDTH,
  scaleBar,
  scaleWords,
  sectionScene,
  SKETCH_OPTIONS,
  sketchScene,
  planScene,
} from '@idle-marker/paper';
import type { CutSheetRow, NumberedSheet } from '@idle-marker/records';
import {
  msg,
  allCautions,
  crewWords,
  filled,
  cutFillWords,
  heldBy,
  LENGTH_DECIMALS,
  markKindWords,
  readingSentences,
  openCautionWords,
  stationNotices,
  sheetClock,
  smallLength,
  standingWords,
  unitAbbreviationWords,
  withheldReasonWords,
  writtenLength,
  type SheetClock,
  worded,
  offAxesHead,
  offAxes,
} from '@idle-marker/words';
import { Flow, type Column } from '../pdf/flow.ts';
import { missingLetters } from '../pdf/letters.ts';
import {
  drawScene,
  finish,
  footPages,
  heightOf,
  INKS,
  MARGIN,
  measureOn,
  newDocument,
  paragraph,
  widthOf,
  write,
  type Page,
  type Progress,
} from '../pdf/pdfPage.ts';
import { sheetNote } from './sheetNote.ts';
import { gradeOf, leadsTo, roundingOf, secondHeight } from './sheetTable.ts';

const length = (metres: number | null, unit: LengthUnit): string =>
  metres === null ? 'none' : formatLength(metres, unit, LENGTH_DECIMALS);

/** To the feature of the package, and to the second one where there is one. */
const bothCuts = (row: CutSheetRow, sheet: NumberedSheet): string =>
  [cutFillWords(row.cutFill, sheet.lengthUnit, roundingOf(row, sheet)), secondHeight(row, sheet)?.text]
    .filter((text) => text !== undefined)
    .join('\n');

/** A true height, and below it the same against the site's zero where that was asked for. */
const heights = (metres: number | null, { lengthUnit, siteZero, bothHeights }: NumberedSheet): string =>
  bothHeights && metres !== null && siteZero !== null
    ? `${length(metres, lengthUnit)}\n(${length(metres - siteZero, lengthUnit)})`
    : length(metres, lengthUnit);

/**
 * Widths in points; together they are the width of the page between its margins. Words that do not fit go on in a
 * second line.
 */
function columnsOf(sheet: NumberedSheet, clock: SheetClock): readonly Column<CutSheetRow>[] {
  const unit = sheet.lengthUnit;
  return [
    { title: msg('common.mark'), width: 50, bold: true, text: (row) => row.name },
    { title: msg('papers.offsetTo'), width: 66, text: leadsTo },
    {
      title: msg('papers.offset'),
      width: 32,
      right: true,
      text: (row) =>
        writtenLength(
          row.reading?.offset ?? row.offset,
          unit,
          row.reading?.rounding.offset ?? sheet.rounding ?? 'finest',
        ),
    },
    { title: msg('papers.ground'), width: 34, right: true, text: (row) => length(row.groundZ, unit) },
    { title: msg('papers.hubElev'), width: 34, right: true, text: (row) => heights(row.hubZ, sheet) },
    { title: msg('papers.design'), width: 34, right: true, text: (row) => heights(row.designZ, sheet) },
    { title: 'Cut / fill', width: 55, right: true, bold: true, text: (row) => bothCuts(row, sheet) },
    {
      title: offAxesHead(sheet.axes ?? 'EN', unit),
      width: 50,
      right: true,
      text: (row) => offAxes(row, sheet.axes ?? 'EN', unit),
    },
    {
      title: msg('common.station'),
      width: 37,
      text: (row) => (row.provisional ? `${row.station}*` : row.station),
    },
    { title: msg('papers.set'), width: 33, text: (row) => clock.time(row.setAt) },
    {
      title: msg('common.proofs'),
      width: 56,
      text: (row) => `${clock.time(row.proofBefore)} / ${clock.time(row.proofAfter)}`,
    },
    { title: msg('papers.standing'), width: 46, text: (row) => standingWords()[row.standing] },
  ];
}
/** More marks than this are drawn on a page of their own. */
const MOST_ON_FIRST = 40;
const SKETCH_HEIGHT = 290;

export interface SheetPaper {
  /** What happened to its marks after it was issued, as sentences. */
  readonly notices?: readonly string[];
  readonly progress?: Progress;
}

export async function sheetPdf(
  sheet: NumberedSheet,
  { notices = [], progress = () => Promise.resolve() }: SheetPaper = {},
): Promise<Buffer> {
  const flow = new Flow(
    newDocument(
      msg('papers.cutSheetRevision', { number: sheet.number, revision: sheet.revision, package: sheet.package }),
    ),
  );
  const { page } = flow;
  const steps = sheet.rows.length + 2;
  drawHead(flow, sheet);
  flow.notices([...notices, ...noticesOf(sheet)]);
  const onFirst = sheet.rows.length <= MOST_ON_FIRST && SKETCH_HEIGHT < flow.left - 60;
  if (onFirst) {
    drawSmallSketch(page, sheet, flow.y);
    flow.space(SKETCH_HEIGHT + 8);
  }
  await progress(1, steps);
  await drawTable(flow, sheet, (row) => progress(1 + row, steps));
  drawFoot(flow, sheet);
  if (!onFirst && sheet.rows.length > 0) {
    for (const scene of sketchScene(sheet, SKETCH_OPTIONS, measureOn(page)).pages) {
      flow.newPage(true);
      drawScene(page, scene);
    }
  }
  numberPages(page, sheet);
  await progress(steps, steps);
  return finish(page);
}

function drawSmallSketch(page: Page, sheet: NumberedSheet, y: number): void {
  const frame = { x: MARGIN, y, w: widthOf(page), h: SKETCH_HEIGHT };
  const inner = { x: MARGIN + 46, y: y + 24, w: frame.w - 92, h: SKETCH_HEIGHT - 60 };
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  if (points.length === 0) return;
  const board = { ...boardFor(points, inner, sheet.lengthUnit), frame };
  const few = { ...SKETCH_OPTIONS, heights: false, offsets: false, diagonals: false };
  drawScene(page, { items: planItems(sheet, board, few, measureOn(page)) });
  drawScene(page, {
    items: [
      ...north(MARGIN + frame.w - 10, y + 4),
      ...scaleBar(MARGIN + frame.w - 4, y + SKETCH_HEIGHT - 4, board, sheet.lengthUnit),
    ],
  });
  write(page, scaleWords(board.scale, sheet.lengthUnit), MARGIN, y + SKETCH_HEIGHT - 12, 'regular', 7.5, INKS.ink2);
}

function drawHead(flow: Flow, sheet: NumberedSheet): void {
  const { page } = flow;
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const half = widthOf(page) / 2;
  let right = MARGIN + 2;
  const say = (text: string, bold = false) => {
    const [font, size, x] = [bold ? 'bold' : 'regular', 9, MARGIN + half] as const;
    write(page, text, x, right, font, size, bold ? INKS.ink : INKS.ink2, {
      width: half,
      align: 'right',
      lineBreak: true,
    });
    right += heightOf(page, text, half, font, size) + 1.5;
  };
  write(
    page,
    msg('papers.cutSheetRevision2', { number: sheet.number, revision: sheet.revision }),
    MARGIN,
    MARGIN,
    'bold',
    18,
    INKS.ink,
  );
  let left = MARGIN + 25;
  const name = sheet.selection
    ? `${sheet.package}: ${sheet.selection} · ${sheet.site}`
    : `${sheet.package} · ${sheet.site}`;
  left += paragraph(page, name, MARGIN, left, half - 8, 'regular', 11, INKS.ink);
  say(
    sheet.setFrom && sheet.setTo
      ? msg('papers.setToBy', {
          day: clock.day(sheet.setFrom),
          time: clock.time(sheet.setFrom),
          time2: clock.time(sheet.setTo),
          setBy: sheet.setBy.join(', '),
        })
      : msg('papers.nothingSet'),
    true,
  );
  for (const station of sheet.stations)
    say(
      msg('papers.station2', {
        name: station.name,
        heldBy: heldBy(station.method, station.marks),
        radius95Mm:
          station.radius95Mm === null ? '' : `; 95 %: ${smallLength(station.radius95Mm / 1000, sheet.lengthUnit)}`,
      }),
    );
  say(
    msg('papers.forWithinPlanHeight', {
      crew: sheet.crew,
      givenTo: sheet.givenTo ? msg('papers.givenTo', { givenTo: sheet.givenTo }) : '',
      className: sheet.className,
      smallLength: smallLength(sheet.planMm / 1000, sheet.lengthUnit),
      smallLength2: smallLength(sheet.heightMm / 1000, sheet.lengthUnit),
    }),
  );
  if (sheet.validUntil) say(msg('papers.notToBeBuiltFromAfter', { validUntil: sheet.validUntil }), true);
  const use = [
    sheet.markKind && msg('papers.marks', { markKind: markKindWords()[sheet.markKind] }),
    sheet.use && msg('papers.for', { use: sheet.use }),
  ]
    .filter(Boolean)
    .join(', ');
  if (use) left += paragraph(page, use, MARGIN, left + 2, half - 8, 'regular', 9, INKS.ink) + 2;
  if (sheet.remarks) left += paragraph(page, sheet.remarks, MARGIN, left + 2, half - 8, 'medium', 9, INKS.ink) + 2;
  flow.y = Math.max(left, right) + 5;
  flow.rule(INKS.ink, 1.5, 10);
}

const changeWords = worded(
  () =>
    ({
      added: 'added',
      removed: msg('papers.takenAway'),
      setAgain: msg('papers.setAgain'),
      withheld: 'withheld',
      figures: msg('papers.otherFigures'),
      writtenAnew: msg('papers.stakeWrittenAnew'),
    }) as const,
);

const changesByKind = ({ changes }: NumberedSheet): string =>
  (Object.keys(changeWords()) as (keyof ReturnType<typeof changeWords>)[])
    .map(
      (kind) => [changeWords()[kind], changes.filter(({ change }) => change === kind).map(({ name }) => name)] as const,
    )
    .filter(([, names]) => names.length > 0)
    .map(([words, names]) => `${words}: ${names.join(', ')}`)
    .join('; ');

/**
 * What has to be read first: what happened since, changes, marks kept back, provisional stations, letters that no font
 * has.
 */
function noticesOf(sheet: NumberedSheet): readonly string[] {
  const notices: string[] = [];
  if (sheet.changes.length > 0)
    notices.push(
      msg('papers.changedSinceRevision', { revision: sheet.revision - 1, changesByKind: changesByKind(sheet) }),
    );
  for (const each of sheet.withheld)
    notices.push(
      msg('papers.isWithheldDoNotBuildFromIt', { name: each.name, withheldReason: withheldReasonWords()[each.reason] }),
    );
  for (const station of sheet.stations)
    notices.push(...stationNotices(station, sheet.lengthUnit).map((notice) => `* ${notice}`));
  notices.push(...(sheet.open ?? []).map(openCautionWords));
  const open = sheet.rows.filter((row) => row.standing !== 'held');
  if (open.length > 0)
    notices.push(
      msg('papers.notHeldByAProofAfterSetting', {
        open: open.map((row) => `${row.name} (${standingWords()[row.standing]})`).join(', '),
      }),
    );
  const letters = missingLetters([sheet.site, sheet.package, sheet.crew, ...sheet.rows.map((row) => row.name)]);
  if (letters.length > 0) notices.push(msg('papers.lettersThatThisPaperHasNoPicture', { letters: letters.join(' ') }));
  return notices;
}

async function drawTable(flow: Flow, sheet: NumberedSheet, done: (row: number) => Promise<void>): Promise<void> {
  const grades = [...new Set(sheet.rows.map((row) => gradeOf(row, sheet)))];
  const seconds = [...new Set(sheet.rows.flatMap((row) => secondHeight(row, sheet)?.to ?? []))];
  const about = [
    msg('papers.lengthsAndHeightsInDesign', {
      unit: unitAbbreviationWords()[sheet.lengthUnit],
      bothHeights: sheet.bothHeights ? msg('papers.inBracketsAgainstSiteZero') : '',
      grades: grades.join(', ') || 'none',
      seconds: seconds.length > 0 ? msg('papers.secondFigureTo', { seconds: seconds.join(', ') }) : '',
    }),
    msg('papers.cutTheHubIsAboveDesignFill'),
  ].join(' ');
  await flow.table(columnsOf(sheet, sheetClock(sheet.timeZone, sheet.setFrom)), sheet.rows, {
    about,
    note: (row) =>
      sheetNote(row, languagesOf(sheet), (metres) => formatLength(metres, sheet.lengthUnit, LENGTH_DECIMALS)),
    progress: done,
  });
}

const languagesOf = ({ languages }: NumberedSheet): readonly string[] =>
  languages && languages.length > 0 ? languages : ['en'];

/** How to read the hubs, drawn and in words from one of them, and the cautions. */
function drawFoot(flow: Flow, sheet: NumberedSheet): void {
  const example =
    sheet.rows.find((row) => row.reading && row.cutFill !== null)?.reading ??
    sheet.rows.find((row) => row.reading)?.reading ??
    null;
  flow.space(12);
  for (const code of example ? languagesOf(sheet) : []) drawReading(flow, sheet, example!, code);
  flow.room(40);
  flow.text(allCautions().join(' '), { size: 8, colour: INKS.ink2 });
}

const READING_SCALE = 0.82;

/** One mark in one language. */
function drawReading(
  flow: Flow,
  sheet: NumberedSheet,
  reading: NonNullable<CutSheetRow['reading']>,
  code: string,
): void {
  const { page } = flow;
  const asked = { words: crewWords(code), unit: sheet.lengthUnit, measure: measureOn(page) };
  flow.room(READING_HEIGHT * READING_SCALE + 82);
  flow.text(filled(asked.words.reading.title, { name: reading.name }), { font: 'bold', size: 10 });
  drawScene(page, sectionScene(reading, asked), MARGIN, flow.y, READING_SCALE);
  drawScene(page, planScene(reading, asked), MARGIN + READING_WIDTH * READING_SCALE + 20, flow.y, READING_SCALE);
  flow.space(READING_HEIGHT * READING_SCALE + 6);
  const steps = readingSentences(reading, { ...asked, standing: 'held', who: sheet.issuedBy }).filter(
    ({ kind }) => kind !== 'note',
  );
  flow.text(steps.map(({ text }) => text).join(' '), { gap: 8 });
}

function numberPages(page: Page, sheet: NumberedSheet): void {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const zero = sheet.siteZero;
  const said =
    zero === null
      ? msg('papers.allHeightsAreTrueHeights2')
      : msg('papers.allHeightsAreTrueHeightsSiteZero', {
          length: length(zero, sheet.lengthUnit),
          unitAbbreviation: unitAbbreviationWords()[sheet.lengthUnit],
        });
  footPages(
    page,
    said,
    msg('papers.issuedBy', {
      day: clock.day(sheet.issuedAt),
      time: clock.time(sheet.issuedAt),
      issuedBy: sheet.issuedBy,
    }),
  );
}
