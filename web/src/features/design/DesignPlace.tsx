import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { DrawingDialog } from './DrawingDialog.tsx';
import { EditArea } from './EditArea.tsx';
import { EditGrid } from './EditGrid.tsx';
import { EditPackage } from './EditPackage.tsx';
import { EditRoad } from './EditRoad.tsx';
import { OffsetsDialog } from './OffsetsDialog.tsx';
import { ReturnPackage } from '../../packages/ReturnPackage.tsx';
import { RoadPackage } from '../../packages/RoadPackage.tsx';
import { useDesignPlace } from './useDesignPlace.ts';
import { DesignPlan } from './DesignPlan.tsx';
import { DesignLists } from './DesignLists.tsx';

/** What is to be marked, for whom, and how good it has to be. */
export function Place() {
  const model = useDesignPlace();
  const {
    editing,
    setEditing,
    area,
    setArea,
    clearing,
    setClearing,
    grid,
    setGrid,
    drawing,
    setDrawing,
    setTaken,
    editedRoad,
    setRoad,
    along,
    roadUnder,
  } = model;
  return (
    <div
      className="flex h-full min-h-0 flex-col lg:flex-row"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) setDrawing({ of: null, sameFile: false, file });
      }}
    >
      <DesignPlan model={model} />
      <section
        className="flex min-h-0 flex-1 flex-col border-ink bg-sheet lg:w-[560px] lg:flex-none lg:border-l max-xl:lg:w-[460px]"
        aria-label={msg('design.workPackages')}
      >
        <div className="flex flex-wrap items-center justify-between gap-3 border-b border-ink px-[18px] py-3">
          <div>
            <h1 className="text-xl">{msg('common.work')}</h1>
            <p className="text-ink2">{msg('design.whatTheCrewsAskedFor')}</p>
          </div>
          <div className="flex flex-wrap gap-2 whitespace-nowrap">
            <Button onClick={() => setDrawing({ of: null, sameFile: false })}>{msg('design.takeADrawing')}</Button>
            <Button onClick={() => setArea('new')}>{msg('design.newArea')}</Button>
            <Button onClick={() => setGrid('new')}>{msg('design.newGrid')}</Button>
            <Button onClick={() => setRoad('new')}>{msg('design.newRoad')}</Button>
            <Button look="primary" onClick={() => setEditing('new')}>
              {msg('design.newPackage')}
            </Button>
          </div>
        </div>
        <DesignLists model={model} />
      </section>
      {area !== null && <EditArea area={area === 'new' ? null : area} onClose={() => setArea(null)} />}
      {clearing !== null && <OffsetsDialog work={clearing} onClose={() => setClearing(null)} />}
      {editedRoad !== null && (
        <EditRoad fact={editedRoad === 'new' ? null : editedRoad} onClose={() => setRoad(null)} />
      )}
      {grid !== null && <EditGrid grid={grid === 'new' ? null : grid} onClose={() => setGrid(null)} />}
      {drawing !== null && (
        <DrawingDialog
          drawing={drawing.of}
          sameFile={drawing.sameFile}
          file={drawing.file ?? null}
          onClose={() => setDrawing(null)}
          onTaken={(name) => {
            setDrawing(null);
            setTaken(name);
          }}
        />
      )}
      {editing !== null &&
        (roadUnder && along?.return && editing !== 'new' ? (
          <ReturnPackage active={roadUnder} work={editing} onClose={() => setEditing(null)} />
        ) : roadUnder ? (
          <RoadPackage active={roadUnder} work={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />
        ) : (
          <EditPackage work={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />
        ))}
    </div>
  );
}
