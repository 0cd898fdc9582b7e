import { planDistance, signedArea, type Metres, type PlanPoint } from '@idle-marker/core';
import type { DrawnLine, DrawnOutline } from './drawing.ts';

/** Ends nearer than this join up. */
const JOIN: Metres = 0.002;

/** Rings made of lines of one layer that join end to end, each line once, where no third line meets. */
export function joinedLines(lines: readonly DrawnLine[]): DrawnOutline[] {
  const byLayer = new Map<string, DrawnLine[]>();
  for (const line of lines) {
    const own = byLayer.get(line.layer);
    if (own) own.push(line);
    else byLayer.set(line.layer, [line]);
  }
  return [...byLayer].flatMap(([layer, own]) =>
    ringsOf(own).map((corners) => ({ layer, corners, area: Math.abs(signedArea(corners)) })),
  );
}

function ringsOf(lines: readonly DrawnLine[]): DrawnLine['from'][][] {
  const { joints, count } = jointsOf(lines);
  // The ends that meet at a joint, as far as two; lines go on only where no third meets.
  const meeting = new Uint32Array(count);
  const [one, other] = [new Uint32Array(count), new Uint32Array(count)];
  joints.forEach((joint, end) => {
    const met = meeting[joint]!++;
    if (met === 0) one[joint] = end;
    if (met === 1) other[joint] = end;
  });
  const rings: DrawnLine['from'][][] = [];
  /** The walk that last went along a line, counted from 1; by which of its ends it came; the joint where it ended. */
  const [walk, entry, last] = [lines, lines, lines].map(({ length }) => new Uint32Array(length)) as [
    Uint32Array,
    Uint32Array,
    Uint32Array,
  ];
  for (let first = 0; first < lines.length; first++) {
    const { from, to } = lines[first]!;
    // A chain that leads nowhere leads nowhere from any of its lines.
    if (walk[first] !== 0 || planDistance(from, to) < JOIN) continue;
    const [home, ring, chain] = [joints[2 * first]!, [from], [2 * first]];
    walk[first] = first + 1;
    let end = 2 * first + 1;
    let leadsTo: number | null = null;
    while (joints[end] !== home && meeting[joints[end]!] === 2) {
      const joint = joints[end]!;
      const next = [one[joint]!, other[joint]!].find((each) => walk[each >> 1] !== first + 1);
      if (next === undefined) break;
      const line = next >> 1;
      const entered = joints[2 * line] === joint ? 2 * line : 2 * line + 1;
      // Who went this way before came to another place than home.
      if (walk[line] !== 0 && entry[line] === entered && last[line] !== home) {
        leadsTo = last[line]!;
        break;
      }
      ring.push(placeOf(lines, end));
      walk[line] = first + 1;
      chain.push(entered);
      end = entered ^ 1;
    }
    for (const entered of chain) {
      entry[entered >> 1] = entered;
      last[entered >> 1] = leadsTo ?? joints[end]!;
    }
    if (joints[end] === home && ring.length >= 3) rings.push(ring);
  }
  return rings;
}

const placeOf = (lines: readonly DrawnLine[], end: number) =>
  end % 2 === 0 ? lines[end >> 1]!.from : lines[end >> 1]!.to;

/**
 * The joint that each end comes to, two ends a line. Ends are put in order rather than under keys of text: a drawing has
 * a million of them.
 */
function jointsOf(lines: readonly DrawnLine[]): { readonly joints: Uint32Array; readonly count: number } {
  const ends = 2 * lines.length;
  const [es, ns] = [new Float64Array(ends), new Float64Array(ends)];
  const put = (end: number, { e, n }: PlanPoint) => {
    es[end] = Math.round(e / JOIN);
    ns[end] = Math.round(n / JOIN);
  };
  lines.forEach(({ from, to }, i) => {
    put(2 * i, from);
    put(2 * i + 1, to);
  });
  const order = Uint32Array.from({ length: ends }, (_, i) => i).sort((a, b) => es[a]! - es[b]! || ns[a]! - ns[b]!);
  const joints = new Uint32Array(ends);
  let count = 0;
  order.forEach((end, i) => {
    const before = order[i - 1];
    if (before !== undefined && (es[before] !== es[end] || ns[before] !== ns[end])) count++;
    joints[end] = count;
  });
  return { joints, count: ends === 0 ? 0 : count + 1 };
}
