import { useMemo, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import type { Fact } from '@idle-marker/contract';
import { compareNames, roundOf } from '@idle-marker/records';
import { msg, standingWords } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { tryNow } from '../../data/ledger.ts';
import { call, troubleOf } from '../../data/server.ts';
import { stamp } from '../../data/storage.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field, Tick } from '../../ui/Field.tsx';
import { TIME_ZONE } from '../../ui/time.ts';
import { toggled } from '../../ui/toggled.ts';

/** Whom a sheet is given to, which marks are on it, and what else it says. The server numbers and freezes it. */
export function IssueDialog({ work, onClose }: { readonly work: Fact<'package'>; onClose(): void }) {
  const { id, state, trust, who } = useSite();
  const queries = useQueryClient();
  const [givenTo, setGivenTo] = useState('');
  const [remarks, setRemarks] = useState('');
  const [validUntil, setValidUntil] = useState('');
  const [bothHeights, setBothHeights] = useState(state.settings.siteZero !== null);
  const [coordinates, setCoordinates] = useState(false);
  const [part, setPart] = useState(false);
  const [name, setName] = useState('');
  const stops = useMemo(
    () =>
      roundOf(state, trust, work, null)
        .filter(({ mark }) => mark && mark.body.state !== 'rough')
        .sort((a, b) => compareNames(a.plan.name, b.plan.name)),
    [state, trust, work],
  );
  const [chosen, setChosen] = useState<ReadonlySet<string>>(() => new Set(stops.map(({ plan }) => plan.key)));
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const faulty = part && (name.trim() === '' || chosen.size === 0);
  const issue = async () => {
    setBusy(true);
    setProblem(null);
    try {
      const { device, seq } = await stamp();
      const body = {
        package: work.id,
        fact: newId(),
        at: now().toISOString(),
        device,
        seq,
        by: who,
        timeZone: TIME_ZONE,
        bothHeights,
        coordinates,
        ...(givenTo.trim() ? { givenTo: givenTo.trim() } : {}),
        ...(validUntil ? { validUntil } : {}),
        ...(remarks.trim() ? { remarks: remarks.trim() } : {}),
        ...(part ? { selection: { name: name.trim(), keys: [...chosen] } } : {}),
      };
      await call('issueSheet', { site: id, id: newId() }, { body });
      await queries.invalidateQueries({ queryKey: ['sheets', id] });
      tryNow();
      onClose();
    } catch (error) {
      setProblem(troubleOf(error, msg('handover.nothingWasIssuedTryAgainWhenIt')));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('handover.issueACutSheetOf', { name: work.body.name })}
      foot={
        <>
          {problem && (
            <p className="mr-auto font-medium text-brick" role="alert">
              {problem}
            </p>
          )}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={busy || faulty} onClick={() => void issue()}>
            {busy ? msg('handover.issuing') : msg('handover.issue')}
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label={msg('handover.givenTo')}
          value={givenTo}
          maxLength={80}
          placeholder={work.body.crew}
          onChange={(event) => setGivenTo(event.target.value)}
          help={msg('handover.whoeverHasToBeToldWhenA')}
        />
        <Field
          label={msg('handover.notToBeBuiltFromAfter')}
          type="date"
          value={validUntil}
          onChange={(event) => setValidUntil(event.target.value)}
          help={msg('handover.emptyUntilSomethingElseIsSaid')}
        />
      </div>
      <Field
        className="mt-3"
        label={msg('common.remarks')}
        value={remarks}
        maxLength={1000}
        onChange={(event) => setRemarks(event.target.value)}
      />
      {state.settings.siteZero !== null && (
        <Tick
          label={msg('handover.heightsAgainstTheSitesZeroBesideTrue')}
          checked={bothHeights}
          onChange={setBothHeights}
        />
      )}
      <Tick label={msg('handover.coordinatesOfTheMarksAsColumns')} checked={coordinates} onChange={setCoordinates} />
      <Tick label={msg('handover.onlySomeOfItsMarks')} checked={part} onChange={setPart} />
      {part && (
        <>
          <Field
            label={msg('handover.nameOfThisPart')}
            value={name}
            maxLength={80}
            placeholder={msg('handover.suchAsNorthSide')}
            onChange={(event) => setName(event.target.value)}
            error={name.trim() === '' ? msg('handover.giveThePartANameItGets') : null}
          />
          <ul
            className="mt-2 grid max-h-60 grid-cols-2 gap-x-4 overflow-y-auto border border-rule px-3"
            aria-label={msg('handover.marksOfThisPart')}
          >
            {stops.map(({ plan, standing }) => (
              <li key={plan.key}>
                <Tick
                  label={
                    <>
                      {plan.name}{' '}
                      <span className="text-[13px] text-ink2">{standing ? standingWords()[standing] : ''}</span>
                    </>
                  }
                  checked={chosen.has(plan.key)}
                  onChange={(on) => setChosen(toggled(chosen, plan.key, on))}
                />
              </li>
            ))}
          </ul>
        </>
      )}
    </Dialog>
  );
}
