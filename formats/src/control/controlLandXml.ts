/**
 * Control points of a LandXML file (1.0 to 1.2): `CgPoints`, northing easting [elevation], in the file's linear unit.
 * Entities are never resolved, and a document type is refused. Source: LandXML.org, LandXML-1.2 schema.
 */
import { fail, lengthToMetres, ok, type LengthUnit, type Result } from '@idle-marker/core';
import { LENGTH_WORDS, localName } from '../landXml/xmlNames.ts';
import { XmlWalk } from '../landXml/xmlWalk.ts';
import { FILE_UNIT_OF } from '../list/fileUnits.ts';
import {
  CONDITIONS,
  KINDS,
  MOST_CONTROL_ROWS,
  type ControlList,
  type ControlRow,
  type FileIssue,
  type RowIssue,
} from './controlCsv.ts';

/** A feature that says more of a control mark, and the labels of its properties. */
export const FEATURE = {
  code: 'control mark',
  sdPlan: 'sd plan mm',
  sdHeight: 'sd height mm',
  kind: 'kind',
  condition: 'condition',
} as const;

/** Letters read at once. */
const PIECE = 1 << 20;

/** Whether a text is XML rather than a table. */
export const looksLikeXml = (text: string): boolean => /^\uFEFF?\s*</.test(text);

interface Point {
  readonly name: string;
  readonly code: string;
  readonly desc: string;
  /** Name of the feature that says more of it. */
  readonly feature: string;
  text: string;
}

interface Reading {
  unit: LengthUnit | null;
  unknownUnit: string | null;
  point: Point | null;
  /** The feature that is open, and all of them by their names. */
  feature: { readonly name: string; readonly properties: Map<string, string> } | null;
  readonly features: Map<string, ReadonlyMap<string, string>>;
  /** The feature that a row names, by the row. */
  readonly named: Map<number, string>;
  /** Points are counted from 1 in the order of the file. */
  readonly rows: ControlRow[];
  root: string | null;
}

/** What a feature says of a control mark, where it does: how good, of what kind, and how it is. */
function withFeature(row: ControlRow, said: ReadonlyMap<string, string>): ControlRow {
  const millimetres = (label: string): number | null => {
    const text = said.get(label)?.trim() ?? '';
    const value = Number(text);
    return text !== '' && Number.isFinite(value) && value >= 0 ? value : null;
  };
  const [kind, condition] = [said.get(FEATURE.kind), said.get(FEATURE.condition)];
  return {
    ...row,
    sdPlanMm: millimetres(FEATURE.sdPlan),
    sdHeightMm: millimetres(FEATURE.sdHeight),
    kind: KINDS.find((each) => each === kind) ?? row.kind,
    condition: CONDITIONS.find((each) => each === condition) ?? row.condition,
  };
}

function rowOf(point: Point, row: number, unit: LengthUnit): ControlRow {
  const parts = point.text
    .trim()
    .split(/\s+/)
    .filter((part) => part !== '');
  const numbers = parts.map(Number);
  const issues: RowIssue[] = [];
  if (point.name === '') issues.push({ code: 'NO_NAME' });
  else if (point.name.length > 80) issues.push({ code: 'NAME_TOO_LONG' });
  const wrong = parts.find((_, i) => !Number.isFinite(numbers[i]));
  if (wrong !== undefined) issues.push({ code: 'NOT_A_NUMBER', column: 'CgPoint', text: wrong });
  else if (parts.length === 0) issues.push({ code: 'NO_COORDINATES' });
  else if (parts.length === 1 || parts.length > 3) issues.push({ code: 'HALF_A_PLACE' });
  const metres = (i: number) =>
    issues.length > 0 || numbers[i] === undefined ? null : lengthToMetres(numbers[i], unit);
  return {
    row,
    name: point.name,
    n: metres(0),
    e: metres(1),
    z: metres(2),
    sdPlanMm: null,
    sdHeightMm: null,
    kind: 'other',
    condition: 'usable',
    code: point.code || point.desc,
    note: [point.code, point.desc].filter((each) => each !== '').join(', '),
    issues,
  };
}

/** Reads all points; `unit` holds where the file names none. */
export function readControlLandXml(
  text: string,
  options: { readonly unit: LengthUnit | null },
): Result<ControlList, FileIssue> {
  const state: Reading = {
    unit: null,
    unknownUnit: null,
    point: null,
    feature: null,
    features: new Map(),
    named: new Map(),
    rows: [],
    root: null,
  };
  const walk = new XmlWalk({
    open: ({ name, attributes }) => {
      const local = localName(name);
      const attribute = (key: string) => attributes[key] ?? '';
      state.root ??= local;
      if (local === 'Metric' || local === 'Imperial') {
        const word = attribute('linearUnit');
        state.unit = LENGTH_WORDS[word.toLowerCase()] ?? null;
        if (word !== '' && state.unit === null) state.unknownUnit = word;
      }
      // A reference to a point elsewhere in the file is no point of its own.
      if (local === 'CgPoint' && attribute('pntRef') === '') {
        state.point = {
          name: attribute('name').trim(),
          code: attribute('code'),
          desc: attribute('desc'),
          feature: attribute('featureRef'),
          text: '',
        };
      }
      if (local === 'Feature' && attribute('code') === FEATURE.code)
        state.feature = { name: attribute('name'), properties: new Map() };
      if (local === 'Property') state.feature?.properties.set(attribute('label'), attribute('value'));
    },
    text: (piece) => {
      if (state.point) state.point.text += piece;
    },
    close: (name) => {
      if (localName(name) === 'Feature' && state.feature) {
        state.features.set(state.feature.name, state.feature.properties);
        state.feature = null;
      }
      if (localName(name) !== 'CgPoint' || !state.point) return;
      if (state.point.feature !== '') state.named.set(state.rows.length, state.point.feature);
      state.rows.push(rowOf(state.point, state.rows.length + 1, state.unit ?? options.unit ?? 'metre'));
      state.point = null;
    },
  });
  for (let from = text.startsWith('\uFEFF') ? 1 : 0; from < text.length; from += PIECE) {
    if (!walk.write(text.slice(from, from + PIECE))) return fail({ code: 'XML', fault: walk.fault! });
    // Whatever follows, it is not taken: an hour of points is not read to say so.
    if (state.rows.length > MOST_CONTROL_ROWS)
      return fail({ code: 'TOO_MANY_ROWS', rows: null, most: MOST_CONTROL_ROWS });
  }
  if (!walk.close()) return fail({ code: 'XML', fault: walk.fault! });
  if (state.root !== 'LandXML') return fail({ code: 'OTHER_XML', root: state.root ?? '' });
  if (state.unknownUnit !== null) return fail({ code: 'UNKNOWN_UNIT', text: state.unknownUnit });
  if (state.rows.length === 0) return fail({ code: 'NO_ROWS' });
  if (state.unit === null && options.unit === null) return fail({ code: 'NO_UNIT_STATED' });
  return ok({
    rows: state.rows.map((row, i) => {
      const said = state.features.get(state.named.get(i) ?? '');
      return said ? withFeature(row, said) : row;
    }),
    unit: FILE_UNIT_OF[state.unit ?? options.unit ?? 'metre'],
    unitFromFile: state.unit !== null,
    order: 'NE',
    decimal: '.',
    warnings: [],
    ignoredColumns: [],
    usesXY: false,
  });
}
