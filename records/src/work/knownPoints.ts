/** Points that a site has coordinates of, as corners of a package: each keeps its height and its code. */
import type { Corner } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { SiteState } from '../site/state.ts';

export interface KnownPoints {
  readonly control: readonly Corner[];
  readonly asBuilt: readonly Corner[];
  readonly marks: readonly Corner[];
}

const withHeight = (z: number | null) => (z === null ? {} : { z });

/** The first of each name, in the order of the site. */
function namedOnce(corners: readonly Corner[]): Corner[] {
  const names = new Set<string>();
  return corners.filter(({ name }) => names.size !== names.add(name).size);
}

export const controlCorner = ({ revision: { body } }: SiteState['control'][number]): Corner[] =>
  body.e === null || body.n === null || body.condition === 'lost'
    ? []
    : [{ name: body.name, e: body.e, n: body.n, ...withHeight(body.z) }];

export const builtCorner = ({ body: { name, code, place } }: SiteState['asBuilt'][number]): Corner => ({
  name,
  e: place.e,
  n: place.n,
  ...withHeight(place.z),
  ...(code === '' ? {} : { code }),
});

/** A mark where it stands, at the height of its hub, else of the ground. */
export const markCorner = ({ body: { name, place, hubZ, groundZ } }: Fact<'mark'>): Corner => ({
  name,
  e: place.e,
  n: place.n,
  ...withHeight(hubZ ?? groundZ),
});

export const knownPoints = (state: SiteState): KnownPoints => ({
  control: namedOnce(state.control.flatMap(controlCorner)),
  asBuilt: namedOnce(state.asBuilt.map(builtCorner)),
  // What was only painted roughly, or is said to be gone or hit, is no place to work from.
  marks: namedOnce(
    [...state.marks.values()]
      .filter(({ id, body }) => body.state !== 'rough' && !state.reports.has(id))
      .map(markCorner),
  ),
});
