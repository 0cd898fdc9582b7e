import { useMemo, useState } from 'react';
import type { Metres, PlanPoint, SimilarityFit } from '@idle-marker/core';
import { crossingsOf, gridOf } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
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
      ...state.control.flatMap(({ revision: { body } }) =>
        body.e === null || body.n === null ? [] : [{ name: body.name, at: { e: body.e, n: body.n } }],
      ),
      // Pins that were found and measured: a drawing is laid over them.
      ...state.asBuilt.map(({ body }) => ({ name: msg('design.measured', { name: body.name }), at: body.place })),
      ...state.grids.flatMap(({ body }) => {
        const grid = gridOf(body);
        return grid.ok
          ? crossingsOf(grid.value).map(({ name, e, n }) => ({ name: `${body.name} ${name}`, at: { e, n } }))
          : [];
      }),
    ],
    [state.control, state.asBuilt, state.grids],
  );
  const underlay = useMemo(
    (): Underlay[] => (plain ? [{ tiles: plain.tiles, extent: plain.extent, ink: 'ink2' }] : []),
    [plain],
  );
  const scene = useMemo(
    () => ({
      ...EMPTY_SCENE,
      symbols: pairs.map((pair, i): SceneSymbol => ({
        id: String(i),
        at: pair.source,
        symbol: 'toSet',
        label: String(i + 1),
        ink: 'spruce',
        pickable: false,
      })),
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
    if (!snap) return setSaid(msg('design.touchAnEndACrossingOrA'));
    setSaid(null);
    onPairs([...pairs, { source: { e: snap.e, n: snap.n }, named: known[pairs.length] ?? null, typed: ['', ''] }]);
  };
  const change = (i: number, next: Partial<PairDraft>) =>
    onPairs(pairs.map((pair, j) => (i === j ? { ...pair, ...next } : pair)));
  const whole = pairs.filter((pair) => pair.named || pair.typed.every((text) => units.readLength(text) !== null));
  return (
    <div>
      <p className="text-[13px] text-ink2">{msg('design.touchTwoOrMorePlacesOfThe')}</p>
      <div className="relative mt-1 h-[220px] border border-ink2">
        <Board
          scene={scene}
          underlay={underlay}
          description={msg('design.theDrawingInItsOwnCoordinatesA')}
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
              <th className={TH_WORD}>{msg('design.place2')}</th>
              <th className={TH_WORD}>{msg('design.isOnTheSite')}</th>
              <th className={TH}>{msg('design.leftOver')}</th>
              <th className={TH}>
                <span className="sr-only">{msg('design.takeAway')}</span>
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
                      label={msg('design.place3', { i: i + 1 })}
                      value={pair.named?.name ?? TYPED}
                      options={[
                        ...known.map(({ name }) => [name, name] as const),
                        [TYPED, msg('design.typedCoordinates')],
                      ]}
                      onChange={(name) => change(i, { named: known.find((each) => each.name === name) ?? null })}
                    />
                    {!pair.named && (
                      <span className="mt-1 grid grid-cols-2 gap-1">
                        {([0, 1] as const).map((index) => (
                          <Field
                            key={index}
                            label={units.axes[index] === 'e' ? msg('common.east') : msg('common.north')}
                            unit={units.unit}
                            value={pair.typed[index]}
                            inputMode="decimal"
                            onChange={(event) =>
                              change(i, {
                                typed:
                                  index === 0
                                    ? [event.target.value, pair.typed[1]]
                                    : [pair.typed[0], event.target.value],
                              })
                            }
                          />
                        ))}
                      </span>
                    )}
                  </td>
                  <td className={TD}>
                    {residual ? smallLength(Math.hypot(residual.e, residual.n), units.lengthUnit) : '–'}
                  </td>
                  <td className={TD}>
                    <Button
                      look="quiet"
                      aria-label={msg('design.takePlaceAway', { i: i + 1 })}
                      onClick={() => onPairs(pairs.filter((_, j) => j !== i))}
                    >
                      {msg('design.takeAway')}
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <Tick label={msg('design.keepItsSize')} checked={heldScale} onChange={onHeldScale} />
      {fit && (
        <p className="text-[14px]">
          {msg('design.turnedByLargestMisfit', {
            angle: units.angle(fit.rotation, 4),
            heldScale: heldScale ? '' : msg('design.sizeTimes', { scale: fit.scale.toFixed(6) }),
            smallLength: smallLength(fit.maxResidual, units.lengthUnit),
          })}{' '}
          {whole.length === 2 && (
            <span className="text-ochre">{msg('design.twoPairsCheckNothingButTheirDistance')}</span>
          )}
        </p>
      )}
      {pairs.length > 1 && !fit && (
        <p className="text-[13px] font-medium text-brick">{msg('design.twoOfThePlacesAreOneTake')}</p>
      )}
      {fit && Math.abs(fit.scale - 1) > 0.02 && (
        <p className="text-[13px] font-medium text-ochre">{msg('design.aSizeSoFarFrom1Most')}</p>
      )}
    </div>
  );
}
