import { useMemo, useState } from 'react';
import type { Metres, PlanPoint, SimilarityFit } from '@idle-marker/core';
import { crossingsOf, gridOf } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { askDrawing } from '../../drawings/drawings.ts';
import type { ReadFile } from '../../drawings/useTakeFile.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { EMPTY_SCENE, type SceneSymbol } from '../../board/scene.ts';
import type { Underlay } from '../../board/underlay.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import type { PairDraft } from './pairDraft.ts';
import { usePlainDrawing } from './usePlainDrawing.ts';

interface PlacePairsProps {
  readonly read: ReadFile;
  readonly pairs: readonly PairDraft[];
  onPairs(next: readonly PairDraft[]): void;
  readonly fit: SimilarityFit | null;
  readonly heldScale: boolean;
  onHeldScale(held: boolean): void;
}

const TOUCH_PX = 22;
const TYPED = 'typed';

/** Places touched in the drawing, each with the place on the site that it is; shift, turn and what is left at each. */
export function PlacePairs({ read, pairs, onPairs, fit, heldScale, onHeldScale }: PlacePairsProps) {
  const { state } = useSite();
  const units = useUnits();
  const plain = usePlainDrawing(read);
  const [said, setSaid] = useState<string | null>(null);
  const known = useMemo(
    () => [
      ...state.control.flatMap(({ revision: { body } }) => (body.e === null || body.n === null ? [] : [{ name: body.name, at: { e: body.e, n: body.n } }])),
      // Pins that were found and measured: a drawing is laid over them.
      ...state.asBuilt.map(({ body }) => ({ name: `measured ${body.name}`, at: body.place })),
      ...state.grids.flatMap(({ body }) => {
        const grid = gridOf(body);
        return grid.ok ? crossingsOf(grid.value).map(({ name, e, n }) => ({ name: `${body.name} ${name}`, at: { e, n } })) : [];
      }),
    ],
    [state.control, state.asBuilt, state.grids],
  );
  const underlay = useMemo((): Underlay[] => (plain ? [{ tiles: plain.tiles, extent: plain.extent, ink: 'ink2' }] : []), [plain]);
  const scene = useMemo(
    () => ({
      ...EMPTY_SCENE,
      symbols: pairs.map((pair, i): SceneSymbol => ({ id: String(i), at: pair.source, symbol: 'toSet', label: String(i + 1), ink: 'spruce', pickable: false })),
    }),
    [pairs],
  );
  const touch = async (point: PlanPoint, pixel: Metres) => {
    if (!plain) return;
    const snap = await askDrawing('snap', {
      key: plain.key,
      point,
      radius: TOUCH_PX * pixel,
      from: null,
      wanted: ['point', 'end', 'crossing', 'centre'],
      hidden: [],
    });
    if (!snap) return setSaid('Touch an end, a crossing or a centre of the drawing.');
    setSaid(null);
    onPairs([...pairs, { source: { e: snap.e, n: snap.n }, named: known[pairs.length] ?? null, typed: ['', ''] }]);
  };
  const change = (i: number, next: Partial<PairDraft>) => onPairs(pairs.map((pair, j) => (i === j ? { ...pair, ...next } : pair)));
  const whole = pairs.filter((pair) => pair.named || pair.typed.every((text) => units.readLength(text) !== null));
  return (
    <div>
      <p className="text-[13px] text-ink2">Touch two or more places of the drawing, far apart, and say which point of the site each one is.</p>
      <div className="relative mt-1 h-[220px] border border-ink2">
        <Board
          scene={scene}
          underlay={underlay}
          description="The drawing in its own coordinates. A touch picks a place of it."
          onPlace={(point, pixel) => void touch(point, pixel)}
          fitTo={
            plain?.extent
              ? [
                  { e: plain.extent[0], n: plain.extent[1] },
                  { e: plain.extent[2], n: plain.extent[3] },
                ]
              : []
          }
          fitKey={plain?.key ?? 'none'}
        />
      </div>
      {said && <p className="text-[13px] font-medium text-ochre">{said}</p>}
      {pairs.length > 0 && (
        <table className={`${TABLE} mt-2`}>
          <thead>
            <tr>
              <th className={TH_WORD}>Place</th>
              <th className={TH_WORD}>is on the site</th>
              <th className={TH}>Left over</th>
              <th className={TH}>
                <span className="sr-only">Take away</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {pairs.map((pair, i) => {
              const residual = fit?.residuals[whole.indexOf(pair)];
              return (
                <tr key={i}>
                  <td className={TD_WORD}>{i + 1}</td>
                  <td className={TD_WORD}>
                    <Choice
                      label={`Place ${i + 1}`}
                      value={pair.named?.name ?? TYPED}
                      options={[...known.map(({ name }) => [name, name] as const), [TYPED, 'typed coordinates']]}
                      onChange={(name) => change(i, { named: known.find((each) => each.name === name) ?? null })}
                    />
                    {!pair.named && (
                      <span className="mt-1 grid grid-cols-2 gap-1">
                        {([0, 1] as const).map((index) => (
                          <Field
                            key={index}
                            label={units.axes[index] === 'e' ? 'East' : 'North'}
                            unit={units.unit}
                            value={pair.typed[index]}
                            inputMode="decimal"
                            onChange={(event) => change(i, { typed: index === 0 ? [event.target.value, pair.typed[1]] : [pair.typed[0], event.target.value] })}
                          />
                        ))}
                      </span>
                    )}
                  </td>
                  <td className={TD}>{residual ? smallLength(Math.hypot(residual.e, residual.n), units.lengthUnit) : '–'}</td>
                  <td className={TD}>
                    <Button look="quiet" aria-label={`Take place ${i + 1} away`} onClick={() => onPairs(pairs.filter((_, j) => j !== i))}>
                      Take away
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <Tick label="Keep its size" checked={heldScale} onChange={onHeldScale} />
      {fit && (
        <p className="text-[14px]">
          Turned by {units.angle(fit.rotation, 4)}
          {heldScale ? '' : `, size times ${fit.scale.toFixed(6)}`}; largest misfit {smallLength(fit.maxResidual, units.lengthUnit)}.{' '}
          {whole.length === 2 && <span className="text-ochre">Two pairs check nothing but their distance: take a third.</span>}
        </p>
      )}
      {pairs.length > 1 && !fit && <p className="text-[13px] font-medium text-brick">Two of the places are one: take places that lie apart.</p>}
      {fit && Math.abs(fit.scale - 1) > 0.02 && (
        <p className="text-[13px] font-medium text-ochre">A size so far from 1 most often means another unit: see what the drawing is in.</p>
      )}
    </div>
  );
}
