import { Link } from 'react-router';
import type { MarkStanding } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { decidedSolution } from '@idle-marker/records';
import { msg, standingReasonWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { ClearCard } from '../../evidence/ClearCard.tsx';
import { LINK } from '../../ui/link.ts';

const SHOWN = 12;

/** Marks that nobody should build from, why, and the way to set each again. */
export function DoubtCard({
  marks,
  standings,
}: {
  marks: readonly Fact<'mark'>[];
  standings: ReadonlyMap<string, MarkStanding>;
}) {
  const { id, state } = useSite();
  if (marks.length === 0) return null;
  return (
    <section className="border-[1.5px] border-brick bg-sheet p-[18px]">
      <h2 className="mb-2 text-xl text-brick">{msg('today.inDoubt')}</h2>
      <ul className="flex flex-col">
        {marks.slice(0, SHOWN).map((mark) => {
          const standing = standings.get(mark.id)!;
          const part = standing.plan.standing === 'inDoubt' ? standing.plan : standing.height;
          const station = decidedSolution(state, mark.body.solution)?.fact.body.name ?? msg('today.itsStation');
          return (
            <li key={mark.id} className="flex flex-wrap items-center gap-x-6 border-b border-rule py-1">
              <strong className="min-w-28 text-brick">{mark.body.name}</strong>
              <span>{msg('today.setFrom', { station, standingReason: standingReasonWords()[part.because[0]!] })}</span>
              <Link
                className={`${LINK} ml-auto whitespace-nowrap`}
                to={`/sites/${id}/mark?package=${mark.body.package}&mark=${encodeURIComponent(mark.body.key)}`}
              >
                {msg('common.setItAgain')}
              </Link>
            </li>
          );
        })}
      </ul>
      <ClearCard />
      {marks.length > SHOWN && (
        <p className="mt-2 text-ink2">{msg('today.andMore2', { marks: marks.length - SHOWN })}</p>
      )}
    </section>
  );
}
