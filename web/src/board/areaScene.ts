import type { FactBody } from '@idle-marker/contract';
import type { Scene } from './scene.ts';

type Area = Pick<FactBody<'area'>, 'name' | 'corners'>;

/** Ground that marks keep out of, with its name in the middle. */
export const areaScene = (areas: readonly Area[]): Partial<Scene> => ({
  lines: areas.map(({ corners }) => ({
    points: corners,
    ink: 'ochre' as const,
    closed: corners.length > 2,
    filled: corners.length > 2,
    dash: [6, 4],
  })),
  texts: areas
    .filter(({ corners }) => corners.length > 0)
    .map(({ name, corners }) => ({
      at: {
        e: corners.reduce((sum, { e }) => sum + e, 0) / corners.length,
        n: corners.reduce((sum, { n }) => sum + n, 0) / corners.length,
      },
      text: name,
      ink: 'ochre' as const,
    })),
});
