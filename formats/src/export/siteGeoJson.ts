/**
 * A site's points and lines as GeoJSON, in the site's own coordinates, east first and in metres. RFC 7946 knows degrees
 * alone; its forerunner (The GeoJSON Format Specification, 2008) has a `crs` by name, and common readers take one in
 * well-known text there (ISO 19162): an engineering system of this site, which is no degrees and lies nowhere on the
 * globe. In words it stands beside it.
 */
import { oneLine, type SiteAbout } from './siteAbout.ts';
import type { SiteLine, SitePoint } from './sitePoint.ts';

const rounded = (metres: number): number => Math.round(metres * 1e4) / 1e4;

const quoted = (text: string): string => `"${oneLine(text).replace(/"/g, '""')}"`;

/** A local system of plan coordinates in metres, as well-known text. */
const engineeringSystem = (name: string, site: string): string =>
  `ENGCRS[${quoted(name)},EDATUM[${quoted(site)}],CS[Cartesian,2],AXIS["easting (E)",east,ORDER[1]],AXIS["northing (N)",north,ORDER[2]],LENGTHUNIT["metre",1]]`;

export function siteGeoJson(points: readonly SitePoint[], design: readonly SiteLine[], about: SiteAbout): string {
  const { coordinateSystem, heightDatum, site, scaleFactor, at, by, stations } = about;
  const features = [
    ...points.map(({ e, n, z, name, group, code, ...properties }) => ({
      type: 'Feature',
      properties: { name, code, layer: code === '' ? group : `${group} ${code}`, ...properties },
      geometry: { type: 'Point', coordinates: [rounded(e), rounded(n), ...(z === null ? [] : [rounded(z)])] },
    })),
    ...design
      .filter((line) => line.points.length > 1)
      .map((line) => {
        const places = line.points.map((point) => [rounded(point.e), rounded(point.n)]);
        const ring = line.closed && places.length > 2;
        return {
          type: 'Feature',
          properties: { name: line.name, layer: 'design' },
          geometry: ring
            ? { type: 'Polygon', coordinates: [[...places, places[0]]] }
            : { type: 'LineString', coordinates: places },
        };
      }),
  ];
  const document = {
    type: 'FeatureCollection',
    name: site,
    crs: { type: 'name', properties: { name: engineeringSystem(coordinateSystem || site, site) } },
    coordinateSystem: `site grid, metres${coordinateSystem ? `: ${coordinateSystem}` : ''}`,
    about: { site, heightDatum, unit: 'metre', order: 'EN', scaleFactor, writtenAt: at, writtenBy: by, stations },
    features,
  };
  return `${JSON.stringify(document, null, 1)}\n`;
}
