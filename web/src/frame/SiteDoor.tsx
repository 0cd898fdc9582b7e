import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { isPerson, type SiteState } from '@idle-marker/records';
import { msg, sayIn, wordingKey, wordingOf } from '@idle-marker/words';
import { say } from '../data/ledger.ts';
import { troubleWords } from '../data/trouble.ts';
import { useLedger } from '../data/useLedger.ts';
import { newId } from '../data/uuid.ts';
import { Frame } from './Frame.tsx';
import { Logo } from '../ui/Logo.tsx';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { Empty } from '../ui/Slip.tsx';
import { SiteProvider, useJudgedSite, useWho } from '../site/SiteContext.tsx';
import { LINK } from '../ui/link.ts';

/** Opens a site: waits for its facts, and asks who works before anything is said. */
export function SiteDoor() {
  const { site } = useParams();
  const id = site!;
  const { judged, loaded } = useJudgedSite(id);
  const state = judged?.state ?? null;
  const ledger = useLedger();
  const [who, setWho] = useWho(id);
  if (!judged || !state) {
    if (!loaded && ledger.trouble === null)
      return (
        <Empty title={msg('frame.openingTheSite')}>
          {ledger.read > 0
            ? msg('frame.readingWhatWasSaidSoFarEntries', { read: ledger.read.toLocaleString('en') })
            : msg('frame.readingWhatWasSaidSoFar')}
        </Empty>
      );
    return (
      <Empty
        title={loaded ? msg('frame.thereIsNoSuchSite') : msg('frame.theSiteCantBeReadJustNow')}
        action={
          <Link to="/" className={LINK}>
            {msg('frame.backToTheSites')}
          </Link>
        }
      >
        {loaded
          ? msg('frame.itsAddressMayBeMistypedOrIt')
          : msg('frame.thisBrowserHasNotSeenTheSite', { why: troubleWords()[ledger.trouble!.what].why })}
      </Empty>
    );
  }
  // Everything below is said in the site's own English; another one is another page.
  const wording = wordingOf(state.settings);
  sayIn(wording);
  if (who === undefined) return null;
  if (who === null || !state.members.some((member) => member.id === who))
    return <WhoWorks id={id} state={state} choose={setWho} />;
  return (
    <SiteProvider key={wordingKey(wording)} id={id} judged={judged} who={who}>
      <Frame />
    </SiteProvider>
  );
}

function WhoWorks({ id, state, choose }: { id: string; state: SiteState; choose: (member: string) => void }) {
  const [name, setName] = useState('');
  const trimmed = name.trim();
  const known = state.members.some((member) => member.body.name.toLowerCase() === trimmed.toLowerCase());
  const add = () => {
    const member = newId();
    void say(id, member, [{ type: 'member', id: member, body: { name: trimmed } }]).then(() => choose(member));
  };
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center gap-4 p-6">
      <div className="flex items-center gap-2 font-semibold">
        <Logo /> {state.settings.name}
      </div>
      <h1 className="text-2xl">{msg('frame.whoWorksHere')}</h1>
      <p className="text-ink2">{msg('frame.everythingMeasuredAndSaidOnThisDevice')}</p>
      <div className="flex flex-col gap-2">
        {state.members.filter(isPerson).map((member) => (
          <Button key={member.id} className="justify-start" onClick={() => choose(member.id)}>
            {member.body.name}
          </Button>
        ))}
      </div>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (trimmed && !known) add();
        }}
      >
        <Field
          className="flex-1"
          label={msg('frame.somebodyElse')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={known ? msg('frame.thisNameIsOnTheListAbove') : null}
        />
        <Button type="submit" disabled={!trimmed || known}>
          {msg('frame.add')}
        </Button>
      </form>
    </main>
  );
}
