import { useState } from 'react';
import { memberName } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { call, troubleOf } from '../../data/server.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { toggled } from '../../ui/toggled.ts';

const DAYS = [
  ['7', 'a week'],
  ['30', '30 days'],
  ['90', '90 days'],
  ['365', 'a year'],
] as const;

/** Whose page it is, which packages it shows, whom it says to ask, and for how long. */
export function CrewLinkDialog({ onClose, onMade }: { onClose(): void; onMade(): void }) {
  const { id, state, who } = useSite();
  const [label, setLabel] = useState(state.packages[0]?.body.crew ?? '');
  const [asked, setAsked] = useState(memberName(state, who));
  const [days, setDays] = useState<(typeof DAYS)[number][0]>('30');
  const [all, setAll] = useState(true);
  const [roots, setRoots] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const faulty = label.trim() === '' || asked.trim() === '' || (!all && roots.size === 0);
  const make = async () => {
    setProblem(null);
    try {
      const link = newId();
      const wanted = { label: label.trim(), who: asked.trim(), roots: all ? null : [...roots], days: Number(days) };
      await call('makeCrewLink', { site: id, id: link }, { body: wanted });
      onMade();
      onClose();
    } catch (error) {
      setProblem(troubleOf(error, msg('handover.noPageWasMadeTryAgainWhen')));
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('handover.aPageForACrew')}
      foot={
        <>
          {problem && (
            <p className="mr-auto font-medium text-brick" role="alert">
              {problem}
            </p>
          )}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={faulty} onClick={() => void make()}>
            {msg('handover.makeIt')}
          </Button>
        </>
      }
    >
      <Field
        label={msg('common.crew')}
        value={label}
        maxLength={80}
        onChange={(event) => setLabel(event.target.value)}
        error={label.trim() === '' ? msg('handover.sayWhosePageItIs') : null}
        autoFocus
      />
      <Field
        className="mt-3"
        label={msg('handover.whomItSaysToAsk')}
        value={asked}
        maxLength={120}
        onChange={(event) => setAsked(event.target.value)}
        error={asked.trim() === '' ? msg('handover.aCrewThatFindsSomethingWrongHas') : null}
        help={msg('handover.aNameAndATelephoneNumberIf')}
      />
      <Choice className="mt-3" label={msg('handover.itStaysOpenFor')} value={days} options={DAYS} onChange={setDays} />
      <div className="mt-3">
        <Tick label={msg('handover.allPackagesOfTheSite')} checked={all} onChange={setAll} />
        {!all &&
          state.packages.map((work) => {
            const root = state.packageRoots.get(work.id)!;
            return (
              <Tick
                key={root}
                label={work.body.name}
                checked={roots.has(root)}
                onChange={(on) => setRoots(toggled(roots, root, on))}
              />
            );
          })}
      </div>
    </Dialog>
  );
}
