import { useState } from 'react';
import { Link } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { conventionFor } from '@idle-marker/records';
import { LANGUAGES } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { TIME_ZONE } from '../../ui/time.ts';
import { addressFault, isOpen, useCrewLinks } from './useCrewLinks.ts';

const LABEL_FORMATS = [
  ['a4of24', 'A4, 24 labels of 70 × 37 mm'],
  ['a4of14', 'A4, 14 labels of 99 × 38 mm'],
  ['a4of8', 'A4, 8 labels of 105 × 72 mm'],
  ['letterOf30', 'Letter, 30 labels of 2 5/8 × 1 in'],
  ['letterOf10', 'Letter, 10 labels of 4 × 2 in'],
  ['roll24', 'Roll of 24 mm'],
  ['roll36', 'Roll of 36 mm'],
  ['roll62', 'Roll of 62 mm'],
] as const;
const FORMAT_KEY = 'idle-marker label format';
const NONE = 'none';

interface PrintDialogProps {
  readonly kind: 'labels' | 'cards';
  readonly work: Fact<'package'>;
  /** Those that were ticked; none for all. */
  readonly keys: readonly string[];
  readonly count: number;
  onClose(): void;
}

/** How labels or cards are printed, and where their codes lead. */
export function PrintDialog({ kind, work, keys, count, onClose }: PrintDialogProps) {
  const { id, state, who, now: instant } = useSite();
  const { links } = useCrewLinks(id);
  const papers = usePaper();
  const kept = localStorage.getItem(FORMAT_KEY);
  const [format, setFormat] = useState<(typeof LABEL_FORMATS)[number][0]>(LABEL_FORMATS.find(([each]) => each === kept)?.[0] ?? 'a4of24');
  const [languages, setLanguages] = useState<readonly string[]>(conventionFor(state, work.body).convention.languages);
  const root = state.packageRoots.get(work.id)!;
  const open = links.filter((link) => isOpen(link, instant) && (link.roots === null || link.roots.includes(root)));
  const [asked, setAsked] = useState<string | null>(null);
  const link = asked ?? open[0]?.id ?? NONE;
  const fault = addressFault(state.settings.publicAddress);
  const codes = link !== NONE && state.settings.publicAddress;
  const print = () =>
    papers.fetchPaper({
      address: `/api/v1/sites/${id}/papers/${kind}`,
      body: {
        at: now().toISOString(),
        by: who,
        timeZone: TIME_ZONE,
        package: work.id,
        ...(keys.length > 0 ? { keys } : {}),
        ...(codes ? { link } : {}),
        ...(kind === 'labels' ? { format } : { languages: LANGUAGES.map(({ code }) => code).filter((code) => languages.includes(code)) }),
      },
    });
  return (
    <Dialog
      open
      onClose={onClose}
      title={kind === 'labels' ? `${count} ${count === 1 ? 'label' : 'labels'}` : `${count} ${count === 1 ? 'card' : 'cards'} for the crew`}
      foot={
        <>
          <Button onClick={onClose}>Close</Button>
          <Button look="primary" disabled={papers.progress !== null || (kind === 'cards' && languages.length === 0)} onClick={() => void print()}>
            Make the PDF
          </Button>
        </>
      }
    >
      {kind === 'labels' ? (
        <Choice
          label="Labels"
          value={format}
          options={LABEL_FORMATS}
          onChange={(next) => {
            localStorage.setItem(FORMAT_KEY, next);
            setFormat(next);
          }}
        />
      ) : (
        <fieldset>
          <legend className="text-[13px] text-ink2">Languages</legend>
          {LANGUAGES.map(({ code, name }) => (
            <Tick
              key={code}
              label={name}
              checked={languages.includes(code)}
              onChange={(on) => setLanguages(on ? [...languages, code] : languages.filter((each) => each !== code))}
            />
          ))}
        </fieldset>
      )}
      <Choice
        className="mt-3"
        label="The square code leads to"
        value={link}
        options={[...open.map((each) => [each.id, `the page of ${each.label}`] as const), [NONE, 'nowhere: no code is printed']]}
        onChange={setAsked}
      />
      {open.length === 0 && (
        <p className="mt-1 text-[13px] text-ink2">
          There is no page for a crew yet.{' '}
          <Link className={LINK} to={`/sites/${id}/hand-over/crew`}>
            Make one
          </Link>
        </p>
      )}
      {link !== NONE && fault && (
        <p className="mt-2 font-medium text-ochre" role="alert">
          {fault}{' '}
          <Link className={LINK} to={`/sites/${id}/hand-over/crew`}>
            Say the address
          </Link>
        </p>
      )}
      <PaperProgress papers={papers} />
    </Dialog>
  );
}
