/** The as-built report: a picture of where things stand off their design, bolts as groups, columns, and every row. */
import { formatLength } from '@idle-marker/core';
import type { AsBuiltReport, AsBuiltRow, BoltGroup, ColumnRow } from '@idle-marker/records';
import {
  msg,
  faceWords,
  heightOffWords,
  heldBy,
  LENGTH_DECIMALS,
  offWords,
  patternWords,
  sheetClock,
  smallLength,
  standingWords,
  stationNotices,
  unitAbbreviationWords,
} from '@idle-marker/words';
import {
  bottomOf,
  finish,
  heightOf,
  INKS,
  MARGIN,
  newDocument,
  paragraph,
  rule,
  widthOf,
  write,
  type Page,
} from '../pdf/pdfPage.ts';

const SIZE = 8;
const PLAN_HEIGHT = 200;
/** Differences are drawn so many times as large. */
const EXAGGERATION = 100;

export async function asBuiltPdf(report: AsBuiltReport, timeZone: string): Promise<Buffer> {
  const page = newDocument(msg('papers.asBuilt', { site: report.site }));
  const clock = sheetClock(timeZone, report.at);
  let y = drawHead(page, report, timeZone, `${clock.day(report.at)} ${clock.time(report.at)}`);
  for (const group of report.groups) y = drawGroup(page, report, group, y);
  if (report.columns.length > 0) y = drawColumns(page, report, y);
  for (const each of report.laid) y = drawLaid(page, report, each, y);
  drawRows(page, report, y);
  numberPages(page, report);
  return finish(page);
}

function room(page: Page, y: number, needed: number): number {
  if (y + needed <= bottomOf(page)) return y;
  page.addPage();
  return MARGIN;
}

function drawHead(page: Page, report: AsBuiltReport, timeZone: string, when: string): number {
  write(page, msg('common.asBuilt'), MARGIN, MARGIN, 'bold', 20, INKS.ink);
  write(page, report.site, MARGIN, MARGIN + 26, 'regular', 11, INKS.ink);
  const right = (text: string, y: number, bold = false) =>
    write(page, text, MARGIN, y, bold ? 'bold' : 'regular', 9, bold ? INKS.ink : INKS.ink2, {
      width: widthOf(page),
      align: 'right',
    });
  right(msg('papers.by2', { when, by: report.by }), MARGIN + 2, true);
  const outside = report.rows.filter(({ within }) => within === false).length;
  right(
    msg('papers.measuredOutside', {
      rows: report.rows.length,
      outside: outside === 0 ? 'none' : outside,
      outside2: outside,
    }),
    MARGIN + 15,
  );
  let y = MARGIN + 46;
  const clock = sheetClock(timeZone, report.at);
  for (const station of report.stations) {
    const { evidence, radius95Mm } = station;
    const proofs =
      evidence &&
      (evidence.proofs.last === null
        ? msg('papers.noProof')
        : msg('papers.goodAndMissedProofsTheLast', {
            good: evidence.proofs.good,
            missed: evidence.proofs.missed,
            time: clock.time(evidence.proofs.last),
          }));
    const parts = [
      msg('papers.station', { name: station.name, heldBy: heldBy(station.method, station.marks) }),
      radius95Mm !== null && `95 %: ${smallLength(radius95Mm / 1000, report.lengthUnit)}`,
      evidence && msg('papers.acceptedFor', { className: evidence.className.toLowerCase() }),
      proofs,
    ];
    y += paragraph(page, `${parts.filter(Boolean).join('; ')}.`, MARGIN, y, widthOf(page), 'regular', 9, INKS.ink) + 2;
    for (const notice of stationNotices(station, report.lengthUnit))
      y += paragraph(page, notice, MARGIN, y, widthOf(page), 'medium', 9, INKS.brick) + 2;
  }
  rule(page, y + 2, INKS.ink, 1.5);
  return y + 12;
}

/** A group of bolts, drawn with what each is off, and said as a whole. */
function drawGroup(page: Page, report: AsBuiltReport, group: BoltGroup, top: number): number {
  const { lengthUnit } = report;
  const y = room(page, top, PLAN_HEIGHT + 30);
  const built = group.bolts.filter(({ difference }) => difference !== null);
  const said = group.fit && patternWords(group.fit, built.length, group.tolerance, report);
  const textX = MARGIN + PLAN_HEIGHT + 20;
  const width = widthOf(page) - PLAN_HEIGHT - 20;
  write(page, msg('papers.group', { name: group.name, name2: group.work.body.name }), textX, y, 'bold', 11, INKS.ink);
  let textY = y + 16;
  const colour = said?.tone === 'brick' ? INKS.brick : INKS.ink;
  textY +=
    paragraph(
      page,
      said ? `${said.title}. ${said.text}` : msg('papers.oneBoltAloneShowsNoPattern'),
      textX,
      textY,
      width,
      'medium',
      9,
      colour,
    ) + 6;
  for (const { plan, difference } of built) {
    const text = `${plan.corner}: ${offWords(difference!.dE, difference!.dN, lengthUnit)}${difference!.dZ === null ? '' : `, ${heightOffWords(difference!.dZ, lengthUnit)}`}`;
    textY += paragraph(page, text, textX, textY, width, 'regular', 8.5, difference!.within ? INKS.ink : INKS.brick) + 1;
  }
  drawPlan(
    page,
    built.map(({ difference }) => difference!),
    { x: MARGIN, y, size: PLAN_HEIGHT },
  );
  return Math.max(textY, y + PLAN_HEIGHT) + 14;
}

type Shown = NonNullable<BoltGroup['bolts'][number]['difference']>;

function drawPlan(
  page: Page,
  shown: readonly Shown[],
  frame: { readonly x: number; readonly y: number; readonly size: number },
): void {
  const [east, north] = [shown.map(({ plan }) => plan.design.e), shown.map(({ plan }) => plan.design.n)];
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const span = Math.max(maxE - minE, maxN - minN, 0.2);
  const scale = (frame.size - 60) / span;
  const x = (e: number) => frame.x + frame.size / 2 + (e - (minE + maxE) / 2) * scale;
  const y = (n: number) => frame.y + frame.size / 2 - (n - (minN + maxN) / 2) * scale;
  page.rect(frame.x, frame.y, frame.size, frame.size).lineWidth(0.75).strokeColor(INKS.rule).stroke();
  for (const { plan, dE, dN, within } of shown) {
    const [px, py] = [x(plan.design.e), y(plan.design.n)];
    page.circle(px, py, 3).lineWidth(0.8).strokeColor(INKS.pencil).stroke();
    page
      .moveTo(px, py)
      .lineTo(px + dE * EXAGGERATION * scale, py - dN * EXAGGERATION * scale)
      .lineWidth(1.2)
      .strokeColor(within ? INKS.ink : INKS.brick)
      .stroke();
    write(page, plan.corner, px + 5, py + 3, 'medium', 7, INKS.pencil);
  }
  write(
    page,
    msg('papers.northIsUpLinesFromTheDesign', { exaggeration: EXAGGERATION }),
    frame.x + 4,
    frame.y + frame.size - 11,
    'regular',
    7,
    INKS.ink2,
  );
}

function drawColumns(page: Page, report: AsBuiltReport, top: number): number {
  let y = room(page, top, 60);
  write(page, msg('papers.columns'), MARGIN, y, 'bold', 11, INKS.ink);
  y += 16;
  for (const row of report.columns) {
    const said = wordsOf(row, report);
    if (!said) continue;
    const text = `${said.title}. ${said.lines.join(' ')}`;
    y = room(page, y, heightOf(page, text, widthOf(page), 'regular', 8.5) + 6);
    y +=
      paragraph(page, text, MARGIN, y, widthOf(page), 'regular', 8.5, said.tone === 'brick' ? INKS.brick : INKS.ink) +
      3;
    rule(page, y, INKS.rule, 0.5);
    y += 3;
  }
  return y + 10;
}

/** A drawing that was laid over pins: its misfit at each. */
function drawLaid(
  page: Page,
  { lengthUnit }: AsBuiltReport,
  { drawing, scale, misfits }: AsBuiltReport['laid'][number],
  top: number,
): number {
  const size =
    scale === 1
      ? msg('papers.itsSizeKept')
      : msg('papers.itsSizeChangedByMillionths', { scale: Math.round((scale - 1) * 1e6) });
  const left = misfits.map(({ name, dEMm, dNMm }) => `${name} ${offWords(dEMm / 1000, dNMm / 1000, lengthUnit)}`);
  const text = msg('papers.drawingWasLaidOverPlacesLeftAt', {
    drawing,
    misfits: misfits.length,
    size,
    left: left.join('; '),
  });
  const y = room(page, top, heightOf(page, text, widthOf(page), 'regular', 8.5) + 12);
  return y + paragraph(page, text, MARGIN, y, widthOf(page), 'regular', 8.5, INKS.ink) + 12;
}

const wordsOf = (row: ColumnRow, { columnTolerance, lengthUnit, angleUnit }: AsBuiltReport) =>
  row.face &&
  faceWords(row.face, {
    line: row.line.label,
    azimuth: row.line.azimuth,
    crossing: row.crossing.label,
    crossingAlong: row.crossingAlong,
    tolerance: columnTolerance,
    unit: lengthUnit,
    angleUnit,
  });

interface Column {
  readonly title: string;
  readonly width: number;
  readonly align: 'left' | 'right';
  text(row: AsBuiltRow): string;
}

function drawRows(page: Page, report: AsBuiltReport, top: number): void {
  const unit = report.lengthUnit;
  const length = (metres: number | null) => (metres === null ? '–' : formatLength(metres, unit, LENGTH_DECIMALS));
  const columns: readonly Column[] = [
    { title: msg('common.name'), width: 82, align: 'left', text: (row) => row.name },
    { title: msg('papers.code'), width: 62, align: 'left', text: (row) => row.code || msg('papers.noCode') },
    { title: msg('common.east'), width: 56, align: 'right', text: (row) => length(row.place.e) },
    { title: msg('common.north'), width: 56, align: 'right', text: (row) => length(row.place.n) },
    { title: msg('common.height'), width: 44, align: 'right', text: (row) => length(row.place.z) },
    { title: msg('papers.comparedWith'), width: 92, align: 'left', text: (row) => row.against || 'nothing' },
    {
      title: msg('common.off2'),
      width: 100,
      align: 'left',
      text: (row) =>
        row.dE !== null && row.dN !== null
          ? `${offWords(row.dE, row.dN, unit)}${row.within ? '' : ': outside'}`
          : row.off !== null
            ? `${smallLength(row.off, unit)} ${row.off >= 0 ? 'right' : 'left'}`
            : row.dZ !== null
              ? heightOffWords(row.dZ, unit)
              : '–',
    },
    {
      title: msg('common.station'),
      width: 35,
      align: 'left',
      text: (row) => (row.standing === 'held' ? row.station : `${row.station}, ${standingWords()[row.standing]}`),
    },
  ];
  let y = room(page, top, 60);
  const line = (text: (column: Column) => string, bold: boolean, colour: string): number => {
    const heights = columns.map((column) =>
      heightOf(page, text(column), column.width - 5, bold ? 'bold' : 'regular', SIZE),
    );
    let x = MARGIN;
    for (const column of columns) {
      write(page, text(column), x + (column.align === 'left' ? 3 : 0), y, bold ? 'bold' : 'regular', SIZE, colour, {
        width: column.width - 5,
        align: column.align,
        lineBreak: true,
      });
      x += column.width;
    }
    return Math.max(...heights);
  };
  const heads = () => {
    write(
      page,
      msg('papers.everyMeasurementLengthsInOffMeasured', { unitAbbreviation: unitAbbreviationWords()[unit] }),
      MARGIN,
      y,
      'regular',
      SIZE,
      INKS.ink2,
    );
    y += 13;
    y += line((column) => column.title, true, INKS.ink) + 2;
    rule(page, y, INKS.ink);
    y += 3;
  };
  heads();
  for (const row of report.rows) {
    const note =
      row.fact.body.note === '' ? 0 : heightOf(page, row.fact.body.note, widthOf(page) - 82, 'regular', SIZE) + 2;
    if (y + 24 + note > bottomOf(page)) {
      page.addPage();
      y = MARGIN;
      heads();
    }
    y += line((column) => column.text(row), false, row.within === false ? INKS.brick : INKS.ink) + 2;
    if (row.fact.body.note !== '')
      y += paragraph(page, row.fact.body.note, MARGIN + 82, y, widthOf(page) - 82, 'regular', SIZE, INKS.ink2) + 2;
    rule(page, y, INKS.rule, 0.5);
    y += 2;
  }
}

function numberPages(page: Page, report: AsBuiltReport): void {
  const { start, count } = page.bufferedPageRange();
  for (let i = start; i < start + count; i++) {
    page.switchToPage(i);
    page.page.margins.bottom = 0;
    write(
      page,
      msg('papers.asBuiltPageOf', { site: report.site, i: i - start + 1, count }),
      MARGIN,
      page.page.height - MARGIN - 8,
      'regular',
      8,
      INKS.ink2,
    );
  }
}
