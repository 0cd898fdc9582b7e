import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  azimuth,
  moveFor,
  moveGrade,
  nearestFirst,
  planDistance,
  TAPE_UNDER,
  tapeAdvised,
  VIEWPOINTS,
  type Move,
  type StakeResult,
  type Viewpoint,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { markBody, markKey, packageRoots, readingOf, stakeAt, toleranceOf } from '@idle-marker/records';
import { GRADE_WORD, HEIGHT_REFERENCE, MEANING, moveWords, smallLength, STANDING, stationErrorSentence, tapeWords, VIEWPOINT_NAME } from '@idle-marker/words';
import { useProofAge } from '../../frame/railFacts.ts';
import { currentLink, useLinkState } from '../../link/linkStore.ts';
import { useShooting } from '../../link/takeSight.ts';
import { TypedReading } from '../../link/TypedReading.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Card, Empty, Slip } from '../../ui/Slip.tsx';
import { useKey } from '../../ui/useKey.ts';
import { CutFill } from './CutFill.tsx';
import { GuidanceBoard } from './GuidanceBoard.tsx';
import { RoundTable, type RoundRow } from './RoundTable.tsx';
import { StakePicture } from './StakePicture.tsx';
import { TurnLine } from './TurnLine.tsx';
import { useLiveStake } from './useLiveStake.ts';
import { useSpokenMove } from './useSpokenMove.ts';

type Plan = FactBody<'package'>['plans'][number];
const TRAIL = 6;
/** Steps of the arrow keys in metres: far away, near, and with Shift. */
const STRIDE = { far: 1, near: 0.1, fine: 0.005 };

/** Where does the pole go, and what do I write? */
export function Place() {
  const { id, state, trust, inForce, say } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const shooting = useShooting();
  const proof = useProofAge();
  const [query] = useSearchParams();
  const [packageId, setPackageId] = useState(query.get('package') ?? state.packages[0]?.id ?? '');
  const work = state.packages.find((each) => each.id === packageId) ?? state.packages[0] ?? null;
  const root = useMemo(
    () => (work ? packageRoots(state.timeline.filter((fact): fact is Fact<'package'> => fact.type === 'package')).get(work.id)! : ''),
    [state, work],
  );
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const order = useMemo(() => {
    if (!work) return [];
    const start = inForce ? { e: inForce.fact.body.result.e, n: inForce.fact.body.result.n } : work.body.plans[0]?.place;
    return start
      ? nearestFirst(
          start,
          work.body.plans.map((plan) => plan.place),
        ).map((i) => work.body.plans[i]!)
      : [];
  }, [work, inForce]);
  const markOf = useCallback((plan: Plan) => state.marks.get(markKey(root, plan.key)) ?? null, [state, root]);
  const [chosenKey, setChosenKey] = useState<string | null>(query.get('mark'));
  const plan = order.find((each) => each.key === chosenKey) ?? order.find((each) => (markOf(each)?.body.state ?? 'planned') === 'planned') ?? order[0] ?? null;
  const [viewpoint, setViewpoint] = useState<Viewpoint>('facingInstrument');
  const [shot, setShot] = useState<{ sight: Fact<'sight'>; stake: StakeResult; shots: number } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  /** The hub that stands is pulled; its place is looked for again. */
  const [anew, setAnew] = useState(false);
  const { stake: live, stale } = useLiveStake(inForce, plan);
  const tolerance = work ? toleranceOf(state, work) : 0;
  const lineAzimuth = plan?.onLine || plan?.offFace ? azimuth(plan.design, plan.place) : 0;
  const shown = live ?? shot?.stake ?? null;
  const move = shown ? moveFor(viewpoint, shown, lineAzimuth) : null;
  const trail = useTrail(live ? move : null, plan?.key ?? '');
  useEffect(() => {
    setShot(null);
    setFault(null);
    setAnew(false);
  }, [plan?.key, inForce?.fact.id]);
  useEffect(() => {
    const [work, key] = [query.get('package'), query.get('mark')];
    if (work) setPackageId(work);
    if (key) setChosenKey(key);
  }, [query]);

  const mark = plan ? markOf(plan) : null;
  const distance = shown ? Math.hypot(shown.deltaE, shown.deltaN) : null;
  const shotWithin = shot ? Math.hypot(shot.stake.deltaE, shot.stake.deltaN) <= tolerance : false;
  const driving = mark?.body.state === 'set' && !shot && !anew;
  const spoken = useSpokenMove(move && !stale ? moveWords(move, viewpoint, units.lengthUnit) : null, distance !== null && distance <= tolerance && !stale);

  const shoot = async () => {
    if (!inForce || !plan || !work) return;
    setFault(null);
    const purpose = driving ? 'driven' : 'mark';
    const sight = await shooting.shoot(
      purpose,
      { kind: 'plan', package: work.id, key: plan.key },
      driving && link?.kind === 'simulator' ? { name: plan.name } : null,
    );
    if (!sight) return;
    const result = stakeAt(state, inForce, plan, readingOf(sight.body));
    if (!result.ok) {
      setFault(stationErrorSentence(result.error));
      return;
    }
    if (driving) await confirm(sight, result.value, mark);
    else setShot({ sight, stake: result.value, shots: (shot?.shots ?? 0) + 1 });
  };
  const set = async (markState: 'rough' | 'set') => {
    if (!shot || !plan || !work || !inForce) return;
    const current = currentLink();
    if (markState === 'set' && current?.kind === 'simulator') current.driveHub(plan.name);
    const setting = { solution: inForce, work, plan, sight: shot.sight, stake: shot.stake, hubZ: null, groundZ: shot.stake.measured.z, shots: shot.shots };
    await say({ type: 'mark', body: markBody(state, { ...setting, state: markState, supersedes: mark?.id ?? null }) });
    setChosenKey(plan.key);
    setShot(null);
    setAnew(false);
    if (markState === 'rough') next();
  };
  const confirm = async (sight: Fact<'sight'>, stake: StakeResult, before: Fact<'mark'>) => {
    const off = Math.hypot(stake.deltaE, stake.deltaN);
    const within = off <= tolerance;
    setChosenKey(plan!.key);
    const setting = {
      solution: inForce!,
      work: work!,
      plan: plan!,
      sight,
      stake,
      hubZ: stake.measured.z,
      groundZ: before.body.groundZ,
      shots: before.body.shots + 1,
    };
    await say({ type: 'mark', body: markBody(state, { ...setting, state: within ? 'confirmed' : 'set', supersedes: before.id }) });
    if (!within) {
      setFault(
        `The driven hub is ${smallLength(off, units.lengthUnit)} off, the class allows ${smallLength(tolerance, units.lengthUnit)}. Pull it and set it again.`,
      );
    }
  };
  const pullHub = () => {
    setAnew(true);
    setFault(null);
  };
  const next = useCallback(() => {
    const i = order.findIndex((each) => each.key === plan?.key);
    const later = [...order.slice(i + 1), ...order.slice(0, Math.max(i, 0))].find((each) => !markOf(each));
    if (later) setChosenKey(later.key);
  }, [order, plan, markOf]);

  const done = mark !== null && !shot && mark.body.state === 'confirmed';
  const act = () => void (shotWithin ? set('set') : done ? next() : shoot());
  const walkThere = () => plan && void shooting.walk(plan.place);
  const simulated = link?.kind === 'simulator';
  const step = (toward: number, right: number) => (event?: unknown) => {
    void event;
    const current = currentLink();
    if (current?.kind !== 'simulator') return;
    const size = distance === null || distance > 3 ? STRIDE.far : distance > 0.15 ? STRIDE.near : STRIDE.fine;
    current.step(toward * size, right * size);
  };
  const busy = shooting.doing !== null;
  const idle = !busy && inForce !== null && plan !== null;
  useKey(' ', idle ? () => act() : null);
  useKey('v', () => setViewpoint(VIEWPOINTS[(VIEWPOINTS.indexOf(viewpoint) + 1) % VIEWPOINTS.length]!));
  useKey('w', idle && simulated ? walkThere : null);
  useKey('n', next);
  useKey('l', simulated ? () => currentLink()?.search() : null);
  useKey('ArrowUp', simulated ? step(1, 0) : null);
  useKey('ArrowDown', simulated ? step(-1, 0) : null);
  useKey('ArrowLeft', simulated ? step(0, -1) : null);
  useKey('ArrowRight', simulated ? step(0, 1) : null);

  if (!work || !plan) {
    return (
      <Empty
        title="Nothing to mark yet"
        action={
          <Link to={`/sites/${id}/design`} className="font-semibold text-spruce underline">
            Make a work package
          </Link>
        }
      >
        A work package says which corners get hubs, at what offset, and how good they have to be.
      </Empty>
    );
  }
  if (!inForce) {
    return (
      <Empty
        title="Station the instrument first"
        action={
          <Link to={`/sites/${id}/station`} className="font-semibold text-spruce underline">
            Go to Station
          </Link>
        }
      >
        {order.length} marks wait in {work.body.name}. None can be set until it is known where the instrument stands.
      </Empty>
    );
  }
  const at = { e: inForce.fact.body.result.e, n: inForce.fact.body.result.n };
  const grade = distance === null ? null : moveGrade(distance, tolerance);
  const standing = mark ? standings.get(mark.id) : undefined;
  const rows: RoundRow[] = order.map((each) => {
    const own = markOf(each);
    return { plan: each, mark: own, standing: own ? (standings.get(own.id)?.standing ?? null) : null, walk: planDistance(shown?.measured ?? at, each.place) };
  });
  // What is still to set comes first, in walking order; what is done stands below.
  rows.sort((a, b) => Number(a.mark !== null) - Number(b.mark !== null));
  const position = order.indexOf(plan) + 1;
  const ahead =
    viewpoint === 'facingInstrument'
      ? `${inForce.fact.body.name}, ${units.length(planDistance(shown?.measured ?? plan.place, at), 0)} ${units.unit} ahead of you`
      : null;
  const groundZ = shown?.measured.z ?? mark?.body.groundZ ?? null;
  const hubZ = mark?.body.hubZ ?? null;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col lg:flex-row">
        <section className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1" aria-label="Guidance">
          <div className="min-h-[148px] border-b border-ink px-6 py-4 max-lg:min-h-0 max-lg:px-4 max-lg:py-2" aria-live="polite" aria-atomic="true">
            <div className="flex items-center gap-3 text-[15px] text-ink2">
              <button
                type="button"
                className="flex min-h-9 items-center gap-2 underline decoration-dotted"
                onClick={() => setViewpoint(VIEWPOINTS[(VIEWPOINTS.indexOf(viewpoint) + 1) % VIEWPOINTS.length]!)}
              >
                {VIEWPOINT_NAME[viewpoint]}{' '}
                <kbd aria-hidden="true" className="rounded-sm border border-ink2 px-1.5 font-sans text-xs no-underline">
                  V
                </kbd>
              </button>
              {spoken.can && (
                <button type="button" aria-pressed={spoken.on} onClick={spoken.toggle} className="min-h-9 underline decoration-dotted">
                  {spoken.on ? 'Speaking' : 'Speak'}
                </button>
              )}
              {link?.lock === 'lost' && <strong className="text-brick">Lock lost: the figures are old</strong>}
            </div>
            <p className={`figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`} data-testid="move">
              {done && !move
                ? `${plan.name} is confirmed`
                : move
                  ? moveWords(move, viewpoint, units.lengthUnit)
                  : simulated
                    ? 'No reading of the pole'
                    : 'Shoot to get the first figure'}
            </p>
            <p className="text-[17px] leading-snug">
              {shooting.doing ??
                (grade === null
                  ? simulated
                    ? 'Send the pole on its way and search for it.'
                    : 'Each shot is keyed in; the figures are those of the last one.'
                  : done
                    ? `${plan.name} is confirmed. Write the stake, then go on to the next.`
                    : grade === 'hold'
                      ? driving
                        ? 'The hub is driven. Shoot it for its height and place.'
                        : 'Hold. Plumb the pole and shoot once.'
                      : move && distance !== null && tapeAdvised(distance, tolerance)
                        ? tapeWords(move, viewpoint, units.lengthUnit)
                        : `${GRADE_WORD[grade]}: ${units.length(distance, distance !== null && distance < 1 ? 3 : 1)} ${units.unit} to go. ${distance !== null && distance > TAPE_UNDER ? 'The tape takes over at the end.' : ''}`)}
            </p>
          </div>
          <div className="min-h-0 flex-1 p-3 max-lg:h-[210px] max-lg:flex-none max-lg:p-1">
            <GuidanceBoard
              move={move}
              trail={trail}
              viewpoint={viewpoint}
              tolerance={tolerance}
              toleranceWords={`within ${smallLength(tolerance, units.lengthUnit)}`}
              ahead={ahead}
              stale={stale}
            />
          </div>
          {simulated && (
            <div className="flex items-center gap-2 overflow-x-auto border-t border-rule px-4 py-2 max-lg:py-1">
              <Button hint="W" disabled={busy} onClick={walkThere}>
                Walk near
              </Button>
              <Button hint="L" onClick={() => currentLink()?.search()}>
                Search
              </Button>
              <span className="ml-auto flex gap-1" role="group" aria-label="Move the pole, seen facing the instrument">
                {(
                  [
                    ['←', 'Pole left', 0, -1],
                    ['↑', 'Pole toward the instrument', 1, 0],
                    ['↓', 'Pole away from the instrument', -1, 0],
                    ['→', 'Pole right', 0, 1],
                  ] as const
                ).map(([sign, label, toward, right]) => (
                  <Button key={sign} aria-label={label} className="px-3.5" onClick={step(toward, right)}>
                    {sign}
                  </Button>
                ))}
              </span>
            </div>
          )}
        </section>
        <Slip
          topic={`${plan.key} ${mark?.id ?? ''} ${shot?.sight.id ?? ''}`}
          head={
            <>
              <h1 className="text-xl">
                {work.body.name} · {plan.name}{' '}
                <span className="ml-1 text-[15px] font-normal text-ink2">
                  {position} of {order.length}
                </span>
              </h1>
              <p className="text-ink2">
                Offset hub, {units.length(plan.offset)} off {plan.offFace?.join('–')}
                {plan.alsoOffFace ? ` and ${plan.alsoOffFace.join('–')}` : plan.onLine ? `, on the line ${plan.onLine.join('–')}` : ''}, {MEANING[plan.meaning]}
              </p>
            </>
          }
          foot={
            <>
              <span className="flex gap-2">
                {busy ? (
                  <Button onClick={shooting.cancel}>Cancel</Button>
                ) : (
                  !done && (
                    <Button hint="N" onClick={next}>
                      Skip
                    </Button>
                  )
                )}
                {driving && !busy && <Button onClick={pullHub}>Set it anew</Button>}
                {shot && !busy && <Button onClick={() => void set('rough')}>Rough mark</Button>}
              </span>
              <span className="flex gap-2">
                {shotWithin && !busy && <Button onClick={() => void shoot()}>Shoot again</Button>}
                {done && !busy && <Button onClick={() => void shoot()}>Shoot again</Button>}
                <Button look="primary" hint="Space" disabled={!idle} onClick={act}>
                  {shotWithin ? 'Set mark' : driving ? 'Shoot hub' : done ? 'Next mark' : 'Shoot'}
                </Button>
              </span>
            </>
          }
        >
          {(shooting.trouble ?? fault) && (
            <Card
              tone="brick"
              title={fault ? 'Outside the tolerance' : 'Nothing was stored'}
              actions={<Button onClick={() => (fault ? setFault(null) : shooting.clear())}>Close</Button>}
            >
              {fault ?? shooting.trouble}
            </Card>
          )}
          {shot && (
            <Card tone={shotWithin ? 'good' : 'ochre'} title={shotWithin ? `Inside ${smallLength(tolerance, units.lengthUnit)}: set it` : 'Not there yet'}>
              Shot {shot.shots}: {moveWords(moveFor(viewpoint, shot.stake, lineAzimuth), viewpoint, units.lengthUnit)}.
            </Card>
          )}
          <div className="flex gap-4 max-sm:flex-col">
            <dl className="min-w-[130px]">
              <dt className="text-[13px] text-ink2">{hubZ === null ? 'Ground here' : 'Hub'}</dt>
              <dd className="figures text-[22px] font-medium">
                {units.length(hubZ ?? groundZ)} <span className="text-[13px] text-ink2">{units.unit}</span>
              </dd>
              <dt className="mt-1 text-[13px] text-ink2 first-letter:uppercase">{HEIGHT_REFERENCE[work.body.heightReference]}</dt>
              <dd className="figures text-[22px] font-medium">
                {units.length(plan.designZ)} <span className="text-[13px] text-ink2">{units.unit}</span>
              </dd>
              <dd className="mt-2">
                <CutFill
                  cutFill={
                    hubZ !== null && plan.designZ !== null ? hubZ - plan.designZ : groundZ !== null && plan.designZ !== null ? groundZ - plan.designZ : null
                  }
                />
                <span className="text-[13px] text-ink2">{hubZ === null ? 'from the ground; the stake gets it from the hub' : 'from the hub'}</span>
              </dd>
            </dl>
            {mark && mark.body.state !== 'rough' && <StakePicture lines={mark.body.stakeText} />}
          </div>
          {!done && <TurnLine solution={inForce} plan={plan} />}
          {mark && mark.body.state !== 'rough' && (
            <p className="mt-2 text-[13px] text-ink2">
              {mark.body.state === 'confirmed' ? 'Confirmed' : 'Set, not shot again after driving'} · off {smallLength(mark.body.dEMm / 1000, units.lengthUnit)}{' '}
              {mark.body.dEMm >= 0 ? 'east' : 'west'}, {smallLength(mark.body.dNMm / 1000, units.lengthUnit)} {mark.body.dNMm >= 0 ? 'north' : 'south'} ·{' '}
              {standing ? STANDING[standing.standing] : ''} · {mark.body.shots} {mark.body.shots === 1 ? 'shot' : 'shots'}
            </p>
          )}
          {proof && (proof.due !== null || !proof.proven || proof.failed) && (
            <p className={`my-3 border-l-4 pl-3 ${proof.failed ? 'border-brick' : 'border-ochre'}`}>
              <strong>
                {proof.failed ? 'A proof of this station failed.' : proof.proven ? `${proof.minutes} min since the last proof.` : 'This station is unproven.'}
              </strong>{' '}
              {proof.failed ? 'What is set now is in doubt.' : 'Sight an unused mark before the next one.'}{' '}
              <Link className="font-semibold text-spruce underline" to={`/sites/${id}/prove`}>
                Prove now
              </Link>
            </p>
          )}
          {state.packages.length > 1 && (
            <Choice
              className="my-2"
              label="Work package"
              value={work.id}
              options={state.packages.map((each) => [each.id, each.body.name] as const)}
              onChange={setPackageId}
            />
          )}
          <RoundTable rows={rows} chosen={plan.key} onChoose={setChosenKey} />
        </Slip>
      </div>
      <TypedReading title={`Reading at ${plan.name}`} open={link?.kind === 'typed' && link.busy === 'measuring'} onCancel={() => currentLink()?.cancel()} />
    </>
  );
}

/** The last few places of the pole, oldest first. */
function useTrail(move: Move | null, key: string): readonly Move[] {
  const trail = useRef<{ key: string; moves: Move[] }>({ key, moves: [] });
  if (trail.current.key !== key) trail.current = { key, moves: [] };
  const kept = trail.current.moves;
  const last = kept.at(-1);
  if (move && (!last || Math.hypot(last.up - move.up, last.right - move.right) > 0.002)) trail.current.moves = [...kept, move].slice(-TRAIL);
  return trail.current.moves.slice(0, -1);
}
