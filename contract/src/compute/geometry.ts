/** The command line's kinds about places and lines of a design: metres, decimal degrees, chainages in metres. */
import {
  againstGridLine,
  anglePoint,
  beyondEnd,
  columnGrid,
  convertLength,
  crossCircles,
  crossLineCircle,
  crossLines,
  fail,
  fitSimilarity,
  formatStation,
  gridIntersections,
  gridLine,
  measuredAgainstArc,
  measuredAgainstLine,
  ok,
  parseDms,
  parseFeetInches,
  parseGon,
  parseStation,
  plainCutFill,
  plainDms,
  plainFeetInches,
  plainGon,
  pointOnReferenceArc,
  pointOnReferenceLine,
  RADIANS_PER_DEGREE,
  rectangleMarks,
  referenceArc,
  referenceLineFacts,
  transformed,
  wrapTurn,
  type DesignFault,
  type GridError,
  type Result,
} from '@idle-marker/core';
import { NullableNumber, Type, Words, type Static } from '../schema.ts';
import { designFaultWords } from '@idle-marker/words';
import { kindsWith, type Path } from './kind.ts';

/** `path` leads to the offending element of the input. */
type GeometryError = DesignFault & { readonly path: Path };
const kind = kindsWith<GeometryError>(designFaultWords);

const deg = (radians: number): number => radians / RADIANS_PER_DEGREE;
const rad = (degrees: number): number => degrees * RADIANS_PER_DEGREE;
const azimuthDeg = (radians: number): number => deg(wrapTurn(radians));

const Plan = Type.Object({ e: Type.Number(), n: Type.Number() });
const Site = Type.Object({ e: Type.Number(), n: Type.Number(), z: NullableNumber });
const Line = Type.Object({ from: Plan, to: Plan });
const CircleForm = Type.Object({ centre: Plan, radius: Type.Number({ exclusiveMinimum: 0 }) });

/** Each of a list computed by itself; the first error carries its place in the list. */
function each<T>(
  name: string,
  items: readonly T[],
  run: (item: T) => Result<object, GeometryError>,
): Result<object, GeometryError> {
  const done: object[] = [];
  for (const [i, item] of items.entries()) {
    const outcome = run(item);
    if (!outcome.ok) return fail({ ...outcome.error, path: [name, i, ...outcome.error.path] });
    done.push(outcome.value);
  }
  return ok({ [name]: done });
}
const noLength = (...path: Path): Result<never, GeometryError> => fail({ code: 'LINE_WITHOUT_LENGTH', path });

const referenceLineKind = kind(
  Type.Object({
    lines: Type.Array(
      Type.Object({
        from: Site,
        to: Site,
        heightMode: Words('grade', 'level'),
        startChainage: Type.Number(),
        points: Type.Array(Type.Object({ chainage: Type.Number(), offset: Type.Number(), extraHeight: Type.Number() })),
        measured: Type.Array(Site),
      }),
    ),
  }),
  ({ lines }) =>
    each('lines', lines, ({ points, measured, ...line }) => {
      const facts = referenceLineFacts(line);
      if (!facts) return noLength('to');
      return ok({
        length: facts.length,
        azimuthDeg: azimuthDeg(facts.azimuth),
        gradePercent: facts.grade === null ? null : facts.grade * 100,
        points: points.map((point) => pointOnReferenceLine(line, point.chainage, point.offset, point.extraHeight)),
        measured: measured.map((point) => measuredAgainstLine(line, point)),
      });
    }),
);

const referenceArcKind = kind(
  Type.Object({
    arcs: Type.Array(
      Type.Object({
        start: Plan,
        end: Plan,
        radius: Type.Number(),
        rotation: Words('cw', 'ccw'),
        majorArc: Type.Boolean(),
        startChainage: Type.Number(),
        points: Type.Array(Type.Object({ chainage: Type.Number(), offset: Type.Number() })),
        measured: Type.Array(Plan),
      }),
    ),
  }),
  ({ arcs }) =>
    each('arcs', arcs, ({ points, measured, ...definition }) => {
      const arc = referenceArc(definition);
      if (!arc) return ok({ status: 'noSolution' });
      return ok({
        status: 'ok',
        centre: arc.centre,
        deltaDeg: deg(arc.delta),
        length: arc.length,
        azimuthStartDeg: azimuthDeg(arc.azimuthStart),
        azimuthEndDeg: azimuthDeg(arc.azimuthEnd),
        points: points.map(({ chainage, offset }) => {
          const place = pointOnReferenceArc(arc, chainage, offset);
          return place && { e: place.e, n: place.n, azimuthDeg: azimuthDeg(place.azimuth) };
        }),
        measured: measured.map((point) => ({ chainage: null, extension: null, ...measuredAgainstArc(arc, point) })),
      });
    }),
);

const Family = Type.Object({
  azimuthDeg: Type.Number(),
  labels: Type.Array(Type.String()),
  spacings: Type.Array(Type.Number()),
});
const familyOf = ({ azimuthDeg: degrees, labels, spacings }: Static<typeof Family>) => ({
  azimuth: rad(degrees),
  labels,
  spacings,
});
const pathOf = (error: GridError): Path =>
  error.code === 'GRID_SPACING_NOT_POSITIVE'
    ? [error.family, 'spacings', error.index]
    : 'family' in error
      ? [error.family]
      : [];

const gridKind = kind(
  Type.Object({
    origin: Plan,
    letters: Family,
    numbers: Family,
    spacingMeasured: Words('perpendicular', 'alongCrossing'),
    measured: Type.Array(Type.Object({ line: Type.String(), e: Type.Number(), n: Type.Number() })),
  }),
  ({ origin, letters, numbers, spacingMeasured, measured }) => {
    const grid = columnGrid({ origin, letters: familyOf(letters), numbers: familyOf(numbers), spacingMeasured });
    if (!grid.ok) return fail({ ...grid.error, path: pathOf(grid.error) });
    const against = each('measured', measured, (point) => {
      const line = gridLine(grid.value, point.line);
      return line
        ? ok(againstGridLine(line, point))
        : fail({ code: 'UNKNOWN_GRID_LINE', path: ['line'], label: point.line });
    });
    return against.ok ? ok({ intersections: gridIntersections(grid.value), ...against.value }) : against;
  },
);

const Query = [
  Type.Object({ type: Type.Unsafe<'lineLine'>({ type: 'string', const: 'lineLine' }), a: Line, b: Line }),
  Type.Object({
    type: Type.Unsafe<'lineCircle'>({ type: 'string', const: 'lineCircle' }),
    line: Line,
    circle: CircleForm,
  }),
  Type.Object({
    type: Type.Unsafe<'circleCircle'>({ type: 'string', const: 'circleCircle' }),
    a: CircleForm,
    b: CircleForm,
  }),
] as const;
type QueryForm = Static<(typeof Query)[number]>;
const crossed = (query: QueryForm): object | null => {
  switch (query.type) {
    case 'lineLine':
      return crossLines(query.a, query.b);
    case 'lineCircle':
      return crossLineCircle(query.line, query.circle);
    case 'circleCircle':
      return crossCircles(query.a, query.b);
  }
};
const intersectionsKind = kind(
  Type.Object({
    queries: Type.Array(
      Type.Unsafe<QueryForm>({
        type: 'object',
        required: ['type'],
        discriminator: { propertyName: 'type' },
        oneOf: [...Query],
      }),
    ),
  }),
  ({ queries }) => {
    const done = each('queries', queries, (query) => {
      const crossings = crossed(query);
      return crossings ? ok(crossings) : noLength();
    });
    return done.ok ? ok({ results: (done.value as { queries: object[] }).queries }) : done;
  },
);

const recoveryKind = kind(
  Type.Object({
    extensions: Type.Array(Type.Object({ from: Plan, to: Plan, distance: Type.Number(), end: Words('from', 'to') })),
    rectangles: Type.Array(
      Type.Object({
        corner: Plan,
        azimuthDeg: Type.Number(),
        length: Type.Number({ exclusiveMinimum: 0 }),
        width: Type.Number({ exclusiveMinimum: 0 }),
        side: Words('right', 'left'),
        distance: Type.Number(),
      }),
    ),
  }),
  ({ extensions, rectangles }) => {
    const extended = each('extensions', extensions, ({ from, to, distance, end }) => {
      const place = beyondEnd(from, to, distance, end);
      return place ? ok(place) : noLength('to');
    });
    if (!extended.ok) return extended;
    return ok({
      ...extended.value,
      rectangles: rectangles.map(({ corner, azimuthDeg: degrees, length, width, side, distance }) => {
        const marks = rectangleMarks(corner, rad(degrees), length, width, side, distance);
        return {
          corners: marks.corners.map(({ previousSide, nextSide, ...place }) => ({
            ...place,
            marks: [
              { extends: 'previousSide', ...previousSide },
              { extends: 'nextSide', ...nextSide },
            ],
          })),
          diagonal: marks.diagonal,
        };
      }),
    });
  },
);

const anglePointKind = kind(
  Type.Object({
    corners: Type.Array(
      Type.Object({ from: Plan, corner: Plan, to: Plan, backOffset: Type.Number(), aheadOffset: Type.Number() }),
    ),
  }),
  ({ corners }) =>
    each('corners', corners, ({ from, corner, to, backOffset, aheadOffset }) => {
      const point = anglePoint(from, corner, to, backOffset, aheadOffset);
      if (!point) return noLength();
      const { deflection, ...rest } = point;
      return ok({ deflectionDeg: deg(deflection), ...rest });
    }),
);

const REASON = { TOO_FEW_PAIRS: 'tooFewPairs', COINCIDENT_POINTS: 'coincidentPoints' } as const;
const similarityKind = kind(
  Type.Object({
    transformations: Type.Array(
      Type.Object({
        mode: Words('freeScale', 'fixedScale'),
        fixedScale: Type.Optional(Type.Number({ exclusiveMinimum: 0 })),
        pairs: Type.Array(Type.Object({ name: Type.String(), source: Plan, target: Plan })),
        transform: Type.Array(Plan),
      }),
    ),
  }),
  ({ transformations }) =>
    each('transformations', transformations, ({ mode, fixedScale, pairs, transform }) => {
      const fit = fitSimilarity(pairs, mode === 'fixedScale' ? (fixedScale ?? 1) : null);
      if (!fit.ok) return ok({ status: 'error', reason: REASON[fit.error.code] });
      const { scale, rotation, shift, residuals, maxResidual, standardDeviation, degreesOfFreedom } = fit.value;
      return ok({
        status: 'ok',
        scale,
        scalePpm: (scale - 1) * 1e6,
        rotationDeg: azimuthDeg(rotation),
        shiftEast: shift.e,
        shiftNorth: shift.n,
        residuals,
        maxResidual,
        standardDeviation,
        degreesOfFreedom,
        transformed: transform.map((point) => transformed(fit.value, point)),
      });
    }),
);

const operation = <T extends string, P extends Parameters<typeof Type.Object>[0]>(op: T, fields: P) =>
  Type.Object({ op: Type.Unsafe<T>({ type: 'string', const: op }), ...fields });
const Decimals = Type.Integer({ minimum: 0, maximum: 12 });
const Denominator = Type.Integer({ minimum: 1, maximum: 1024 });
const Format = Words('hundred', 'thousand', 'plain');
const UnitName = Words('metre', 'foot', 'usSurveyFoot');
const ITEMS = [
  operation('formatFeetInches', { value: Type.Number(), denominator: Denominator }),
  operation('parseFeetInches', { text: Type.String() }),
  operation('formatStation', { value: Type.Number(), format: Format, decimals: Decimals }),
  operation('parseStation', { text: Type.String(), format: Format }),
  operation('formatDms', { value: Type.Number(), decimals: Decimals }),
  operation('formatAzimuthDms', { value: Type.Number(), decimals: Decimals }),
  operation('parseDms', { text: Type.String() }),
  operation('formatGon', { value: Type.Number(), decimals: Decimals }),
  operation('formatAzimuthGon', { value: Type.Number(), decimals: Decimals }),
  operation('parseGon', { text: Type.String() }),
  operation('formatCutFill', {
    value: Type.Number(),
    unit: Words('m', 'ft', 'ftIn'),
    decimals: Type.Optional(Decimals),
    denominator: Type.Optional(Denominator),
  }),
  operation('convertLength', { value: Type.Number(), from: UnitName, to: UnitName }),
] as const;
type Item = Static<(typeof ITEMS)[number]>;

const text = (written: string) => ({ text: written });
const value = (read: number | null) => (read === null ? { error: true } : { value: read });
function written(item: Item): object {
  switch (item.op) {
    case 'formatFeetInches':
      return text(plainFeetInches(item.value, item.denominator));
    case 'parseFeetInches':
      return value(parseFeetInches(item.text));
    case 'formatStation':
      return text(formatStation(item.value, item.format, item.decimals));
    case 'parseStation':
      return value(parseStation(item.text, item.format));
    case 'formatDms':
      return text(plainDms(item.value, item.decimals));
    case 'formatAzimuthDms':
      return text(plainDms(item.value, item.decimals, true));
    case 'parseDms':
      return value(parseDms(item.text));
    case 'formatGon':
      return text(plainGon(item.value, item.decimals));
    case 'formatAzimuthGon':
      return text(plainGon(item.value, item.decimals, true));
    case 'parseGon':
      return value(parseGon(item.text));
    case 'formatCutFill':
      return text(
        plainCutFill(
          item.value,
          item.unit === 'ftIn'
            ? { unit: item.unit, denominator: item.denominator ?? 16 }
            : { unit: item.unit, decimals: item.decimals ?? 3 },
        ),
      );
    case 'convertLength':
      return value(convertLength(item.value, item.from, item.to));
  }
}
const unitsKind = kind(
  Type.Object({
    items: Type.Array(
      Type.Unsafe<Item>({ type: 'object', required: ['op'], discriminator: { propertyName: 'op' }, oneOf: [...ITEMS] }),
    ),
  }),
  ({ items }) => ok({ items: items.map(written) }),
);

export const GEOMETRY_KINDS = {
  referenceLine: referenceLineKind,
  referenceArc: referenceArcKind,
  grid: gridKind,
  intersections: intersectionsKind,
  recoveryMarks: recoveryKind,
  anglePoint: anglePointKind,
  similarity: similarityKind,
  units: unitsKind,
};
