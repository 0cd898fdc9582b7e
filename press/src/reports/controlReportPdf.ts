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
import { Flow, TEXT_SIZE, type Column } from '../pdf/flow.ts';
import {
  asFigure,
  bottomOf,
  finish,
  heightOf,
  INKS,
  LEAST_SIZE,
  MARGIN,
  newDocument,
  write,
  type Page,
} from '../pdf/pdfPage.ts';

/** So many rows leave room on the page for pairs, proposals and cautions. */
const MOST_ROWS = 24;
const MOST_PAIRS = 5;
const MOST_NOTICES = 8;
/** Points: room that the cautions take, and the least that a map is worth drawing in. */
const CAUTIONS_HEIGHT = 70;
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

function columnsOf(report: ControlReport): Column<ReportRow>[] {
  const small = smallUnit(report.site.lengthUnit);
  const off = (mm: number | null) => (mm === null ? '–' : formatSigned((mm / 1000) * small.perMetre, small.decimals));
  const [first, second] = report.site.axisOrder === 'EN' ? (['dEMm', 'dNMm'] as const) : (['dNMm', 'dEMm'] as const);
  const name = { dEMm: msg('common.east'), dNMm: msg('common.north') } as const;
  return [
    {
      title: msg('common.mark'),
      text: (row) => `${row.name}${row.revision > 1 ? ` r${row.revision}` : ''}`,
    },
    { title: msg('common.kind'), text: (row) => controlKindWords()[row.kind] },
    { title: msg('papers.usedFor'), text: usedFor },
    { title: msg('common.condition'), text: (row) => row.condition },
    { title: msg('papers.verdict'), text: verdictOf },
    {
      title: msg('papers.byStations'),
      text: (row) =>
        row.usedBy.join(', ') ||
        (row.leftOutBy.length > 0 ? msg('papers.notBy', { leftOutBy: row.leftOutBy.join(', ') }) : '–'),
    },
    { title: `${name[first]}, ${small.name}`, right: true, text: (row) => off(row[first]) },
    { title: `${name[second]}, ${small.name}`, right: true, text: (row) => off(row[second]) },
    { title: msg('papers.height2', { name: small.name }), right: true, text: (row) => off(row.dZMm) },
  ];
}

export async function controlReportPdf(report: ControlReport, timeZone: string): Promise<Buffer> {
  const flow = new Flow(newDocument(msg('papers.controlReport', { name: report.site.name })), {
    size: report.paper,
  });
  const clock = sheetClock(timeZone, report.at);
  drawHead(flow, report, `${clock.day(report.at)} ${clock.time(report.at)}`);
  await drawTable(flow, report);
  drawFindings(flow, report);
  const frame = { x: MARGIN, y: flow.y + 8, width: flow.width, height: flow.left - CAUTIONS_HEIGHT - 16 };
  asFigure(flow.page, msg('papers.plan'), () => drawMap(flow.page, report, frame));
  drawCautions(flow);
  flow.foot(msg('papers.controlReport', { name: report.site.name }), {
    by: msg('papers.by2', { when: `${clock.day(report.at)} ${clock.time(report.at)}`, by: report.by }),
  });
  return finish(flow.page);
}

function drawHead(flow: Flow, report: ControlReport, when: string): void {
  const { site } = report;
  flow.title(msg('papers.controlReport2'), null, 20);
  flow.text(site.name, { font: 'medium', size: 14, gap: 4 });
  flow.text(msg('papers.by2', { when, by: report.by }), { font: 'medium' });
  flow.text(
    msg('papers.listVersionMarksUsableInPlan', {
      version: report.list.version,
      rows: report.rows.length,
      usable: report.usable,
    }),
  );
  flow.text(
    report.surveyor ? msg('papers.setBy', { surveyor: report.surveyor }) : msg('papers.whoSetTheControlIsNotNoted'),
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
  flow.text(system, { gap: 4 });
  flow.rule(INKS.ink, 1.5, 8);
}

async function drawTable(flow: Flow, report: ControlReport): Promise<void> {
  await flow.table(columnsOf(report), report.rows.slice(0, MOST_ROWS), {
    colour: (row) => (row.propose !== 'nothing' || row.condition === 'lost' ? INKS.brick : INKS.ink),
  });
  if (report.rows.length > MOST_ROWS)
    flow.text(msg('papers.andMoreThatNothingSpeaksAgainstThe', { rows: report.rows.length - MOST_ROWS }), {
      colour: INKS.ink2,
    });
  flow.space(2);
  flow.text(msg('papers.differencesMeasuredMinusListedAtThe'), { size: LEAST_SIZE, gap: 8 });
}

/** Pairs that do not fit, and what is proposed. */
function drawFindings(flow: Flow, report: ControlReport): void {
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
  flow.heading(msg('papers.whatDoesNotFitAndWhatIs'));
  if (lines.length === 0) return flow.text(msg('papers.nothingSpeaksAgainstTheMarksThatWere'));
  for (const [i, text] of lines.entries()) {
    const tall = heightOf(flow.page, text, flow.width, 'regular', TEXT_SIZE);
    const full = i >= MOST_NOTICES || tall > flow.left - 90;
    const said = full ? msg('papers.andMoreSeeControl', { lines: lines.length - i }) : text;
    flow.text(said, { colour: full ? INKS.ink2 : INKS.brick });
    if (full) break;
  }
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
    write(page, row.name, px + 7, py - 6, 'medium', 10, bad ? INKS.brick : INKS.ink);
  }
  write(
    page,
    msg('papers.northIsUpRedLinesPairsThat'),
    frame.x,
    frame.y + frame.height - 10,
    'regular',
    LEAST_SIZE,
    INKS.ink,
  );
}

function drawCautions(flow: Flow): void {
  flow.y = bottomOf(flow.page) - CAUTIONS_HEIGHT;
  flow.rule(INKS.ink, 0.75, 5);
  for (const caution of reportCautions()) flow.text(caution);
}
