import {
  msg,
  crossingWords,
  landXmlWarningWords,
  leftOutWords,
  drawingRemarkWords,
  drawingUnitWords,
} from '@idle-marker/words';
import { Field, Tick } from '../../ui/Field.tsx';
import { PlacePairs } from './PlacePairs.tsx';
import { TakenRoads } from './TakenRoads.tsx';
import { type DrawingDialogProps } from './useDrawingDialog.ts';
import type { DrawingDialogModel } from './useDrawingDialog.ts';
import { DrawingUnitField } from './DrawingUnitField.tsx';
import { Layers } from './Layers.tsx';

export function DrawingFields({
  model,
  drawing,
  sameFile,
}: { readonly model: DrawingDialogModel } & Pick<DrawingDialogProps, 'drawing' | 'sameFile'>) {
  const {
    units,
    read,
    sayFile,
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
    tried,
    fit,
    before,
    doubt,
    roads,
    nameError,
    layers,
  } = model;
  return (
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
            name: drawingUnitWords(read.summary.unit.name),
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
      {read && <DrawingUnitField read={read} onSaid={(said) => void sayFile(said)} />}
      {read?.summary.remarks.map((remark) => (
        <p key={remark} className="mt-2 border-l-4 border-ochre pl-3 text-[14px] font-medium">
          {drawingRemarkWords(remark)}
        </p>
      ))}
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
      {doubt && <p className="mt-2 text-[14px] font-medium text-ochre">{doubt}</p>}
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
  );
}
