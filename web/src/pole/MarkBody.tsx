import type { ReactNode } from 'react';
import { compassWord, moveFor, type Metres, type PlanPoint, type Viewpoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { offOf, paceOf, roundRows, type AcceptedSolution, type RoundStop } from '@idle-marker/records';
import { msg, moveWords, paceWords, rakeWords, smallLength, standingWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Field.tsx';
import { Card } from '../ui/Slip.tsx';
import { MarkWays } from './MarkWays.tsx';
import { waysOfWorking, type WayOfWorking } from './ways.ts';
import { FirmCard } from './FirmCard.tsx';
import { HangsOn } from './HangsOn.tsx';
import { MarkHeights } from './MarkHeights.tsx';
import { RoundTable } from './RoundTable.tsx';
import { TurnLine } from './TurnLine.tsx';
import type { DueItem } from './view/DueLine.tsx';
import type { Round } from './useRound.ts';
import type { Staking } from './useStaking.ts';

export interface MarkBodyProps {
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
  /** What is due, where it does not stand elsewhere. */
  readonly due: readonly DueItem[];
  onCare(): void;
  /** Further ways to come to a mark. */
  readonly ways?: ReactNode;
  /** Another mark was chosen, or the same one again. */
  onChosen?(): void;
}

/** Everything about one mark: what was shot, what is due, on what it hangs, and the round it belongs to. */
export function MarkBody({
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
  due: items,
  onCare,
  ways,
  onChosen,
}: MarkBodyProps) {
  const { state, who } = useSite();
  const units = useUnits();
  const { due, shot, tolerance } = staking;
  const { plan, mark } = stop;
  const stands = due === 'next' || due === 'shootHub';
  const pace = paceOf(state, solution.fact.id, who);
  return (
    <>
      {items
        .filter(({ weight }) => weight === 'refused')
        .map(({ key, card }) => (
          <div key={key}>{card}</div>
        ))}
      {staking.kept && (
        <p className="my-2 border-l-4 border-good pl-3 font-medium text-good" role="status">
          {staking.kept}
        </p>
      )}
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
      {items
        .filter(({ weight }) => weight !== 'refused')
        .map(({ key, card }) => (
          <div key={key}>{card}</div>
        ))}
      {due === 'shootHub' && !items.some(({ key }) => key === 'firm') && (
        <FirmCard firm={staking.firm} onFirm={staking.setFirm} />
      )}
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
        onChoose={(key) => {
          round.choose(key);
          onChosen?.();
        }}
        onFirst={round.putFirst}
      />
      <Choice
        className="mt-3"
        label={msg('pole.wayOfWorking')}
        value={way}
        options={waysOfWorking()}
        onChange={onWay}
      />
      <Button className="mt-3" onClick={onCare}>
        {msg('pole.careAndCaution2')}
      </Button>
      {ways}
      <MarkWays className="-mx-[18px] mt-3 border-t md:hidden" />
      {pace && <p className="mt-2 text-[13px] text-ink2">{paceWords(pace.marks, pace.shotsPerMark)}</p>}
    </>
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
