import { msg } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthOf } from '../../field/draft.ts';
import { Choice } from '../../ui/Field.tsx';
import { POLE, INSTRUMENT, TYPED, NO_SURFACE } from './useRoadPlace.ts';
import type { RoadPlaceModel } from './useRoadPlace.ts';

export function RoadSource({ model }: { readonly model: RoadPlaceModel }) {
  const {
    state,
    inForce,
    units,
    roads,
    active,
    setActive,
    surfaces,
    withPole,
    subject,
    setSubject,
    typed,
    setTyped,
    surfaceChoice,
    setSurface,
  } = model;
  if (!active) return null;
  return (
    <div className="grid grid-cols-2 gap-3">
      <Choice
        label={msg('road.alignment')}
        value={active.id}
        options={roads.map((each) => [each.id, each.road.name] as const)}
        onChange={setActive}
      />
      <Choice
        label={msg('road.whereIs')}
        value={subject}
        options={[
          ...(withPole ? [[POLE, msg('road.thePoleLive')] as const] : []),
          ...(inForce ? [[INSTRUMENT, msg('road.theInstrument', { name: inForce.fact.body.name })] as const] : []),
          [TYPED, msg('road.aPlaceTypedOrTouchedOnThe')],
          ...state.control
            .filter(({ revision }) => revision.body.e !== null)
            .map(({ revision }) => [revision.body.name, msg('road.mark', { name: revision.body.name })] as const),
        ]}
        onChange={setSubject}
      />
      {subject === TYPED && (
        <>
          {units.axes.map((axis) => (
            <DraftField
              key={axis}
              label={axis === 'e' ? msg('common.east') : msg('common.north')}
              unit={units.unit}
              draft={typed[axis]}
              onDraft={(draft) => setTyped({ ...typed, [axis]: draft })}
              error={
                typed[axis].text !== '' && lengthOf(typed[axis], units) === null ? msg('road.thisIsNoLength') : null
              }
            />
          ))}
          <DraftField
            label={msg('common.height')}
            unit={units.unit}
            draft={typed.z}
            onDraft={(z) => setTyped({ ...typed, z })}
            help={msg('road.emptyPlanOnly')}
          />
        </>
      )}
      {surfaces.length > 0 && (
        <Choice
          label={msg('road.groundDrawnWithIt')}
          value={surfaceChoice}
          options={[[NO_SURFACE, 'none'], ...surfaces.map(({ id, label }) => [id, label] as const)]}
          onChange={setSurface}
        />
      )}
    </div>
  );
}
