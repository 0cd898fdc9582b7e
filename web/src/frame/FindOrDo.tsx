import { useEffect, useMemo, useState } from 'react';
import { Dialog as Radix } from 'radix-ui';
import { useNavigate } from 'react-router';
import { bookReader, type SiteState } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { currentLink } from '../link/linkStore.ts';
import { searchWindow } from '../link/searchWindow.ts';
import { useSite } from '../site/SiteContext.tsx';
import { workAlong } from '../site/useRoads.ts';
import { placesAtThePole, bookPlaces, handOverPlaces, railPlaces, placeWithReceiver } from '../site/places.ts';

interface Entry {
  readonly words: string;
  readonly what: string;
  act(): void;
}

const MOST = 12;
const MOST_RECORDS = 4;

/** The last entries of the book that say something, in their order: looked for from the end. */
function lastEntries(state: SiteState, wanted: string): string[] {
  const lineOf = bookReader(state);
  const found: string[] = [];
  for (let i = state.timeline.length - 1; i >= 0 && found.length < MOST_RECORDS; i--) {
    const { text } = lineOf(state.timeline[i]!);
    if (text.toLowerCase().includes(wanted)) found.unshift(text);
  }
  return found;
}

/** Other words that people look for a place by. */
const synonyms = worded((): Readonly<Record<string, string>> => ({
  'mark/line': msg('frame.placeChainageStationOffset'),
  'mark/road': msg('frame.placeAlignmentChainageStationOffset'),
  'hand-over/stakes': msg('frame.placeLathLabelsHowToRead'),
  'hand-over/crew': msg('frame.placePhonesLinkQrCodeReports'),
  'hand-over/tape': msg('frame.placeRecoveryTwoTapes'),
  'field-book/day': msg('frame.placeFieldBookPageDiaryPdfJson'),
  'field-book/close': msg('frame.placeEndOfTheDayMayI'),
  'hand-over/files': msg('frame.placeExportImportLandxmlDxfGeojson'),
  'hand-over/writing': msg('frame.placeConventionAbbreviationsLath'),
  'mark/receiver': msg('frame.placeGnssPlanFromTheReceiverHeight'),
}));

/** Jump to a place, a mark or a record, or run an action, from anywhere. */
export function FindOrDo() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setOpen((before) => !before);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="flex min-h-11 items-center gap-2 px-2 text-ink2 max-md:hidden"
      >
        {msg('frame.findOrDo')}{' '}
        <kbd className="rounded-sm border border-ink2 px-1.5 font-sans text-xs">{msg('frame.ctrlK')}</kbd>
      </button>
      <Radix.Root open={open} onOpenChange={setOpen}>
        <Radix.Portal>
          <Radix.Overlay className="fixed inset-0 z-40 bg-[#16262a66]" />
          <Radix.Content
            aria-describedby={undefined}
            className="fixed top-[12%] left-1/2 z-50 w-[calc(100vw-24px)] max-w-xl -translate-x-1/2 rounded-sm border-[1.5px] border-ink bg-sheet shadow-xl"
          >
            <Radix.Title className="sr-only">{msg('frame.findOrDo2')}</Radix.Title>
            <Finding onClose={() => setOpen(false)} />
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
    </>
  );
}

/** What is found, while it is looked for. */
function Finding({ onClose }: { onClose(): void }) {
  const { id, state, say, occupation } = useSite();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const entries = useMemo((): Entry[] => {
    const go = (path: string) => () => void navigate(`/sites/${id}/${path}`);
    const places = [
      ...railPlaces().flatMap(([, part]) => part),
      ...placesAtThePole(),
      placeWithReceiver(),
      ...handOverPlaces(),
      ...bookPlaces(),
    ].map(({ name, path }): Entry => ({
      words: name,
      what: synonyms()[path] ?? 'place',
      act: go(path),
    }));
    const actions: Entry[] = [
      { words: msg('frame.searchForThePrism'), what: 'action', act: () => currentLink()?.search(searchWindow()) },
      { words: msg('frame.allSites'), what: 'action', act: () => void navigate('/') },
    ];
    if (occupation) {
      const note = (kind: 'bump' | 'plant', words: string): Entry => ({
        words,
        what: 'action',
        act: () => void say({ type: 'event', body: { occupation: occupation.id, kind, note: '' } }),
      });
      actions.push(
        note('bump', msg('frame.noteWasBumped', { name: occupation.body.name })),
        note('plant', msg('frame.noteHeavyPlantPassed', { name: occupation.body.name })),
      );
    }
    const roads = state.alignments.map(({ body }): Entry => ({
      words: msg('frame.workAlong', { name: body.name }),
      what: 'road',
      act: () => {
        workAlong(id, body.alignment);
        go('mark/road')();
      },
    }));
    const marks = state.packages.flatMap((work) =>
      work.body.plans.map((plan): Entry => ({
        words: plan.name,
        what: msg('frame.markOf', { name: work.body.name }),
        act: go(`mark?package=${work.id}&mark=${encodeURIComponent(plan.key)}`),
      })),
    );
    const control = state.control.map((mark): Entry => ({
      words: mark.revision.body.name,
      what: msg('frame.controlMark'),
      act: go('control'),
    }));
    const stations = state.occupations.map((each): Entry => ({
      words: each.body.name,
      what: 'station',
      act: go(`field-book?find=${encodeURIComponent(each.body.name)}`),
    }));
    return [...places, ...actions, ...roads, ...marks, ...control, ...stations];
  }, [id, state, navigate, occupation, say]);

  const wanted = text.trim().toLowerCase();
  const found = useMemo(() => {
    if (wanted === '') return entries.slice(0, MOST);
    const hits = entries.filter((entry) => `${entry.words} ${entry.what}`.toLowerCase().includes(wanted));
    const records = lastEntries(state, wanted).map((line): Entry => ({
      words: line,
      what: 'record',
      act: () => void navigate(`/sites/${id}/field-book?find=${encodeURIComponent(text.trim())}`),
    }));
    return [...hits, ...records].slice(0, MOST);
  }, [entries, wanted, state, text, id, navigate]);
  const run = (entry: Entry | undefined) => {
    if (!entry) return;
    onClose();
    entry.act();
  };
  return (
    <>
      <input
        role="combobox"
        aria-expanded="true"
        aria-controls="found"
        aria-activedescendant={found[at] ? `found-${at}` : undefined}
        aria-label={msg('frame.findAMarkAStationOrA')}
        placeholder={msg('frame.aMarkAPlaceAStationA')}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Enter') run(found[at]);
          else return;
          event.preventDefault();
        }}
        className="min-h-13 w-full border-b border-ink bg-transparent px-4 text-lg"
      />
      <ul id="found" role="listbox" aria-label={msg('frame.found')} className="max-h-[60vh] overflow-y-auto">
        {found.map((entry, i) => (
          <li
            key={`${entry.what} ${entry.words} ${i}`}
            id={`found-${i}`}
            role="option"
            aria-selected={i === at}
            onPointerMove={() => setAt(i)}
            onClick={() => run(entry)}
            className={`flex min-h-11 cursor-pointer items-center justify-between gap-4 px-4 ${i === at ? 'bg-paper' : ''}`}
          >
            <span className="truncate font-medium">{entry.words}</span>
            <span className="shrink-0 text-[13px] text-ink2">{entry.what}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="p-4 text-ink2">{msg('frame.nothingOfThatNameHere')}</p>}
    </>
  );
}
