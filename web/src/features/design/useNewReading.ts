import { useEffect, useState } from 'react';
import type { Metres, PlanPoint, SnapKind } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { DRAWING_READING } from '@idle-marker/formats';
import { packagesFrom, type SiteState } from '@idle-marker/records';
import { askDrawing } from '../../drawings/drawings.ts';
import type { ShownDrawing } from '../../drawings/useDrawings.ts';
import { useSite } from '../../site/SiteContext.tsx';

/** What a file gives as it is read now, where that is other than when it was taken. */
export interface NewReading {
  readonly elements: { readonly before: number; readonly now: number } | null;
  /** Names of units: as it was taken, and as the file states. */
  readonly unit: { readonly kept: string; readonly stated: string } | null;
  /** Marks whose place stands at nothing of the drawing any more. */
  readonly gone: readonly string[];
  /** Marks whose place has another height in the file, or one at last. */
  readonly heights: readonly string[];
}

/** A corner that was taken from the drawing, and the marks that stand for it. */
interface Taken {
  readonly place: PlanPoint;
  readonly z: Metres | null;
  readonly marks: readonly string[];
}

const SAME_HEIGHT: Metres = 0.0005;
const SAME_PLACE: Metres = 0.002;
const ANYTHING: readonly SnapKind[] = ['point', 'end', 'crossing', 'centre', 'middle', 'on'];

function takenFrom(state: SiteState, drawing: Fact<'drawing'>): Taken[] {
  return packagesFrom(state, drawing.body.drawing).flatMap(({ body }) =>
    body.items
      .filter((item) => item.drawing === drawing.id)
      .flatMap((item) =>
        item.corners.map((corner) => ({
          place: { e: corner.e, n: corner.n },
          z: corner.z ?? null,
          marks: body.plans
            .filter((plan) => plan.item === item.name && plan.corner === corner.name)
            .map(({ name }) => name),
        })),
      ),
  );
}

/** Null while it is not known, where it was taken with this reading, and where the file gives the same. */
export function useNewReading({ fact, state: shown }: ShownDrawing): NewReading | null {
  const { state } = useSite();
  const [found, setFound] = useState<NewReading | null>(null);
  const summary = shown.status === 'open' ? shown.summary : null;
  const isOlder = (fact.body.reading ?? 1) < DRAWING_READING;
  useEffect(() => {
    setFound(null);
    if (!summary || !isOlder) return;
    let gone = false;
    void lookAt(state, fact, summary.elements, summary.unitFromFile).then((reading) => {
      if (!gone) setFound(reading);
    });
    return () => {
      gone = true;
    };
    // What hangs on the drawing changes while one works; what the file gives does not.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [fact, summary, isOlder]);
  return found;
}

async function lookAt(
  state: SiteState,
  fact: Fact<'drawing'>,
  elements: number,
  stated: string | null,
): Promise<NewReading | null> {
  const taken = takenFrom(state, fact);
  const places = (await askDrawing('found', { key: fact.id, places: taken.map(({ place }) => place) })) ?? [];
  const gone: string[] = [];
  const heights: string[] = [];
  for (const [i, { place, z, marks }] of taken.entries()) {
    const there = places[i];
    if (!there) continue;
    if (!there.isThere) {
      const near = { key: fact.id, point: place, radius: SAME_PLACE, from: null, wanted: ANYTHING, hidden: [] };
      if (!(await askDrawing('snap', near))) gone.push(...marks);
    } else if (there.z !== null && (z === null || Math.abs(there.z - z) > SAME_HEIGHT)) heights.push(...marks);
  }
  const { unit, format } = fact.body;
  const reading: NewReading = {
    elements: elements === fact.body.elements ? null : { before: fact.body.elements, now: elements },
    unit: stated === null || format === 'csv' || stated === unit.name ? null : { kept: unit.name, stated },
    gone,
    heights,
  };
  const isSame = reading.elements === null && reading.unit === null && gone.length === 0 && heights.length === 0;
  return isSame ? null : reading;
}
