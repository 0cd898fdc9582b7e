import { useState } from 'react';
import { memberName } from '@idle-marker/records';
import { about, ask, sending, troubleOf } from '../../data/server.ts';
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
      await ask(`/api/v1/sites/${id}/crew-links/${link}`, about(link), sending('PUT', wanted));
      onMade();
      onClose();
    } catch (error) {
      setProblem(troubleOf(error, 'No page was made; try again when it is back.'));
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title="A page for a crew"
      foot={
        <>
          {problem && (
            <p className="mr-auto font-medium text-brick" role="alert">
              {problem}
            </p>
          )}
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" disabled={faulty} onClick={() => void make()}>
            Make it
          </Button>
        </>
      }
    >
      <Field
        label="Crew"
        value={label}
        maxLength={80}
        onChange={(event) => setLabel(event.target.value)}
        error={label.trim() === '' ? 'Say whose page it is.' : null}
        autoFocus
      />
      <Field
        className="mt-3"
        label="Whom it says to ask"
        value={asked}
        maxLength={120}
        onChange={(event) => setAsked(event.target.value)}
        error={asked.trim() === '' ? 'A crew that finds something wrong has to know whom to ask.' : null}
        help="A name, and a telephone number if you like."
      />
      <Choice className="mt-3" label="It stays open for" value={days} options={DAYS} onChange={setDays} />
      <div className="mt-3">
        <Tick label="All packages of the site" checked={all} onChange={setAll} />
        {!all &&
          state.packages.map((work) => {
            const root = state.packageRoots.get(work.id)!;
            return <Tick key={root} label={work.body.name} checked={roots.has(root)} onChange={(on) => setRoots(toggled(roots, root, on))} />;
          })}
      </div>
    </Dialog>
  );
}
