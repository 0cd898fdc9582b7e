import type { Fact } from '@idle-marker/contract';
import { msg, farOffWords, crossingWords, landXmlWarningWords, leftOutWords } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field, Tick } from '../../ui/Field.tsx';
import { AskUnit, ChooseFile, ReadingFile } from './FileInput.tsx';
import { Compared } from './Compared.tsx';
import { PlacePairs } from './PlacePairs.tsx';
import { TakenRoads } from './TakenRoads.tsx';
import { useLayers } from './useLayers.ts';
import { useDrawingDialog, type DrawingDialogProps } from './useDrawingDialog.ts';

/** Takes a drawing, or a newer revision of one: unit, place, layers, and what it changes, before anything is kept. */
export function DrawingDialog({ drawing, sameFile, file, onClose, onTaken }: DrawingDialogProps) {
  const {
    units,
    take,
    read,
    setRead,
    setUnitSaid,
    name,
    setName,
    hidden,
    setHidden,
    ownPlace,
    setOwnPlace,
    pairs,
    setPairs,
    heldScale,
    setHeldScale,
    tiles,
    compared,
    tried,
    fit,
    before,
    needsUnit,
    usedUnit,
    doubt,
    choose,
    older,
    placed,
    affected,
    bring,
    setBring,
    roads,
    nameError,
    isReady,
    keep,
    retire,
    layers,
    scene,
    fitTo,
  } = useDrawingDialog({ drawing, sameFile, file, onClose, onTaken });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={
        drawing
          ? sameFile
            ? msg('design.drawing', { name: drawing.body.name })
            : msg('design.aNewer', { name: drawing.body.name })
          : msg('design.takeADrawing2')
      }
      foot={
        <>
          {drawing && sameFile && <Button onClick={() => void retire()}>{msg('design.noLongerUsed')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={!isReady} onClick={() => void keep()}>
            {drawing ? msg('common.keepAsNewRevision') : msg('common.takeIt')}
          </Button>
        </>
      }
    >
      {!sameFile && (
        <ChooseFile label={msg('design.aDxfDrawingLandxmlGeojsonOrA')} onFile={(chosen) => void choose(chosen)} />
      )}
      <ReadingFile take={take} />
      {read && needsUnit && (
        <AskUnit
          read={read}
          onUnit={(unit) =>
            void take.place(read, unit, null).then((again) => {
              setRead(again);
              setUnitSaid(true);
            })
          }
        />
      )}
      {(sameFile || (read && !needsUnit)) && (
        <div className="mt-3 grid gap-4 md:grid-cols-2">
          <div>
            <Field
              label={msg('common.name')}
              value={name}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
              error={tried || sameFile ? nameError : null}
            />
            {read && (read.summary.elements > 0 || read.summary.leftOut.length > 0) && (
              <p className="mt-2 text-[14px]">
                {msg('design.elementsOnIn', {
                  elements: read.summary.elements,
                  layers: layers.length,
                  name: read.summary.unit.name,
                  value: read.summary.unitFromFile === null && msg('design.asSaidHere'),
                  length:
                    read.summary.extent &&
                    msg('design.by3', {
                      length: units.length(read.summary.extent[2] - read.summary.extent[0], 1),
                      length2: units.length(read.summary.extent[3] - read.summary.extent[1], 1),
                      unit: units.unit,
                    }),
                })}
                {read.summary.leftOut.length > 0 && (
                  <span className="text-ochre">
                    {' '}
                    {msg('design.notTaken2', { leftOut: leftOutWords(read.summary.leftOut) })}
                  </span>
                )}
              </p>
            )}
            {read && read.summary.warnings.length > 0 && (
              <ul
                className="mt-2 max-h-40 list-disc overflow-auto pl-5 text-[14px] font-medium text-ochre"
                tabIndex={0}
                aria-label={msg('design.toBeAskedAbout')}
              >
                {read.summary.warnings.map((warning, i) => (
                  <li key={i}>{landXmlWarningWords(warning)}</li>
                ))}
              </ul>
            )}
            {doubt && <p className="mt-2 text-[14px] font-medium text-ochre">{farOffWords(doubt, units.lengthUnit)}</p>}
            {read?.summary.surfaces.map(
              ({ name: surface, crossing }) =>
                crossing && (
                  <p key={surface} className="mt-2 text-[14px] font-medium text-ochre">
                    {crossingWords(surface, crossing, units.axes, units.lengthUnit)}
                  </p>
                ),
            )}
            <TakenRoads roads={roads} />
            {!sameFile && (
              <>
                <Tick label={msg('design.itHasCoordinatesOfItsOwnBring')} checked={ownPlace} onChange={setOwnPlace} />
                {ownPlace && read && (
                  <PlacePairs
                    read={read}
                    pairs={pairs}
                    onPairs={setPairs}
                    fit={fit}
                    heldScale={heldScale}
                    onHeldScale={setHeldScale}
                  />
                )}
                {ownPlace && !fit && before && (
                  <p className="text-[13px] text-ink2">{msg('design.untilPairsAreGivenItIsPlaced')}</p>
                )}
              </>
            )}
            <Layers
              layers={sameFile ? [] : layers}
              drawing={sameFile ? drawing : null}
              hidden={hidden}
              onHidden={setHidden}
            />
          </div>
          {!sameFile && (
            <div className="relative min-h-[260px] border border-ink2 max-md:h-[300px]">
              <Board
                scene={scene}
                underlay={tiles.map((each) => ({
                  ...each,
                  tiles: each.tiles.filter(({ layer }) => !hidden.has(layer)),
                }))}
                description={msg('design.theDrawingAsItWouldLieOn')}
                fitTo={fitTo}
                fitKey={`${placed} ${tiles.length}`}
              />
            </div>
          )}
        </div>
      )}
      {drawing && read && usedUnit && !compared && (
        <p className="mt-4 border-t border-rule pt-3 text-[14px]" aria-live="polite">
          {older?.status === 'failed' ? (
            <span className="font-medium text-ochre">
              {msg('design.whatTheNewerOneChangesCantBe', { trouble: older.trouble })}
            </span>
          ) : (
            msg('design.comparingWithTheOneBeforeIt')
          )}
        </p>
      )}
      {compared && <Compared compared={compared} affected={affected} bring={bring} onBring={setBring} />}
    </Dialog>
  );
}

interface LayersProps {
  readonly layers: readonly { readonly name: string; readonly elements: number }[];
  /** Its layers are asked for when they are not given. */
  readonly drawing: Fact<'drawing'> | null;
  readonly hidden: ReadonlySet<string>;
  onHidden(next: ReadonlySet<string>): void;
}

/** Layers, listed and switched. */
function Layers({ layers, drawing, hidden, onHidden }: LayersProps) {
  const found = useLayers(drawing);
  const listed = layers.length > 0 ? layers : found;
  if (listed.length === 0) return null;
  return (
    <fieldset className="mt-2">
      <legend className="text-[13px] text-ink2">{msg('design.layersThatAreDrawn')}</legend>
      <div className="max-h-52 overflow-auto" tabIndex={0} role="region" aria-label={msg('design.layers')}>
        {listed.map(({ name, elements }) => (
          <Tick
            key={name}
            label={
              <>
                {name} <span className="text-ink2">{elements}</span>
              </>
            }
            checked={!hidden.has(name)}
            onChange={(on) => onHidden(new Set(on ? [...hidden].filter((each) => each !== name) : [...hidden, name]))}
          />
        ))}
      </div>
    </fieldset>
  );
}
