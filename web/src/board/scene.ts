/** What is on the plan, as data in site metres: made once, painted on the board and written into files. */
import type { PlanPoint } from '@idle-marker/core';

export type SymbolName =
  | 'control'
  | 'benchmark'
  | 'proof'
  | 'wallTarget'
  | 'ownControl'
  | 'ownBenchmark'
  | 'ownProof'
  | 'ownTarget'
  | 'drawnControl'
  | 'toSet'
  | 'rough'
  | 'blocked'
  | 'set'
  | 'confirmed'
  | 'held'
  | 'inDoubt'
  | 'destroyed'
  | 'pole';

/** Ink says what role a thing has; the painter turns it into the theme's colour. */
export type Ink = 'ink' | 'ink2' | 'pencil' | 'spruce' | 'brick' | 'ochre';

export interface SceneSymbol {
  readonly id: string;
  readonly at: PlanPoint;
  readonly symbol: SymbolName;
  readonly label?: string;
  readonly ink?: Ink;
  /** Outline broken: doubtful. */
  readonly dashed?: boolean;
  /** Struck through: lost. */
  readonly struck?: boolean;
  readonly chosen?: boolean;
  /** Something happens when it is picked. */
  readonly pickable?: boolean;
}

export interface SceneLine {
  readonly points: readonly PlanPoint[];
  readonly ink: Ink;
  readonly closed?: boolean;
  readonly dash?: readonly number[];
  readonly filled?: boolean;
  readonly width?: number;
}

export interface SceneArrow {
  readonly from: PlanPoint;
  /** Tip, exaggeration already applied. */
  readonly to: PlanPoint;
  readonly ink: Ink;
}

export interface SceneEllipse {
  readonly at: PlanPoint;
  /** Semi-axes in metres, exaggeration already applied. */
  readonly a: number;
  readonly b: number;
  readonly azimuth: number;
}

export interface SceneInstrument {
  readonly at: PlanPoint;
  readonly label: string;
  /** Azimuth of the line of sight; null while unknown. */
  readonly facing: number | null;
}

/** A spot of colour under a symbol: how a figure there stands against what is allowed. */
export interface SceneShade {
  readonly at: PlanPoint;
  readonly ink: Ink;
}

export interface SceneText {
  readonly at: PlanPoint;
  readonly text: string;
  readonly ink: Ink;
}

export interface Scene {
  readonly lines: readonly SceneLine[];
  readonly symbols: readonly SceneSymbol[];
  readonly arrows: readonly SceneArrow[];
  readonly ellipses: readonly SceneEllipse[];
  readonly instruments: readonly SceneInstrument[];
  readonly texts: readonly SceneText[];
  readonly shades: readonly SceneShade[];
}

export const EMPTY_SCENE: Scene = {
  lines: [],
  symbols: [],
  arrows: [],
  ellipses: [],
  instruments: [],
  texts: [],
  shades: [],
};

export const joinScenes = (...scenes: readonly Partial<Scene>[]): Scene => ({
  lines: scenes.flatMap((scene) => scene.lines ?? []),
  symbols: scenes.flatMap((scene) => scene.symbols ?? []),
  arrows: scenes.flatMap((scene) => scene.arrows ?? []),
  ellipses: scenes.flatMap((scene) => scene.ellipses ?? []),
  instruments: scenes.flatMap((scene) => scene.instruments ?? []),
  texts: scenes.flatMap((scene) => scene.texts ?? []),
  shades: scenes.flatMap((scene) => scene.shades ?? []),
});

/** Everything that has a place, for fitting the view. */
export function sceneExtent(scene: Scene): readonly [number, number, number, number] | null {
  const points = [
    ...scene.symbols.map((each) => each.at),
    ...scene.instruments.map((each) => each.at),
    ...scene.lines.flatMap((each) => each.points),
  ];
  if (points.length === 0) return null;
  // Not Math.min(...list): a list of thousands is too long for a call.
  const extent: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { e, n } of points) {
    extent[0] = Math.min(extent[0], e);
    extent[1] = Math.min(extent[1], n);
    extent[2] = Math.max(extent[2], e);
    extent[3] = Math.max(extent[3], n);
  }
  return extent;
}
