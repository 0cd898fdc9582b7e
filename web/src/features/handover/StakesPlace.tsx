import { memo, useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { compareNames, roundOf, stakesBefore, writingBody, type RoundStop } from '@idle-marker/records';
import { msg, standingWords } from '@idle-marker/words';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import { TABLE, TD_WORD, TH_WORD } from '../../ui/table.ts';
import { toggled } from '../../ui/toggled.ts';
import { useLeadTo } from '../../ui/useLeadTo.ts';
import { useLongList } from '../../ui/LongList.tsx';
import { BeforeList } from './BeforeList.tsx';
import { HandOverWays } from './HandOverWays.tsx';
import { PrintDialog } from './PrintDialog.tsx';
import { StakeSlip } from './StakeSlip.tsx';
import { useWork } from './useWork.ts';
import { WrittenAnewDialog } from './WrittenAnewDialog.tsx';

/** From so many on a list wants to be searched. */
const MANY = 20;

/** What stands on each stake of a package: written from the mark as it was set, to be copied, printed and read. */
export function Place() {
  const { state, trust } = useSite();
  const [work, setWork] = useWork();
  const [search, setSearch] = useSearchParams();
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [writingAnew, setWritingAnew] = useState(false);
  const [printing, setPrinting] = useState<'labels' | 'before' | 'cards' | null>(null);
  const [listing, setListing] = useState(false);
  const stops = useMemo(
    () =>
      work
        ? roundOf(state, trust, work, null)
            .filter(
              (stop): stop is RoundStop & { mark: NonNullable<RoundStop['mark']> } =>
                stop.mark !== null && stop.mark.body.state !== 'rough',
            )
            .sort((a, b) => compareNames(a.plan.name, b.plan.name))
        : [],
    [state, trust, work],
  );
  const before = useMemo(() => (work ? stakesBefore(state, work, null) : []), [state, work]);
  const [wanted, setWanted] = useState('');
  const found = useMemo(() => {
    const letters = wanted.trim().toLowerCase();
    return letters === '' ? stops : stops.filter(({ plan }) => plan.name.toLowerCase().includes(letters));
  }, [stops, wanted]);
  const { shown, rest } = useLongList(found, 'stakes');
  const anew = useMemo(
    () =>
      work
        ? stops.flatMap(({ plan, mark }) => {
            const body = writingBody(state, work, plan, mark);
            return body ? [{ name: plan.name, before: mark.body.stakeText, body }] : [];
          })
        : [],
    [state, work, stops],
  );
  const id = work?.id ?? '';
  const [slip, leadTo] = useLeadTo<HTMLDivElement>();
  const choose = useCallback(
    (key: string) => {
      setSearch({ package: id, mark: key }, { replace: true });
      leadTo();
    },
    [setSearch, id, leadTo],
  );
  const toggle = useCallback((key: string) => setTicked((before) => toggled(before, key)), []);
  if (!work)
    return (
      <EmptyTo
        title={msg('handover.noStakesYet')}
        place="design"
        label={msg('common.makeAWorkPackage')}
        ways={<HandOverWays />}
      >
        {msg('handover.whatIsWrittenOnAStakeComes')}
      </EmptyTo>
    );
  const asked = stops.find(({ plan }) => plan.key === search.get('mark')) ?? null;
  // Who looks for another one sees it, and not the one from before.
  const chosen = asked && found.includes(asked) ? asked : (found[0] ?? asked ?? stops[0] ?? null);
  const keys = stops.filter(({ plan }) => ticked.has(plan.key)).map(({ plan }) => plan.key);
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
        <section
          className="flex min-w-0 flex-col gap-3 p-5 max-md:p-3 lg:w-[360px] lg:flex-none lg:overflow-y-auto"
          aria-label={msg('handover.stakesOfThePackage')}
        >
          {state.packages.length > 1 && (
            <Choice
              label={msg('common.workPackage')}
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
              {msg('handover.labels2')}
            </Button>
            <Button disabled={stops.length === 0} onClick={() => setPrinting('cards')}>
              {msg('handover.cardsForTheCrew')}
            </Button>
            <span className="self-center text-[13px] text-ink2">
              {keys.length === 0 ? msg('handover.ofAllOfThem') : msg('handover.ofTheTicked', { keys: keys.length })}
            </span>
          </div>
          {before.length > 0 && (
            <section className="border-t border-rule pt-2" aria-label={msg('handover.beforeDriving')}>
              <h2 className="text-[17px]">{msg('handover.beforeDriving')}</h2>
              <p className="text-[13px] text-ink2">{msg('handover.beforeDrivingSays', { before: before.length })}</p>
              <div className="mt-1 flex flex-wrap gap-2">
                <Button onClick={() => setPrinting('before')}>{msg('handover.labelsBefore')}</Button>
                <Button onClick={() => setListing(true)}>{msg('handover.listBefore')}</Button>
              </div>
            </section>
          )}
          {anew.length > 0 && (
            <Card
              tone="ochre"
              title={msg('handover.somethingElseThanWouldBeWrittenNow', { anew: anew.length })}
              actions={<Button onClick={() => setWritingAnew(true)}>{msg('handover.writtenAnew')}</Button>}
            >
              {msg('handover.howStakesAreWrittenOrThePackage')}
            </Card>
          )}
          {stops.length > MANY && (
            <Field
              label={msg('handover.findAStake')}
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
              error={found.length === 0 ? msg('handover.noStakeHasThatInItsName') : null}
            />
          )}
          {stops.length === 0 ? (
            <p className="text-ink2">{msg('handover.noMarkOfThisPackageIsSet')}</p>
          ) : (
            <table className={TABLE}>
              <thead>
                <tr>
                  <th className={TH_WORD}>
                    <span className="sr-only">{msg('handover.print')}</span>
                  </th>
                  <th className={TH_WORD}>{msg('common.mark')}</th>
                  <th className={TH_WORD}>{msg('handover.standing')}</th>
                </tr>
              </thead>
              <tbody>
                {shown.map((stop) => (
                  <StakeRow
                    key={stop.plan.key}
                    stop={stop}
                    isChosen={chosen?.plan.key === stop.plan.key}
                    isTicked={ticked.has(stop.plan.key)}
                    onChoose={choose}
                    onTick={toggle}
                  />
                ))}
              </tbody>
            </table>
          )}
          {rest}
        </section>
        <div ref={slip} className="flex min-w-0 flex-1 flex-col">
          {listing ? (
            <BeforeList work={work} stakes={before} onClose={() => setListing(false)} />
          ) : (
            chosen && <StakeSlip key={`${work.id} ${chosen.plan.key}`} work={work} stop={chosen} />
          )}
        </div>
      </div>
      {writingAnew && <WrittenAnewDialog stakes={anew} onClose={() => setWritingAnew(false)} />}
      {printing && (
        <PrintDialog
          kind={printing}
          work={work}
          keys={printing === 'before' ? [] : keys}
          count={printing === 'before' ? before.length : keys.length || stops.length}
          onClose={() => setPrinting(null)}
        />
      )}
    </div>
  );
}

interface StakeRowProps {
  readonly stop: RoundStop;
  readonly isChosen: boolean;
  readonly isTicked: boolean;
  onChoose(key: string): void;
  onTick(key: string): void;
}

const StakeRow = memo(function StakeRow({
  stop: { plan, standing, report, outdated },
  isChosen,
  isTicked,
  onChoose,
  onTick,
}: StakeRowProps) {
  return (
    <tr className={isChosen ? 'bg-ochre-tint' : ''}>
      <td className={TD_WORD}>
        <label className="flex min-h-11 min-w-11 cursor-pointer items-center justify-center">
          <input
            type="checkbox"
            className="h-5 w-5 accent-(--spruce)"
            aria-label={msg('handover.print2', { name: plan.name })}
            checked={isTicked}
            onChange={() => onTick(plan.key)}
          />
        </label>
      </td>
      <td className={TD_WORD}>
        <button
          type="button"
          className="min-h-11 w-full text-left font-semibold"
          aria-current={isChosen ? 'true' : undefined}
          onClick={() => onChoose(plan.key)}
        >
          {plan.name}
        </button>
      </td>
      <td
        className={`${TD_WORD} ${standing === 'inDoubt' || report ? 'text-brick' : standing === 'held' && !outdated ? 'text-good' : 'text-ochre'}`}
      >
        {report
          ? report.body.kind === 'destroyed'
            ? msg('handover.saidToBeGone')
            : msg('handover.saidToBeHit')
          : outdated
            ? msg('handover.planChanged')
            : standing
              ? standingWords()[standing]
              : ''}
      </td>
    </tr>
  );
});
