import { msg, stationText } from '@idle-marker/words';
import { typed } from '../../field/draft.ts';

import type { EditRoadModel } from './useEditRoad.ts';
import { Lines } from './Lines.tsx';

export function RoadLines({ model }: { readonly model: EditRoadModel }) {
  const {
    units,
    style,
    before,
    way,
    setWay,
    equations,
    setEquations,
    profile,
    setProfile,
    strings,
    setStrings,
    tried,
    errors,
  } = model;
  return (
    <div className="flex flex-col gap-3">
      <Lines
        label={msg('design.itsWay')}
        value={way}
        onChange={setWay}
        error={errors.way !== null && (tried || way !== '') ? errors.way : null}
        help={
          before !== null && way.trim() === ''
            ? msg('design.asItCameFromElementsTypePoints', {
                source: before.source,
                elements: before.elements.length,
              })
            : msg('design.intersectionPointsOneALineRadius80', {
                axes: units.axes[0] === 'e' ? '4018, 8052' : '8052, 4018',
              })
        }
        rows={7}
      />
      <Lines
        label={msg('design.whereItsStationsJump')}
        term="stationEquation"
        value={equations.text}
        onChange={(text) => setEquations(typed(text))}
        error={errors.equations}
        help={msg('design.backAheadOneALineEmptyWhen', {
          station: stationText(200, style, 0),
          station2: stationText(500, style, 0),
        })}
        rows={2}
      />
      <Lines
        label={msg('design.profileVerticalAlignment')}
        value={profile.text}
        onChange={(text) => setProfile(typed(text))}
        error={errors.profile}
        help={msg('design.gradePointsOneALine615', { station: stationText(110, style, 0) })}
        rows={5}
      />
      <Lines
        label={msg('design.stringsAndKerbs')}
        value={strings.text}
        onChange={(text) => setStrings(typed(text))}
        error={errors.strings}
        help={msg('design.oneALineLeftEdgeLeft3')}
        rows={7}
      />
    </div>
  );
}
