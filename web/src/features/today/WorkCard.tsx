import { Link } from 'react-router';
import { classOf, type PackageProgress } from '@idle-marker/records';
import { msg, smallLength, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { useIsPhone } from '../../ui/useMedia.ts';
import { LINK } from '../../ui/link.ts';

/** What each crew asked for and how far it is. */
export function WorkCard({ progress }: { progress: readonly PackageProgress[] }) {
  const { id, state } = useSite();
  const sum = (pick: (each: PackageProgress) => number) => progress.reduce((total, each) => total + pick(each), 0);
  const isPhone = useIsPhone();
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
      ) : isPhone ? (
        <WorkRows
          progress={progress}
          within={(work) =>
            msg('today.within2', {
              tolerance: smallLength(classOf(state, work.body.class).plan, state.settings.lengthUnit),
            })
          }
        />
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

/** The same on a phone: a package each, its bar over the whole width. */
function WorkRows({
  progress,
  within,
}: {
  readonly progress: readonly PackageProgress[];
  within(work: PackageProgress['work']): string;
}) {
  const { id } = useSite();
  return progress.map(({ work, marks, set, held, inDoubt }) => (
    <Link key={work.id} to={`/sites/${id}/mark?package=${work.id}`} className="block border-t border-rule py-3">
      <span className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span>
          <span className="text-[19px] font-semibold">{work.body.name}</span>{' '}
          <span className="text-ink2">{within(work)}</span>
        </span>
        <span className={`text-[18px] font-semibold ${inDoubt > 0 ? 'text-brick' : marks === set ? 'text-good' : ''}`}>
          {inDoubt > 0
            ? msg('today.countInDoubt', { inDoubt })
            : marks === set
              ? msg('today.allSet')
              : msg('today.leftToSet', { left: marks - set })}
        </span>
      </span>
      <WithoutHeight plans={work.body.plans} />
      <span className="mt-2 block">
        <ProgressBar held={held} set={set - held - inDoubt} inDoubt={inDoubt} total={marks} />
      </span>
    </Link>
  ));
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
