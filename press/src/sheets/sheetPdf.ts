/** A cut sheet as PDF: text selectable, fonts embedded, every figure as on the CSV. */
import { formatLength, type LengthUnit } from '@idle-marker/core';
import {
  boardFor,
  liesUpright,
  north,
  PAPERS,
  planItems,
  scaleBar,
  scaleWords,
  SKETCH_OPTIONS,
  sketchScene,
  type Paper,
} from '@idle-marker/paper';
import { sitePaper, type CutSheetRow, type NumberedSheet } from '@idle-marker/records';
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
  heightOf,
  INKS,
  LEAST_SIZE,
  MARGIN,
  measureOn,
  newDocument,
  paragraph,
  widthOf,
  write,
  type Font,
  type Progress,
} from '../pdf/pdfPage.ts';
import { tableWidth } from '../pdf/table.ts';
import { drawReadingScenes, readingHeight } from '../papers/drawReading.ts';
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

/** Letters of what is built from, of heads, and of what stands behind it, points. */
const FIRST_SIZE = 12;
const HEAD_SIZE = 10;
const SECOND_SIZE = 10;

/** What is built from comes first and in the largest letters; what it hangs on stands behind it. */
function columnsOf(sheet: NumberedSheet, clock: SheetClock): readonly Column<CutSheetRow>[] {
  const unit = sheet.lengthUnit;
  const axes = sheet.axes ?? 'EN';
  const east = { title: msg('common.east'), right: true, text: (row: CutSheetRow) => length(row.place.e, unit) };
  const north = { title: msg('common.north'), right: true, text: (row: CutSheetRow) => length(row.place.n, unit) };
  const hasGround = sheet.rows.some(({ groundZ }) => groundZ !== null);
  return [
    { title: msg('common.mark'), size: FIRST_SIZE, bold: true, text: (row) => row.name },
    { title: msg('papers.offsetTo'), text: leadsTo },
    {
      title: msg('papers.offset'),
      size: FIRST_SIZE,
      right: true,
      text: (row) =>
        writtenLength(
          row.reading?.offset ?? row.offset,
          unit,
          row.reading?.rounding.offset ?? sheet.rounding ?? 'finest',
        ),
    },
    { title: 'Cut / fill', size: FIRST_SIZE, right: true, bold: true, text: (row) => bothCuts(row, sheet) },
    { title: msg('papers.design'), right: true, text: (row) => heights(row.designZ, sheet) },
    { title: msg('papers.hubElev'), right: true, text: (row) => heights(row.hubZ, sheet) },
    ...(hasGround
      ? [{ title: msg('papers.ground'), right: true, text: (row: CutSheetRow) => length(row.groundZ, unit) }]
      : []),
    ...(sheet.coordinates === true ? (axes === 'NE' ? [north, east] : [east, north]) : []),
    { title: offAxesHead(axes, unit), right: true, text: (row) => offAxes(row, axes, unit) },
    { title: msg('common.station'), text: (row) => (row.provisional ? `${row.station}*` : row.station) },
    { title: msg('papers.set'), text: (row) => clock.time(row.setAt) },
    { title: msg('common.proofs'), text: (row) => `${clock.time(row.proofBefore)} / ${clock.time(row.proofAfter)}` },
    { title: msg('papers.standing'), text: (row) => standingWords()[row.standing] },
  ];
}

export interface SheetPaper {
  /** What happened to its marks after it was issued, as sentences. */
  readonly notices?: readonly string[];
  readonly progress?: Progress;
}

/** Less room than this is too little for a drawing of the marks. */
const LEAST_SKETCH = 230;

export async function sheetPdf(
  sheet: NumberedSheet,
  { notices = [], progress = () => Promise.resolve() }: SheetPaper = {},
): Promise<Buffer> {
  const page = newDocument(
    msg('papers.cutSheetRevision', { number: sheet.number, revision: sheet.revision, package: sheet.package }),
  );
  const size = sitePaper(sheet);
  const columns = columnsOf(sheet, sheetClock(sheet.timeZone, sheet.setFrom));
  const wish = tableWidth(page, columns, sheet.rows, TABLE);
  const upright = wish <= PAPERS[size][0] - 2 * MARGIN;
  const flow = new Flow(page, { size, upright });
  const steps = sheet.rows.length + 2;
  drawHead(flow, sheet);
  flow.notices([...notices, ...noticesOf(sheet)]);
  await progress(1, steps);
  await drawTable(flow, sheet, columns, (row) => progress(1 + row, steps));
  drawFoot(flow, sheet);
  if (sheet.rows.length > 0) drawSketch(flow, sheet, size);
  numberPages(flow, sheet);
  await progress(steps, steps);
  return finish(page);
}

const TABLE = { size: SECOND_SIZE, headSize: HEAD_SIZE } as const;

const sketchTitle = (sheet: NumberedSheet): string => msg('papers.sketch', { package: sheet.package });

/** In what is left of the page where all names have room in it; else on pages of its own. */
function drawSketch(flow: Flow, sheet: NumberedSheet, size: Paper): void {
  const measure = measureOn(flow.page);
  if (flow.left >= LEAST_SKETCH && drawSmallSketch(flow, sheet)) return;
  const options = { ...SKETCH_OPTIONS, paper: size, upright: liesUpright(sheet, size) };
  for (const scene of sketchScene(sheet, options, measure).pages) {
    flow.newPage({ size, upright: options.upright });
    drawScene(flow.page, scene, sketchTitle(sheet));
  }
}

/** Whether it was drawn. */
function drawSmallSketch(flow: Flow, sheet: NumberedSheet): boolean {
  const { page } = flow;
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  const [y, height] = [flow.y + 6, flow.left - 8];
  const frame = { x: MARGIN, y, w: flow.width, h: height };
  const inner = { x: MARGIN + 56, y: y + 26, w: frame.w - 112, h: height - 62 };
  const board = { ...boardFor(points, inner, sheet.lengthUnit), frame };
  const items = planItems(sheet, board, { ...SKETCH_OPTIONS, heights: false, diagonals: false }, measureOn(page));
  if (!items) return false;
  const scale = scaleWords(board.scale, sheet.lengthUnit);
  drawScene(
    page,
    {
      items: [
        ...items,
        ...north(MARGIN + frame.w - 10, y + 4),
        ...scaleBar(MARGIN + frame.w - 4, y + height - 6, board, sheet.lengthUnit),
      ],
    },
    `${sketchTitle(sheet)}, ${scale}`,
  );
  write(page, scale, MARGIN, y + height - 14, 'regular', LEAST_SIZE, INKS.ink);
  flow.space(height);
  return true;
}

/** What it is, for whom and how good at the left; when it was set and from where at the right. */
function drawHead(flow: Flow, sheet: NumberedSheet): void {
  const { page } = flow;
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  flow.title(msg('papers.cutSheetRevision2', { number: sheet.number, revision: sheet.revision }), null, 20);
  flow.text(
    sheet.selection ? `${sheet.package}: ${sheet.selection} · ${sheet.site}` : `${sheet.package} · ${sheet.site}`,
    { font: 'medium', size: 14, gap: 4 },
  );
  const top = flow.y;
  const half = widthOf(page) / 2 - 8;
  const columnAt = (x: number, texts: readonly (readonly [string, Font])[]) =>
    texts.reduce((y, [text, font]) => y + paragraph(page, text, x, y, half, font, HEAD_SIZE, INKS.ink) + 2, top);
  const use = [
    sheet.markKind && msg('papers.marks', { markKind: markKindWords()[sheet.markKind] }),
    sheet.use && msg('papers.for', { use: sheet.use }),
  ]
    .filter(Boolean)
    .join(', ');
  const left = columnAt(MARGIN, [
    [
      msg('papers.forWithinPlanHeight', {
        crew: sheet.crew,
        givenTo: sheet.givenTo ? msg('papers.givenTo', { givenTo: sheet.givenTo }) : '',
        className: sheet.className,
        smallLength: smallLength(sheet.planMm / 1000, sheet.lengthUnit),
        smallLength2: smallLength(sheet.heightMm / 1000, sheet.lengthUnit),
      }),
      'regular',
    ],
    ...(use ? [[use, 'regular'] as const] : []),
    ...(sheet.validUntil
      ? [[msg('papers.notToBeBuiltFromAfter', { validUntil: sheet.validUntil }), 'bold'] as const]
      : []),
    ...(sheet.remarks ? [[sheet.remarks, 'medium'] as const] : []),
  ]);
  const right = columnAt(MARGIN + half + 16, [
    [
      sheet.setFrom && sheet.setTo
        ? msg('papers.setToBy', {
            day: clock.day(sheet.setFrom),
            time: clock.time(sheet.setFrom),
            time2: clock.time(sheet.setTo),
            setBy: sheet.setBy.join(', '),
          })
        : msg('papers.nothingSet'),
      'medium',
    ],
    ...sheet.stations.map(
      (station) =>
        [
          msg('papers.station2', {
            name: station.name,
            heldBy: heldBy(station.method, station.marks),
            radius95Mm:
              station.radius95Mm === null ? '' : `; 95 %: ${smallLength(station.radius95Mm / 1000, sheet.lengthUnit)}`,
          }),
          'regular',
        ] as const,
    ),
  ]);
  flow.y = Math.max(left, right) + 4;
  flow.rule(INKS.ink, 1.5, 9);
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

async function drawTable(
  flow: Flow,
  sheet: NumberedSheet,
  columns: readonly Column<CutSheetRow>[],
  done: (row: number) => Promise<void>,
): Promise<void> {
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
  await flow.table(columns, sheet.rows, {
    ...TABLE,
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
  flow.space(8);
  for (const code of example ? languagesOf(sheet) : []) drawReading(flow, sheet, example!, code);
  flow.text(allCautions().join(' '));
}

/** One mark in one language. */
function drawReading(
  flow: Flow,
  sheet: NumberedSheet,
  reading: NonNullable<CutSheetRow['reading']>,
  code: string,
): void {
  const asked = { words: crewWords(code), unit: sheet.lengthUnit };
  const steps = readingSentences(reading, { ...asked, standing: 'held', who: sheet.issuedBy })
    .filter(({ kind }) => kind !== 'note')
    .map(({ text }) => text)
    .join(' ');
  const title = filled(asked.words.reading.title, { name: reading.name });
  flow.room(readingHeight(flow) + heightOf(flow.page, steps, flow.width, 'regular', HEAD_SIZE) + 30);
  flow.text(title, { font: 'bold', size: 11 });
  drawReadingScenes(flow, reading, asked, title);
  flow.text(steps, { size: HEAD_SIZE, gap: 8 });
}

function numberPages(flow: Flow, sheet: NumberedSheet): void {
  const clock = sheetClock(sheet.timeZone, sheet.setFrom);
  const zero = sheet.siteZero;
  flow.foot(
    [
      msg('papers.cutSheetRevision2', { number: sheet.number, revision: sheet.revision }),
      sheet.selection ? `${sheet.package}: ${sheet.selection}` : sheet.package,
      sheet.site,
    ].join(' · '),
    {
      note:
        zero === null
          ? msg('papers.allHeightsAreTrueHeights2')
          : msg('papers.allHeightsAreTrueHeightsSiteZero', {
              length: length(zero, sheet.lengthUnit),
              unitAbbreviation: unitAbbreviationWords()[sheet.lengthUnit],
            }),
      by: msg('papers.issuedBy', {
        day: clock.day(sheet.issuedAt),
        time: clock.time(sheet.issuedAt),
        issuedBy: sheet.issuedBy,
      }),
    },
  );
}
