/** A cut sheet as PDF: text selectable, fonts embedded, every figure as on the CSV. */
import { formatLength, formatSigned, type LengthUnit } from '@idle-marker/core';
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
} from '@idle-marker/words';
import { missingLetters } from '../pdf/letters.ts';
import {
  bottomOf,
  drawScene,
  finish,
  footPages,
  heightOf,
  INKS,
  MARGIN,
  measureOn,
  newDocument,
  paragraph,
  rule,
  widthOf,
  write,
  type Page,
  type Progress,
} from '../pdf/pdfPage.ts';
import { sheetNote } from './sheetNote.ts';
import { gradeOf, leadsTo, roundingOf, secondHeight } from './sheetTable.ts';

interface Column {
  readonly title: string;
  readonly width: number;
  readonly align: 'left' | 'right';
  text(row: CutSheetRow, unit: LengthUnit, clock: SheetClock, sheet: NumberedSheet): string;
}

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
const sheetColumns = worded((): readonly Column[] => [
  { title: msg('common.mark'), width: 50, align: 'left', text: (row) => row.name },
  { title: msg('papers.offsetTo'), width: 66, align: 'left', text: leadsTo },
  {
    title: msg('papers.offset'),
    width: 32,
    align: 'right',
    text: (row, unit, _clock, sheet) =>
      writtenLength(
        row.reading?.offset ?? row.offset,
        unit,
        row.reading?.rounding.offset ?? sheet.rounding ?? 'finest',
      ),
  },
  { title: msg('papers.ground'), width: 34, align: 'right', text: (row, unit) => length(row.groundZ, unit) },
  {
    title: msg('common.hub'),
    width: 34,
    align: 'right',
    text: (row, _unit, _clock, sheet) => heights(row.hubZ, sheet),
  },
  {
    title: msg('papers.design'),
    width: 34,
    align: 'right',
    text: (row, _unit, _clock, sheet) => heights(row.designZ, sheet),
  },
  { title: 'Cut / fill', width: 55, align: 'right', text: (row, _unit, _clock, sheet) => bothCuts(row, sheet) },
  {
    title: msg('papers.eNOffMm'),
    width: 50,
    align: 'right',
    text: (row) => `${formatSigned(row.dEMm, 0)} / ${formatSigned(row.dNMm, 0)}`,
  },
  {
    title: msg('common.station'),
    width: 37,
    align: 'left',
    text: (row) => (row.provisional ? `${row.station}*` : row.station),
  },
  { title: msg('papers.set'), width: 33, align: 'left', text: (row, _unit, clock) => clock.time(row.setAt) },
  {
    title: msg('common.proofs'),
    width: 56,
    align: 'left',
    text: (row, _unit, clock) => `${clock.time(row.proofBefore)} / ${clock.time(row.proofAfter)}`,
  },
  { title: msg('papers.standing'), width: 46, align: 'left', text: (row) => standingWords()[row.standing] },
]);
const ROW_SIZE = 7.8;
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
  const page = newDocument(
    msg('papers.cutSheetRevision', { number: sheet.number, revision: sheet.revision, package: sheet.package }),
  );
  const steps = sheet.rows.length + 2;
  let y = drawHead(page, sheet);
  y = drawNotices(page, sheet, notices, y);
  const onFirst = sheet.rows.length <= MOST_ON_FIRST && y + SKETCH_HEIGHT < bottomOf(page) - 60;
  if (onFirst) {
    drawSmallSketch(page, sheet, y);
    y += SKETCH_HEIGHT + 8;
  }
  await progress(1, steps);
  y = await drawTable(page, sheet, y, (row) => progress(1 + row, steps));
  drawFoot(page, sheet, y);
  if (!onFirst && sheet.rows.length > 0) {
    for (const scene of sketchScene(sheet, SKETCH_OPTIONS, measureOn(page)).pages) {
      page.addPage({ size: 'A4', layout: 'landscape', margin: MARGIN });
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

function drawHead(page: Page, sheet: NumberedSheet): number {
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
  const y = Math.max(left, right) + 5;
  rule(page, y, INKS.ink, 1.5);
  return y + 10;
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
function drawNotices(page: Page, sheet: NumberedSheet, since: readonly string[], top: number): number {
  const notices: string[] = [...since];
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
  if (notices.length === 0) return top;
  const width = widthOf(page) - 20;
  const height = notices.reduce((sum, notice) => sum + heightOf(page, notice, width, 'medium', 9) + 3, 10);
  page.rect(MARGIN, top, widthOf(page), height).lineWidth(1).fillAndStroke(INKS.tint, INKS.brick);
  let y = top + 6;
  for (const notice of notices) y += paragraph(page, notice, MARGIN + 10, y, width, 'medium', 9, INKS.brick) + 3;
  return top + height + 8;
}

/** Rows between two looks at whether anybody still waits. */
const ROWS_A_STEP = 10;

async function drawTable(
  page: Page,
  sheet: NumberedSheet,
  top: number,
  done: (row: number) => Promise<void>,
): Promise<number> {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const unit = unitAbbreviationWords()[sheet.lengthUnit];
  const grades = [...new Set(sheet.rows.map((row) => gradeOf(row, sheet)))];
  const seconds = [...new Set(sheet.rows.flatMap((row) => secondHeight(row, sheet)?.to ?? []))];
  const heads = () => {
    const about = [
      msg('papers.lengthsAndHeightsInDesign', {
        unit,
        bothHeights: sheet.bothHeights ? msg('papers.inBracketsAgainstSiteZero') : '',
        grades: grades.join(', ') || 'none',
        seconds: seconds.length > 0 ? msg('papers.secondFigureTo', { seconds: seconds.join(', ') }) : '',
      }),
      msg('papers.cutTheHubIsAboveDesignFill'),
    ].join(' ');
    y += paragraph(page, about, MARGIN, y, widthOf(page), 'regular', 8, INKS.ink2) + 4;
    y += drawRow(page, y, (column) => column.title, 'bold') + 2;
    rule(page, y, INKS.ink);
    y += 4;
  };
  let y = top;
  heads();
  for (const [i, row] of sheet.rows.entries()) {
    const text = (column: Column) => column.text(row, sheet.lengthUnit, clock, sheet);
    const note = sheetNote(row, languagesOf(sheet), (metres) =>
      formatLength(metres, sheet.lengthUnit, LENGTH_DECIMALS),
    );
    const needed = rowHeight(page, text) + (note ? heightOf(page, note, widthOf(page) - 20, 'regular', ROW_SIZE) : 0);
    if (y + needed > bottomOf(page)) {
      page.addPage({ size: 'A4', margin: MARGIN });
      y = MARGIN;
      heads();
    }
    y += drawRow(page, y, text, 'regular') + 1;
    if (note) y += paragraph(page, note, MARGIN + 10, y, widthOf(page) - 20, 'regular', ROW_SIZE, INKS.ink2);
    y += 2;
    rule(page, y, INKS.rule, 0.5);
    y += 3;
    if (i % ROWS_A_STEP === 0) await done(i);
  }
  return y;
}

const isBold = ({ title }: Column, font: 'regular' | 'bold'): boolean =>
  font === 'bold' || title === 'Cut / fill' || title === 'Mark';
/** Words after a column of figures start a little apart from them. */
const indentOf = (column: Column): number => (column.align === 'left' && column !== sheetColumns()[0] ? 4 : 0);

function rowHeight(page: Page, text: (column: Column) => string, font: 'regular' | 'bold' = 'regular'): number {
  const tall = sheetColumns().map((column) =>
    heightOf(
      page,
      text(column),
      column.width - 4 - indentOf(column),
      isBold(column, font) ? 'bold' : 'regular',
      ROW_SIZE,
    ),
  );
  return Math.max(...tall);
}

/** Draws one row and gives the height that it took. */
function drawRow(page: Page, y: number, text: (column: Column) => string, font: 'regular' | 'bold'): number {
  const height = rowHeight(page, text, font);
  let x = MARGIN;
  for (const column of sheetColumns()) {
    const indent = indentOf(column);
    write(page, text(column), x + indent, y, isBold(column, font) ? 'bold' : 'regular', ROW_SIZE, INKS.ink, {
      width: column.width - 4 - indent,
      align: column.align,
      lineBreak: true,
    });
    x += column.width;
  }
  return height;
}

const languagesOf = ({ languages }: NumberedSheet): readonly string[] =>
  languages && languages.length > 0 ? languages : ['en'];

/** How to read the hubs, drawn and in words from one of them, and the cautions. */
function drawFoot(page: Page, sheet: NumberedSheet, top: number): void {
  const example =
    sheet.rows.find((row) => row.reading && row.cutFill !== null)?.reading ??
    sheet.rows.find((row) => row.reading)?.reading ??
    null;
  let y = top + 12;
  const roomFor = (needed: number) => {
    if (y + needed <= bottomOf(page)) return;
    page.addPage({ size: 'A4', margin: MARGIN });
    y = MARGIN;
  };
  for (const code of example ? languagesOf(sheet) : []) {
    roomFor(READING_HEIGHT * READING_SCALE + 82);
    y += drawReading(page, sheet, example!, code, y) + 8;
  }
  roomFor(40);
  paragraph(page, allCautions().join(' '), MARGIN, y, widthOf(page), 'regular', 8, INKS.ink2);
}

const READING_SCALE = 0.82;

/** One mark in one language, and the height that it took. */
function drawReading(
  page: Page,
  sheet: NumberedSheet,
  reading: NonNullable<CutSheetRow['reading']>,
  code: string,
  top: number,
): number {
  const asked = { words: crewWords(code), unit: sheet.lengthUnit, measure: measureOn(page) };
  write(page, filled(asked.words.reading.title, { name: reading.name }), MARGIN, top, 'bold', 10, INKS.ink);
  drawScene(page, sectionScene(reading, asked), MARGIN, top + 14, READING_SCALE);
  drawScene(page, planScene(reading, asked), MARGIN + READING_WIDTH * READING_SCALE + 20, top + 14, READING_SCALE);
  const drawn = READING_HEIGHT * READING_SCALE + 20;
  const steps = readingSentences(reading, { ...asked, standing: 'held', who: sheet.issuedBy }).filter(
    ({ kind }) => kind !== 'note',
  );
  return (
    drawn +
    paragraph(
      page,
      steps.map(({ text }) => text).join(' '),
      MARGIN,
      top + drawn,
      widthOf(page),
      'regular',
      8.5,
      INKS.ink,
    )
  );
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
