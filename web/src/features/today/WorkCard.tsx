import { Link } from 'react-router';
import { classOf, type PackageProgress } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { LINK } from '../../ui/link.ts';

/** What each crew asked for and how far it is. */
export function WorkCard({ progress }: { progress: readonly PackageProgress[] }) {
  const { id, state } = useSite();
  const sum = (pick: (each: PackageProgress) => number) => progress.reduce((total, each) => total + pick(each), 0);
  const small = smallUnit(state.settings.lengthUnit);
  const within = (classId: string) => {
    return (classOf(state, classId).plan * small.perMetre).toFixed(small.decimals);
  };
  const blocked = sum((each) => each.blocked);
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
      <div className="mb-2 flex items-baseline justify-between">
        <h2 className="text-xl">{msg('today.workAskedFor')}</h2>
        <span className="text-ink2">
          {msg('today.ofSet', {
            sum: sum((each) => each.set),
            sum2: sum((each) => each.marks),
            blocked: blocked > 0 && msg('today.blocked', { blocked }),
          })}
        </span>
      </div>
      {progress.length === 0 ? (
        <p className="text-ink2">
          {msg('today.nothingIsAskedForYet')}{' '}
          <Link className={LINK} to={`/sites/${id}/design`}>
            {msg('common.makeAWorkPackage')}
          </Link>
        </p>
      ) : (
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('today.crew')}</th>
              <th className={TH_WORD}>{msg('today.workPackage')}</th>
              <th className={TH}>{msg('today.within', { name: small.name })}</th>
              <th className={TH_WORD}>{msg('today.heldSetInDoubt')}</th>
              <th className={TH}>{msg('today.toSet')}</th>
            </tr>
          </thead>
          <tbody>
            {progress.map(({ work, marks, set, held, inDoubt }) => (
              <tr key={work.id}>
                <td className={TD_WORD}>{work.body.crew}</td>
                <td className={TD_WORD}>
                  <Link
                    className="inline-flex min-h-11 items-center font-medium underline decoration-dotted"
                    to={`/sites/${id}/mark?package=${work.id}`}
                  >
                    {work.body.name}
                  </Link>
                  <WithoutHeight plans={work.body.plans} />
                </td>
                <td className={TD}>{within(work.body.class)}</td>
                <td className={TD_WORD}>
                  <ProgressBar held={held} set={set - held - inDoubt} inDoubt={inDoubt} total={marks} />
                  <span className="sr-only">
                    {msg('today.heldSetAndNotHeldYetIn', { held, set: set - held - inDoubt, inDoubt })}
                  </span>
                </td>
                <td className={TD}>{marks - set}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** Of a package whose marks get no cut and fill, or not all of them. */
function WithoutHeight({ plans }: { plans: PackageProgress['work']['body']['plans'] }) {
  const without = plans.filter(({ designZ }) => designZ === null).length;
  if (without === 0) return null;
  return (
    <span className="block text-[13px] text-ochre">
      {without === plans.length
        ? msg('today.noDesignElevation')
        : msg('today.withoutDesignElevation', { without, ofValue: plans.length })}
    </span>
  );
}

function ProgressBar({ held, set, inDoubt, total }: { held: number; set: number; inDoubt: number; total: number }) {
  const part = (n: number) => `${total === 0 ? 0 : (100 * n) / total}%`;
  return (
    <span className="flex h-3 w-full min-w-32 border border-ink bg-paper" aria-hidden="true">
      <span className="bg-good" style={{ width: part(held) }} />
      <span className="bg-good opacity-45" style={{ width: part(set) }} />
      <span
        style={{
          width: part(inDoubt),
          background: 'repeating-linear-gradient(45deg, var(--brick) 0 3px, var(--sheet) 3px 6px)',
        }}
      />
    </span>
  );
}
