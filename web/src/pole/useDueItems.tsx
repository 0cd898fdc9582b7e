import { useMemo } from 'react';
import type { Fact } from '@idle-marker/contract';
import {
  cautionsFor,
  coarserClass,
  independentCheckFor,
  isIndependentlyChecked,
  laserCaution,
  markKey,
  packageTooNear,
  twiceAt,
  type AcceptedSolution,
  type Caution,
  type RoundStop,
} from '@idle-marker/records';
import { cautionShort, clearanceWords, msg } from '@idle-marker/words';
import { SetTwiceCard } from '../evidence/SetTwiceCard.tsx';
import { useLinked } from '../link/linkStore.ts';
import { useUnits } from '../field/useUnits.ts';
import { useProofAge } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';
import { BeginCard, useBegin } from './BeginCard.tsx';
import { CautionCard } from './CautionCard.tsx';
import { CoarserCard } from './CoarserCard.tsx';
import { FirmCard } from './FirmCard.tsx';
import { MarkStanding, standingShort } from './MarkStanding.tsx';
import { ProofDue } from './ProofDue.tsx';
import type { DueItem } from './view/DueLine.tsx';
import type { Measuring } from './useMeasuring.ts';
import type { Staking } from './useStaking.ts';

/** A check that is due within so many minutes is named before it is. */
const SOON_MINUTES = 15;

/** The check of the station in force: due, or soon. */
function useProofItem(): DueItem | null {
  const { state } = useSite();
  const age = useProofAge();
  if (!age) return null;
  const left = state.settings.proofIntervalMinutes - age.minutes;
  const isDue = age.due !== null || age.failed || !age.proven;
  if (!isDue && left > SOON_MINUTES) return null;
  return {
    key: 'proof',
    weight: isDue ? 'due' : 'soon',
    short: age.failed
      ? msg('pole.shortCheckFailed')
      : !age.proven
        ? msg('pole.shortUnchecked')
        : isDue
          ? msg('pole.shortCheckAge', { minutes: age.minutes })
          : msg('pole.shortCheckLeft', { minutes: Math.max(0, left) }),
    card: <ProofDue left={isDue ? null : Math.max(0, left)} />,
  };
}

/** While the target in use is a bare surface: the beam can be seen. */
function useLaserItem(on: string): DueItem | null {
  const { state, inForce, now } = useSite();
  const item = useLinked((link) => link?.pole.target?.item ?? null);
  const isSurface = state.equipment.some(
    ({ body }) => body.item === item && body.what.kind === 'target' && body.what.form === 'surface',
  );
  const caution = inForce && isSurface ? laserCaution(state, inForce, now) : null;
  return caution && cautionItem(caution, on);
}

const cautionItem = (caution: Caution, on: string): DueItem => ({
  key: `${caution.code} ${caution.about}`,
  weight: 'safety',
  short: cautionShort()[caution.code],
  card: <CautionCard caution={caution} on={on} />,
});

/** Why the last one came to nothing. */
export const refusedItem = (title: string, why: string, onClose: () => void, push: string | null = null): DueItem => ({
  key: 'refused',
  weight: 'refused',
  short: why,
  card: (
    <Card tone="brick" title={title} actions={<Button onClick={onClose}>{msg('common.close')}</Button>}>
      {why}
      {push !== null && <p className="mt-1">{push}</p>}
    </Card>
  ),
});

/** Something to be known, with nothing to answer. */
export const noticeItem = (
  key: string,
  short: string,
  { title, text, tone }: { readonly title: string; readonly text: string; readonly tone: 'ochre' | 'brick' },
): DueItem => ({
  key,
  weight: 'due',
  short,
  card: (
    <Card tone={tone} title={title}>
      {text}
    </Card>
  ),
});

/** What is due while something is measured that nothing was planned for. */
export function useMeasuringDue({ shooting, fault, clear }: Measuring): readonly DueItem[] {
  const laser = useLaserItem(msg('pole.whatIsMeasured'));
  const proof = useProofItem();
  const why = shooting.trouble ?? fault;
  return [
    ...(why ? [refusedItem(msg('common.nothingWasStored'), why, clear)] : []),
    ...(laser ? [laser] : []),
    ...(proof ? [proof] : []),
  ];
}

interface DueAt {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly solution: AcceptedSolution;
  readonly staking: Staking;
  /** How a hub that was driven outside could be pushed. */
  readonly push: string | null;
  /** What to do about what is in the way. */
  onOthers(): void;
}

/** Everything at this mark that wants an answer or should be known, each with its card. */
export function useDueItems(at: DueAt | null): readonly DueItem[] {
  const { state, now } = useSite();
  const units = useUnits();
  const proof = useProofItem();
  const begin = useBegin(at?.solution ?? null, at?.work ?? null);
  const tooNear = useMemo(() => (at?.work ? packageTooNear(state, at.work) : []), [state, at?.work]);
  const laser = useLaserItem(at?.work.body.name ?? '');
  if (!at) return [];
  const { work, stop, solution, staking, push, onOthers } = at;
  const { plan, mark } = stop;
  const { due, shooting, fault } = staking;
  const stands = due === 'next' || due === 'shootHub';
  const isThere = mark !== null && mark.body.state !== 'rough';
  const items: DueItem[] = [];
  const why = fault?.text ?? shooting.trouble;
  if (why)
    items.push(
      refusedItem(fault?.title ?? msg('common.nothingWasStored'), why, fault ? staking.clear : shooting.clear, push),
    );
  const twice = twiceAt(state, work, markKey(state.packageRoots.get(work.id)!, plan.key));
  if (twice)
    items.push({
      key: 'twice',
      weight: 'due',
      short: msg('pole.shortSetTwice'),
      card: <SetTwiceCard key={twice.name} twice={twice} />,
    });
  if (coarserClass(state, solution.fact, [work.body.class]))
    items.push({
      key: 'coarser',
      weight: 'due',
      short: msg('pole.shortCoarser'),
      card: <CoarserCard solution={solution} work={work} />,
    });
  if (!isThere)
    for (const caution of cautionsFor(state, work, plan.place, solution, now))
      items.push(cautionItem(caution, work.body.name));
  if (laser) items.push(laser);
  if (begin.isOpen)
    items.push({
      key: 'begin',
      weight: 'due',
      short: msg('pole.shortBegin'),
      card: <BeginCard solution={solution} work={work} onConfirm={begin.confirm} />,
    });
  const standing = standingShort(stop, stands);
  if (standing)
    items.push({
      key: 'standing',
      weight: 'due',
      short: standing,
      card: <MarkStanding stop={stop} stands={stands} onOthers={onOthers} />,
    });
  if (due === 'shootHub' && staking.firm === undefined)
    items.push({
      key: 'firm',
      weight: 'due',
      short: msg('pole.shortFirm'),
      card: <FirmCard firm={staking.firm} onFirm={staking.setFirm} />,
    });
  const check =
    isThere && !isIndependentlyChecked(state, mark) ? independentCheckFor(state, work, mark.body.place) : null;
  if (check !== null)
    items.push({
      key: 'check',
      weight: 'soon',
      short: msg('pole.shortIndependent'),
      card: (
        <Card tone="ochre" title={msg('pole.wantsAnIndependentCheck')}>
          {msg('pole.tapeToAnotherMarkOrSightIt', {
            why:
              check === 'fine' ? msg('pole.steelAndBoltsShowAWrongMark') : msg('pole.besideABuildingThatStandsAWrong'),
            name: plan.name,
          })}
        </Card>
      ),
    });
  const least = work.body.clearance?.least ?? 0;
  const near = tooNear.find(({ item, corner }) => item === plan.item && corner === plan.corner);
  if (near)
    items.push({
      key: 'clearance',
      weight: 'soon',
      short: near.overlaps
        ? msg('pole.shortOverlap', { other: near.other })
        : msg('pole.shortGap', { gap: units.length(near.gap), unit: units.unit }),
      card: (
        <Card tone="ochre" title={msg('pole.clearanceTitle', { other: near.other })}>
          {clearanceWords(near, least, units.lengthUnit)} {work.body.clearance?.reason}
        </Card>
      ),
    });
  if (proof) items.push(proof);
  return items;
}
