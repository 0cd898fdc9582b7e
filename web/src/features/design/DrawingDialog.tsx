import { msg } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';

import { ListColumns } from '../../field/ListColumns.tsx';
import { AskUnit, ChooseFile, ReadingFile } from './readFile.tsx';
import { Compared } from './Compared.tsx';

import { useDrawingDialog, type DrawingDialogProps } from './useDrawingDialog.ts';
import { DrawingFields } from './DrawingFields.tsx';

/** Takes a drawing, or a newer revision of one: unit, place, layers, and what it changes, before anything is kept. */
export function DrawingDialog(props: DrawingDialogProps) {
  const { drawing, sameFile, file, onClose } = props;
  const model = useDrawingDialog(props);
  const {
    take,
    read,
    sayFile,
    hidden,
    tiles,
    compared,
    needsUnit,
    usedUnit,
    choose,
    older,
    placed,
    affected,
    bring,
    setBring,
    isReady,
    keep,
    retire,
    scene,
    fitTo,
  } = model;
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
            {drawing ? msg('common.keepAsNewRevision') : msg('design.takeADrawing2')}
          </Button>
        </>
      }
    >
      {!sameFile && (
        <ChooseFile label={msg('design.aDxfDrawingLandxmlGeojsonOrA')} onFile={(chosen) => void choose(chosen)} />
      )}
      {file && read?.fileName === file.name && <p className="mt-1 font-semibold">{file.name}</p>}
      <ReadingFile take={take} />
      {take.unread && (
        <>
          <p className="mt-2">{msg('design.sayWhatItsColumnsAre')}</p>
          <ListColumns
            head={take.unread.head}
            said={take.unread.said.list}
            onSaid={(list) => void sayFile({ unit: null, list: { ...take.unread?.said.list, ...list } })}
          />
        </>
      )}
      {read && needsUnit && <AskUnit read={read} onUnit={(unit) => void sayFile({ ...read.said, unit })} />}
      {read?.head && (
        <ListColumns
          head={read.head}
          said={read.said.list}
          decimal={read.summary.list?.decimal ?? null}
          onSaid={(list) => void sayFile({ unit: null, list: { ...read.said.list, ...list } })}
        />
      )}
      {(sameFile || (read && !needsUnit)) && (
        <div className="mt-3 grid gap-4 md:grid-cols-2">
          <DrawingFields model={model} drawing={drawing} sameFile={sameFile} />
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
