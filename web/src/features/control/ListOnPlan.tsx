import { useMemo } from 'react';
import { extentOf, farOff, feetApart } from '@idle-marker/core';
import { METRES_PER_FILE_UNIT, type FileUnit } from '@idle-marker/formats';
import { farOffWords, feetApartWords, fileUnitWords, msg } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { PreviewRow } from './PreviewTable.tsx';

/** Where the marks of a list would come to lie, with the control and the design there are. */
export function ListOnPlan({
  rows,
  unit,
  isUnitSaid,
  fitKey,
}: {
  readonly rows: readonly PreviewRow[];
  readonly unit: FileUnit;
  /** A person chose it. */
  readonly isUnitSaid: boolean;
  /** The view is fitted anew when this changes. */
  readonly fitKey: string;
}) {
  const { state } = useSite();
  const units = useUnits();
  const listed = useMemo(
    () =>
      rows.flatMap(({ row: { row, name, e, n }, faults }): SceneSymbol[] =>
        e === null || n === null
          ? []
          : [
              {
                id: `row ${row}`,
                at: { e, n },
                symbol: 'control',
                label: name,
                ink: faults.length > 0 ? 'brick' : 'spruce',
                pickable: false,
              },
            ],
      ),
    [rows],
  );
  const scene = useMemo(
    () => joinScenes(outlineScene(state.packages), controlScene(state.control, null), { symbols: listed }),
    [state, listed],
  );
  const extent = extentOf(listed.map(({ at }) => at));
  const site = extentOf(
    state.control.flatMap(({ revision: { body } }) =>
      body.e === null || body.n === null ? [] : [{ e: body.e, n: body.n }],
    ),
  );
  if (!extent) return null;
  const doubt = site && farOff(site, extent, METRES_PER_FILE_UNIT[unit]);
  const apart = isUnitSaid ? null : feetApart(units.lengthUnit, extent, METRES_PER_FILE_UNIT[unit]);
  return (
    <section className="mt-3" aria-label={msg('control.planOfTheList')}>
      <p className="text-[14px]">
        {msg('control.marksOver', {
          marks: listed.length,
          east: units.length(extent[2] - extent[0], 1),
          north: units.length(extent[3] - extent[1], 1),
          unit: units.unit,
        })}
      </p>
      {doubt && <p className="mt-1 border-l-4 border-ochre pl-3 font-medium">{farOffWords(doubt, units.lengthUnit)}</p>}
      {apart !== null && (
        <p className="mt-1 border-l-4 border-ochre pl-3 font-medium">
          {feetApartWords(apart, units.lengthUnit, fileUnitWords()[unit])}
        </p>
      )}
      <div className="relative mt-2 h-[260px] border border-ink2">
        <Board
          scene={scene}
          description={msg('control.theListOnThePlan')}
          fitTo={[
            { e: extent[0], n: extent[1] },
            { e: extent[2], n: extent[3] },
          ]}
          fitKey={fitKey}
        />
      </div>
    </section>
  );
}
