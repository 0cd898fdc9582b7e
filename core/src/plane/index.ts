/** Points, lines and polygons in plan. */
export {
  azimuth,
  carriedAlong,
  compassWord,
  planDistance,
  pointAtDirection,
  polar,
  type PlanPoint,
  type SitePoint,
} from './point.ts';
export { bulgedArc, lengthOfSide, reachOfSide, type BulgedArc } from './bulge.ts';
export { outlineGap, sharedPart, type OutlineGap } from './gap.ts';
export { distanceToPolygon, insidePolygon, segmentMeetsPolygon, signedArea } from './polygon.ts';
export { alongOff, intersectLines, pointAlongOff } from './line.ts';
export { crossCircles, crossLineCircle, crossLines, type Circle, type Segment } from './crossing.ts';
export { extentOf, farOff, feetApart, type FarOff } from './farOff.ts';
