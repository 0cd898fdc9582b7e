/** Taking one sight through whatever link there is, with the state of the work for whoever waits. */
import { useCallback, useRef, useState } from 'react';
import type { SimulatedPlace } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg, troubleWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import type { Said } from '../data/ledger.ts';
import { newId } from '../data/uuid.ts';
import { currentLink } from '../link/linkStore.ts';
import { LinkError, type SimulatorLink } from '../link/simulatorLink.ts';
import {
  BUILT_SD_MM,
  carriedTo,
  isFixed,
  sightBody,
  targetOnFixed,
  WITHOUT_POLE,
  type CarriedPole,
  type SiteState,
} from '@idle-marker/records';

export type SightTarget = FactBody<'sight'>['target'];
export type SightPurpose = FactBody<'sight'>['purpose'];

export interface SightWay {
  /** Quick, while following: rougher, and kept as such. */
  readonly tracking?: boolean;
  /** The telescope's face, where the instrument turns it by itself. */
  readonly face?: 1 | 2;
  /** Held against a face, without a pole: which target it is, null for one that nobody has listed. */
  readonly onFace?: CarriedPole['target'] | null;
  /** What is sighted becomes a mark that carries its own target. */
  readonly fixed?: boolean;
  /** What is kept together with the sight, once it is read; or why neither is kept. */
  readonly beside?: (sight: {
    readonly id: string;
    readonly body: FactBody<'sight'>;
  }) => { readonly also: readonly Said[] } | { readonly refused: string };
}

export interface Shooting {
  /** What is being done now; null when nothing is. */
  readonly doing: string | null;
  /** Why the last one came to nothing. */
  readonly trouble: string | null;
  /**
   * Walks the simulated pole to a mark when it is not on it, locks, measures and stores. Null when it came to nothing.
   * `hub`: where it was measured, for one that the simulator has not driven itself. Something far away is aimed at
   * instead.
   */
  shoot(
    purpose: SightPurpose,
    target: SightTarget,
    onto: { name: string; hub?: Omit<SimulatedPlace, 'name'> } | null,
    way?: SightWay,
  ): Promise<Fact<'sight'> | null>;
  /**
   * `near`: somewhere that nothing marks on the ground; one stops beside it, and the last steps are made by the
   * figures.
   */
  walk(goal: string | { e: number; n: number }, near?: boolean): Promise<boolean>;
  cancel(): void;
  clear(): void;
}

/**
 * Where a mark stands that was made from a drawing: the simulated ground does not know it, and it was not built to the
 * millimetre.
 */
function ofDesign(state: SiteState, target: SightTarget): Omit<SimulatedPlace, 'name'> | undefined {
  const body =
    target.kind === 'control' ? state.control.find((mark) => mark.id === target.mark)?.revision.body : undefined;
  if (!body?.from || body.e === null || body.n === null) return undefined;
  const isBuilt = body.from === 'asBuilt';
  return { e: body.e, n: body.n, z: isBuilt ? body.z : null, ...(isBuilt ? {} : { builtSd: BUILT_SD_MM / 1000 }) };
}

/** A hub that was driven before this page was opened is put where it was measured. */
async function walkOnto(
  link: SimulatorLink,
  name: string,
  hub: Omit<SimulatedPlace, 'name'> | undefined,
): Promise<void> {
  try {
    await link.walk(name);
  } catch (error) {
    if (!hub || !(error instanceof LinkError) || error.trouble.code !== 'NO_SUCH_MARK') throw error;
    link.placeHub({ name, ...hub });
    await link.walk(name);
  }
}

export function useShooting(): Shooting {
  const { occupation, say, state } = useSite();
  const [doing, setDoing] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const abort = useRef<AbortController | null>(null);

  const attempt = useCallback(
    async <T>(work: (tell: (text: string) => void, signal: AbortSignal) => Promise<T>): Promise<T | null> => {
      if (abort.current) return null;
      const controller = new AbortController();
      abort.current = controller;
      setTrouble(null);
      try {
        return await work(setDoing, controller.signal);
      } catch (error) {
        if (!(error instanceof LinkError)) throw error;
        setTrouble(troubleWords(error.trouble));
        return null;
      } finally {
        currentLink()?.setFixed(null);
        abort.current = null;
        setDoing(null);
      }
    },
    [],
  );

  const shoot = useCallback<Shooting['shoot']>(
    (purpose, target, onto, { tracking = false, face = 1, fixed: becomesFixed = false, onFace, beside } = {}) =>
      attempt(async (tell, signal) => {
        const link = currentLink();
        if (!link || !occupation) throw new LinkError({ code: 'NOT_SET_UP' });
        if (link.kind === 'simulator' && target.kind === 'direction') {
          tell(msg('pole.aimingAt', { name: target.name }));
          const read = await link.aimFar(target.name);
          const [fact] = await say({
            type: 'sight',
            body: sightBody(occupation, purpose, target, read, link.state().pole),
          });
          return fact as Fact<'sight'>;
        }
        // The kind of the mark decides: a wall target has no pole, whatever is carried.
        const carried = carriedTo(state, target, link.state().pole);
        if (onFace !== undefined) link.setFixed({ target: onFace });
        else if (becomesFixed || isFixed(state, target) || (carried.fixed && link.kind === 'simulator'))
          link.setFixed({ target: becomesFixed ? targetOnFixed(state, target) : carried.target });
        if (link.kind === 'simulator') {
          if (onto && link.state().pole.onto !== onto.name) {
            tell(msg('pole.walkingTo', { name: onto.name }));
            await walkOnto(link, onto.name, onto.hub ?? ofDesign(state, target));
          }
          tell(msg('pole.searchingForThePrism'));
          await link.lockOn();
          tell(face === 2 ? msg('pole.measuringInTheSecondFace') : msg('common.measuring'));
        } else tell(msg('pole.waitingForTheReading'));
        const quick = tracking && link.kind === 'simulator';
        const read = quick ? await link.nextLive() : await link.measure(signal, face);
        const { fixed, pole } = link.state();
        const to = fixed ? { ...WITHOUT_POLE, target: fixed.target } : carriedTo(state, target, pole);
        const sight = { id: newId(), body: sightBody(occupation, purpose, target, read, to, tracking) };
        const together = beside?.(sight) ?? { also: [] };
        if ('refused' in together) {
          setTrouble(together.refused);
          return null;
        }
        const [fact] = await say({ type: 'sight', ...sight }, ...together.also);
        return fact as Fact<'sight'>;
      }),
    [attempt, occupation, say, state],
  );

  const walk = useCallback<Shooting['walk']>(
    async (goal, near = false) => {
      const arrived = await attempt(async (tell) => {
        const link = currentLink();
        if (link?.kind !== 'simulator') return true;
        tell(typeof goal === 'string' ? msg('pole.walkingTo2', { goal }) : msg('pole.walking'));
        await link.walk(goal, near);
        return true;
      });
      return arrived === true;
    },
    [attempt],
  );

  return {
    doing,
    trouble,
    shoot,
    walk,
    cancel: () => {
      abort.current?.abort();
      currentLink()?.cancel();
    },
    clear: () => setTrouble(null),
  };
}
