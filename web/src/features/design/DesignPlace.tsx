import { msg, AREA_KIND } from '@idle-marker/words';
import { sourceBytes } from '../../data/beside.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { roadAt, TOUCH, workAlong } from '../../site/useRoads.ts';
import { Button } from '../../ui/Button.tsx';
import { Card, Empty } from '../../ui/Slip.tsx';
import { DrawingDialog } from './DrawingDialog.tsx';
import { DrawingRow } from './DrawingRow.tsx';
import { EditArea } from './EditArea.tsx';
import { EditGrid } from './EditGrid.tsx';
import { EditPackage } from './EditPackage.tsx';
import { EditRoad } from './EditRoad.tsx';
import { OffsetsDialog } from './OffsetsDialog.tsx';
import { PackageArticle } from './PackageArticle.tsx';
import { ReturnPackage } from '../../packages/ReturnPackage.tsx';
import { RoadPackage } from '../../packages/RoadPackage.tsx';
import { RoadRow } from './RoadRow.tsx';
import { useDesignPlace } from './useDesignPlace.ts';

/** What is to be marked, for whom, and how good it has to be. */
export function Place() {
  const {
    id,
    state,
    navigate,
    units,
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
    taken,
    setTaken,
    editedRoad,
    setRoad,
    roads,
    along,
    roadUnder,
    drawings,
    underlay,
    scene,
    isShort,
    marked,
    goTo,
  } = useDesignPlace();
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
      <div className="relative min-h-0 flex-[0_0_38%] border-b border-ink lg:flex-1 lg:border-b-0">
        {state.packages.length > 0 || state.control.length > 0 || underlay.length > 0 ? (
          <Board
            scene={scene}
            underlay={underlay}
            description={msg('design.planWithTheOutlinesTheRoadsAnd')}
            onPick={goTo}
            onPlace={(place, pixel) => {
              const road = roadAt(roads, place, TOUCH * pixel);
              if (!road) return;
              workAlong(id, road.id);
              void navigate(`/sites/${id}/mark/road`);
            }}
            fitTo={marked}
            fitKey={`design ${state.packages.length}`}
          />
        ) : (
          <Empty title={msg('design.nothingIsAskedForYet')}>{msg('design.outlinesOfWhatIsToBeBuilt')}</Empty>
        )}
      </div>
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
        <div
          className="min-h-0 flex-1 overflow-auto px-[18px] py-3"
          tabIndex={0}
          role="region"
          aria-label={msg('design.packages')}
        >
          {taken !== null && (
            <Card
              tone="good"
              title={msg('design.wasTakenIn', { taken })}
              actions={
                <>
                  <Button
                    look="primary"
                    onClick={() => {
                      setTaken(null);
                      setEditing('new');
                    }}
                  >
                    {msg('design.makeAPackageFromIt')}
                  </Button>
                  <Button onClick={() => setTaken(null)}>{msg('common.close')}</Button>
                </>
              }
            >
              {msg('design.nextSayWhichOfItsCornersGet')}
            </Card>
          )}
          {state.packages.length === 0 && (
            <Empty
              title={msg('design.noWorkPackage')}
              action={<Button onClick={() => setEditing('new')}>{msg('common.makeOne')}</Button>}
            >
              {msg('design.aPackageTakesAnOutlineTypedOr')}
            </Empty>
          )}
          {drawings.map((each) => (
            <DrawingRow
              key={each.fact.id}
              drawing={each}
              onChange={() => setDrawing({ of: each.fact, sameFile: true })}
              onReplace={() => setDrawing({ of: each.fact, sameFile: false })}
              onPlace={() =>
                void sourceBytes(id, each.fact.body.file).then((bytes) => {
                  if (bytes)
                    setDrawing({
                      of: each.fact,
                      sameFile: false,
                      file: new File([bytes.slice()], each.fact.body.fileName),
                    });
                })
              }
            />
          ))}
          {roads.map((each) => (
            <RoadRow key={each.id} road={each} onChange={() => setRoad(each.fact)} />
          ))}
          {state.grids.map((each) => (
            <p key={each.id} className="mb-3 flex items-baseline justify-between gap-3 border-b border-rule pb-2">
              <span>
                <strong>{msg('design.grid', { name: each.body.name })}</strong>
                {msg('design.by2', {
                  labels: each.body.letters.labels.join(' '),
                  labels2: each.body.numbers.labels.join(' '),
                })}{' '}
                <span className="text-ink2">{msg('design.source', { source: each.body.source })}</span>
              </span>
              <Button look="quiet" onClick={() => setGrid(each)}>
                {msg('common.change')}
              </Button>
            </p>
          ))}
          {state.areas.map((each) => (
            <p key={each.id} className="mb-3 flex items-baseline justify-between gap-3 border-b border-rule pb-2">
              <span>
                <strong>{each.body.name}</strong>
                {msg('design.marksKeepAway', {
                  areaKind: AREA_KIND[each.body.kind].toLowerCase(),
                  length: units.length(each.body.margin, 2),
                  unit: units.unit,
                  blocksSight: each.body.blocksSight ? msg('design.nothingIsSeenThroughIt') : '',
                })}
              </span>
              <Button look="quiet" onClick={() => setArea(each)}>
                {msg('common.change')}
              </Button>
            </p>
          ))}
          {state.packages.map((work) => (
            <PackageArticle
              key={work.id}
              work={work}
              isShort={isShort}
              onClear={() => setClearing(work)}
              onChange={() => setEditing(work)}
              onGrid={(fact) => setGrid(fact)}
            />
          ))}
        </div>
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
