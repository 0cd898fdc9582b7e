import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { pointOfMark, type CrewMark, type CrewView } from '@idle-marker/records';
import { msg, crewWords, filled, allLanguages, sayIn, type CrewWords } from '@idle-marker/words';
import { addressOf, call, RefusedError } from '../../data/server.ts';
import { newId } from '../../data/uuid.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { ReadingCard } from '../../stakes/ReadingCard.tsx';
import { TapeBack } from '../../stakes/TapeBack.tsx';

const LANGUAGE_KEY = 'idle-marker crew language';
const RENEW_MS = 60_000;

/** The language that was chosen on this phone, or the phone's own, or English. */
function useLanguage(): readonly [CrewWords, (code: string) => void] {
  const [code, setCode] = useState(() => localStorage.getItem(LANGUAGE_KEY) ?? navigator.language.slice(0, 2));
  return [
    crewWords(code),
    (next) => {
      localStorage.setItem(LANGUAGE_KEY, next);
      setCode(next);
    },
  ];
}

class Ended extends Error {}

/** Its marks have the form that records give them. */
async function viewOf(token: string): Promise<CrewView> {
  const view = (await call('readCrewPage', { token })) as unknown as CrewView;
  sayIn(view.wording);
  return view;
}

function thatHasEnded(error: unknown): never {
  throw error instanceof RefusedError && error.problem.code === 'LINK_ENDED' ? new Ended() : error;
}

/** Letters and figures count; blanks, dashes and capitals do not. */
const plain = (name: string): string =>
  name
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\s\-–_./]/g, '');

/** What a crew sees on a phone: its stake, how to read it, and a way to say that it is gone. */
export function Place() {
  const { token, name } = useParams();
  const [words, setLanguage] = useLanguage();
  const { page } = words;
  const view = useQuery({
    queryKey: ['crew', token],
    refetchInterval: ({ state }) => (state.error instanceof Ended ? false : RENEW_MS),
    retry: (count, error) => !(error instanceof Ended) && count < 1,
    queryFn: () => viewOf(token!).catch(thatHasEnded),
  });
  const ended = view.error instanceof Ended;
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col gap-4 bg-paper p-4 text-[17px]" lang={words.code}>
      <header className="flex items-end justify-between gap-3 border-b border-ink pb-2">
        <div className="min-w-0">
          <p className="truncate font-semibold">{view.data && !ended ? view.data.site : msg('common.idleMarker')}</p>
          {view.data && !ended && <p className="truncate text-[15px] text-ink2">{view.data.label}</p>}
        </div>
        <Choice
          label={page.language}
          value={words.code}
          options={allLanguages().map((each) => [each.code, each.name] as const)}
          onChange={setLanguage}
          className="w-32 flex-none"
        />
      </header>
      {ended ? (
        <p className="text-xl font-semibold" role="alert">
          {page.ended}
        </p>
      ) : (
        <>
          {view.isError && (
            <p className="font-medium text-ochre" role="alert">
              {page.away}
            </p>
          )}
          {view.data && <Stakes token={token!} view={view.data} asked={name ?? ''} words={words} />}
        </>
      )}
    </main>
  );
}

function Stakes({
  token,
  view,
  asked,
  words,
}: {
  readonly token: string;
  readonly view: CrewView;
  readonly asked: string;
  readonly words: CrewWords;
}) {
  const navigate = useNavigate();
  const { page } = words;
  const [text, setText] = useState('');
  const [which, setWhich] = useState<string | null>(null);
  const go = (name: string) => {
    setText('');
    setWhich(null);
    void navigate(`/crew/${token}/${encodeURIComponent(name)}`);
  };
  const show = ({ name, id }: CrewMark) => {
    go(name);
    setWhich(id);
  };
  const found = asked === '' ? [] : view.marks.filter((mark) => plain(mark.name) === plain(asked));
  const near =
    asked === '' || found.length > 0 ? [] : view.marks.filter((mark) => plain(mark.name).includes(plain(asked)));
  const mark = found.find((each) => each.id === which) ?? (found.length === 1 ? found[0]! : null);
  return (
    <>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) go(text.trim());
        }}
      >
        <Field
          className="flex-1"
          label={page.find}
          value={text}
          maxLength={80}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" look="primary" disabled={text.trim() === ''} aria-label={page.show}>
          →
        </Button>
      </form>
      {asked !== '' && found.length === 0 && (
        <p className="font-medium text-brick" role="alert">
          {filled(page.nothingFound, { name: asked })}
        </p>
      )}
      {near.length > 0 && (
        <Which said={filled(page.near, { name: asked })} marks={near.slice(0, MOST_NEAR)} onChoose={show} />
      )}
      {found.length > 1 && !mark && (
        <Which said={filled(page.several, { name: asked })} marks={found} onChoose={show} />
      )}
      {mark ? (
        <Stake key={mark.id} token={token} view={view} mark={mark} words={words} />
      ) : (
        <p className="text-[15px] text-ink2">{page.scan}</p>
      )}
      <details open={asked === ''}>
        <summary className="min-h-11 cursor-pointer py-2 font-semibold">
          {page.all} ({view.marks.length})
        </summary>
        <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {view.marks.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                onClick={() => show(each)}
                className={`min-h-11 w-full rounded-sm border-[1.5px] bg-sheet px-2 py-1 text-left ${isBad(each) ? 'border-brick text-brick' : 'border-ink'}`}
              >
                <span className="block truncate font-semibold">{each.name}</span>
                {isBad(each) && <span className="block text-[13px] leading-tight">{page.standing[each.standing]}</span>}
              </button>
            </li>
          ))}
        </ul>
      </details>
      <p className="text-[13px] text-ink2">{filled(page.asOf, { time: dayAndTime(view.at) })}</p>
    </>
  );
}

/** More than these are better found in the list of all. */
const MOST_NEAR = 12;

function Which({
  said,
  marks,
  onChoose,
}: {
  readonly said: string;
  readonly marks: readonly CrewMark[];
  readonly onChoose: (mark: CrewMark) => void;
}) {
  return (
    <div>
      <p className="font-medium">{said}</p>
      {marks.map((each) => (
        <Button key={each.id} className="mt-2 w-full justify-start" onClick={() => onChoose(each)}>
          {each.name} · {each.package}
        </Button>
      ))}
    </div>
  );
}

const isBad = ({ standing }: CrewMark): boolean => standing === 'inDoubt' || standing === 'destroyed';

function Stake({
  token,
  view,
  mark,
  words,
}: {
  readonly token: string;
  readonly view: CrewView;
  readonly mark: CrewMark;
  readonly words: CrewWords;
}) {
  const { page } = words;
  const point = pointOfMark(view, mark);
  const written = mark.written
    ? (['front', 'back', 'left', 'right'] as const).filter((side) => mark.written![side].length > 0)
    : [];
  return (
    <article aria-label={mark.name} className="border-[1.5px] border-ink bg-sheet p-4">
      <h1 className="text-3xl">{mark.name}</h1>
      <p
        className={`mb-3 font-semibold ${isBad(mark) ? 'text-brick' : mark.standing === 'held' ? 'text-good' : 'text-ochre'}`}
      >
        {page.standing[mark.standing]}
      </p>
      <ReadingCard reading={mark.reading} words={words} unit={view.unit} standing={mark.standing} who={view.who} />
      <h2 className="mt-4 text-lg">{page.written}</h2>
      {written.length > 0
        ? written.map((side) => (
            <p key={side} className="mt-1 border-l-4 border-(--lath) pl-3">
              <span className="text-[13px] text-ink2">{page.sides[side]}: </span>
              {mark.written![side].map(({ text }) => text).join(' · ')}
            </p>
          ))
        : mark.stakeText.map((line) => <p key={line}>{line}</p>)}
      {mark.photos.map((photo) => (
        <img
          key={photo.image}
          src={addressOf('readCrewImage', { token, id: photo.image })}
          alt={photo.caption || mark.name}
          className="mt-3 w-full border border-ink"
          loading="lazy"
        />
      ))}
      {point && (point.marks.length > 1 || point.gone.length > 0) && (
        <details className="mt-4 border-t border-rule pt-2">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {page.tape}: {point.corner}
          </summary>
          <TapeBack point={point} unit={view.unit} angleUnit={view.angleUnit} words={words} />
        </details>
      )}
      <Report token={token} mark={mark} words={words} who={view.who} />
    </article>
  );
}

function Report({
  token,
  mark,
  words,
  who,
}: {
  readonly token: string;
  readonly mark: CrewMark;
  readonly words: CrewWords;
  readonly who: string;
}) {
  const { page } = words;
  const queries = useQueryClient();
  const [asking, setAsking] = useState(false);
  const [text, setText] = useState('');
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // The same report again is no second one, however often the button is pressed where there is no signal.
  const [id] = useState(newId);
  const send = async (kind: 'destroyed' | 'moved') => {
    setTrouble(null);
    setBusy(true);
    try {
      const body = { mark: mark.id, kind, who: name.trim(), text: text.trim() };
      await call('reportMark', { token, id }, { body });
      await queries.invalidateQueries({ queryKey: ['crew', token] });
    } catch (error) {
      if (!(error instanceof RefusedError)) setTrouble(page.away);
      else setTrouble(error.problem.code === 'LINK_ENDED' ? page.ended : filled(page.askFirst, { who }));
      await queries.invalidateQueries({ queryKey: ['crew', token] });
    } finally {
      setBusy(false);
    }
  };
  if (mark.report)
    return (
      <p className="mt-4 border-t border-rule pt-3 font-semibold text-brick" role="status">
        {page.reported}
      </p>
    );
  if (!asking)
    return (
      <Button className="mt-4 w-full" onClick={() => setAsking(true)}>
        {page.report}
      </Button>
    );
  return (
    <div className="mt-4 flex flex-col gap-3 border-t border-rule pt-3">
      <p className="font-semibold">{page.what}</p>
      <Field label={page.remark} value={text} maxLength={500} onChange={(event) => setText(event.target.value)} />
      <Field label={page.yourName} value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
      {trouble && (
        <p className="font-medium text-brick" role="alert">
          {trouble}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="primary" disabled={busy} onClick={() => void send('destroyed')}>
          {page.destroyed}
        </Button>
        <Button disabled={busy} onClick={() => void send('moved')}>
          {page.moved}
        </Button>
        <Button look="quiet" onClick={() => setAsking(false)}>
          {page.cancel}
        </Button>
      </div>
    </div>
  );
}
