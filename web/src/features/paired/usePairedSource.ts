/** Marks set with both devices. */
import type { Metres } from '@idle-marker/core';
import { keptPlace, pairedStake, type ShotPlace } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { currentLink } from '../../link/linkStore.ts';
import type { PairedSet } from '../../pole/usePaired.ts';
import { usePairedShooting } from '../../pole/usePairedShooting.ts';
import type { StakingSource } from '../../pole/useStaking.ts';
import { useSite } from '../../site/SiteContext.tsx';

export function usePairedSource(set: PairedSet | null, tolerance: Metres): StakingSource<ShotPlace> {
  const { state } = useSite();
  const { shooting, shoot } = usePairedShooting(set);
  const accepted = set?.accepted ?? null;
  return {
    solution: accepted?.solution ?? null,
    shooting,
    take: async (work, plan, hub) => {
      if (!accepted) return null;
      const target = { kind: 'plan', package: work.id, key: plan.key } as const;
      const shot = await shoot(
        hub ? 'driven' : 'mark',
        target,
        hub && currentLink()?.kind === 'simulator' ? { name: plan.name } : null,
        tolerance,
      );
      if (!shot) return null;
      const stake = pairedStake(keptPlace(state, accepted, shot.position, shot.sight), plan, hub?.body.groundZ ?? null);
      return stake ? { ...shot, stake } : { fault: msg('paired.theReceiverGaveNoPlace') };
    },
  };
}
