import { msg } from '@idle-marker/words';
import { Choice, Field } from '../../ui/Field.tsx';
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
        label={msg('common.along')}
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
          <Field
            label={units.axes[0] === 'e' ? msg('common.east') : msg('common.north')}
            unit={units.unit}
            value={typed.first}
            inputMode="decimal"
            onChange={(event) => setTyped({ ...typed, first: event.target.value })}
            error={typed.first !== '' && units.readLength(typed.first) === null ? msg('road.thisIsNoLength') : null}
          />
          <Field
            label={units.axes[0] === 'e' ? msg('common.north') : msg('common.east')}
            unit={units.unit}
            value={typed.second}
            inputMode="decimal"
            onChange={(event) => setTyped({ ...typed, second: event.target.value })}
            error={typed.second !== '' && units.readLength(typed.second) === null ? msg('road.thisIsNoLength') : null}
          />
          <Field
            label={msg('common.height')}
            unit={units.unit}
            value={typed.z}
            inputMode="decimal"
            onChange={(event) => setTyped({ ...typed, z: event.target.value })}
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
