import { useState } from 'react';
import { conventionsOf, conventionFor, type NamedConvention } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLeadTo } from '../../ui/useLeadTo.ts';
import { ConventionDialog } from './ConventionDialog.tsx';
import { ConventionPreview } from './ConventionPreview.tsx';
import { HandOverWays } from './HandOverWays.tsx';

/** How stakes are written on this site: which convention is usual, what ships, and what was adapted here. */
export function Place() {
  const { state, say } = useSite();
  const all = conventionsOf(state);
  const usual = conventionFor(state, null);
  const [shown, setShown] = useState(usual.id);
  const [slip, leadTo] = useLeadTo<HTMLElement>();
  const [editing, setEditing] = useState<NamedConvention | null>(null);
  const chosen = all.find((each) => each.id === shown) ?? usual;
  const users = state.packages.filter((work) => conventionFor(state, work.body).id === chosen.id);
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <section
          className="p-5 max-md:p-3 lg:w-[340px] lg:flex-none lg:overflow-y-auto"
          aria-label={msg('handover.conventions')}
        >
          <h1 className="text-2xl">{msg('common.howStakesAreWritten')}</h1>
          <p className="text-ink2">{msg('handover.whatGoesOnWhichSideInWhich')}</p>
          <ul className="mt-3 flex flex-col gap-1">
            {all.map((each) => (
              <li key={each.id}>
                <button
                  type="button"
                  aria-current={each.id === chosen.id ? 'true' : undefined}
                  onClick={() => {
                    setShown(each.id);
                    leadTo();
                  }}
                  className={`min-h-11 w-full rounded-sm border-[1.5px] px-3 py-1 text-left ${each.id === chosen.id ? 'border-spruce bg-sheet' : 'border-transparent'}`}
                >
                  <span className="block font-semibold">{each.convention.name}</span>
                  <span className="block text-[13px] text-ink2">
                    {each.id === usual.id
                      ? msg('handover.usualOnThisSite')
                      : each.fact
                        ? msg('handover.ofThisSite')
                        : msg('handover.comesWithIdleMarker')}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
        <section
          ref={slip}
          className="min-w-0 flex-1 border-ink bg-sheet p-5 max-md:border-t max-md:p-3 lg:overflow-y-auto lg:border-l"
          aria-label={chosen.convention.name}
        >
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h2 className="text-xl">{chosen.convention.name}</h2>
              <p className="text-[13px] text-ink2">
                {users.length > 0
                  ? msg('handover.writtenSo', { users: users.map((work) => work.body.name).join(', ') })
                  : msg('handover.noPackageIsWrittenSo')}
              </p>
            </div>
            <div className="flex flex-wrap gap-2">
              {chosen.fact && chosen.id !== usual.id && users.length === 0 && (
                <Button
                  onClick={() => {
                    void say({
                      type: 'convention',
                      body: { ...chosen.fact!.body, retired: true, supersedes: chosen.fact!.id },
                    });
                    setShown(usual.id);
                  }}
                >
                  {msg('handover.putAside')}
                </Button>
              )}
              <Button onClick={() => setEditing(chosen)}>
                {chosen.fact ? msg('common.change') : msg('handover.adaptACopy')}
              </Button>
              <Button
                look="primary"
                disabled={chosen.id === state.settings.convention}
                onClick={() => void say({ type: 'site', body: { ...state.settings, convention: chosen.id } })}
              >
                {chosen.id === state.settings.convention ? msg('handover.usualHere') : msg('handover.makeItUsualHere')}
              </Button>
            </div>
          </div>
          <ConventionPreview convention={chosen.convention} />
          <p className="mt-4 text-[13px] text-ink2">{msg('handover.marksThatAreSetKeepWhatWas')}</p>
        </section>
      </div>
      {editing && <ConventionDialog from={editing} onClose={() => setEditing(null)} onKept={setShown} />}
    </div>
  );
}
