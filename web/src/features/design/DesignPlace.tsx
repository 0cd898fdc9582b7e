import { msg } from '@idle-marker/words';
import { SearchField } from '../../ui/SearchField.tsx';
import { DrawingDialog } from './DrawingDialog.tsx';
import { EditArea } from './EditArea.tsx';
import { EditGrid } from './EditGrid.tsx';
import { EditPackage } from './EditPackage.tsx';
import { EditRoad } from './EditRoad.tsx';
import { OffsetsDialog } from './OffsetsDialog.tsx';
import { ReturnPackage } from '../../packages/ReturnPackage.tsx';
import { RoadPackage } from '../../packages/RoadPackage.tsx';
import { workStates, type WorkState } from './workFilter.ts';
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
    search,
    setSearch,
    wanted,
    setWanted,
  } = model;
  return (
    <div
      className="flex h-full min-h-0 flex-col lg:flex-row low:flex-row"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) setDrawing({ of: null, sameFile: false, file });
      }}
    >
      <DesignPlan model={model} />
      <section
        className="flex min-h-0 flex-1 flex-col border-ink bg-sheet low:overflow-y-auto lg:w-[560px] lg:flex-none lg:border-l max-xl:lg:w-[460px]"
        aria-label={msg('common.work')}
      >
        <div className="flex flex-wrap items-center gap-2 border-b border-ink px-[18px] py-2">
          <h1 className="mr-2 text-xl">{msg('common.work')}</h1>
          <SearchField
            className="min-w-0 flex-1 basis-44"
            shortcut="/"
            label={msg('design.searchWork')}
            value={search}
            onChange={setSearch}
          />
          <select
            aria-label={msg('design.stateOfPackages')}
            className="h-11 flex-none rounded-sm border border-ink2 bg-sheet px-2"
            value={wanted}
            onChange={(event) => setWanted(event.target.value as WorkState)}
          >
            {workStates().map(([each, label]) => (
              <option key={each} value={each}>
                {label}
              </option>
            ))}
          </select>
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
          onTaken={(taken) => {
            setDrawing(null);
            setTaken(taken.body.name);
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
