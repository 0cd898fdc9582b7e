/** Sight lines, residual arrows and the error ellipse of a station, exaggerated as said. */
import type { ResectionResult } from '@idle-marker/core';
import type { SiteState } from '@idle-marker/records';
import type { Scene, SceneArrow, SceneLine } from '../../plan/scene.ts';

export const EXAGGERATION = 2000;

export function stationScene(state: SiteState, result: ResectionResult, name: string, facing: number | null, offMarks: ReadonlySet<string>): Partial<Scene> {
  const at = { e: result.e, n: result.n };
  const listed = new Map(state.control.map((mark) => [mark.id, mark.revision.body]));
  const sighted = result.points.filter((point) => point.dE !== null);
  const lines = sighted.flatMap((point): SceneLine[] => {
    const body = listed.get(point.name)!;
    return [{ points: [at, { e: body.e!, n: body.n! }], ink: 'ink2', dash: [4, 4], width: 1 }];
  });
  const arrows = sighted.flatMap((point): SceneArrow[] => {
    const body = listed.get(point.name)!;
    // A mark that was found to be off is drawn by what the others say of it.
    const off = point.leaveOneOut && offMarks.has(point.name) ? point.leaveOneOut : point;
    const from = { e: body.e!, n: body.n! };
    return [{ from, to: { e: from.e + off.dE! * EXAGGERATION, n: from.n + off.dN! * EXAGGERATION }, ink: offMarks.has(point.name) ? 'brick' : 'spruce' }];
  });
  const { a, b, azimuth } = result.ellipse95;
  return { lines, arrows, ellipses: [{ at, a: a * EXAGGERATION, b: b * EXAGGERATION, azimuth }], instruments: [{ at, label: name, facing }] };
}
