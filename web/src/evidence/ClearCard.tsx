import { Link } from 'react-router';
import type { Proposal } from '@idle-marker/core';
import { claimOf, decidedSolution, markInForce } from '@idle-marker/records';
import { msg, clearWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { LINK } from '../ui/link.ts';

const SHOWN = 6;

/** The shortest way to clear what is in doubt or unproven: what to sight or to set next, and why. */
export function ClearCard({
  onResight,
  tone = 'brick',
}: {
  onResight?: (mark: string) => void;
  readonly tone?: 'brick' | 'ochre';
}) {
  const { id, state, trust } = useSite();
  const { propose } = trust;
  if (propose.length === 0) return null;
  const markOf = (each: Proposal) => (each.mark === undefined ? null : markInForce(state, each.mark));
  const stationOf = (each: Proposal) => decidedSolution(state, each.solution)?.fact.body.name ?? 'a station';
  const unprovenOf = (each: Proposal) => {
    const solution = decidedSolution(state, each.solution);
    return solution ? claimOf(state, trust, solution).unproven : [];
  };
  return (
    <section className={`my-3 rounded-sm border-2 px-3.5 py-3 ${tone === 'brick' ? 'border-brick' : 'border-ochre'}`}>
      <h2 className="text-[17px]">{msg('evidence.whatWouldClearIt')}</h2>
      <ol className="mt-1 flex flex-col">
        {propose.slice(0, SHOWN).map((each) => {
          const mark = markOf(each);
          return (
            <li
              key={`${each.action} ${each.solution} ${each.mark ?? ''}`}
              className="flex flex-wrap items-center justify-between gap-x-3"
            >
              <span className="py-1.5">
                {clearWords(each, mark?.body.name ?? null, stationOf(each), unprovenOf(each))}
              </span>
              {each.action === 'setAgain' && mark && (
                <Link
                  className={LINK}
                  to={`/sites/${id}/mark?package=${mark.body.package}&mark=${encodeURIComponent(mark.body.key)}`}
                >
                  {msg('common.setItAgain')}
                </Link>
              )}
              {each.action === 'resight' && mark && onResight && (
                <button type="button" className={LINK} onClick={() => onResight(mark.id)}>
                  {msg('common.sightIt')}
                </button>
              )}
            </li>
          );
        })}
      </ol>
      {propose.length > SHOWN && (
        <p className="text-ink2">{msg('evidence.andMoreAfterThese', { propose: propose.length - SHOWN })}</p>
      )}
    </section>
  );
}
