/** What a sheet's table and workbook say of themselves. */
import type { SiteAbout } from '@idle-marker/formats';
import type { NumberedSheet } from '@idle-marker/records';
import { exportLines, stationNotices, stationStanding } from '@idle-marker/words';

export function sheetAbout(sheet: NumberedSheet): SiteAbout {
  const { lengthUnit } = sheet;
  const about = {
    site: sheet.site,
    coordinateSystem: sheet.coordinateSystem ?? '',
    heightDatum: sheet.heightDatum ?? '',
    unit: lengthUnit,
    axes: sheet.axes ?? 'EN',
    scaleFactor: sheet.scaleFactor ?? null,
    at: sheet.issuedAt,
    by: sheet.issuedBy,
    stations: sheet.stations.map((station) => ({
      name: station.name,
      standing: [stationStanding(station, lengthUnit), ...stationNotices(station, lengthUnit)].join('; '),
    })),
  };
  return { ...about, lines: exportLines(about, sheet) };
}
