/**
 * Shots with both devices: a sight to the prism and what the receiver reads at the same time, kept together or not at
 * all.
 */
import type { Metres, SimulatedPlace } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { readingOf } from '@idle-marker/records';
import { pairFaultWords } from '@idle-marker/words';
import { newId } from '../data/uuid.ts';
import { useUnits } from '../field/useUnits.ts';
import type { LiveReceiver } from '../link/instrumentLink.ts';
import { currentLink } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useShooting, type Shooting, type SightTarget } from './takeSight.ts';
import { pairedAt, type PairedSet } from './usePaired.ts';

/** A position as it is kept: what the receiver showed, and the pole below it. */
const positionRead = ({ linked: _linked, sdPlan, sdHeight, ...read }: LiveReceiver): FactBody<'position'>['read'] => ({
  ...read,
  sdPlanMm: Math.round(sdPlan * 1e4) / 10,
  sdHeightMm: Math.round(sdHeight * 1e4) / 10,
});

export interface PairedShot {
  readonly sight: Fact<'sight'>;
  readonly position: Fact<'position'>;
}

export interface PairedShooting {
  readonly shooting: Shooting;
  shoot(
    purpose: FactBody<'position'>['purpose'],
    target: SightTarget,
    onto: { name: string; hub?: Omit<SimulatedPlace, 'name'> } | null,
    tolerance: Metres,
  ): Promise<PairedShot | null>;
}

export function usePairedShooting(set: PairedSet | null): PairedShooting {
  const { state } = useSite();
  const units = useUnits();
  const shooting = useShooting();
  const shoot: PairedShooting['shoot'] = async (purpose, target, onto, tolerance) => {
    if (!set?.pairing) return null;
    const { pairing, occupation } = set;
    let kept: Fact<'position'> | null = null;
    const sight = await shooting.shoot(purpose, target, onto, {
      beside: ({ id, body }) => {
        const link = currentLink()!.state();
        const { faults } = pairedAt(state, set, link, tolerance, readingOf(body));
        // A known mark is what tells two heights that do not agree apart: it may be shot all the same.
        const [first] = faults.filter(({ code }) => !(purpose === 'proof' && code === 'HEIGHTS_APART'));
        if (first || !link.receiver) {
          const { title, text } = pairFaultWords(first ?? { code: 'NO_RECEIVER' }, units);
          return { refused: `${title}. ${text}` };
        }
        const position = {
          id: newId(),
          type: 'position' as const,
          body: {
            occupation: occupation.id,
            pairing: pairing.id,
            purpose,
            target,
            sight: id,
            read: positionRead(link.receiver),
            antennaHeight: Math.round((body.targetHeight + pairing.body.offset) * 1e5) / 1e5,
          },
        };
        kept = position as unknown as Fact<'position'>;
        return { also: [position] };
      },
    });
    // What was keyed in was of this shot.
    const link = currentLink();
    if (sight && link?.kind === 'typed') link.giveReceiver(null);
    return sight && kept ? { sight, position: kept } : null;
  };
  return { shooting, shoot };
}
