/** Pairs of marks as lines on the plan: what fits thin, what does not in brick, with by how much. */
import { formatSigned, type ControlPair, type LengthUnit } from '@idle-marker/core';
import type { SiteState } from '@idle-marker/records';
import { smallUnit } from '@idle-marker/words';
import type { Scene, SceneLine, SceneText } from '../../board/scene.ts';

/** So many misfits get their figure written: more would only cover each other. */
const WRITTEN = 8;

export function pairScene(state: SiteState, pairs: readonly ControlPair[], unit: LengthUnit): Partial<Scene> {
  const place = new Map(
    state.control.flatMap(({ id, revision: { body } }) =>
      body.e === null || body.n === null ? [] : [[id, { e: body.e, n: body.n }] as const],
    ),
  );
  const lines: SceneLine[] = [];
  const texts: SceneText[] = [];
  const small = smallUnit(unit);
  for (const pair of pairs) {
    const from = place.get(pair.from);
    const to = place.get(pair.to);
    if (!from || !to) continue;
    lines.push({
      points: [from, to],
      ink: pair.exceeds ? 'brick' : 'ink2',
      width: pair.exceeds ? 2.5 : 0.75,
      ...(pair.exceeds ? {} : { dash: [4, 4] }),
    });
    if (!pair.exceeds || pair.dDistance === null || texts.length >= WRITTEN) continue;
    texts.push({
      at: { e: (from.e + to.e) / 2, n: (from.n + to.n) / 2 },
      text: `${formatSigned(pair.dDistance * small.perMetre, small.decimals)} ${small.name}`,
      ink: 'brick',
    });
  }
  return { lines, texts };
}
