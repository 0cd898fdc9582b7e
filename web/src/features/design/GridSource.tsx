import type { Corner } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { crossingsOf, gridCorners, gridOf, lineEndsOf, midpointsOf } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';

export interface FromGrid {
  readonly name: string;
  readonly rule: FactBody<'package'>['items'][number]['rule'];
  readonly corners: readonly Corner[];
  /** The revision of the grid. */
  readonly grid: string;
}

/** Corners from a grid that is drawn on the site. */
export function GridSource({ onTake }: { onTake(found: FromGrid, source: string): void }) {
  const { grids } = useSite().state;
  const drawn = grids.flatMap((fact) => {
    const grid = gridOf(fact.body);
    return grid.ok ? [{ id: fact.id, name: fact.body.name, grid: grid.value }] : [];
  });
  if (drawn.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2">
      <span className="text-[13px] text-ink2">{msg('design.orFromAGrid')}</span>
      {drawn.flatMap(({ id, name, grid }) => {
        const crossings = crossingsOf(grid);
        const ends = lineEndsOf(grid);
        const midpoints = midpointsOf(grid);
        const source = `grid ${name}`;
        return [
          <Button
            key={`${id} crossings`}
            className="text-[14px]"
            onClick={() => onTake({ name, rule: 'points', corners: crossings, grid: id }, source)}
          >
            {msg('design.crossings', { name, crossings: crossings.length })}
          </Button>,
          midpoints.length > 0 && (
            <Button
              key={`${id} midpoints`}
              className="text-[14px]"
              onClick={() =>
                onTake(
                  { name: msg('design.midpoints', { name }), rule: 'points', corners: midpoints, grid: id },
                  source,
                )
              }
            >
              {msg('design.midpoints2', { name, midpoints: midpoints.length })}
            </Button>
          ),
          ends.length > 0 && (
            <Button
              key={`${id} lines`}
              className="text-[14px]"
              onClick={() =>
                onTake({ name: msg('design.lines3', { name }), rule: 'lineEnds', corners: ends, grid: id }, source)
              }
            >
              {msg('design.endsOfLines', { name, ends: ends.length / 2 })}
            </Button>
          ),
          grid.letters.length > 1 && grid.numbers.length > 1 && (
            <Button
              key={`${id} round`}
              className="text-[14px]"
              onClick={() => onTake({ name, rule: 'outline', corners: gridCorners(grid), grid: id }, source)}
            >
              {msg('design.itsFourCorners', { name })}
            </Button>
          ),
        ];
      })}
    </div>
  );
}
