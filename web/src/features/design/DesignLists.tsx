import { msg, areaKindWords } from '@idle-marker/words';
import { sourceBytes } from '../../data/beside.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { DrawingRow } from './DrawingRow.tsx';
import { PackageArticle } from './PackageArticle.tsx';
import { RoadRow } from './RoadRow.tsx';
import { WorkSection } from './WorkSection.tsx';
import { isInState, matches } from './workFilter.ts';

import type { DesignPlaceModel } from './useDesignPlace.ts';

const ROW = 'flex items-baseline justify-between gap-3 px-[18px] py-1.5';

export function DesignLists({ model }: { readonly model: DesignPlaceModel }) {
  const {
    id,
    state,
    units,
    setEditing,
    setArea,
    setClearing,
    setGrid,
    setDrawing,
    taken,
    setTaken,
    setRoad,
    roads,
    drawings,
    isShort,
    search,
    wanted,
    progress,
  } = model;
  const isSearching = search.trim() !== '' || wanted !== 'all';
  const packages = progress.filter(
    (each) =>
      isInState(each, wanted) &&
      matches(search, [
        each.work.body.name,
        each.work.body.crew,
        ...each.work.body.items.map(({ name }) => name),
        ...each.work.body.plans.map(({ name }) => name),
      ]),
  );
  // How far something is can be asked of packages alone.
  const others = wanted === 'all';
  const shownRoads = roads.filter(({ fact }) => others && matches(search, [fact.body.name, fact.body.source]));
  const grids = state.grids.filter(({ body }) => others && matches(search, [body.name, body.source]));
  const shownDrawings = drawings.filter(
    ({ fact: { body }, state: read }) =>
      others &&
      matches(search, [
        body.name,
        body.fileName,
        ...(read.status === 'open' ? read.summary.layers.map(({ name }) => name) : []),
      ]),
  );
  const areas = state.areas.filter(({ body }) => others && matches(search, [body.name, areaKindWords()[body.kind]]));
  return (
    <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label={msg('design.packages')}>
      {taken !== null && (
        <div className="px-[18px]">
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
        </div>
      )}
      <WorkSection
        id="packages"
        title={msg('design.workPackages')}
        count={progress.length}
        shown={packages.length}
        add={msg('design.newPackage')}
        primary
        onAdd={() => setEditing('new')}
      >
        {packages.map((each) => (
          <PackageArticle
            // A newer revision is the same row: its details stay open.
            key={state.packageRoots.get(each.work.id) ?? each.work.id}
            progress={each}
            isShort={isShort}
            onClear={() => setClearing(each.work)}
            onChange={() => setEditing(each.work)}
            onGrid={(fact) => setGrid(fact)}
          />
        ))}
      </WorkSection>
      {progress.length === 0 && (
        <p className="px-[18px] py-2 text-ink2">{msg('design.aPackageTakesAnOutlineTypedOr')}</p>
      )}
      <WorkSection
        id="roads"
        title={msg('design.roads')}
        count={roads.length}
        shown={shownRoads.length}
        add={msg('design.newRoad')}
        onAdd={() => setRoad('new')}
      >
        {shownRoads.map((each) => (
          <RoadRow key={each.id} road={each} onChange={() => setRoad(each.fact)} />
        ))}
      </WorkSection>
      <WorkSection
        id="grids"
        title={msg('design.grids')}
        count={state.grids.length}
        shown={grids.length}
        add={msg('design.newGrid')}
        onAdd={() => setGrid('new')}
      >
        {grids.map((each) => (
          <p key={each.id} className={ROW}>
            <span>
              <strong>{msg('design.grid', { name: each.body.name })}</strong>
              {msg('design.by2', {
                labels: each.body.letters.labels.join(' '),
                labels2: each.body.numbers.labels.join(' '),
              })}{' '}
              <span className="text-ink2">{msg('design.source', { source: each.body.source })}</span>
            </span>
            <Button
              look="quiet"
              aria-label={msg('common.change2', { name: each.body.name })}
              onClick={() => setGrid(each)}
            >
              {msg('common.change')}
            </Button>
          </p>
        ))}
      </WorkSection>
      <WorkSection
        id="drawings"
        title={msg('design.drawings')}
        count={drawings.length}
        shown={shownDrawings.length}
        add={msg('design.takeADrawing')}
        onAdd={() => setDrawing({ of: null, sameFile: false })}
      >
        {shownDrawings.map((each) => (
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
      </WorkSection>
      <WorkSection
        id="areas"
        title={msg('design.areas')}
        count={state.areas.length}
        shown={areas.length}
        add={msg('design.newArea')}
        onAdd={() => setArea('new')}
      >
        {areas.map((each) => (
          <p key={each.id} className={ROW}>
            <span>
              <strong>{each.body.name}</strong>
              {msg('design.marksKeepAway', {
                areaKind: areaKindWords()[each.body.kind].toLowerCase(),
                length: units.length(each.body.margin, 2),
                unit: units.unit,
                blocksSight: each.body.blocksSight ? msg('design.nothingIsSeenThroughIt') : '',
              })}
            </span>
            <Button
              look="quiet"
              aria-label={msg('common.change2', { name: each.body.name })}
              onClick={() => setArea(each)}
            >
              {msg('common.change')}
            </Button>
          </p>
        ))}
      </WorkSection>
      {isSearching &&
        packages.length + shownRoads.length + grids.length + shownDrawings.length + areas.length === 0 && (
          <p className="px-[18px] py-3 text-ink2">{msg('design.nothingMatches')}</p>
        )}
    </div>
  );
}
