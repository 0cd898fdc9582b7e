/** Heights of a ground or a design made of triangles. */
export { heightOn, rimOf, surfaceOf, type Surface, type Triangles } from './surface.ts';
export { crossingTriangles, type CrossingTriangles } from './crossing.ts';
