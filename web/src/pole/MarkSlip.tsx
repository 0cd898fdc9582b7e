import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { compassWord, moveFor, type Metres, type PlanPoint, type Viewpoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  isOverdue,
  markKey,
  paceOf,
  roundRows,
  twiceAt,
  type AcceptedSolution,
  type RoundStop,
  offOf,
} from '@idle-marker/records';
import {
  msg,
  hubPlaceWords,
  moveWords,
  paceWords,
  pushWords,
  rakeWords,
  smallLength,
  standingWords,
  thisUnproven,
  worded,
} from '@idle-marker/words';
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
import { waysOfWorking, type WayOfWorking } from './ways.ts';
import { HangsOn } from './HangsOn.tsx';
import { MarkHeights } from './MarkHeights.tsx';
import { RoundTable } from './RoundTable.tsx';
import { TurnLine } from './TurnLine.tsx';
import type { Round } from './useRound.ts';
import type { Due, Staking } from './useStaking.ts';
import { LINK } from '../ui/link.ts';

/** What the key does that is due. */
export const dueLabel = worded((): Readonly<Record<Due, string>> => ({
  rough: msg('pole.paintIt'),
  set: msg('pole.setMark'),
  shootHub: msg('pole.shootHub'),
  next: msg('pole.nextMark'),
  shoot: msg('pole.shoot'),
}));

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
export function MarkSlip({
  work,
  stop,
  round,
  staking,
  way,
  onWay,
  solution,
  viewpoint,
  lineAzimuth,
  groundZ,
  pole,
}: MarkSlipProps) {
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
                {msg('common.of2', { index: round.stops.indexOf(stop) + 1, stops: round.stops.length })}
              </span>
              {(plan.designZ === null || solution.fact.body.result.z === null) && <PlanOnlyBadge />}
            </h1>
            <p className="text-ink2">{hubPlaceWords(plan, units.lengthUnit)}</p>
          </>
        }
        foot={
          <>
            <span className="flex flex-wrap gap-2">
              {busy && <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>}
              {!busy && !shot && due !== 'next' && (
                <Button hint="N" onClick={round.next}>
                  {msg('common.skip')}
                </Button>
              )}
              {!busy && due === 'shoot' && !shot && (
                <Button hint="B" onClick={() => setBlocking(true)}>
                  {msg('pole.blocked')}
                </Button>
              )}
              {!busy && stands && (
                <Button look={due === 'next' ? 'quiet' : 'plain'} onClick={staking.pull}>
                  {msg('common.setItAnew')}
                </Button>
              )}
              {!busy && shot && <Button onClick={() => void staking.set('rough')}>{msg('pole.paintIt')}</Button>}
            </span>
            <span className="flex gap-2">
              {!busy && (due === 'set' || due === 'next') && (
                <Button onClick={() => void staking.shoot()}>{msg('common.shootAgain')}</Button>
              )}
              <Button look="primary" hint={msg('common.space')} disabled={busy} onClick={act}>
                {staking.isOneKey && due === 'shoot' ? msg('pole.shootAndKeep') : dueLabel()[due]}
              </Button>
            </span>
          </>
        }
      >
        {(shooting.trouble ?? staking.fault) && (
          <Card
            tone="brick"
            title={staking.fault?.title ?? msg('common.nothingWasStored')}
            actions={
              <Button onClick={() => (staking.fault ? staking.clear() : shooting.clear())}>
                {msg('common.close')}
              </Button>
            }
          >
            {staking.fault?.text ?? shooting.trouble}
            {staking.out && (
              <p className="mt-1">
                {pushWords(moveFor(viewpoint, staking.out, lineAzimuth), viewpoint, units.lengthUnit)}
              </p>
            )}
          </Card>
        )}
        {staking.kept && (
          <p className="my-2 border-l-4 border-good pl-3 font-medium text-good" role="status">
            {staking.kept}
          </p>
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
            title={
              due === 'rough'
                ? msg('pole.nearEnoughForPaint')
                : due === 'set'
                  ? msg('common.insideSetIt', { smallLength: smallLength(tolerance, units.lengthUnit) })
                  : msg('common.notThereYet')
            }
          >
            {msg('common.shot', {
              shots: shot.shots,
              move: moveWords(moveFor(viewpoint, shot.stake, lineAzimuth), viewpoint, units.lengthUnit),
            })}
          </Card>
        )}
        <MarkHeights
          work={work}
          stop={stop}
          groundZ={groundZ ?? mark?.body.groundZ ?? null}
          stands={stands}
          hasHeight={solution.fact.body.result.z !== null}
        />
        {plan.rake && <p className="mt-2">{rakeWords(plan.rake, plan.designZ, groundZ, units.lengthUnit)}</p>}
        {due !== 'next' && <TurnLine solution={solution} plan={plan} />}
        {stands && mark && (
          <p className="mt-2 text-[13px] text-ink2">
            {msg('pole.off2', {
              state: mark.body.state === 'confirmed' ? msg('pole.confirmed') : msg('pole.setNotShotAgainAfterDriving'),
              smallLength: smallLength(offOf(mark).e, units.lengthUnit),
              dEMm: mark.body.dEMm >= 0 ? 'east' : 'west',
              smallLength2: smallLength(offOf(mark).n, units.lengthUnit),
              dNMm: mark.body.dNMm >= 0 ? 'north' : 'south',
              standing: stop.standing ? standingWords()[stop.standing] : '',
              shots: mark.body.shots,
              firm: mark.body.firm !== undefined && ` · ${mark.body.firm ? 'firm' : 'loose'}`,
            })}
            <Driven mark={mark} />
          </p>
        )}
        {mark && mark.body.state !== 'rough' && <HangsOn mark={mark} />}
        <ProofDue />
        {state.packages.length > 1 && (
          <Choice
            className="my-2"
            label={msg('common.workPackage')}
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
        <Choice
          className="mt-3"
          label={msg('pole.wayOfWorking')}
          value={way}
          options={waysOfWorking()}
          onChange={onWay}
        />
        <Button className="mt-3" onClick={() => setCaring(true)}>
          {msg('pole.careAndCaution2')}
        </Button>
        <MarkWays className="-mx-[18px] mt-3 border-t md:hidden" />
        {pace && <p className="mt-2 text-[13px] text-ink2">{paceWords(pace.marks, pace.shotsPerMark)}</p>}
      </Slip>
      <PutOffDialog
        solution={solution}
        open={asking !== null}
        title={msg('pole.aProofIsOverdueGoOnAll')}
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
      title={firm === undefined ? msg('pole.drivenIsItFirm') : firm ? msg('common.firm') : msg('pole.loose')}
      actions={
        <>
          <Button aria-pressed={firm === true} onClick={() => onFirm(true)}>
            {msg('common.firm')}
          </Button>
          <Button aria-pressed={firm === false} onClick={() => onFirm(false)}>
            {msg('pole.loose')}
          </Button>
        </>
      }
    >
      {firm === false ? msg('pole.driveItDeeperOrSetALonger') : msg('pole.pushItWithTheBootThenShoot')}
    </Card>
  );
}

/** What the hammer did: from the place that was shot before to the hub that was shot after. */
function Driven({ mark }: { mark: Fact<'mark'> }) {
  const { timeline } = useSite().state;
  const units = useUnits();
  const before = timeline.find(
    (fact): fact is Fact<'mark'> => fact.type === 'mark' && fact.id === mark.body.supersedes,
  );
  if (!before || before.body.state === 'rough' || mark.body.hubZ === null) return null;
  const [de, dn] = [mark.body.place.e - before.body.place.e, mark.body.place.n - before.body.place.n];
  const deeper = before.body.hubZ === null ? null : before.body.hubZ - mark.body.hubZ;
  const off = smallLength(Math.hypot(de, dn), units.lengthUnit);
  return (
    <span className="block">
      {deeper !== null && Math.abs(deeper) >= 0.001
        ? msg('pole.thanTheShotBeforeCutAndFill', {
            smallLength: smallLength(deeper, units.lengthUnit),
            deeper: deeper > 0 ? 'deeper' : 'higher',
          })
        : msg('pole.drivingMovedIt', { off, test: /[1-9]/.test(off) ? compassWord(Math.atan2(de, dn)) : '' })}
    </span>
  );
}

/** What is the matter with the mark's place, or with the mark that stands there. */
function Standing({ stop, stands, onOthers }: { stop: RoundStop; stands: boolean; onOthers(): void }) {
  const { say } = useSite();
  const { obstruction, mark, outdated, plan } = stop;
  if (obstruction) {
    const free = () =>
      say({
        type: 'withdrawal',
        body: {
          record: obstruction.id,
          occupation: null,
          reason: msg('pole.thePlaceIsFreeAgain', { name: plan.name }),
        },
      });
    return (
      <Card
        tone="ochre"
        title={msg('pole.blocked2', { what: obstruction.body.what })}
        actions={
          <>
            <Button onClick={() => void free()}>{msg('pole.itIsFreeAgain')}</Button>
            <Button onClick={onOthers}>{msg('pole.otherOffsets')}</Button>
          </>
        }
      >
        {msg('pole.seenAtTheRoundGoesPastIt', { clockTime: clockTime(obstruction.at) })}
      </Card>
    );
  }
  if (!mark || mark.body.state === 'rough' || stands) return null;
  if (outdated)
    return (
      <Card tone="brick" title={msg('pole.setForAnEarlierPlan')}>
        {msg('pole.thePackageAsksForAnotherPlaceOr')}
      </Card>
    );
  if (stop.standing === 'inDoubt')
    return (
      <Card tone="brick" title={msg('pole.theMarkThatStandsIsInDoubt')}>
        {msg('pole.nobodyShouldBuildFromItPullThe')}
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
    ? msg('pole.aProofOfThisStationFailed')
    : proof.proven
      ? msg('pole.minSinceTheLastProof', { minutes: proof.minutes })
      : thisUnproven(proof.unproven, proof.unchecked);
  return (
    <p className={`my-3 border-l-4 pl-3 ${proof.failed ? 'border-brick' : 'border-ochre'}`}>
      <strong>{said}</strong>{' '}
      {proof.failed
        ? msg('pole.whatIsSetNowIsInDoubt')
        : onlyHeight
          ? msg('pole.sightAnUnusedMarkWithAHeight')
          : msg('pole.sightAnUnusedMarkBeforeTheNext')}{' '}
      <Link className={LINK} to={`/sites/${id}/prove`}>
        {msg('common.proveNow')}
      </Link>
    </p>
  );
}
