import type { Explanation } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { restatedReason } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { Draft } from '../../pole/useDraft.ts';

type Sight = FactBody<'sight'>;

/**
 * Puts right what was entered with sights of the station in work: each is withdrawn with the reason, and the same
 * reading is kept again with what is right. Nothing is changed, the book shows both.
 */
export function useRestating(draft: Draft): (explanation: Explanation) => Promise<void> {
  const { say } = useSite();
  const naming = useNaming();
  return async (explanation) => {
    const { figures, points } = explanation;
    const [first, second] = points;
    const sightsOf = (mark: string | undefined) =>
      draft.groups.filter((group) => group.mark === mark).flatMap((group) => group.sights);
    const all = draft.groups.flatMap((group) => group.sights);
    const named =
      (mark: string | undefined) =>
      (body: Sight): Sight => ({ ...body, target: { kind: 'control', mark: mark! } });
    const changes: readonly (readonly [readonly Fact<'sight'>[], (body: Sight) => Sight])[] =
      figures.code === 'POINT_MISNAMED'
        ? [[sightsOf(first), named(second)]]
        : figures.code === 'POINTS_SWAPPED'
          ? [
              [sightsOf(first), named(second)],
              [sightsOf(second), named(first)],
            ]
          : figures.code === 'PRISM_CONSTANT'
            ? [
                [
                  all,
                  (body) => ({
                    ...body,
                    prismConstantMm: Math.round((body.prismConstantMm + figures.constant * 1000) * 10) / 10,
                  }),
                ],
              ]
            : figures.code === 'TARGET_HEIGHT'
              ? [
                  [
                    sightsOf(first),
                    (body) => ({ ...body, targetHeight: Math.round((body.targetHeight - figures.error) * 100) / 100 }),
                  ],
                ]
              : figures.code === 'LENGTH_UNIT'
                ? [
                    [
                      all,
                      (body) => ({
                        ...body,
                        read: { ...body.read, lengthUnit: figures.factor < 1 ? 'foot' : 'metre' },
                      }),
                    ],
                  ]
                : [];
    const reason = restatedReason(explanation, naming);
    for (const [sights, change] of changes) {
      for (const sight of sights) {
        const [, again] = await say(
          { type: 'withdrawal', body: { record: sight.id, occupation: null, reason } },
          { type: 'sight', body: change(sight.body) },
        );
        draft.setUse([again as Fact<'sight'>], draft.usageOf(sight));
      }
    }
  };
}

/** Whether a faulty entry explains the misfit, so that it can be put right here. */
export const canBeRestated = ({ code }: Explanation): boolean =>
  code === 'POINT_MISNAMED' ||
  code === 'POINTS_SWAPPED' ||
  code === 'PRISM_CONSTANT' ||
  code === 'TARGET_HEIGHT' ||
  code === 'LENGTH_UNIT';
