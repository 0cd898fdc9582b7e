import { useState } from 'react';
import { Link } from 'react-router';
import { memberName, restakeList } from '@idle-marker/records';
import { about, ask, troubleOf } from '../../data/server.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { QrCode } from '../../ui/QrCode.tsx';
import { Card } from '../../ui/Slip.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { CrewLinkDialog } from './CrewLinkDialog.tsx';
import { HandOverWays } from './HandOverWays.tsx';
import { addressFault, isOpen, useCrewLinks, type CrewLink } from './useCrewLinks.ts';

/** Pages for crews: who has one, until when, and what came back through them. */
export function Place() {
  const { id, state, now } = useSite();
  const { links, away, read } = useCrewLinks(id);
  const [making, setMaking] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const restake = restakeList(state);
  const end = async (link: CrewLink) => {
    setTrouble(null);
    try {
      await ask(`/api/v1/sites/${id}/crew-links/${link.id}`, about(link.id), { method: 'DELETE' });
      await read();
    } catch (error) {
      setTrouble(troubleOf(error, `The page of ${link.label} is still open: try again.`));
    }
  };
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="grid min-h-0 flex-1 grid-cols-1 content-start gap-4 overflow-y-auto p-5 max-md:p-3 xl:grid-cols-[1fr_380px]">
        <section className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label="Pages for crews">
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h1 className="text-2xl">Crew page</h1>
              <p className="max-w-[60ch] text-ink2">
                A page for phones: a crew finds its stake by number or by the code on its label, sees how to read it, and says when it is gone. Whoever has the
                link can read it; nothing else can be reached from it.
              </p>
            </div>
            <Button look="primary" onClick={() => setMaking(true)}>
              New page…
            </Button>
          </div>
          <PublicAddress />
          {trouble && (
            <p className="my-2 font-medium text-brick" role="alert">
              {trouble}
            </p>
          )}
          {away && <p className="my-2 text-ochre">The pages can’t be read just now.</p>}
          {!away && links.length === 0 && <p className="mt-4 text-ink2">No crew has a page yet.</p>}
          <ul className="mt-3 flex flex-col gap-3">
            {[...links].reverse().map((link) => (
              <LinkRow key={link.id} link={link} open={isOpen(link, now)} onEnd={() => void end(link)} />
            ))}
          </ul>
        </section>
        <section className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label="To set again">
          <h2 className="text-xl">To set again</h2>
          {restake.length === 0 && <p className="mt-1 text-ink2">No stake is said to be gone or hit, and none stands for an earlier plan.</p>}
          <ul className="mt-2 flex flex-col gap-3">
            {restake.map(({ mark, work, why, report }) => (
              <li key={mark.id} className="border-l-4 border-brick pl-3">
                <p className="font-semibold">
                  {mark.body.name} <span className="font-normal text-ink2">{work.body.name}</span>
                </p>
                <p className="text-[13px]">
                  {why === 'destroyed' ? 'Said to be gone' : why === 'moved' ? 'Said to have been hit or moved' : 'Set for an earlier revision of the package'}
                  {report && `, ${dayAndTime(report.at)} by ${report.body.who || memberName(state, report.by)}`}
                  {report?.body.text && `: ${report.body.text}`}
                </p>
                <p className="flex flex-wrap gap-x-4">
                  <Link className={LINK} to={`/sites/${id}/mark?package=${work.id}&mark=${encodeURIComponent(mark.body.key)}`}>
                    Set it again
                  </Link>
                  {report && <TakeBack report={report.id} />}
                </p>
              </li>
            ))}
          </ul>
        </section>
      </div>
      {making && <CrewLinkDialog onClose={() => setMaking(false)} onMade={() => void read()} />}
    </div>
  );
}

/** A report that was wrong is withdrawn with its reason; it stays in the book. */
function TakeBack({ report }: { readonly report: string }) {
  const { say } = useSite();
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (!asking)
    return (
      <button type="button" className={LINK} onClick={() => setAsking(true)}>
        It stands where it was
      </button>
    );
  return (
    <form
      className="mt-1 flex w-full items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) void say({ type: 'withdrawal', body: { record: report, occupation: null, reason: reason.trim() } });
      }}
    >
      <Field className="flex-1" label="How do you know?" value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} autoFocus />
      <Button type="submit" disabled={reason.trim() === ''}>
        Take it back
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        Cancel
      </Button>
    </form>
  );
}

/** The address under which phones reach the page: it is printed in every code. */
function PublicAddress() {
  const { state, say } = useSite();
  const kept = state.settings.publicAddress ?? '';
  const [text, setText] = useState(kept);
  const trimmed = text.trim().replace(/\/+$/, '');
  const valid = trimmed === '' || /^https?:\/\/[^\s/?#]+$/.test(trimmed);
  const fault = addressFault(kept);
  return (
    <div className="my-3">
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (valid && trimmed !== kept) void say({ type: 'site', body: { ...state.settings, publicAddress: trimmed } }).then(() => setText(trimmed));
        }}
      >
        <Field
          className="min-w-64 flex-1"
          label="Address under which phones reach this server"
          value={text}
          maxLength={200}
          inputMode="url"
          placeholder="http://192.168.1.20:4181"
          onChange={(event) => setText(event.target.value)}
          error={valid ? null : 'Give an address such as http://192.168.1.20:4181, without anything behind it.'}
        />
        <Button type="submit" disabled={!valid || trimmed === kept}>
          Keep
        </Button>
      </form>
      {fault && (
        <Card tone="ochre" title="No phone can open a page yet">
          {fault} Start the server with IDLE_CREW_HOST=0.0.0.0: then a second port, 4181, serves the crew’s pages and nothing else to the network. Give its
          address here.
        </Card>
      )}
    </div>
  );
}

function LinkRow({ link, open, onEnd }: { readonly link: CrewLink; readonly open: boolean; onEnd(): void }) {
  const { state } = useSite();
  const [shown, setShown] = useState(false);
  const [ending, setEnding] = useState(false);
  const [copied, setCopied] = useState(false);
  const address = `${state.settings.publicAddress || location.origin}/crew/${link.token}`;
  const packages =
    link.roots === null
      ? 'all packages'
      : state.packages
          .filter((work) => link.roots!.includes(state.packageRoots.get(work.id)!))
          .map((work) => work.body.name)
          .join(', ');
  const copy = async () => {
    // Browsers give no clipboard to a page over plain http: the address is shown then, to be copied by hand.
    try {
      await navigator.clipboard.writeText(address);
      setCopied(true);
    } catch {
      setShown(true);
    }
  };
  return (
    <li className={`border-l-4 pl-3 ${open ? 'border-good' : 'border-rule'}`}>
      <p className="font-semibold">
        {link.label}{' '}
        <span className={`font-normal ${open ? 'text-good' : 'text-ink2'}`}>
          {open
            ? `open until ${dayAndTime(link.expiresAt)}`
            : link.revokedAt
              ? `closed ${dayAndTime(link.revokedAt)}`
              : `ran out ${dayAndTime(link.expiresAt)}`}
        </span>
      </p>
      <p className="text-[13px] text-ink2">
        {packages || 'packages that are no more'} · asks {link.who}
      </p>
      {open && (
        <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
          <a className={LINK} href={address} target="_blank" rel="noreferrer">
            Open it
          </a>
          <button type="button" className={LINK} onClick={() => void copy()}>
            {copied ? 'Copied' : 'Copy the link'}
          </button>
          <button type="button" className={LINK} aria-expanded={shown} onClick={() => setShown(!shown)}>
            {shown ? 'Hide the code' : 'Show the code'}
          </button>
          {ending ? (
            <>
              <Button look="danger" onClick={onEnd}>
                Close it now: its labels lead nowhere then
              </Button>
              <Button look="quiet" onClick={() => setEnding(false)}>
                Keep it open
              </Button>
            </>
          ) : (
            <button type="button" className={`${LINK} text-brick`} onClick={() => setEnding(true)}>
              Close the page…
            </button>
          )}
        </p>
      )}
      {open && shown && (
        <div className="mt-2">
          <QrCode address={address} label={`Code of the page of ${link.label}`} />
          <p className="text-[13px] break-all text-ink2 select-all">{address}</p>
        </div>
      )}
    </li>
  );
}
