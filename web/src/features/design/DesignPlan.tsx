import { msg } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { roadAt, TOUCH, workAlong } from '../../site/useRoads.ts';
import { Empty } from '../../ui/Slip.tsx';

import type { DesignPlaceModel } from './useDesignPlace.ts';

export function DesignPlan({ model }: { readonly model: DesignPlaceModel }) {
  const { id, state, navigate, roads, underlay, scene, marked, goTo } = model;
  return (
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
  );
}
