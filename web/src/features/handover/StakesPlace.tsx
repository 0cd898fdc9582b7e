import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { compareNames, roundOf, type RoundStop } from '@idle-marker/records';
import { STANDING } from '@idle-marker/words';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { TABLE, TD_WORD, TH_WORD } from '../../ui/table.ts';
import { HandOverWays } from './HandOverWays.tsx';
import { PrintDialog } from './PrintDialog.tsx';
import { StakeSlip } from './StakeSlip.tsx';
import { useWork } from './useWork.ts';

/** What stands on each stake of a package: written from the mark as it was set, to be copied, printed and read. */
export function Place() {
  const { state, trust } = useSite();
  const [work, setWork] = useWork();
  const [search, setSearch] = useSearchParams();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [printing, setPrinting] = useState<'labels' | 'cards' | null>(null);
  const stops = useMemo(
    () =>
      work
        ? roundOf(state, trust, work, null)
            .filter((stop): stop is RoundStop & { mark: NonNullable<RoundStop['mark']> } => stop.mark !== null && stop.mark.body.state !== 'rough')
            .sort((a, b) => compareNames(a.plan.name, b.plan.name))
        : [],
    [state, trust, work],
  );
  if (!work)
    return (
      <EmptyTo title="No stakes yet" place="design" label="Make a work package">
        What is written on a stake comes from the mark as it was set.
      </EmptyTo>
    );
  const chosen = stops.find(({ plan }) => plan.key === search.get('mark')) ?? stops[0] ?? null;
  const choose = (key: string) => setSearch({ package: work.id, mark: key }, { replace: true });
  const toggle = (key: string) => {
    const next = new Set(ticked);
    if (!next.delete(key)) next.add(key);
    setTicked(next);
  };
  const keys = stops.filter(({ plan }) => ticked.has(plan.key)).map(({ plan }) => plan.key);
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <section className="flex min-w-0 flex-col gap-3 p-5 max-md:p-3 lg:w-[360px] lg:flex-none lg:overflow-y-auto" aria-label="Stakes of the package">
          {state.packages.length > 1 && (
            <Choice
              label="Work package"
              value={work.id}
              options={state.packages.map((each) => [each.id, each.body.name] as const)}
              onChange={(id) => {
                setTicked(new Set());
                setWork(id);
              }}
            />
          )}
          <div className="flex flex-wrap gap-2">
            <Button disabled={stops.length === 0} onClick={() => setPrinting('labels')}>
              Labels…
            </Button>
            <Button disabled={stops.length === 0} onClick={() => setPrinting('cards')}>
              Cards for the crew…
            </Button>
            <span className="self-center text-[13px] text-ink2">{keys.length === 0 ? 'of all of them' : `of the ${keys.length} ticked`}</span>
          </div>
          {stops.length === 0 ? (
            <p className="text-ink2">No mark of this package is set yet.</p>
          ) : (
            <table className={TABLE}>
              <thead>
                <tr>
                  <th className={TH_WORD}>
                    <span className="sr-only">Print</span>
                  </th>
                  <th className={TH_WORD}>Mark</th>
                  <th className={TH_WORD}>Standing</th>
                </tr>
              </thead>
              <tbody>
                {stops.map(({ plan, standing, report, outdated }) => (
                  <tr key={plan.key} className={chosen?.plan.key === plan.key ? 'bg-ochre-tint' : ''}>
                    <td className={TD_WORD}>
                      <label className="flex min-h-11 min-w-11 cursor-pointer items-center justify-center">
                        <input
                          type="checkbox"
                          className="h-5 w-5 accent-(--spruce)"
                          aria-label={`Print ${plan.name}`}
                          checked={ticked.has(plan.key)}
                          onChange={() => toggle(plan.key)}
                        />
                      </label>
                    </td>
                    <td className={TD_WORD}>
                      <button
                        type="button"
                        className="min-h-11 w-full text-left font-semibold"
                        aria-current={chosen?.plan.key === plan.key ? 'true' : undefined}
                        onClick={() => choose(plan.key)}
                      >
                        {plan.name}
                      </button>
                    </td>
                    <td
                      className={`${TD_WORD} ${standing === 'inDoubt' || report ? 'text-brick' : standing === 'held' && !outdated ? 'text-good' : 'text-ochre'}`}
                    >
                      {report
                        ? report.body.kind === 'destroyed'
                          ? 'said to be gone'
                          : 'said to be hit'
                        : outdated
                          ? 'plan changed'
                          : standing
                            ? STANDING[standing]
                            : ''}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </section>
        {chosen && <StakeSlip key={`${work.id} ${chosen.plan.key}`} work={work} stop={chosen} />}
      </div>
      {printing && <PrintDialog kind={printing} work={work} keys={keys} count={keys.length || stops.length} onClose={() => setPrinting(null)} />}
    </div>
  );
}
