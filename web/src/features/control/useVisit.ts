import type { ControlMark } from '@idle-marker/records';
import { msg, VISIT } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';

export type VisitOutcome = keyof typeof VISIT;

/**
 * Notes a look at a mark. What is missing or disturbed is a new rating, and so a new revision: stations keep the one
 * they used.
 */
export function useVisit(): (mark: ControlMark, outcome: VisitOutcome) => Promise<void> {
  const { say } = useSite();
  return async (mark, outcome) => {
    const { body } = mark.revision;
    const condition = outcome === 'missing' ? 'lost' : outcome === 'disturbed' ? 'doubtful' : null;
    await say(
      { type: 'visit', body: { mark: mark.id, outcome, labelRead: outcome === 'found', note: '' } },
      ...(condition && condition !== body.condition
        ? [
            {
              type: 'control' as const,
              body: {
                ...body,
                condition,
                note: msg('control.onTheGround2', { visit: VISIT[outcome] }),
                supersedes: mark.revision.id,
              },
            },
          ]
        : []),
    );
  };
}
