import { useState } from 'react';
import { Link } from 'react-router';
import type { CrewLink } from '@idle-marker/contract';
import { memberName, restakeList } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { call, troubleOf } from '../../data/server.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { QrCode } from '../../ui/QrCode.tsx';
import { Card } from '../../ui/Slip.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { CrewLinkDialog } from './CrewLinkDialog.tsx';
import { HandOverWays } from './HandOverWays.tsx';
import { addressFault, isOpen, useCrewLinks } from './useCrewLinks.ts';

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
      await call('endCrewLink', { site: id, id: link.id });
      await read();
    } catch (error) {
      setTrouble(troubleOf(error, msg('handover.thePageOfIsStillOpenTry', { label: link.label })));
    }
  };
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="grid min-h-0 flex-1 grid-cols-1 content-start gap-4 overflow-y-auto p-5 max-md:p-3 xl:grid-cols-[1fr_380px]">
        <section
          className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('handover.pagesForCrews')}
        >
          <div className="flex flex-wrap items-start justify-between gap-3">
            <div>
              <h1 className="text-2xl">{msg('common.crewPage')}</h1>
              <p className="max-w-[60ch] text-ink2">{msg('handover.aPageForPhonesACrewFinds')}</p>
            </div>
            <Button look="primary" onClick={() => setMaking(true)}>
              {msg('handover.newPage')}
            </Button>
          </div>
          <PublicAddress />
          {trouble && (
            <p className="my-2 font-medium text-brick" role="alert">
              {trouble}
            </p>
          )}
          {away && <p className="my-2 text-ochre">{msg('handover.thePagesCantBeReadJustNow')}</p>}
          {!away && links.length === 0 && <p className="mt-4 text-ink2">{msg('handover.noCrewHasAPageYet')}</p>}
          <ul className="mt-3 flex flex-col gap-3">
            {[...links].reverse().map((link) => (
              <LinkRow key={link.id} link={link} open={isOpen(link, now)} onEnd={() => void end(link)} />
            ))}
          </ul>
        </section>
        <section
          className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('handover.marksToSetAgain')}
        >
          <h2 className="text-xl">{msg('handover.marksToSetAgain')}</h2>
          {restake.length === 0 && <p className="mt-1 text-ink2">{msg('handover.noStakeIsSaidToBeGone')}</p>}
          <ul className="mt-2 flex flex-col gap-3">
            {restake.map(({ mark, work, why, report }) => (
              <li key={mark.id} className="border-l-4 border-brick pl-3">
                <p className="font-semibold">
                  {mark.body.name} <span className="font-normal text-ink2">{work.body.name}</span>
                </p>
                <p className="text-[13px]">
                  {why === 'destroyed'
                    ? msg('common.saidToBeGone')
                    : why === 'moved'
                      ? msg('common.saidToHaveBeenHitOrMoved')
                      : msg('handover.setForAnEarlierRevisionOfThe')}
                  {report &&
                    msg('handover.by', {
                      dayAndTime: dayAndTime(report.at),
                      who: report.body.who || memberName(state, report.by),
                    })}
                  {report?.body.text && `: ${report.body.text}`}
                </p>
                <p className="flex flex-wrap gap-x-4">
                  <Link
                    className={LINK}
                    to={`/sites/${id}/mark?package=${work.id}&mark=${encodeURIComponent(mark.body.key)}`}
                  >
                    {msg('common.setItAgain')}
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
        {msg('handover.itStandsWhereItWas')}
      </button>
    );
  return (
    <form
      className="mt-1 flex w-full items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim())
          void say({ type: 'withdrawal', body: { record: report, occupation: null, reason: reason.trim() } });
      }}
    >
      <Field
        className="flex-1"
        label={msg('handover.howDoYouKnow')}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        autoFocus
      />
      <Button type="submit" disabled={reason.trim() === ''}>
        {msg('handover.takeItBack')}
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        {msg('common.cancel')}
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
          if (valid && trimmed !== kept)
            void say({ type: 'site', body: { ...state.settings, publicAddress: trimmed } }).then(() =>
              setText(trimmed),
            );
        }}
      >
        <Field
          className="min-w-64 flex-1"
          label={msg('handover.addressUnderWhichPhonesReachThisServer')}
          value={text}
          maxLength={200}
          inputMode="url"
          placeholder="http://192.168.1.20:4181"
          onChange={(event) => setText(event.target.value)}
          error={valid ? null : msg('handover.giveAnAddressSuchAsHttp192')}
        />
        <Button type="submit" disabled={!valid || trimmed === kept}>
          {msg('handover.saveAddress')}
        </Button>
      </form>
      {fault && (
        <Card tone="ochre" title={msg('handover.noPhoneCanOpenAPageYet')}>
          {msg('handover.startTheServerWithIdleCrewHost', { fault })}
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
      ? msg('handover.allPackages')
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
            ? msg('handover.openUntil', { dayAndTime: dayAndTime(link.expiresAt) })
            : link.revokedAt
              ? msg('handover.closed', { dayAndTime: dayAndTime(link.revokedAt) })
              : msg('handover.ranOut', { dayAndTime: dayAndTime(link.expiresAt) })}
        </span>
      </p>
      <p className="text-[13px] text-ink2">
        {msg('handover.asks', { packages: packages || msg('handover.packagesThatAreNoMore'), who: link.who })}
      </p>
      {open && (
        <p className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
          <a className={LINK} href={address} target="_blank" rel="noreferrer">
            {msg('handover.openIt')}
          </a>
          <button type="button" className={LINK} onClick={() => void copy()}>
            {copied ? msg('handover.copied') : msg('handover.copyTheLink')}
          </button>
          <button type="button" className={LINK} aria-expanded={shown} onClick={() => setShown(!shown)}>
            {shown ? msg('handover.hideTheCode') : msg('handover.showTheCode')}
          </button>
          {ending ? (
            <>
              <Button look="danger" onClick={onEnd}>
                {msg('handover.closeItNowItsLabelsLeadNowhere')}
              </Button>
              <Button look="quiet" onClick={() => setEnding(false)}>
                {msg('handover.keepItOpen')}
              </Button>
            </>
          ) : (
            <button type="button" className={`${LINK} text-brick`} onClick={() => setEnding(true)}>
              {msg('handover.closeThePage')}
            </button>
          )}
        </p>
      )}
      {open && shown && (
        <div className="mt-2">
          <QrCode address={address} label={msg('handover.codeOfThePageOf', { label: link.label })} />
          <p className="text-[13px] break-all text-ink2 select-all">{address}</p>
        </div>
      )}
    </li>
  );
}
