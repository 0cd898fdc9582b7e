/** Lines of the drawing that a station can be found from: sides of outlines, and the lines between two ends. */
import type { PlanPoint, SiteLine } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { isOutline } from './packagePlans.ts';
import { type SiteState } from '../site/state.ts';

type LineTarget = Extract<Fact<'sight'>['body']['target'], { kind: 'line' }>;

export interface DrawnLine extends SiteLine {
  readonly target: LineTarget;
}

/** How well a chalked line or the edge of a slab is found with the tip of a pole. */
const LINE_SD = 0.003;

export const lineName = ({ item, from, to }: Pick<LineTarget, 'item' | 'from' | 'to'>): string =>
  `${item} ${from}–${to}`;

export function siteLines(state: SiteState): DrawnLine[] {
  const roots = state.packageRoots;
  return state.packages.flatMap((work) =>
    work.body.items.flatMap((item) => {
      const ends: readonly (readonly [PlanPoint & { name: string }, PlanPoint & { name: string }])[] = isOutline(item)
        ? item.corners.map((corner, i) => [corner, item.corners[(i + 1) % item.corners.length]!] as const)
        : item.rule === 'lineEnds'
          ? item.corners.flatMap((corner, i) =>
              i % 2 === 0 && item.corners[i + 1] ? [[corner, item.corners[i + 1]!] as const] : [],
            )
          : [];
      return ends
        .filter(([from, to]) => from !== to)
        .map(([from, to]) => {
          const target: LineTarget = {
            kind: 'line',
            package: roots.get(work.id) ?? work.id,
            item: item.name,
            from: from.name,
            to: to.name,
          };
          return { name: lineName(target), from, to, sd: LINE_SD, target };
        });
    }),
  );
}
