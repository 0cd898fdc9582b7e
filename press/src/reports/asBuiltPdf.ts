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
import { Flow, type Column } from '../pdf/flow.ts';
import {
  asFigure,
  asPiece,
  finish,
  INKS,
  LEAST_SIZE,
  MARGIN,
  newDocument,
  paragraph,
  widthOf,
  write,
  type Page,
} from '../pdf/pdfPage.ts';

const PLAN_HEIGHT = 220;
/** Differences are drawn so many times as large. */
const EXAGGERATIONS = [200, 100, 50, 20, 10, 5, 2, 1] as const;

export async function asBuiltPdf(report: AsBuiltReport, timeZone: string): Promise<Buffer> {
  const flow = new Flow(newDocument(msg('papers.asBuilt', { site: report.site })), {
    size: report.paper,
    upright: false,
  });
  const clock = sheetClock(timeZone, report.at);
  drawHead(flow, report, timeZone, `${clock.day(report.at)} ${clock.time(report.at)}`);
  for (const group of report.groups) drawGroup(flow, report, group);
  if (report.columns.length > 0) drawColumns(flow, report);
  for (const each of report.laid) drawLaid(flow, report, each);
  if (report.rows.length > 0) await drawRows(flow, report);
  else flow.text(msg('papers.nothingMeasured'), { size: 10, gap: 8 });
  flow.foot(msg('papers.asBuilt', { site: report.site }), {
    by: msg('papers.by2', { when: `${clock.day(report.at)} ${clock.time(report.at)}`, by: report.by }),
  });
  return finish(flow.page);
}

function drawHead(flow: Flow, report: AsBuiltReport, timeZone: string, when: string): void {
  const outside = report.rows.filter(({ within }) => within === false).length;
  flow.title(msg('common.asBuilt'), null, 20);
  flow.text(report.site, { font: 'medium', size: 14, gap: 4 });
  flow.text(msg('papers.by2', { when, by: report.by }), { font: 'medium', size: 10 });
  flow.text(
    msg('papers.measuredOutside', {
      rows: report.rows.length,
      outside: outside === 0 ? 'none' : outside,
      outside2: outside,
    }),
    { size: 10, gap: 4 },
  );
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
    flow.text(`${parts.filter(Boolean).join('; ')}.`);
    for (const notice of stationNotices(station, report.lengthUnit))
      flow.text(notice, { font: 'medium', colour: INKS.brick });
  }
  flow.space(2);
  flow.rule(INKS.ink, 1.5, 10);
}

/** A group of bolts, drawn with what each is off, and said as a whole. */
function drawGroup(flow: Flow, report: AsBuiltReport, group: BoltGroup): void {
  const { lengthUnit } = report;
  const { page } = flow;
  flow.room(PLAN_HEIGHT + 30);
  const { y } = flow;
  const built = group.bolts.filter(({ difference }) => difference !== null);
  const said = group.fit && patternWords(group.fit, built.length, group.tolerance, report);
  const textX = MARGIN + PLAN_HEIGHT + 20;
  const width = widthOf(page) - PLAN_HEIGHT - 20;
  asPiece(page, 'H2', () =>
    write(page, msg('papers.group', { name: group.name, name2: group.work.body.name }), textX, y, 'bold', 11, INKS.ink),
  );
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
      10,
      colour,
    ) + 6;
  for (const { plan, difference } of built) {
    const text = `${plan.corner}: ${offWords(difference!.dE, difference!.dN, lengthUnit)}${difference!.dZ === null ? '' : `, ${heightOffWords(difference!.dZ, lengthUnit)}`}`;
    textY += paragraph(page, text, textX, textY, width, 'regular', 9.5, difference!.within ? INKS.ink : INKS.brick) + 1;
  }
  asFigure(page, msg('papers.group', { name: group.name, name2: group.work.body.name }), () =>
    drawPlan(
      page,
      built.map(({ difference }) => difference!),
      { x: MARGIN, y, size: PLAN_HEIGHT },
    ),
  );
  flow.y = Math.max(textY, y + PLAN_HEIGHT) + 14;
}

type Shown = NonNullable<BoltGroup['bolts'][number]['difference']>;

/** So many times as large as they are: the largest that keeps the longest within a quarter of the group. */
function exaggerationOf(shown: readonly Shown[], span: number): number {
  const longest = Math.max(...shown.map(({ dE, dN }) => Math.hypot(dE, dN)));
  return EXAGGERATIONS.find((each) => each * longest <= span / 4) ?? EXAGGERATIONS.at(-1)!;
}

function drawPlan(
  page: Page,
  shown: readonly Shown[],
  frame: { readonly x: number; readonly y: number; readonly size: number },
): void {
  const [east, north] = [shown.map(({ plan }) => plan.design.e), shown.map(({ plan }) => plan.design.n)];
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const span = Math.max(maxE - minE, maxN - minN, 0.2);
  const exaggeration = exaggerationOf(shown, span);
  const height = frame.size - 2.6 * LEAST_SIZE;
  const scale = (height - 20) / (1.5 * span);
  const x = (e: number) => frame.x + frame.size / 2 + (e - (minE + maxE) / 2) * scale;
  const y = (n: number) => frame.y + height / 2 - (n - (minN + maxN) / 2) * scale;
  page.rect(frame.x, frame.y, frame.size, height).lineWidth(0.75).strokeColor(INKS.rule).stroke();
  for (const { plan, dE, dN, within } of shown) {
    const [px, py] = [x(plan.design.e), y(plan.design.n)];
    page.circle(px, py, 3).lineWidth(0.8).strokeColor(INKS.pencil).stroke();
    page
      .moveTo(px, py)
      .lineTo(px + dE * exaggeration * scale, py - dN * exaggeration * scale)
      .lineWidth(1.2)
      .strokeColor(within ? INKS.ink : INKS.brick)
      .stroke();
    // On the side that the line does not go to.
    write(page, plan.corner, px + (dE > 0 ? -29 : 5), py + (dN > 0 ? 3 : -13), 'medium', LEAST_SIZE, INKS.pencil, {
      width: 24,
      align: dE > 0 ? 'right' : 'left',
    });
  }
  write(
    page,
    msg('papers.northIsUpLinesFromTheDesign', { exaggeration }),
    frame.x,
    frame.y + height + 2,
    'regular',
    LEAST_SIZE,
    INKS.ink,
    { width: frame.size, lineBreak: true },
  );
}

function drawColumns(flow: Flow, report: AsBuiltReport): void {
  flow.room(60);
  flow.text(msg('papers.columns'), { font: 'bold', size: 11 });
  for (const row of report.columns) {
    const said = wordsOf(row, report);
    if (!said) continue;
    flow.text(`${said.title}. ${said.lines.join(' ')}`, { colour: said.tone === 'brick' ? INKS.brick : INKS.ink });
    flow.rule();
  }
  flow.space(10);
}

/** A drawing that was laid over pins: its misfit at each. */
function drawLaid(
  flow: Flow,
  { lengthUnit }: AsBuiltReport,
  { drawing, scale, misfits }: AsBuiltReport['laid'][number],
): void {
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
  flow.text(text, { gap: 12 });
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

async function drawRows(flow: Flow, report: AsBuiltReport): Promise<void> {
  const unit = report.lengthUnit;
  const length = (metres: number | null) => (metres === null ? '–' : formatLength(metres, unit, LENGTH_DECIMALS));
  const east: Column<AsBuiltRow> = { title: msg('common.east'), right: true, text: (row) => length(row.place.e) };
  const north: Column<AsBuiltRow> = { title: msg('common.north'), right: true, text: (row) => length(row.place.n) };
  const columns: readonly Column<AsBuiltRow>[] = [
    { title: msg('common.name'), text: (row) => row.name },
    { title: msg('papers.code'), text: (row) => row.code || msg('papers.noCode') },
    ...(report.axes === 'EN' ? [east, north] : [north, east]),
    { title: msg('common.height'), right: true, text: (row) => length(row.place.z) },
    { title: msg('papers.comparedWith'), text: (row) => row.against || 'nothing' },
    {
      title: msg('papers.difference'),
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
      text: (row) => (row.standing === 'held' ? row.station : `${row.station}, ${standingWords()[row.standing]}`),
    },
  ];
  await flow.table(columns, report.rows, {
    about: msg('papers.everyMeasurementLengthsInOffMeasured', { unitAbbreviation: unitAbbreviationWords()[unit] }),
    colour: (row) => (row.within === false ? INKS.brick : INKS.ink),
    note: (row) => row.fact.body.note || null,
  });
}
