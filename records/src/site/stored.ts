/**
 * Figures as they are kept, in millimetres and degrees, and as they are worked with, in metres and radians: the one
 * place where one becomes the other, but for what core is handed of a sight (`observations`) and tolerance classes,
 * which the fold has turned.
 */
import { RADIANS_PER_DEGREE, type Metres, type Radians } from '@idle-marker/core';
import type { Fact, FactBody, SolutionResult } from '@idle-marker/contract';

export const MM: Metres = 1e-3;

/** Millimetres, without what is left of the division by a thousand. */
export const inMm = (metres: Metres): number => Math.round(metres * 1e9) / 1e6;
export const inMmOrNull = (metres: Metres | null): number | null => (metres === null ? null : metres * 1000);
export const metresOf = (mm: number): Metres => mm / 1000;
export const metresOrNull = (mm: number | null): Metres | null => (mm === null ? null : metresOf(mm));

export interface StationFigures {
  readonly orientation: Radians;
  /** Of the error ellipse, 95 %; null where heights alone were solved. */
  readonly radius95: Metres | null;
  /** Of the tilting axis; null in plan alone. */
  readonly sdAxis: Metres | null;
}

const figures = new WeakMap<Fact<'solution'>, StationFigures>();

/** What a solution came to. */
export function figuresOf(solution: Fact<'solution'>): StationFigures {
  let known = figures.get(solution);
  if (!known) {
    const { orientationDeg, sdTrunnionZMm } = solution.body.result;
    const { ellipse95 } = solution.body.result as Partial<SolutionResult>;
    known = {
      orientation: orientationDeg * RADIANS_PER_DEGREE,
      radius95: ellipse95 ? metresOf(ellipse95.aMm) : null,
      sdAxis: metresOrNull(sdTrunnionZMm),
    };
    figures.set(solution, known);
  }
  return known;
}

/** Where a mark was measured, less where it was planned. */
export const offOf = ({ body }: Fact<'mark'>): { readonly e: Metres; readonly n: Metres } => ({
  e: metresOf(body.dEMm),
  n: metresOf(body.dNMm),
});

/** How far the shots to a thing spread; null for a single one. */
export const spreadOf = ({
  body,
}: Fact<'asBuilt'>): { readonly plan: Metres | null; readonly height: Metres | null } => ({
  plan: metresOrNull(body.spread.planMm),
  height: metresOrNull(body.spread.heightMm),
});

type Effect = Pick<FactBody<'finding'>['effects'][number], 'planMm' | 'heightMm'>;

/** What a finding does to a mark; null where it can’t be told. */
export const effectOf = ({
  planMm,
  heightMm,
}: Effect): { readonly plan: Metres | null; readonly height: Metres | null } => ({
  plan: metresOrNull(planMm),
  height: metresOrNull(heightMm),
});

/** How well an instrument is centred over its mark. */
export const centringOf = ({ body }: Fact<'occupation'>): Metres => metresOf(body.over?.centringSdMm ?? 0);
