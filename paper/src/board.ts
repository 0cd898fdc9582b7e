/** The sheet of paper that a plan is drawn on: its sizes, round scales, north and the scale bar. */
import { lengthFromMetres, type LengthUnit, type PlanPoint } from '@idle-marker/core';
import { msg, unitAbbreviationWords } from '@idle-marker/words';
import type { Box } from './labels.ts';
import { box, LABEL, path, POINTS_PER_METRE, SMALL, text, type Scene, type SceneItem } from './scene.ts';

/** Width and height upright, points. */
export const PAPERS = {
  A4: [595.28, 841.89],
  A3: [841.89, 1190.55],
  letter: [612, 792],
  tabloid: [792, 1224],
} as const;
export type Paper = keyof typeof PAPERS;

/** Scales that people have rulers for. */
const SCALES = [
  10, 20, 25, 50, 75, 100, 125, 150, 200, 250, 300, 400, 500, 750, 1000, 1250, 1500, 2000, 2500, 5000, 7500, 10_000,
  20_000, 50_000, 100_000,
];

/** What a scale is written as: 1 : 200, or for feet so many to the inch. */
export const scaleWords = (scale: number, unit: LengthUnit): string =>
  unit === 'metre'
    ? `1 : ${scale}`
    : msg('sketches.n1InFt1', { scale: Number((scale / 12).toFixed(1)), scale2: scale });

/** Feet have scales of so many feet to the inch. */
const scalesOf = (unit: LengthUnit): readonly number[] =>
  unit === 'metre'
    ? SCALES
    : [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200, 300, 400, 500, 1000, 2000].map(
        (feet) => feet * 12,
      );

/** Round scales that show less ground than `scale` does, the nearest first. */
export const finerScales = (scale: number, unit: LengthUnit): number[] =>
  scalesOf(unit)
    .filter((each) => each < scale)
    .reverse();

export interface Board {
  readonly frame: Box;
  readonly x: (point: PlanPoint) => number;
  readonly y: (point: PlanPoint) => number;
  /** One to so many. */
  readonly scale: number;
  readonly ground: NonNullable<Scene['ground']>;
}

/** Fits the ground to a frame at the largest round scale. */
export function boardFor(points: readonly PlanPoint[], frame: Box, unit: LengthUnit): Board {
  const east = points.map((point) => point.e);
  const north = points.map((point) => point.n);
  const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity);
  const [minE, maxE, minN, maxN] = [least(east), most(east), least(north), most(north)];
  const wanted = Math.max((maxE - minE) / frame.w, (maxN - minN) / frame.h, 1e-6) * POINTS_PER_METRE;
  const scales = scalesOf(unit);
  const scale = scales.find((each) => each >= wanted) ?? Math.ceil(wanted / 100_000) * 100_000;
  return boardAt({ e: (minE + maxE) / 2, n: (minN + maxN) / 2 }, scale, frame);
}

/** The ground around a place, which comes to the middle of the frame. */
export function boardAt(centre: PlanPoint, scale: number, frame: Box): Board {
  const perPoint = scale / POINTS_PER_METRE;
  const e = centre.e - (frame.x + frame.w / 2) * perPoint;
  const n = centre.n + (frame.y + frame.h / 2) * perPoint;
  return {
    frame,
    scale,
    ground: { e, n, perPoint },
    x: (point) => (point.e - e) / perPoint,
    y: (point) => (n - point.n) / perPoint,
  };
}

export function north(x: number, y: number): SceneItem[] {
  return [
    path('frame', [
      [x, y + 28],
      [x, y],
    ]),
    path(
      'frame',
      [
        [x - 4, y + 8],
        [x, y],
        [x + 4, y + 8],
      ],
      { closed: true, fill: 'ink' },
    ),
    text('frame', x, y + 38, 'N', LABEL, { weight: 'bold', align: 'middle' }),
  ];
}

const ROUND = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
export function scaleBar(right: number, y: number, { scale }: Pick<Board, 'scale'>, unit: LengthUnit): SceneItem[] {
  const perPoint = lengthFromMetres(scale / POINTS_PER_METRE, unit);
  const length = ROUND.find((each) => each / perPoint >= 56) ?? ROUND.at(-1)!;
  const w = length / perPoint;
  const x = right - w;
  return [
    path('frame', box(x, y - 3, w / 2, 3), { closed: true, fill: 'ink', width: 0.5 }),
    path('frame', box(x + w / 2, y - 3, w / 2, 3), { closed: true, fill: 'paper', width: 0.5 }),
    text('frame', x, y - 6, '0', SMALL, { align: 'middle' }),
    text('frame', right, y - 6, `${length} ${unitAbbreviationWords()[unit]}`, SMALL, { align: 'end' }),
  ];
}
