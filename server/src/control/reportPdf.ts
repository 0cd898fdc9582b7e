/** The control report on one page: what the other trades need to know about the marks they all build on. */
import { formatLength, formatSigned } from '@idle-marker/core';
import type { ControlReport, ReportRow } from '@idle-marker/records';
import {
  msg,
  concernWords,
  controlKindWords,
  LENGTH_DECIMALS,
  reportCautions,
  receiverWords,
  sheetClock,
  smallUnit,
  trendProposalWords,
  unitAbbreviationWords,
  unitNameWords,
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

/** So many rows leave room on the page for pairs, proposals and cautions. */
const MOST_ROWS = 24;
const MOST_PAIRS = 5;
const MOST_NOTICES = 8;
const SIZE = 8;
/** Points: room that the cautions take, and the least that a map is worth drawing in. */
const CAUTIONS_HEIGHT = 62;
const LEAST_MAP = 110;

const usedFor = (row: ReportRow): string =>
  [row.usePlan && 'plan', row.useHeight && 'height'].filter(Boolean).join(' + ') || 'nothing';

const verdictOf = (row: ReportRow): string =>
  row.condition === 'lost'
    ? 'lost'
    : row.propose !== 'nothing'
      ? 'disagrees'
      : row.usedBy.length > 0
        ? 'used'
        : row.leftOutBy.length > 0
          ? msg('common.leftOut')
          : row.proof
            ? msg('papers.provedOn')
            : row.byReceiver
              ? msg('papers.byReceiver')
              : msg('papers.notSighted');

interface Column {
  readonly title: string;
  readonly width: number;
  readonly align: 'left' | 'right';
  text(row: ReportRow): string;
}

function columnsOf(report: ControlReport): Column[] {
  const small = smallUnit(report.site.lengthUnit);
  const off = (mm: number | null) => (mm === null ? '–' : formatSigned((mm / 1000) * small.perMetre, small.decimals));
  const [first, second] = report.site.axisOrder === 'EN' ? (['dEMm', 'dNMm'] as const) : (['dNMm', 'dEMm'] as const);
  const name = { dEMm: msg('common.east'), dNMm: msg('common.north') } as const;
  return [
    {
      title: msg('common.mark'),
      width: 54,
      align: 'left',
      text: (row) => `${row.name}${row.revision > 1 ? ` r${row.revision}` : ''}`,
    },
    { title: msg('common.kind'), width: 66, align: 'left', text: (row) => controlKindWords()[row.kind] },
    { title: msg('common.for'), width: 64, align: 'left', text: usedFor },
    { title: msg('common.condition'), width: 54, align: 'left', text: (row) => row.condition },
    { title: msg('papers.verdict'), width: 58, align: 'left', text: verdictOf },
    {
      title: msg('papers.byStations'),
      width: 76,
      align: 'left',
      text: (row) =>
        row.usedBy.join(', ') ||
        (row.leftOutBy.length > 0 ? msg('papers.notBy', { leftOutBy: row.leftOutBy.join(', ') }) : '–'),
    },
    { title: `${name[first]}, ${small.name}`, width: 50, align: 'right', text: (row) => off(row[first]) },
    { title: `${name[second]}, ${small.name}`, width: 50, align: 'right', text: (row) => off(row[second]) },
    { title: msg('papers.height2', { name: small.name }), width: 55, align: 'right', text: (row) => off(row.dZMm) },
  ];
}

export async function controlReportPdf(report: ControlReport, timeZone: string): Promise<Buffer> {
  const page = newDocument(msg('papers.controlReport', { name: report.site.name }));
  const clock = sheetClock(timeZone, report.at);
  let y = drawHead(page, report, `${clock.day(report.at)} ${clock.time(report.at)}`);
  y = drawTable(page, report, y);
  y = drawFindings(page, report, y + 6);
  drawMap(page, report, {
    x: MARGIN,
    y: y + 8,
    width: widthOf(page),
    height: bottomOf(page) - CAUTIONS_HEIGHT - y - 16,
  });
  drawCautions(page, report);
  return finish(page);
}

function drawHead(page: Page, report: ControlReport, when: string): number {
  const { site } = report;
  write(page, msg('papers.controlReport2'), MARGIN, MARGIN, 'bold', 20, INKS.ink);
  write(page, site.name, MARGIN, MARGIN + 26, 'regular', 11, INKS.ink);
  const right = (text: string, y: number, bold = false) =>
    write(page, text, MARGIN, y, bold ? 'bold' : 'regular', 9, bold ? INKS.ink : INKS.ink2, {
      width: widthOf(page),
      align: 'right',
    });
  right(msg('papers.by2', { when, by: report.by }), MARGIN + 2, true);
  right(
    msg('papers.listVersionMarksUsableInPlan', {
      version: report.list.version,
      rows: report.rows.length,
      usable: report.usable,
    }),
    MARGIN + 15,
  );
  right(
    report.surveyor ? msg('papers.setBy', { surveyor: report.surveyor }) : msg('papers.whoSetTheControlIsNotNoted'),
    MARGIN + 27,
  );
  const zero =
    site.siteZero === null
      ? msg('papers.allHeightsAreTrueHeights')
      : msg('papers.siteZeroIsTrueHeight', {
          length: formatLength(site.siteZero, site.lengthUnit, LENGTH_DECIMALS),
          unitAbbreviation: unitAbbreviationWords()[site.lengthUnit],
        });
  const system = msg('papers.heights', {
    coordinateSystem: site.coordinateSystem || msg('papers.systemNotNamed'),
    unitName: unitNameWords()[site.lengthUnit],
    heightDatum: site.heightDatum || msg('papers.datumNotNamed'),
    zero,
    combinedScaleFactor:
      site.combinedScaleFactor === 1
        ? msg('papers.distancesAsOnTheGround')
        : msg('papers.gridDistancesFactor', { combinedScaleFactor: site.combinedScaleFactor }),
  });
  const height = paragraph(page, system, MARGIN, MARGIN + 44, widthOf(page), 'regular', 9, INKS.ink2);
  const y = MARGIN + 48 + height;
  rule(page, y, INKS.ink, 1.5);
  return y + 8;
}

function drawTable(page: Page, report: ControlReport, top: number): number {
  const columns = columnsOf(report);
  let y = top;
  const line = (text: (column: Column) => string, bold: boolean, colour: string) => {
    const heights = columns.map((column) =>
      heightOf(page, text(column), column.width - 4, bold ? 'bold' : 'regular', SIZE),
    );
    let x = MARGIN;
    for (const column of columns) {
      write(page, text(column), x, y, bold ? 'bold' : 'regular', SIZE, colour, {
        width: column.width - 4,
        align: column.align,
        lineBreak: true,
      });
      x += column.width;
    }
    y += Math.max(...heights) + 2;
  };
  line((column) => column.title, true, INKS.ink);
  rule(page, y, INKS.ink);
  y += 3;
  for (const row of report.rows.slice(0, MOST_ROWS)) {
    line(
      (column) => column.text(row),
      false,
      row.propose !== 'nothing' || row.condition === 'lost' ? INKS.brick : INKS.ink,
    );
    rule(page, y, INKS.rule, 0.5);
    y += 2;
  }
  if (report.rows.length > MOST_ROWS) {
    write(
      page,
      msg('papers.andMoreThatNothingSpeaksAgainstThe', { rows: report.rows.length - MOST_ROWS }),
      MARGIN,
      y,
      'regular',
      SIZE,
      INKS.ink2,
    );
    y += 12;
  }
  write(page, msg('papers.differencesMeasuredMinusListedAtThe'), MARGIN, y + 2, 'regular', 7.5, INKS.ink2);
  return y + 14;
}

/** Pairs that do not fit, and what is proposed. */
function drawFindings(page: Page, report: ControlReport, top: number): number {
  const { lengthUnit } = report.site;
  const small = smallUnit(lengthUnit);
  const off = (metres: number | null) =>
    metres === null ? null : `${formatSigned(metres * small.perMetre, small.decimals)} ${small.name}`;
  const lines: string[] = [];
  for (const row of report.rows) if (row.byReceiver) lines.push(receiverWords(row.name, row.byReceiver, lengthUnit));
  for (const row of report.rows)
    if (row.propose !== 'nothing') lines.push(`${row.name}: ${trendProposalWords()[row.propose]}`);
  for (const pair of report.pairs.slice(0, MOST_PAIRS)) {
    const parts = [
      off(pair.dDistance) && msg('papers.distance', { off: off(pair.dDistance) }),
      off(pair.dHeight) && msg('papers.heightDifference', { off: off(pair.dHeight) }),
    ].filter(Boolean);
    lines.push(
      msg('papers.toFromAgainstTheList', {
        from: pair.from,
        to: pair.to,
        station: pair.station,
        parts: parts.join(', '),
      }),
    );
  }
  if (report.pairs.length > MOST_PAIRS)
    lines.push(msg('papers.andMorePairsThatDoNotFit', { pairs: report.pairs.length - MOST_PAIRS }));
  for (const { mark, ...concern } of report.concerns) {
    const { title, text } = concernWords({ ...concern, name: mark.revision.body.name });
    lines.push(`${title}. ${text}`);
  }
  if (report.unproven.length > 0)
    lines.push(msg('papers.ofOurOwnMakingAndNotYet', { unproven: report.unproven.join(', ') }));
  lines.push(...report.notices);
  write(page, msg('papers.whatDoesNotFitAndWhatIs'), MARGIN, top, 'bold', 11, INKS.ink);
  let y = top + 15;
  if (lines.length === 0)
    return (
      y +
      paragraph(
        page,
        msg('papers.nothingSpeaksAgainstTheMarksThatWere'),
        MARGIN,
        y,
        widthOf(page),
        'regular',
        9,
        INKS.ink,
      )
    );
  const room = bottomOf(page) - 90;
  for (const [i, text] of lines.entries()) {
    const full = i >= MOST_NOTICES || y + heightOf(page, text, widthOf(page), 'regular', 9) > room;
    const said = full ? msg('papers.andMoreSeeControl', { lines: lines.length - i }) : text;
    y += paragraph(page, said, MARGIN, y, widthOf(page), 'regular', 9, full ? INKS.ink2 : INKS.brick) + 2;
    if (full) break;
  }
  return y;
}

/** The marks in their places, and the pairs that do not fit. Left away where no room is left for it. */
function drawMap(
  page: Page,
  report: ControlReport,
  frame: { x: number; y: number; width: number; height: number },
): void {
  const placed = report.rows.flatMap((row) => (row.place ? [{ ...row, place: row.place }] : []));
  if (placed.length < 2 || frame.height < LEAST_MAP) return;
  const east = placed.map((row) => row.place.e);
  const north = placed.map((row) => row.place.n);
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const pad = 24;
  const scale = Math.min(
    (frame.width - 2 * pad) / Math.max(maxE - minE, 1),
    (frame.height - 2 * pad) / Math.max(maxN - minN, 1),
  );
  const x = (e: number) => frame.x + frame.width / 2 + (e - (minE + maxE) / 2) * scale;
  const y = (n: number) => frame.y + frame.height / 2 - (n - (minN + maxN) / 2) * scale;
  const byName = new Map(placed.map((row) => [row.name, row.place]));
  for (const pair of report.pairs) {
    const [from, to] = [byName.get(pair.from), byName.get(pair.to)];
    if (from && to)
      page.moveTo(x(from.e), y(from.n)).lineTo(x(to.e), y(to.n)).lineWidth(0.8).strokeColor(INKS.brick).stroke();
  }
  for (const row of placed) {
    const bad = row.propose !== 'nothing' || row.condition === 'lost';
    const [px, py] = [x(row.place.e), y(row.place.n)];
    page
      .rect(px - 4, py - 4, 8, 8)
      .lineWidth(1)
      .fillAndStroke('#ffffff', bad ? INKS.brick : INKS.ink);
    write(page, row.name, px + 7, py - 5, 'medium', 8, bad ? INKS.brick : INKS.ink);
  }
  write(page, msg('papers.northIsUpRedLinesPairsThat'), frame.x, frame.y + frame.height - 8, 'regular', 7.5, INKS.ink2);
}

function drawCautions(page: Page, report: ControlReport): void {
  let y = bottomOf(page) - CAUTIONS_HEIGHT;
  rule(page, y, INKS.ink);
  y += 5;
  for (const caution of reportCautions())
    y += paragraph(page, caution, MARGIN, y, widthOf(page), 'regular', 8.5, INKS.ink) + 2;
  // The foot lies in the margin, where text would otherwise start a new page.
  page.page.margins.bottom = 0;
  write(
    page,
    msg('papers.controlReport3', { name: report.site.name }),
    MARGIN,
    page.page.height - MARGIN - 8,
    'regular',
    8,
    INKS.ink2,
  );
}
