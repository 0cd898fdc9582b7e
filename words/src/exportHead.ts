/** What a file says of itself in lines, above its figures. */
import type { LengthUnit } from '@idle-marker/core';
import type { SiteAbout } from '@idle-marker/formats';
import { heldBy } from './heldBy.ts';
import { msg, worded } from './message.ts';
import { smallLength } from './small.ts';
import { unitNameWords } from './vocabulary.ts';

const verdictWords = worded(() => ({ accepted: 'accepted', provisional: 'provisional' }) as const);

export interface StationSaid {
  readonly name: string;
  readonly method?: string | undefined;
  readonly marks: readonly string[];
  readonly radius95Mm: number | null;
  readonly provisionalBecause: string | null;
}

/** How a station stands that points hang on. */
export const stationStanding = (
  { method, marks, radius95Mm, provisionalBecause }: StationSaid,
  unit: LengthUnit,
): string =>
  msg('exports.standing', {
    verdict: verdictWords()[provisionalBecause === null ? 'accepted' : 'provisional'],
    heldBy: heldBy(method, marks),
    radius95Mm: radius95Mm === null ? '' : msg('exports.radius95', { length: smallLength(radius95Mm / 1000, unit) }),
  });

/** @param sheet of a cut sheet which */
export function exportLines(
  about: Omit<SiteAbout, 'lines'>,
  sheet: { readonly number: number; readonly revision: number; readonly package: string } | null = null,
): string[] {
  const unit = unitNameWords()[about.unit];
  return [
    msg('exports.site', { site: about.site }),
    ...(sheet
      ? [msg('exports.sheet', { number: sheet.number, revision: sheet.revision, package: sheet.package })]
      : []),
    msg('exports.coordinates', {
      coordinateSystem: about.coordinateSystem || msg('exports.notNamed'),
      order: about.axes === 'EN' ? msg('exports.eastFirst') : msg('exports.northFirst'),
      unit,
    }),
    msg('exports.elevations', { heightDatum: about.heightDatum || msg('exports.datumNotNamed'), unit }),
    about.scaleFactor === null
      ? msg('exports.scaleFactorNotKept')
      : about.scaleFactor === 1
        ? msg('exports.onTheGround')
        : msg('exports.scaleFactor', { factor: about.scaleFactor }),
    msg('exports.written', { at: about.at, by: about.by }),
    ...(about.stations.length === 0 ? [msg('exports.noStation')] : []),
    ...about.stations.map(({ name, standing }) => msg('exports.station', { name, standing })),
  ];
}
