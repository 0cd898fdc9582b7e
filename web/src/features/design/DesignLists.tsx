import { msg, areaKindWords } from '@idle-marker/words';
import { sourceBytes } from '../../data/beside.ts';
import { Button } from '../../ui/Button.tsx';
import { Card, Empty } from '../../ui/Slip.tsx';
import { DrawingRow } from './DrawingRow.tsx';
import { PackageArticle } from './PackageArticle.tsx';
import { RoadRow } from './RoadRow.tsx';

import type { DesignPlaceModel } from './useDesignPlace.ts';

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
  } = model;
  return (
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
          action={<Button onClick={() => setEditing('new')}>{msg('design.addWorkPackage')}</Button>}
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
              areaKind: areaKindWords()[each.body.kind].toLowerCase(),
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
  );
}
