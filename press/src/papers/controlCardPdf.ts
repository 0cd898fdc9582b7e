/** One page for one control mark: to find it, to know it, and to set it again when it is gone. */
import {
  angleFromRadians,
  formatAngle,
  formatLength,
  type AngleUnit,
  type LengthUnit,
  type PlanPoint,
} from '@idle-marker/core';
import { boardFor, north, placeLabel, scaleBar, scaleWords, Taken, type SceneItem } from '@idle-marker/paper';
import type { ControlCard, SitePaper } from '@idle-marker/records';
import {
  msg,
  controlKindWords,
  firmnessWords,
  firmnessOf,
  LENGTH_DECIMALS,
  sheetClock,
  unitAbbreviationWords,
  VISIT,
  type SheetClock,
  smallFigure,
  smallUnit,
  conditionWords,
} from '@idle-marker/words';
import { Flow } from '../pdf/flow.ts';
import {
  asFigure,
  asFrame,
  drawScene,
  finish,
  INKS,
  LEAST_SIZE,
  MARGIN,
  newDocument,
  widthOfText,
  write,
} from '../pdf/pdfPage.ts';

export interface CardAsked {
  readonly site: string;
  readonly paper: SitePaper;
  readonly unit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly axes: 'EN' | 'NE';
  readonly siteZero: number | null;
  readonly datum: string;
  readonly timeZone: string;
  readonly at: string;
  readonly by: string;
  /** Photos that can be printed, the newest first. */
  readonly photos: readonly { readonly bytes: Buffer; readonly caption: string }[];
}

const PLAN_HEIGHT = 250;
const TIE_SIZE = 9.5;
const PHOTO_HEIGHT = 170;

/** How this card writes lengths and days. */
interface Written {
  readonly unit: string;
  readonly clock: SheetClock;
  length(metres: number | null): string;
}

export async function controlCardPdf(card: ControlCard, asked: CardAsked): Promise<Buffer> {
  const { body } = card.mark.revision;
  const flow = new Flow(newDocument(msg('papers.controlMark', { name: body.name, site: asked.site })), {
    size: asked.paper,
  });
  const written: Written = {
    unit: unitAbbreviationWords()[asked.unit],
    clock: sheetClock(asked.timeZone, null),
    length: (metres) => (metres === null ? '–' : formatLength(metres, asked.unit, LENGTH_DECIMALS)),
  };
  drawHead(flow, card, asked, written);
  flow.pairs(pairsOf(card, asked, written), { size: 10 });
  flow.space(6);
  if (body.e !== null && body.n !== null) {
    drawPlan(flow, card, { e: body.e, n: body.n }, asked, written);
    await drawTies(flow, card, asked, written);
  }
  drawPhotos(flow, asked.photos);
  const day = written.clock.day(asked.at);
  flow.foot(msg('papers.controlMark', { name: body.name, site: asked.site }), {
    note: msg('papers.printedByLookWhetherTheListHas', { day, by: asked.by }),
  });
  return finish(flow.page);
}

function drawHead(flow: Flow, card: ControlCard, asked: CardAsked, { clock }: Written): void {
  flow.title(card.mark.revision.body.name, null, 30);
  const listed = msg('papers.revisionListed', { revision: card.revision, day: clock.day(card.listedAt) });
  flow.text(`${msg('papers.controlMark2', { site: asked.site })}. ${listed}`, { font: 'medium', size: 11 });
  flow.space(2);
  flow.rule(INKS.ink, 1.5, 10);
}

function pairsOf(
  card: ControlCard,
  asked: CardAsked,
  { unit, clock, length }: Written,
): readonly (readonly [string, string])[] {
  const { body } = card.mark.revision;
  const plan = [
    [msg('common.east'), length(body.e)],
    [msg('common.north'), length(body.n)],
  ] as const;
  return [
    ...(asked.axes === 'EN' ? plan : [...plan].reverse()).map(([axis, text]) => [axis, `${text} ${unit}`] as const),
    [
      msg('common.height'),
      body.z === null
        ? 'none'
        : `${length(body.z)} ${unit}${asked.siteZero === null ? '' : msg('papers.againstSiteZero', { length: length(body.z - asked.siteZero) })}${asked.datum ? msg('papers.countedFrom', { datum: asked.datum }) : ''}`,
    ],
    [
      msg('papers.howWell'),
      msg('papers.planMmHeightMmStandardDeviations', {
        plan: smallFigure(body.sdHMm, asked.unit),
        elevation: smallFigure(body.sdZMm, asked.unit),
        unit: smallUnit(asked.unit).name,
      }),
    ],
    [
      msg('papers.type'),
      `${controlKindWords()[body.kind]}${body.spot ? msg('papers.thePointIs', { spot: body.spot }) : ''}; ${firmnessWords()[firmnessOf(body)]}`,
    ],
    [msg('common.condition'), `${conditionWords()[body.condition]}${body.note ? `: ${body.note}` : ''}`],
    [
      msg('papers.usedFor'),
      [body.usePlan && 'plan', body.useHeight && 'height', body.forProof && 'proofs'].filter(Boolean).join(', ') ||
        'nothing',
    ],
    [
      msg('papers.source'),
      `${body.source || msg('papers.notNoted')}${body.setBy ? msg('papers.setBy2', { setBy: body.setBy }) : ''}${body.setOn ? `, ${body.setOn}` : ''}`,
    ],
    [
      msg('papers.lastLookedAt'),
      card.visits.length === 0
        ? msg('papers.neverNoted')
        : `${VISIT[card.visits.at(-1)!.body.outcome]}, ${clock.day(card.visits.at(-1)!.at)}`,
    ],
  ];
}

/** Where it stands, and what stands around it. */
function drawPlan(flow: Flow, card: ControlCard, at: PlanPoint, asked: CardAsked, { length }: Written): void {
  const { page, y } = flow;
  const { name: called } = card.mark.revision.body;
  const frame = { x: MARGIN, y, w: flow.width, h: PLAN_HEIGHT };
  const inner = { x: frame.x + 60, y: frame.y + 26, w: frame.w - 120, h: frame.h - 52 };
  const board = boardFor([at, ...card.ties], inner, asked.unit);
  const taken = new Taken();
  taken.add({ x: board.x(at) - 22, y: board.y(at) - 22, w: 44, h: 28 });
  for (const tie of card.ties)
    taken.addLine([
      [board.x(at), board.y(at)],
      [board.x(tie), board.y(tie)],
    ]);
  const items: SceneItem[] = card.ties.flatMap((tie): SceneItem[] => {
    const [x1, y1] = [board.x(tie), board.y(tie)];
    const text = `${tie.name}  ${length(tie.distance)}`;
    const placed = placeLabel(x1, y1, widthOfText(page, text, 'medium', TIE_SIZE) + 2, TIE_SIZE + 2, {
      taken,
      frame,
      away: Math.atan2(y1 - board.y(at), x1 - board.x(at)),
    });
    if (placed) taken.add(placed.box);
    return [
      {
        kind: 'path',
        layer: 'dimensions',
        points: [
          [board.x(at), board.y(at)],
          [x1, y1],
        ],
        closed: false,
        stroke: 'ink2',
        width: 0.6,
        dash: 3,
      },
      {
        kind: 'path',
        layer: 'marks',
        points: square(x1, y1, 3),
        closed: true,
        stroke: 'ink',
        width: 0.9,
        fill: tie.what === 'mark' ? 'hub' : 'paper',
      },
      ...(placed
        ? [
            {
              kind: 'text',
              layer: 'labels',
              x: placed.box.x + 1,
              y: placed.box.y + TIE_SIZE,
              text,
              size: TIE_SIZE,
              weight: 'medium',
              ink: 'ink',
              align: 'start',
            } as const,
          ]
        : []),
    ];
  });
  const name: SceneItem = {
    kind: 'text',
    layer: 'labels',
    x: board.x(at),
    y: board.y(at) - 9,
    text: called,
    size: 11,
    weight: 'bold',
    ink: 'ink',
    align: 'middle',
  };
  const itself: SceneItem = {
    kind: 'path',
    layer: 'marks',
    points: square(board.x(at), board.y(at), 4),
    closed: true,
    stroke: 'ink',
    fill: 'ink',
    width: 1,
  };
  const drawn = [
    ...items,
    itself,
    name,
    ...north(MARGIN + frame.w - 12, y + 6),
    ...scaleBar(MARGIN + frame.w - 6, y + PLAN_HEIGHT - 6, board, asked.unit),
  ];
  drawScene(page, { items: drawn }, msg('papers.planOfMark', { name: called }));
  asFrame(page, () => page.rect(frame.x, frame.y, frame.w, frame.h).lineWidth(0.75).strokeColor(INKS.ink).stroke());
  write(page, scaleWords(board.scale, asked.unit), MARGIN + 6, y + PLAN_HEIGHT - 15, 'regular', LEAST_SIZE, INKS.ink);
  flow.space(PLAN_HEIGHT + 8);
}

async function drawTies(flow: Flow, card: ControlCard, asked: CardAsked, { unit, length }: Written): Promise<void> {
  if (card.ties.length === 0) return flow.text(msg('papers.nothingStandsNearEnoughToTieIt'), { size: 9 });
  const azimuth = (radians: number) =>
    asked.angleUnit === 'dms' ? formatAngle(radians, 'dms', 0) : angleFromRadians(radians, asked.angleUnit).toFixed(4);
  await flow.table(
    [
      {
        title: msg('common.to2'),
        text: (tie) => `${tie.name}${tie.what === 'mark' ? ' (a stake)' : ''}`,
      },
      { title: msg('papers.level2', { unit }), right: true, text: (tie) => length(tie.distance) },
      { title: msg('papers.azimuth'), right: true, text: (tie) => azimuth(tie.azimuth) },
      { title: msg('papers.rise2', { unit }), right: true, text: (tie) => length(tie.rise) },
    ],
    card.ties,
  );
}

/** Two beside one another, as many as the page has room for. */
function drawPhotos(flow: Flow, photos: CardAsked['photos']): void {
  flow.space(6);
  const width = (flow.width - 10) / 2;
  for (const [i, { bytes, caption }] of photos.slice(0, 2).entries()) {
    if (PHOTO_HEIGHT > flow.left) return;
    const x = MARGIN + i * (width + 10);
    asFigure(flow.page, caption || msg('papers.photos'), () =>
      flow.page.image(bytes, x, flow.y, { fit: [width, PHOTO_HEIGHT - 14] }),
    );
    if (caption) write(flow.page, caption, x, flow.y + PHOTO_HEIGHT - 12, 'regular', LEAST_SIZE, INKS.ink);
  }
}

const square = (x: number, y: number, half: number): readonly (readonly [number, number])[] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
