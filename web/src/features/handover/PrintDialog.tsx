import { useState } from 'react';
import { Link } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { conventionFor } from '@idle-marker/records';
import { msg, allLanguages, worded } from '@idle-marker/words';
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

const labelFormats = worded(
  () =>
    [
      ['a4of24', msg('handover.a424LabelsOf7037Mm')],
      ['a4of14', msg('handover.a414LabelsOf9938Mm')],
      ['a4of8', msg('handover.a48LabelsOf10572Mm')],
      ['letterOf30', msg('handover.letter30LabelsOf258')],
      ['letterOf10', msg('handover.letter10LabelsOf42In')],
      ['roll24', msg('handover.rollOf24Mm')],
      ['roll36', msg('handover.rollOf36Mm')],
      ['roll62', msg('handover.rollOf62Mm')],
    ] as const,
);
const FORMAT_KEY = 'idle-marker label format';
const NONE = 'none';

interface PrintDialogProps {
  readonly kind: 'labels' | 'before' | 'cards';
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
  const [format, setFormat] = useState<ReturnType<typeof labelFormats>[number][0]>(
    labelFormats().find(([each]) => each === kept)?.[0] ?? 'a4of24',
  );
  const [languages, setLanguages] = useState<readonly string[]>(conventionFor(state, work.body).convention.languages);
  const root = state.packageRoots.get(work.id)!;
  const open = links.filter((link) => isOpen(link, instant) && (link.roots === null || link.roots.includes(root)));
  const [asked, setAsked] = useState<string | null>(null);
  const link = asked ?? open[0]?.id ?? NONE;
  const fault = addressFault(state.settings.publicAddress);
  const codes = link !== NONE && state.settings.publicAddress;
  const print = () => {
    const body = {
      at: now().toISOString(),
      by: who,
      timeZone: TIME_ZONE,
      package: work.id,
      ...(keys.length > 0 ? { keys: [...keys] } : {}),
      ...(codes ? { link } : {}),
    };
    if (kind !== 'cards')
      return papers.fetchPaper(
        'labelsPaper',
        { site: id },
        { body: { ...body, format, ...(kind === 'before' ? { before: true } : {}) } },
      );
    const inOrder = allLanguages()
      .map(({ code }) => code)
      .filter((code) => languages.includes(code));
    return papers.fetchPaper('cardsPaper', { site: id }, { body: { ...body, languages: inOrder } });
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={kind !== 'cards' ? msg('handover.countOfLabels', { count }) : msg('handover.forTheCrew', { count })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.close')}</Button>
          <Button
            look="primary"
            disabled={papers.progress !== null || (kind === 'cards' && languages.length === 0)}
            onClick={() => void print()}
          >
            {msg('handover.makeThePdf')}
          </Button>
        </>
      }
    >
      {kind !== 'cards' ? (
        <Choice
          label={msg('handover.labels')}
          value={format}
          options={labelFormats()}
          onChange={(next) => {
            localStorage.setItem(FORMAT_KEY, next);
            setFormat(next);
          }}
        />
      ) : (
        <fieldset>
          <legend className="text-[13px] text-ink2">{msg('handover.languages')}</legend>
          {allLanguages().map(({ code, name }) => (
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
        label={msg('handover.theSquareCodeLeadsTo')}
        value={link}
        options={[
          ...open.map((each) => [each.id, msg('handover.thePageOf', { label: each.label })] as const),
          [NONE, msg('handover.nowhereNoCodeIsPrinted')],
        ]}
        onChange={setAsked}
      />
      {open.length === 0 && (
        <p className="mt-1 text-[13px] text-ink2">
          {msg('handover.thereIsNoPageForACrew')}{' '}
          <Link className={LINK} to={`/sites/${id}/hand-over/crew`}>
            {msg('handover.addCrewLink')}
          </Link>
        </p>
      )}
      {link !== NONE && fault && (
        <p className="mt-2 font-medium text-ochre" role="alert">
          {fault}{' '}
          <Link className={LINK} to={`/sites/${id}/hand-over/crew`}>
            {msg('handover.sayTheAddress')}
          </Link>
        </p>
      )}
      <PaperProgress papers={papers} />
    </Dialog>
  );
}
