/**
 * A site's points and lines as GeoJSON (RFC 7946), in the site's own coordinates and metres: they are no degrees, and
 * the file says so.
 */
import type { SiteLine, SitePoint } from './sitePoint.ts';

const rounded = (metres: number): number => Math.round(metres * 1e4) / 1e4;

export function siteGeoJson(
  points: readonly SitePoint[],
  design: readonly SiteLine[],
  coordinateSystem: string,
): string {
  const features = [
    ...points.map(({ e, n, z, name, group, code, ...properties }) => ({
      type: 'Feature',
      properties: { name, layer: code === '' ? group : `${group} ${code}`, ...properties },
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
  return `${JSON.stringify({ type: 'FeatureCollection', coordinateSystem: `site grid, metres${coordinateSystem ? `: ${coordinateSystem}` : ''}`, features }, null, 1)}\n`;
}
