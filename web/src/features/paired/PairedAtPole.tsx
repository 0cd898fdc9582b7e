import type { ReactNode } from 'react';
import { WALK_FROM } from '@idle-marker/core';
import { pairedDue, placeAtGround } from '@idle-marker/records';
import {
  hubPlaceWords,
  msg,
  pairedDueShort,
  pairedDueWords,
  pairFaultWords,
  shotOffWords,
  walkingLines,
} from '@idle-marker/words';
import { useLinkKind } from '../../link/linkStore.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { sourcesWords } from '../../pole/usePairedSources.ts';
import { dueLabel } from '../../pole/useMarkActs.tsx';
import type { DueItem } from '../../pole/view/DueLine.tsx';
import type { PoleAction } from '../../pole/view/PoleAction.tsx';
import { noticeItem, refusedItem } from '../../pole/useDueItems.tsx';
import { plannedHeight } from '../../pole/view/plannedHeight.ts';
import { searchAction } from '../../pole/view/searches.ts';
import { PoleView } from '../../pole/view/PoleView.tsx';
import type { PoleReading } from '../../pole/view/poleReading.ts';
import { useHeld } from '../../pole/view/useHeld.ts';
import { PairedBoard } from './PairedGuidance.tsx';
import { PairedNotices } from './PairedNotices.tsx';
import type { PairedWorkModel } from './usePairedWork.ts';

/** Carried, with the plan from a receiver: both sources stay in the strip, each with how good it is. */
export function PairedAtPole({ model, more }: { readonly model: PairedWorkModel; readonly more: ReactNode }) {
  const { state, units, round, work, stop, plan, tolerance, proving, staking, now, accepted, shooting } = model;
  const { viewpoint, move, distance, groundZ, busy, due, stands, ready, blocked, faults, trouble, noise } = model;
  const kind = useLinkKind();
  const isPlanGone = !now || now.place.plan === null;
  const isHeld = useHeld(isPlanGone ? null : distance, tolerance);
  if (!work || !stop || !plan || !accepted) return null;
  const { lengthUnit } = units;
  const reading: PoleReading = isPlanGone
    ? { kind: 'silent', ageMs: null }
    : { kind: kind === 'typed' ? 'typed' : 'following', ageMs: null };
  const height = now?.place.height ?? null;
  const sources = sourcesWords(now, lengthUnit);
  const items: DueItem[] = [];
  const close = () => {
    staking.clear();
    shooting.clear();
    proving.shooting.clear();
  };
  const why = trouble ?? staking.fault?.text;
  if (why) items.push(refusedItem(staking.fault?.title ?? msg('common.nothingWasStored'), why, close));
  for (const fault of faults.slice(0, 2)) {
    const { title, text } = pairFaultWords(fault, units);
    items.push(noticeItem(fault.code, title, { title, text, tone: 'brick' }));
  }
  for (const each of pairedDue(state, accepted).slice(0, 2))
    items.push(
      noticeItem(each, pairedDueShort()[each], {
        ...pairedDueWords()[each],
        tone: each.endsWith('FAILED') ? 'brick' : 'ochre',
      }),
    );
  const isFar = distance !== null && distance >= WALK_FROM;
  const isHeightLost = kind === 'simulator' && height === null && due !== 'next' && due !== 'set';
  const action: PoleAction = busy
    ? { label: msg('common.cancel'), isOutlined: true, onPress: shooting.cancel }
    : isHeightLost
      ? searchAction(reading)
      : {
          label: dueLabel()[due],
          notes: staking.shot
            ? [shotOffWords(Math.hypot(staking.shot.stake.deltaE, staking.shot.stake.deltaN), tolerance, lengthUnit)]
            : [],
          isDisabled: !ready || (blocked && due !== 'set' && due !== 'next'),
          isOutlined: due === 'shoot' && isFar,
          onPress: staking.act,
        };
  return (
    <PoleView
      name={plan.name}
      count={msg('common.of2', { index: round.stops.indexOf(stop) + 1, stops: round.stops.length })}
      detail={`${work.body.name} · ${hubPlaceWords(plan, lengthUnit)}`}
      reading={reading}
      doing={shooting.doing ?? proving.shooting.doing ?? sources}
      station={null}
      lines={move ? walkingLines(move, viewpoint, lengthUnit) : []}
      waiting={move ? null : msg('paired.noPlaceYet')}
      isHeld={isHeld}
      noise={model.live ? Math.hypot(noise, MOTION_NOISE) : noise}
      unit={lengthUnit}
      board={<PairedBoard model={model} />}
      underBoard={
        <PolePad
          distance={distance}
          busy={busy}
          onWalk={() => void shooting.walk(placeAtGround(plan, groundZ), true)}
        />
      }
      height={plannedHeight({ work, stop, stands, groundZ, hasHeight: true, isFar, units })}
      due={items}
      asksFirst={null}
      advice={null}
      lesser={[
        stands
          ? { label: msg('common.setItAnew'), isDisabled: busy, onPress: staking.pull }
          : { label: msg('common.skip'), key: 'n', isDisabled: busy, onPress: round.next },
        ...(due === 'set' || due === 'next'
          ? [{ label: msg('common.shootAgain'), isDisabled: busy || blocked, onPress: () => void staking.shoot() }]
          : []),
        {
          label: msg('common.plan'),
          key: 'm',
          isPressed: model.onPlan,
          onPress: () => model.setOnPlan(!model.onPlan),
        },
      ]}
      action={action}
      more={() => (
        <>
          <MarkWays />
          <PairedNotices model={model} />
          {more}
        </>
      )}
      topic={`${plan.key} ${stop.mark?.id ?? ''} ${staking.shot?.sight.id ?? ''}`}
    />
  );
}
