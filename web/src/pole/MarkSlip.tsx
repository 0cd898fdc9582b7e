import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { compassWord, moveFor, type Metres, type PlanPoint, type Viewpoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { isOverdue, markKey, paceOf, roundRows, twiceAt, type AcceptedSolution, type RoundStop, offOf } from '@idle-marker/records';
import { hubPlaceWords, moveWords, paceWords, pushWords, rakeWords, smallLength, STANDING, thisUnproven } from '@idle-marker/words';
import { useProofAge } from '../site/railFacts.ts';
import { SetTwiceCard } from '../evidence/SetTwiceCard.tsx';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Field.tsx';
import { Card, PlanOnlyBadge, Slip } from '../ui/Slip.tsx';
import { clockTime } from '../ui/time.ts';
import { useKey } from '../ui/useKey.ts';
import { PutOffDialog } from './PutOffDialog.tsx';
import { MarkWays } from './MarkWays.tsx';
import { BeginCard } from './BeginCard.tsx';
import { CoarserCard } from './CoarserCard.tsx';
import { BlockedDialog } from './BlockedDialog.tsx';
import { CareDialog } from './CareDialog.tsx';
import { CautionCards } from './CautionCards.tsx';
import { WAYS_OF_WORKING, type WayOfWorking } from './ways.ts';
import { HangsOn } from './HangsOn.tsx';
import { MarkHeights } from './MarkHeights.tsx';
import { RoundTable } from './RoundTable.tsx';
import { TurnLine } from './TurnLine.tsx';
import type { Round } from './useRound.ts';
import type { Due, Staking } from './useStaking.ts';
import { LINK } from '../ui/link.ts';

/** What the key does that is due. */
export const DUE_LABEL: Readonly<Record<Due, string>> = { rough: 'Paint it', set: 'Set mark', shootHub: 'Shoot hub', next: 'Next mark', shoot: 'Shoot' };

interface MarkSlipProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly round: Round;
  readonly staking: Staking;
  readonly way: WayOfWorking;
  onWay(way: WayOfWorking): void;
  readonly solution: AcceptedSolution;
  readonly viewpoint: Viewpoint;
  readonly lineAzimuth: number;
  readonly groundZ: Metres | null;
  readonly pole: PlanPoint;
}

/** The slip of one mark: what it is, what was shot, what is due, and the round it belongs to. */
export function MarkSlip({ work, stop, round, staking, way, onWay, solution, viewpoint, lineAzimuth, groundZ, pole }: MarkSlipProps) {
  const { id, state, who, now } = useSite();
  const units = useUnits();
  const [blocking, setBlocking] = useState(false);
  const [caring, setCaring] = useState(false);
  const { due, shot, shooting, tolerance } = staking;
  const navigate = useNavigate();
  const [asking, setAsking] = useState<(() => void) | null>(null);
  const overdue = isOverdue(state, useProofAge(), solution, now);
  /** What puts a mark into the ground is asked about while a proof is overdue. */
  const unlessOverdue = (go: () => void) => (overdue ? setAsking(() => go) : go());
  const act = () => (due === 'set' || due === 'shoot' ? unlessOverdue(staking.act) : staking.act());
  const { plan, mark } = stop;
  const busy = shooting.doing !== null;
  const stands = due === 'next' || due === 'shootHub';
  useKey('n', busy ? null : round.next);
  useKey('b', busy ? null : () => setBlocking(true));
  useKey(' ', busy || asking ? null : act);
  const twice = twiceAt(state, work, markKey(state.packageRoots.get(work.id)!, plan.key));
  const pace = paceOf(state, solution.fact.id, who);
  return (
    <>
      <Slip
        topic={`${plan.key} ${mark?.id ?? ''} ${shot?.sight.id ?? ''}`}
        head={
          <>
            <MarkWays className="-mx-[18px] -mt-3 mb-2 max-md:hidden" />
            <h1 className="text-xl">
              {work.body.name} · {plan.name}{' '}
              <span className="ml-1 text-[15px] font-normal text-ink2">
                {round.stops.indexOf(stop) + 1} of {round.stops.length}
              </span>
              {(plan.designZ === null || solution.fact.body.result.z === null) && <PlanOnlyBadge />}
            </h1>
            <p className="text-ink2">{hubPlaceWords(plan, units.lengthUnit)}</p>
          </>
        }
        foot={
          <>
            <span className="flex flex-wrap gap-2">
              {busy && <Button onClick={shooting.cancel}>Cancel</Button>}
              {!busy && !shot && due !== 'next' && (
                <Button hint="N" onClick={round.next}>
                  Skip
                </Button>
              )}
              {!busy && due === 'shoot' && !shot && (
                <Button hint="B" onClick={() => setBlocking(true)}>
                  Blocked…
                </Button>
              )}
              {!busy && stands && (
                <Button look={due === 'next' ? 'quiet' : 'plain'} onClick={staking.pull}>
                  Set it anew
                </Button>
              )}
              {!busy && shot && <Button onClick={() => void staking.set('rough')}>Rough mark</Button>}
            </span>
            <span className="flex gap-2">
              {!busy && (due === 'set' || due === 'next') && <Button onClick={() => void staking.shoot()}>Shoot again</Button>}
              <Button look="primary" hint="Space" disabled={busy} onClick={act}>
                {DUE_LABEL[due]}
              </Button>
            </span>
          </>
        }
      >
        {(shooting.trouble ?? staking.fault) && (
          <Card
            tone="brick"
            title={staking.fault?.title ?? 'Nothing was stored'}
            actions={<Button onClick={() => (staking.fault ? staking.clear() : shooting.clear())}>Close</Button>}
          >
            {staking.fault?.text ?? shooting.trouble}
            {staking.out && <p className="mt-1">{pushWords(moveFor(viewpoint, staking.out, lineAzimuth), viewpoint, units.lengthUnit)}</p>}
          </Card>
        )}
        {twice && <SetTwiceCard key={twice.name} twice={twice} />}
        <CoarserCard solution={solution} work={work} />
        <BeginCard solution={solution} work={work} />
        <CautionCards work={work} stop={stop} solution={solution} />
        <Standing stop={stop} stands={stands} onOthers={() => setBlocking(true)} />
        {due === 'shootHub' && <FirmCard firm={staking.firm} onFirm={staking.setFirm} />}
        {shot && (
          <Card
            tone={due === 'set' ? 'good' : 'ochre'}
            title={due === 'rough' ? 'Near enough for paint' : due === 'set' ? `Inside ${smallLength(tolerance, units.lengthUnit)}: set it` : 'Not there yet'}
          >
            Shot {shot.shots}: {moveWords(moveFor(viewpoint, shot.stake, lineAzimuth), viewpoint, units.lengthUnit)}.
          </Card>
        )}
        <MarkHeights work={work} stop={stop} groundZ={groundZ ?? mark?.body.groundZ ?? null} stands={stands} hasHeight={solution.fact.body.result.z !== null} />
        {plan.rake && <p className="mt-2">{rakeWords(plan.rake, plan.designZ, groundZ, units.lengthUnit)}</p>}
        {due !== 'next' && <TurnLine solution={solution} plan={plan} />}
        {stands && mark && (
          <p className="mt-2 text-[13px] text-ink2">
            {mark.body.state === 'confirmed' ? 'Confirmed' : 'Set, not shot again after driving'} · off {smallLength(offOf(mark).e, units.lengthUnit)}{' '}
            {mark.body.dEMm >= 0 ? 'east' : 'west'}, {smallLength(offOf(mark).n, units.lengthUnit)} {mark.body.dNMm >= 0 ? 'north' : 'south'} ·{' '}
            {stop.standing ? STANDING[stop.standing] : ''} · {mark.body.shots} {mark.body.shots === 1 ? 'shot' : 'shots'}
            {mark.body.firm !== undefined && ` · ${mark.body.firm ? 'firm' : 'loose'}`}
            <Driven mark={mark} />
          </p>
        )}
        {mark && mark.body.state !== 'rough' && <HangsOn mark={mark} />}
        <ProofDue />
        {state.packages.length > 1 && (
          <Choice
            className="my-2"
            label="Work package"
            value={work.id}
            options={state.packages.map((each) => [each.id, each.body.name] as const)}
            onChange={round.chooseWork}
          />
        )}
        <RoundTable
          rows={roundRows(round.stops, pole)}
          chosen={plan.key}
          instrument={solution.fact.body.result}
          minutesPerMark={pace?.minutesPerMark ?? null}
          onChoose={round.choose}
          onFirst={round.putFirst}
        />
        <Choice className="mt-3" label="Way of working" value={way} options={WAYS_OF_WORKING} onChange={onWay} />
        <Button className="mt-3" onClick={() => setCaring(true)}>
          Care and caution…
        </Button>
        <MarkWays className="-mx-[18px] mt-3 border-t md:hidden" />
        {pace && <p className="mt-2 text-[13px] text-ink2">{paceWords(pace.marks, pace.shotsPerMark)}</p>}
      </Slip>
      <PutOffDialog
        solution={solution}
        open={asking !== null}
        title="A proof is overdue: go on all the same?"
        onClose={() => setAsking(null)}
        onProve={() => void navigate(`/sites/${id}/prove`)}
        onPutOff={() => asking?.()}
      />
      {caring && <CareDialog onClose={() => setCaring(false)} />}
      {blocking && <BlockedDialog work={work} stop={stop} onClose={() => setBlocking(false)} onLeave={round.next} />}
    </>
  );
}

/** Whether what was driven stands firm: a loose hub is a bad mark tomorrow. */
function FirmCard({ firm, onFirm }: { firm: boolean | undefined; onFirm(firm: boolean): void }) {
  return (
    <Card
      tone={firm === false ? 'ochre' : 'ink'}
      title={firm === undefined ? 'Driven: is it firm?' : firm ? 'Firm' : 'Loose'}
      actions={
        <>
          <Button aria-pressed={firm === true} onClick={() => onFirm(true)}>
            Firm
          </Button>
          <Button aria-pressed={firm === false} onClick={() => onFirm(false)}>
            Loose
          </Button>
        </>
      }
    >
      {firm === false
        ? 'Drive it deeper, or set a longer one beside it; then shoot it. What is loose is not a mark to build from.'
        : 'Push it with the boot, then shoot it for its place and height.'}
    </Card>
  );
}

/** What the hammer did: from the place that was shot before to the hub that was shot after. */
function Driven({ mark }: { mark: Fact<'mark'> }) {
  const { timeline } = useSite().state;
  const units = useUnits();
  const before = timeline.find((fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.id === mark.body.supersedes);
  if (!before || before.body.state === 'rough' || mark.body.hubZ === null) return null;
  const [de, dn] = [mark.body.place.e - before.body.place.e, mark.body.place.n - before.body.place.n];
  const deeper = before.body.hubZ === null ? null : before.body.hubZ - mark.body.hubZ;
  const off = smallLength(Math.hypot(de, dn), units.lengthUnit);
  return (
    <span className="block">
      {deeper !== null && Math.abs(deeper) >= 0.001
        ? `${smallLength(deeper, units.lengthUnit)} ${deeper > 0 ? 'deeper' : 'higher'} than the shot before: cut and fill follow.`
        : `Driving moved it ${off} ${/[1-9]/.test(off) ? compassWord(Math.atan2(de, dn)) : ''}`}
    </span>
  );
}

/** What is the matter with the mark's place, or with the mark that stands there. */
function Standing({ stop, stands, onOthers }: { stop: RoundStop; stands: boolean; onOthers(): void }) {
  const { say } = useSite();
  const { obstruction, mark, outdated, plan } = stop;
  if (obstruction) {
    const free = () => say({ type: 'withdrawal', body: { record: obstruction.id, occupation: null, reason: `${plan.name}: the place is free again` } });
    return (
      <Card
        tone="ochre"
        title={`Blocked: ${obstruction.body.what}`}
        actions={
          <>
            <Button onClick={() => void free()}>It is free again</Button>
            <Button onClick={onOthers}>Other offsets…</Button>
          </>
        }
      >
        Seen at {clockTime(obstruction.at)}. The round goes past it.
      </Card>
    );
  }
  if (!mark || mark.body.state === 'rough' || stands) return null;
  if (outdated)
    return (
      <Card tone="brick" title="Set for an earlier plan">
        The package asks for another place or height by now. Pull the hub and set it anew.
      </Card>
    );
  if (stop.standing === 'inDoubt')
    return (
      <Card tone="brick" title="The mark that stands is in doubt">
        Nobody should build from it. Pull the hub and set it anew from here.
      </Card>
    );
  return null;
}

function ProofDue() {
  const { id } = useSite();
  const proof = useProofAge();
  if (!proof || (proof.due === null && proof.proven && !proof.failed)) return null;
  const onlyHeight = proof.unproven.length === 1 && proof.unproven[0] === 'height';
  const said = proof.failed
    ? 'A proof of this station failed.'
    : proof.proven
      ? `${proof.minutes} min since the last proof.`
      : thisUnproven(proof.unproven, proof.unchecked);
  return (
    <p className={`my-3 border-l-4 pl-3 ${proof.failed ? 'border-brick' : 'border-ochre'}`}>
      <strong>{said}</strong>{' '}
      {proof.failed
        ? 'What is set now is in doubt.'
        : onlyHeight
          ? 'Sight an unused mark with a height before the next one.'
          : 'Sight an unused mark before the next one.'}{' '}
      <Link className={LINK} to={`/sites/${id}/prove`}>
        Prove now
      </Link>
    </p>
  );
}
