import { Link } from 'react-router';
import { msg, alignmentKindWords, offsetWords, stationText } from '@idle-marker/words';
import { displayedStation } from '@idle-marker/core';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle, workAlong, type SiteRoad } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';

/** One line with stations on the page of the work: what it is, and the way to it. */
export function RoadRow({ road: { id: line, fact, road }, onChange }: { readonly road: SiteRoad; onChange(): void }) {
  const { id } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const { body } = fact;
  const strings = road.template.names.length - 1;
  return (
    <p className="flex items-baseline justify-between gap-3 px-[18px] py-1.5">
      <span>
        <strong>
          {alignmentKindWords()[body.kind]} {body.name}
        </strong>
        {msg('design.to', {
          station: stationText(road.alignment.startStation, style, 0),
          station2: stationText(displayedStation(road.alignment, road.alignment.endStation).displayed, style, 0),
          profile: body.profile ? msg('design.withHeights') : msg('design.noHeights'),
          strings: strings === 0 ? msg('design.noStrings') : msg('design.strings', { strings }),
        })}{' '}
        <span className="text-ink2">{msg('design.source', { source: body.source })}</span>
        {body.shift !== 0 && (
          <strong className="text-brick">
            {' '}
            {msg('design.shifted', { offset: offsetWords(body.shift, units.lengthUnit) })}
          </strong>
        )}
      </span>
      <span className="flex gap-3">
        <Link
          className="inline-flex min-h-11 items-center whitespace-nowrap font-semibold text-spruce underline"
          to={`/sites/${id}/mark/road`}
          onClick={() => workAlong(id, line)}
        >
          {msg('design.goAlong')}
        </Link>
        <Button look="quiet" aria-label={msg('common.change2', { name: body.name })} onClick={onChange}>
          {msg('common.change')}
        </Button>
      </span>
    </p>
  );
}
