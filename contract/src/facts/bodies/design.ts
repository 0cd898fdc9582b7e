/** What is drawn to set out from. */
import { closed, Name, NullableUuid, PlacePlan, Type, Uuid, Words } from '../parts.ts';

/** Short, for people say it aloud: A, B, 12, 3.5. */
const GridLabel = Type.String({ minLength: 1, maxLength: 12, pattern: '^\\S+$' });
const GridFamilyBody = closed({
  /** Direction of the lines of this family. */
  azimuthDeg: Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
  labels: Type.Array(GridLabel, { minItems: 1, maxItems: 200 }),
  /** Between each line and the next, metres. */
  spacings: Type.Array(Type.Number({ exclusiveMinimum: 0, maximum: 1000 }), { maxItems: 199 }),
});

/** Lettered and numbered lines; the same grid over all its revisions. */
export const GridBody = closed({
  grid: Uuid,
  name: Name,
  /** Where the first lettered and the first numbered line meet. */
  origin: PlacePlan,
  letters: GridFamilyBody,
  numbers: GridFamilyBody,
  spacingMeasured: Words('perpendicular', 'alongCrossing'),
  source: Type.String({ maxLength: 200 }),
  retired: Type.Boolean(),
  supersedes: NullableUuid,
});

export const AreaKindWord = Words('dig', 'spoilHeap', 'fence', 'machine', 'services', 'keepOut');

/** Ground that marks keep out of, and that may stand in the line of sight; the same area over all its revisions. */
export const AreaBody = closed({
  area: Uuid,
  name: Name,
  kind: AreaKindWord,
  /** In order round it. */
  corners: Type.Array(PlacePlan, { minItems: 3, maxItems: 500 }),
  /** How far beyond its edge a mark is still lost, metres. */
  margin: Type.Number({ minimum: 0, maximum: 100 }),
  blocksSight: Type.Boolean(),
  source: Type.String({ maxLength: 200 }),
  retired: Type.Boolean(),
  supersedes: NullableUuid,
});
