/** What receiver and instrument give together at this moment, and why nothing of it may be kept if so. */
import { useMemo } from 'react';
import {
  antennaHeightMisfit,
  ELLIPSE_95_FACTOR,
  antennaHeightOf,
  pairFaults,
  RADIANS_PER_DEGREE,
  TARGET_HEIGHT_SD,
  targetCentringSd,
  type Metres,
  type PairFault,
  type PoleSet,
  type Reading,
  type ReceiverReading,
  type TiltingAxis,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  axisOf,
  heightDraft,
  pairedInForce,
  pairedPlace,
  pairingOf,
  type HeightDraft,
  type PairedPlace,
  type SiteState,
} from '@idle-marker/records';
import type { LinkState, LiveReceiver } from '../link/instrumentLink.ts';
import { useLinkState } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { readingNow } from './useLiveStake.ts';

const NOBODY: ReadonlySet<string> = new Set();

/** The placing, its pair and its heights: what does not change from reading to reading. */
export interface PairedSet {
  readonly occupation: Fact<'occupation'>;
  readonly pairing: Fact<'pairing'> | null;
  readonly accepted: ReturnType<typeof pairedInForce>;
  readonly draft: HeightDraft;
  /** As accepted; as the benchmarks give it until then. */
  readonly axis: TiltingAxis | null;
}

export function pairedSet(state: SiteState, occupation: Fact<'occupation'>): PairedSet {
  const accepted = pairedInForce(state, occupation);
  const draft = heightDraft(state, occupation, NOBODY);
  return {
    occupation,
    pairing: pairingOf(state, occupation),
    accepted,
    draft,
    axis: accepted ? axisOf(accepted) : draft.axis,
  };
}

export function usePairedSet(): PairedSet | null {
  const { state, occupation } = useSite();
  return useMemo(
    () => (occupation?.body.method === 'heightOnly' ? pairedSet(state, occupation) : null),
    [state, occupation],
  );
}

export const asReceiverReading = ({ leanDeg, ...read }: LiveReceiver): ReceiverReading => ({
  ...read,
  lean: leanDeg === null ? null : leanDeg * RADIANS_PER_DEGREE,
});

const poleSetOf = ({ targetHeight, legs }: LinkState['pole']): PoleSet => ({
  targetHeight,
  targetHeightSd: TARGET_HEIGHT_SD,
  targetCentringSd: targetCentringSd(targetHeight, legs),
});

/** Radius that holds the place in plan at 95 %; null while there is none. */
export const planPromise = ({ plan }: PairedPlace): Metres | null =>
  plan && ELLIPSE_95_FACTOR * Math.sqrt(plan.covariance.ee);

export interface PairedNow {
  readonly place: PairedPlace;
  readonly faults: readonly PairFault[];
}

/**
 * Both devices at one moment.
 * @param reading of the instrument; of a shot that was just taken, or the live one
 */
export function pairedAt(
  state: SiteState,
  { occupation, pairing, axis }: PairedSet,
  link: LinkState,
  tolerance: Metres,
  reading: Reading | null,
): PairedNow {
  const { targetHeight } = link.pole;
  const position = link.receiver && asReceiverReading(link.receiver);
  const place = pairing
    ? pairedPlace(state, occupation, pairing, axis, position, reading, poleSetOf(link.pole))
    : { plan: null, height: null, receiver: null, compared: null };
  const typed = link.kind === 'typed';
  const faults = pairFaults({
    reading: position,
    antennaHeight: antennaHeightOf(targetHeight, pairing?.body.offset ?? 0),
    targetHeight,
    hasAxis: axis !== null,
    // Keyed readings come one by one: there is no lock to lose.
    lock: typed ? 'locked' : link.lock,
    heightAge: typed || reading ? 0 : null,
    compared: place.compared,
    antennaMisfit: pairing ? antennaHeightMisfit(pairing.body.antennaHeight, targetHeight, pairing.body.offset) : 0,
    largestAside: tolerance / 2,
  });
  return { place, faults };
}

/** Live, ten times a second. */
export function usePairedNow(
  set: PairedSet | null,
  tolerance: Metres,
): (PairedNow & { readonly link: LinkState }) | null {
  const { state } = useSite();
  const link = useLinkState();
  return useMemo(() => {
    if (!set || !link) return null;
    const { live } = link;
    // A reading that is no longer followed is of another place: it is not shown as a height.
    const reading = live && link.lock === 'locked' ? readingNow(link, live) : null;
    return { ...pairedAt(state, set, link, tolerance, reading), link };
  }, [state, set, link, tolerance]);
}
