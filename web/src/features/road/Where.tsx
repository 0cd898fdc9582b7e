import { equationJumps, sectionAt, sectionHeight, type SitePoint } from '@idle-marker/core';
import type { AgainstRoad, Road } from '@idle-marker/records';
import {
  msg,
  cutFillWords,
  offsetWords,
  regionWords,
  roadRemarkWords,
  stationText,
  type StationStyle,
} from '@idle-marker/words';
import { roadRemarks } from '@idle-marker/records';
import { useHeightUnder, type OpenSurface } from '../../drawings/useSurfaces.ts';
import { useUnits } from '../../field/useUnits.ts';
import { withUnit } from './useStationGoal.ts';
import { Steady } from '../../ui/Steady.tsx';

interface WhereProps {
  readonly against: AgainstRoad | null;
  readonly road: Road;
  readonly style: StationStyle;
  readonly noise: number;
  readonly stale: boolean;
  readonly decimals: number;
  readonly waiting: string;
}

/** The large sentence: station and offset, or how far beyond the end. */
export function Where({ against, road, style, noise, stale, decimals, waiting }: WhereProps) {
  const units = useUnits();
  if (!against) return <p className="text-[24px] font-semibold">{waiting}</p>;
  const { nearest } = against;
  const side = offsetWords(nearest.offset, units.lengthUnit, decimals);
  const [figure, ...rest] = side.split(' ');
  const large = `figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`;
  const region =
    'station' in nearest && road.alignment.equations.length > 0
      ? regionWords(equationJumps(road.alignment), nearest.region, style)
      : '';
  return (
    <>
      <p className={large} data-testid="road-where">
        {'station' in nearest ? (
          <>
            <Steady text={stationText(nearest.displayed, style, decimals)} noise={noise} unit={units.lengthUnit} />{' '}
            <span className="text-ink2">·</span>{' '}
          </>
        ) : (
          <>
            <Steady text={units.length(nearest.extension, decimals)} noise={noise} unit={units.lengthUnit} />{' '}
            {units.unit} {nearest.status === 'beyondStart' ? msg('road.beforeItsStart') : msg('road.beyondItsEnd')}{' '}
            <span className="text-ink2">·</span>{' '}
          </>
        )}
        {rest.length > 0 && /\d/.test(figure!) ? (
          <>
            <Steady text={figure!} noise={noise} unit={units.lengthUnit} /> {rest.join(' ')}
          </>
        ) : (
          side
        )}
      </p>
      {!('station' in nearest) && (
        <p className="font-medium text-ochre">{msg('road.theLineIsCarriedOnStraightHere')}</p>
      )}
      {'status' in nearest && nearest.status === 'atAngle' && (
        <p className="font-medium text-ochre">{msg('road.nearestIsABendNothingIsSquare')}</p>
      )}
      {against.outside && (
        <p className="font-medium text-ochre">
          {msg('road.outsideOfTheToEachSideThat', {
            length: units.length(road.corridor, 0),
            unit: units.unit,
            name: road.name,
          })}
        </p>
      )}
      {region !== '' && <p className="text-[15px] text-ink2">{region}</p>}
    </>
  );
}

/** The height of a chosen surface at the very place, and what there is to cut or fill to it. */
export function OnSurface({ surface, at }: { readonly surface: OpenSurface; readonly at: SitePoint }) {
  const units = useUnits();
  const under = useHeightUnder(surface, at);
  if (!under) return null;
  return (
    <p className="text-[15px]" data-testid="on-surface">
      {under.z === null ? (
        <span className="text-ink2">{msg('road.hasNoHeightHere', { name: surface.name })}</span>
      ) : (
        <>
          {surface.name} {units.length(under.z)} {units.unit}
          {at.z !== null && <strong> · {withUnit(cutFillWords(at.z - under.z, units.lengthUnit), units.unit)}</strong>}
        </>
      )}
    </p>
  );
}

/** Heights of the cross sections as they were designed, at the station and offset that is looked at. */
export function BySections({
  road,
  station,
  offset,
  z,
}: {
  readonly road: Road;
  readonly station: number;
  readonly offset: number;
  readonly z: number | null;
}) {
  const units = useUnits();
  const found = sectionAt(road.sections, station).flatMap(({ name }) => {
    const height = sectionHeight(road.sections, name, station, offset);
    return height === null ? [] : [{ name, height }];
  });
  if (found.length === 0)
    return <p className="text-[15px] text-ink2">{msg('road.theDesignedCrossSectionsHaveNoHeight')}</p>;
  return (
    <p className="text-[15px]" data-testid="by-sections">
      {msg('road.byItsCrossSections')}{' '}
      {found.map(({ name, height }, i) => (
        <span key={name}>
          {i > 0 && '; '}
          {name} {units.length(height)} {units.unit}
          {z !== null && <strong> · {withUnit(cutFillWords(z - height, units.lengthUnit), units.unit)}</strong>}
        </span>
      ))}
    </p>
  );
}

/** What a design should be asked about. */
export function Remarks({ road, style }: { readonly road: Road; readonly style: StationStyle }) {
  const remarks = roadRemarks(road);
  if (remarks.length === 0) return null;
  return (
    <ul className="mt-4 border-t border-rule pt-2 text-[14px] text-ink2">
      {remarks.map((remark, i) => (
        <li key={i}>{roadRemarkWords(remark, style)}</li>
      ))}
    </ul>
  );
}
