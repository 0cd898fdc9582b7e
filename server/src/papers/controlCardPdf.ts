/** One page for one control mark: to find it, to know it, and to set it again when it is gone. */
import { angleFromRadians, formatAngle, formatLength, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import { boardFor, north, placeLabel, scaleBar, scaleWords, Taken, type SceneItem } from '@idle-marker/paper';
import type { ControlCard } from '@idle-marker/records';
import {
  msg,
  controlKindWords,
  firmnessWords,
  firmnessOf,
  LENGTH_DECIMALS,
  sheetClock,
  unitAbbreviationWords,
  VISIT,
} from '@idle-marker/words';
import {
  drawScene,
  finish,
  footPages,
  INKS,
  MARGIN,
  newDocument,
  paragraph,
  rule,
  widthOf,
  widthOfText,
  write,
} from '../pdf/pdfPage.ts';

export interface CardAsked {
  readonly site: string;
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
const TIE_SIZE = 8.5;
const PHOTO_HEIGHT = 170;

export async function controlCardPdf(card: ControlCard, asked: CardAsked): Promise<Buffer> {
  const { body } = card.mark.revision;
  const page = newDocument(msg('papers.controlMark', { name: body.name, site: asked.site }));
  const clock = sheetClock(asked.timeZone, null);
  const unit = unitAbbreviationWords()[asked.unit];
  const length = (metres: number | null) => (metres === null ? '–' : formatLength(metres, asked.unit, LENGTH_DECIMALS));
  write(page, body.name, MARGIN, MARGIN, 'bold', 30, INKS.ink);
  write(page, msg('papers.controlMark2', { site: asked.site }), MARGIN, MARGIN + 8, 'regular', 11, INKS.ink2, {
    width: widthOf(page),
    align: 'right',
  });
  write(
    page,
    msg('papers.revisionListed', { revision: card.revision, day: clock.day(card.listedAt) }),
    MARGIN,
    MARGIN + 22,
    'medium',
    10,
    INKS.ink,
    {
      width: widthOf(page),
      align: 'right',
    },
  );
  rule(page, MARGIN + 40, INKS.ink, 1.5);
  const plan = [
    [msg('common.east'), length(body.e)],
    [msg('common.north'), length(body.n)],
  ] as const;
  const rows: readonly (readonly [string, string])[] = [
    ...(asked.axes === 'EN' ? plan : [...plan].reverse()).map(([axis, text]) => [axis, `${text} ${unit}`] as const),
    [
      msg('common.height'),
      body.z === null
        ? 'none'
        : `${length(body.z)} ${unit}${asked.siteZero === null ? '' : msg('papers.againstSiteZero', { length: length(body.z - asked.siteZero) })}${asked.datum ? msg('papers.countedFrom', { datum: asked.datum }) : ''}`,
    ],
    [
      msg('papers.howWell'),
      msg('papers.planMmHeightMmStandardDeviations', { sdHMm: body.sdHMm ?? '–', sdZMm: body.sdZMm ?? '–' }),
    ],
    [
      msg('common.whatItIs'),
      `${controlKindWords()[body.kind]}${body.spot ? msg('papers.thePointIs', { spot: body.spot }) : ''}; ${firmnessWords()[firmnessOf(body)]}`,
    ],
    [msg('common.condition'), `${body.condition}${body.note ? `: ${body.note}` : ''}`],
    [
      msg('papers.usedFor'),
      [body.usePlan && 'plan', body.useHeight && 'height', body.forProof && 'proofs'].filter(Boolean).join(', ') ||
        'nothing',
    ],
    [
      msg('common.from'),
      `${body.source || msg('papers.notNoted')}${body.setBy ? msg('papers.setBy2', { setBy: body.setBy }) : ''}${body.setOn ? `, ${body.setOn}` : ''}`,
    ],
    [
      msg('papers.lastLookedAt'),
      card.visits.length === 0
        ? msg('papers.neverNoted')
        : `${VISIT[card.visits.at(-1)!.body.outcome]}, ${clock.day(card.visits.at(-1)!.at)}`,
    ],
  ];
  let y = MARGIN + 52;
  for (const [name, text] of rows) {
    write(page, name, MARGIN, y, 'medium', 10, INKS.ink2);
    y += paragraph(page, text, MARGIN + 84, y, widthOf(page) - 84, 'regular', 10, INKS.ink) + 3;
  }
  y += 6;
  if (body.e !== null && body.n !== null) {
    const at = { e: body.e, n: body.n };
    const frame = { x: MARGIN, y, w: widthOf(page), h: PLAN_HEIGHT };
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
      text: body.name,
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
    drawScene(page, {
      items: [
        ...items,
        itself,
        name,
        ...north(MARGIN + frame.w - 12, y + 6),
        ...scaleBar(MARGIN + frame.w - 6, y + PLAN_HEIGHT - 6, board, asked.unit),
      ],
    });
    page.rect(frame.x, frame.y, frame.w, frame.h).lineWidth(0.75).strokeColor(INKS.ink).stroke();
    write(page, scaleWords(board.scale, asked.unit), MARGIN + 6, y + PLAN_HEIGHT - 14, 'regular', 8, INKS.ink2);
    y += PLAN_HEIGHT + 8;
    const tie = (text: string, x: number, width: number, right: boolean, bold = false) =>
      write(page, text, x, y, bold ? 'bold' : 'regular', 9, INKS.ink, { width, align: right ? 'right' : 'left' });
    const line = (cells: readonly [string, string, string, string], bold = false) => {
      tie(cells[0], MARGIN, 160, false, bold);
      tie(cells[1], MARGIN + 160, 90, true, bold);
      tie(cells[2], MARGIN + 260, 110, true, bold);
      tie(cells[3], MARGIN + 380, 90, true, bold);
      y += 13;
    };
    line(
      [msg('common.to2'), msg('papers.level2', { unit }), msg('papers.azimuth'), msg('papers.rise2', { unit })],
      true,
    );
    for (const each of card.ties)
      line([
        `${each.name}${each.what === 'mark' ? ' (a stake)' : ''}`,
        length(each.distance),
        asked.angleUnit === 'dms'
          ? formatAngle(each.azimuth, 'dms', 0)
          : angleFromRadians(each.azimuth, asked.angleUnit).toFixed(4),
        length(each.rise),
      ]);
    if (card.ties.length === 0)
      y += paragraph(
        page,
        msg('papers.nothingStandsNearEnoughToTieIt'),
        MARGIN,
        y,
        widthOf(page),
        'regular',
        9,
        INKS.ink2,
      );
    y += 6;
  }
  let x = MARGIN;
  for (const { bytes, caption } of asked.photos) {
    const width = (widthOf(page) - 10) / 2;
    if (y + PHOTO_HEIGHT > page.page.height - MARGIN - 30) break;
    page.image(bytes, x, y, { fit: [width, PHOTO_HEIGHT - 14] });
    if (caption) write(page, caption, x, y + PHOTO_HEIGHT - 12, 'regular', 8, INKS.ink2);
    x += width + 10;
  }
  footPages(page, msg('papers.printedByLookWhetherTheListHas', { day: clock.day(asked.at), by: asked.by }), '');
  return finish(page);
}

const square = (x: number, y: number, half: number): readonly (readonly [number, number])[] => [
  [x - half, y - half],
  [x + half, y - half],
  [x + half, y + half],
  [x - half, y + half],
];
