/** Sight lines, residual arrows and the error ellipse of a station, exaggerated as said. */
import type { Reliability, ResectionResult } from '@idle-marker/core';
import type { SiteState } from '@idle-marker/records';
import type { Scene, SceneArrow, SceneLine } from '../../board/scene.ts';

export const EXAGGERATION = 2000;

/** Half the length of the line that shows in which direction a mark is watched least. */
const BLIND_LENGTH = 14;

/** For the chosen mark: the two ways in which it could have moved with the least to show for it. */
export function blindScene(state: SiteState, reliability: Reliability | null, chosen: string | null): Partial<Scene> {
  const blind = reliability?.unnoticed.find((each) => chosen !== null && each.names.includes(chosen))?.blind ?? null;
  const body = state.control.find((mark) => mark.id === chosen)?.revision.body;
  if (blind === null || !body || body.e === null || body.n === null) return {};
  const [de, dn] = [BLIND_LENGTH * Math.sin(blind), BLIND_LENGTH * Math.cos(blind)];
  const points = [
    { e: body.e - de, n: body.n - dn },
    { e: body.e + de, n: body.n + dn },
  ];
  return { lines: [{ points, ink: 'ochre', width: 5 }] };
}

export function stationScene(
  state: SiteState,
  result: ResectionResult,
  name: string,
  facing: number | null,
  offMarks: ReadonlySet<string>,
): Partial<Scene> {
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
    return [
      {
        from,
        to: { e: from.e + off.dE! * EXAGGERATION, n: from.n + off.dN! * EXAGGERATION },
        ink: offMarks.has(point.name) ? 'brick' : 'spruce',
      },
    ];
  });
  const { a, b, azimuth } = result.ellipse95;
  return {
    lines,
    arrows,
    ellipses: [{ at, a: a * EXAGGERATION, b: b * EXAGGERATION, azimuth }],
    instruments: [{ at, label: name, facing }],
  };
}
