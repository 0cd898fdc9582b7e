/** Lines to try alignments on: elements after one another by a seed. */
import {
  alignmentOf,
  elementsAlong,
  type Alignment,
  type AlignmentDefinition,
  type TypedElement,
} from '../src/index.ts';

/** A small generator of numbers in [0, 1): the same seed, the same numbers (mulberry32). */
export function numbersFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Lines, curves of both hands and spirals between whatever meets, smooth throughout. */
export function smoothElements(count: number, seed: number): TypedElement[] {
  const next = numbersFrom(seed);
  const elements: TypedElement[] = [];
  while (elements.length < count) {
    const radius = 40 + 400 * next();
    const rotation = next() < 0.5 ? 'cw' : 'ccw';
    elements.push({ kind: 'line', length: 5 + 120 * next() });
    if (next() < 0.7)
      elements.push({ kind: 'spiral', length: 15 + 50 * next(), radiusStart: null, radiusEnd: radius, rotation });
    elements.push({ kind: 'curve', length: radius * (0.1 + 1.2 * next()), radius, rotation });
    if (next() < 0.3) {
      const other = radius * (0.4 + next());
      elements.push({ kind: 'spiral', length: 10 + 30 * next(), radiusStart: radius, radiusEnd: other, rotation });
      elements.push({ kind: 'curve', length: other * 0.3, radius: other, rotation });
      elements.push({ kind: 'spiral', length: 25, radiusStart: other, radiusEnd: null, rotation });
    } else if (next() < 0.7)
      elements.push({ kind: 'spiral', length: 15 + 50 * next(), radiusStart: radius, radiusEnd: null, rotation });
  }
  return elements.slice(0, count);
}

export const START = { e: 4000, n: 8000 };

export function definitionAlong(
  typed: readonly TypedElement[],
  direction = 0.4,
  startStation = 0,
): AlignmentDefinition {
  const elements = elementsAlong(START, direction, typed);
  if (!elements.ok) throw new Error(elements.error.code);
  return { startStation, elements: elements.value, equations: [] };
}

export function made(definition: AlignmentDefinition): Alignment {
  const alignment = alignmentOf(definition);
  if (!alignment.ok) throw new Error(JSON.stringify(alignment.error));
  return alignment.value;
}
