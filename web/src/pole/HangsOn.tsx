import type { Fact } from '@idle-marker/contract';
import { decidedSolution } from '@idle-marker/records';
import { msg, clearWords, hangsWords, heldBy } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { clockTime } from '../ui/time.ts';

/**
 * On what a set mark hangs: its station and the control under it, why it stands as it does, and what would clear a
 * doubt.
 */
export function HangsOn({ mark }: { readonly mark: Fact<'mark'> }) {
  const { state, trust } = useSite();
  const standing = trust.marks.find((each) => each.id === mark.id);
  const solution = decidedSolution(state, mark.body.solution);
  if (!standing || !solution) return null;
  const used = [...new Set(solution.fact.body.uses.filter((use) => use.plan || use.height).map((use) => use.control))];
  const names = used.flatMap((id) => state.control.find((each) => each.id === id)?.revision.body.name ?? []);
  const evidence = (id: string | null) => {
    const fact = state.timeline.find((each) => each.id === id);
    return fact ? clockTime(fact.at) : null;
  };
  const clear = trust.propose.filter(
    (each) => each.mark === mark.id || (each.mark === undefined && each.solution === solution.fact.id),
  );
  return (
    <details className="mt-2 border-y border-rule" open={standing.standing === 'inDoubt'}>
      <summary className="min-h-11 cursor-pointer py-2.5">
        {msg('pole.onWhatHangs', { name: mark.body.name })} <strong>{solution.fact.body.name}</strong>,{' '}
        {heldBy(solution.fact.body.method, names)}
      </summary>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 pb-2">
        {(['plan', 'height'] as const).map((part) => (
          <div key={part} className="contents">
            <dt className="text-ink2">{part === 'plan' ? msg('common.plan') : msg('common.height')}</dt>
            <dd>{hangsWords(standing[part], evidence(standing[part].evidence))}</dd>
          </div>
        ))}
      </dl>
      {clear.map((each) => (
        <p key={each.action + each.solution} className="pb-2">
          {clearWords(each, mark.body.name, solution.fact.body.name)}
        </p>
      ))}
    </details>
  );
}
