import type { Fact } from '@idle-marker/contract';
import { msg, stationText } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { SectionDrawing } from '../../board/SectionDrawing.tsx';
import { useEditRoad, type EditRoadModel } from './useEditRoad.ts';
import { RoadHead } from './RoadHead.tsx';
import { RoadLines } from './RoadLines.tsx';

/**
 * Types a line with stations, or a new revision of one: its way, heights and strings, drawn before anything is kept.
 */
export function EditRoad({ fact, onClose }: { readonly fact: Fact<'alignment'> | null; onClose(): void }) {
  const model = useEditRoad({ fact, onClose });
  const { before, whole, keep } = model;
  return (
    <Dialog
      open
      onClose={onClose}
      title={before ? msg('common.newRevision', { name: before.name }) : msg('design.newRoadOrAnotherLineWithStations')}
      beside={{ title: msg('design.asDrawn'), content: <Drawn model={model} /> }}
      foot={
        <>
          {before && <Button onClick={() => void keep(true)}>{msg('design.noLongerUsed')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {before ? msg('common.keepAsNewRevision') : msg('design.saveAlignment')}
          </Button>
        </>
      }
    >
      <RoadHead model={model} />
      <RoadLines model={model} />
      {whole && <p className="mt-3 font-medium text-brick">{whole}</p>}
    </Dialog>
  );
}

/** The line as it would lie, and its section at the start: drawn while it is typed. */
function Drawn({ model: { style, drawn, scene, whole } }: { readonly model: EditRoadModel }) {
  return (
    <div className="mt-2 flex flex-col gap-2">
      <div className="relative h-[300px] border border-ink2">
        <Board
          scene={scene}
          description={msg('design.theLineAsItWouldLieOn')}
          fitTo={drawn ? drawn.alignment.elements.flatMap(({ start: from, end }) => [from, end]) : []}
          fitKey={String(drawn?.alignment.length)}
        />
      </div>
      {drawn ? (
        <div className="h-[220px] border border-ink2">
          <SectionDrawing
            road={drawn}
            station={drawn.alignment.startStation}
            title={msg('design.at', { station: stationText(drawn.alignment.startStation, style) })}
            at={null}
            chosen={null}
          />
        </div>
      ) : (
        <p className="text-ink2">{whole ?? msg('design.roadNotDrawnYet')}</p>
      )}
    </div>
  );
}
