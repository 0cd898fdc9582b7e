/** The site's standing things as a scene: control, design outlines, marks. */
import type { MarkStanding, Standing } from '@idle-marker/core';
import { markKey, paintedCorners, shapesOf, type ControlMark, type SiteState } from '@idle-marker/records';
import type { Fact } from '@idle-marker/contract';
import type { Scene, SceneSymbol, SymbolName } from './scene.ts';

/** Given marks stand square, those of one's own making on a corner; what is only drawn has a frame in it. */
export function controlSymbol({ body }: Fact<'control'>): SymbolName {
  if (body.from && body.from !== 'asBuilt') return 'drawnControl';
  const isOwn = Boolean(body.parent);
  if (body.kind === 'target') return isOwn ? 'ownTarget' : 'wallTarget';
  if (!body.usePlan && body.useHeight) return isOwn ? 'ownBenchmark' : 'benchmark';
  if (body.forProof) return isOwn ? 'ownProof' : 'proof';
  return isOwn ? 'ownControl' : 'control';
}

export function controlScene(control: readonly ControlMark[], chosen: string | null): Partial<Scene> {
  return {
    symbols: control.flatMap((mark): SceneSymbol[] => {
      const { body } = mark.revision;
      if (body.e === null || body.n === null) return [];
      return [
        {
          id: mark.id,
          at: { e: body.e, n: body.n },
          symbol: controlSymbol(mark.revision),
          label: body.name,
          dashed: body.condition === 'doubtful',
          struck: body.condition === 'lost',
          chosen: mark.id === chosen,
        },
      ];
    }),
  };
}

export const outlineScene = (packages: readonly Fact<'package'>[]): Partial<Scene> => ({
  lines: packages.flatMap((each) =>
    each.body.items
      .flatMap(shapesOf)
      .map(({ closed, points }) => ({ points, ink: 'pencil' as const, closed, filled: closed })),
  ),
});

const markSymbol = (mark: Fact<'mark'>, standing: Standing | undefined): SymbolName =>
  standing === 'inDoubt'
    ? 'inDoubt'
    : mark.body.state === 'rough'
      ? 'rough'
      : standing === 'held'
        ? 'held'
        : mark.body.state === 'confirmed'
          ? 'confirmed'
          : 'set';

/** Marks to set and marks set of some packages. Ids are the mark keys. */
export function marksScene(
  state: SiteState,
  packages: readonly Fact<'package'>[],
  standings: ReadonlyMap<string, MarkStanding>,
  chosen: string | null,
): Partial<Scene> {
  const roots = state.packageRoots;
  return {
    symbols: packages.flatMap((each) => [
      ...paintedCorners(state, each).map(({ id, body }): SceneSymbol => ({
        id,
        at: body.place,
        symbol: 'rough',
        label: body.name,
        ink: 'pencil',
        pickable: false,
      })),
      ...each.body.plans.map((plan): SceneSymbol => {
        const key = markKey(roots.get(each.id)!, plan.key);
        const mark = state.marks.get(key);
        // Said to be gone or hit: whatever its station says, nobody builds from it.
        const standing = mark && (state.reports.has(mark.id) ? 'inDoubt' : standings.get(mark.id)?.standing);
        return {
          id: key,
          at: plan.place,
          symbol:
            state.obstructions.has(key) && (!mark || mark.body.state === 'rough')
              ? 'blocked'
              : mark
                ? markSymbol(mark, standing)
                : 'toSet',
          label: plan.name,
          ink: standing === 'inDoubt' ? 'brick' : mark && mark.body.state !== 'rough' ? 'ink' : 'pencil',
          chosen: key === chosen,
        };
      }),
    ]),
  };
}
