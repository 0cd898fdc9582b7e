/** What is to be set, what was set, and what was handed over. */
import {
  closed,
  Coordinate,
  Name,
  NullableCoordinate,
  NullableDay,
  NullableNumber,
  NullableUuid,
  Place,
  PlacePlan,
  Text,
  Type,
  Uuid,
  Words,
} from '../parts.ts';

const Face = Type.Array(Name, { minItems: 2, maxItems: 2 });

const NullableFace = Type.Unsafe<string[] | null>({ anyOf: [{ type: 'null' }, Face] });

export const MeaningWord = Words('outsideFace', 'insideFace', 'wallCentre', 'gridLine', 'waterLine');

export const HeightReferenceWord = Words('finishedFloor', 'topOfWall', 'underside', 'invert', 'topOfKerb', 'subgrade');

/** One mark to set. Its key is stable: item, corner and side. */
export const MarkPlanBody = closed({
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  place: PlacePlan,
  design: PlacePlan,
  corner: Name,
  item: Name,
  meaning: MeaningWord,
  offset: Type.Number({ minimum: 0, maximum: 1000 }),
  offFace: NullableFace,
  alsoOffFace: NullableFace,
  onLine: NullableFace,
  designZ: NullableCoordinate,
});

export const PackageBody = closed({
  name: Name,
  crew: Name,
  class: Type.String({ minLength: 1, maxLength: 40 }),
  heightReference: HeightReferenceWord,
  offset: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  items: Type.Array(
    closed({
      name: Name,
      meaning: MeaningWord,
      designZ: NullableCoordinate,
      /** What the corners are: one closed outline in order, ends of lines two by two, or points to mark themselves, in a row where recovery marks stand beside them. */
      rule: Words('outline', 'lineEnds', 'points', 'recoveries'),
      corners: Type.Array(closed({ name: Name, e: Coordinate, n: Coordinate }), { minItems: 1, maxItems: 2000 }),
      source: Type.String({ maxLength: 200 }),
    }),
    { maxItems: 200 },
  ),
  plans: Type.Array(MarkPlanBody, { maxItems: 5000 }),
  /** What the work does to the ground inside its outlines, and when it begins: control there will be lost. */
  ground: Type.Optional(
    Type.Unsafe<{ kind: 'dig' | 'pour' | 'demolish'; on: string | null; reach: number } | null>({
      anyOf: [{ type: 'null' }, closed({ kind: Words('dig', 'pour', 'demolish'), on: NullableDay, reach: Type.Number({ minimum: 0, maximum: 500 }) })],
    }),
  ),
  supersedes: NullableUuid,
});

export const MarkBody = closed({
  package: Uuid,
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  solution: Uuid,
  sight: Uuid,
  state: Words('rough', 'set', 'confirmed'),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  needs: closed({ plan: Type.Boolean(), height: Type.Boolean() }),
  measured: closed({ plan: Type.Boolean(), height: Type.Boolean() }),
  /** Where it was planned, and where it was measured. */
  planned: PlacePlan,
  place: Place,
  /** Measured minus planned. */
  dEMm: Type.Number(),
  dNMm: Type.Number(),
  within: Type.Boolean(),
  hubZ: NullableCoordinate,
  groundZ: NullableCoordinate,
  designZ: NullableCoordinate,
  /** Hub minus design: positive cut, negative fill. */
  cutFill: NullableNumber,
  stakeText: Type.Array(Type.String({ maxLength: 120 }), { maxItems: 20 }),
  shots: Type.Integer({ minimum: 0, maximum: 1000 }),
  note: Text,
  supersedes: NullableUuid,
});

/** Something stands where a mark should go; it holds for that place only. */
export const ObstructionBody = closed({
  package: Uuid,
  key: Type.String({ minLength: 1, maxLength: 200 }),
  name: Name,
  place: PlacePlan,
  what: Name,
});

export const HandoverBody = closed({
  sheet: Uuid,
  number: Type.Integer({ minimum: 1 }),
  revision: Type.Integer({ minimum: 1 }),
  package: Uuid,
  marks: Type.Array(Uuid, { maxItems: 5000 }),
  withheld: Type.Array(Uuid, { maxItems: 5000 }),
});
