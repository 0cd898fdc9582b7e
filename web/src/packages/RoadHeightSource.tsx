import { msg, smallLength } from '@idle-marker/words';
import { Tick } from '../ui/Field.tsx';

import type { RoadPackageModel } from './useRoadPackage.ts';

export function RoadHeightSource({ model }: { readonly model: RoadPackageModel }) {
  const { units, under, made, surface, useSurface, setUseSurface, atHub, setAtHub, allowed, differing } = model;
  if (!surface) return null;
  return (
    <div className="mt-2">
      <Tick
        label={msg('packages.heightsComeFromNotFromTheStrings', { name: surface.name })}
        checked={useSurface}
        onChange={setUseSurface}
      />
      {useSurface && <Tick label={msg('packages.atThePlaceOfEachHubNot')} checked={atHub} onChange={setAtHub} />}
      {differing.length > 0 && !atHub && (
        <p className="font-medium text-ochre">
          {msg('packages.atOfStationsStringsAndSurfaceDiffer', {
            differing: differing.length,
            corners: made?.corners.length,
            smallLength: smallLength(allowed, units.lengthUnit),
            name: differing[0]!.name,
            length: units.length(differing[0]!.fromRoad),
            length2: units.length(differing[0]!.fromSurface),
            unit: units.unit,
          })}
        </p>
      )}
      {under && differing.length === 0 && !atHub && (
        <p className="text-[14px] text-ink2">
          {msg('packages.stringsAndSurfaceAgreeWithinWherever', {
            smallLength: smallLength(allowed, units.lengthUnit),
          })}
        </p>
      )}
    </div>
  );
}
