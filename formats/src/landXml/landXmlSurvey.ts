/**
 * Survey observations of a LandXML file (1.0 to 1.2): the placings of an instrument, what was read from each, and the
 * points of the file, northing first. Entities are never resolved and a document type is refused. Source: LandXML.org,
 * LandXML-1.2 schema.
 */
import type { SaxesTagPlain } from 'saxes';
import { fail, lengthToMetres, ok, type AngleUnit, type LengthUnit, type Metres, type Result } from '@idle-marker/core';
import { Refused, type LandXmlFault, type XmlPlace } from './landXmlFault.ts';
import { plainNumber, plainNumbers } from './numbers.ts';
import { LENGTH_WORDS, localName } from './xmlNames.ts';
import { XmlWalk } from './xmlWalk.ts';

export interface SurveyRead {
  readonly linearUnit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly project: string;
  readonly setups: readonly SurveySetupRead[];
  readonly points: readonly SurveyPointRead[];
}

export interface SurveyPointRead {
  readonly name: string;
  /** Of the `CgPoints` that it stands in; empty where that has none. */
  readonly group: string;
  readonly e: Metres;
  readonly n: Metres;
  readonly z: Metres | null;
}

export interface SurveySetupRead {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly instrumentHeight: Metres;
  /** ISO 8601; null where the file says none. */
  readonly at: string | null;
  readonly sights: readonly SurveySightRead[];
}

/** As it was read: angles and slope in the units of the file. */
export interface SurveySightRead {
  readonly target: string;
  readonly at: string | null;
  readonly purpose: string;
  readonly face: 1 | 2;
  readonly circle: number;
  readonly zenith: number;
  readonly slope: number | null;
  readonly targetHeight: Metres;
  readonly angleDecimals: number;
  readonly lengthDecimals: number;
}

/** Angles as they are kept, and what one of the file's is of them. */
const ANGLES: Readonly<Record<string, { readonly unit: AngleUnit; readonly factor: number }>> = {
  'decimal degrees': { unit: 'degree', factor: 1 },
  grads: { unit: 'gon', factor: 1 },
  gon: { unit: 'gon', factor: 1 },
  radians: { unit: 'degree', factor: 180 / Math.PI },
};
const MOST_DECIMALS = { angle: 10, length: 6 };

const decimalsOf = (text: string, most: number): number =>
  Math.min(most, (/\.(\d+)$/.exec(text.trim())?.[1] ?? '').length);
/** Instants of the file that can be understood; others say nothing. */
const instantOf = (text: string): string | null => {
  const time = Date.parse(text);
  return Number.isNaN(time) ? null : new Date(time).toISOString();
};

interface OpenSight {
  readonly attributes: Record<string, string>;
  readonly at: XmlPlace;
  readonly setup: string;
  target: string;
}

class SurveyReader {
  readonly walk = new XmlWalk({
    open: (tag) => this.#open(tag),
    close: (name) => this.#close(localName(name)),
    text: (piece) => {
      if (this.#point) this.#point.text += piece;
    },
  });
  root: string | null = null;
  linearUnit: LengthUnit | null = null;
  angle: { readonly unit: AngleUnit; readonly factor: number } = { unit: 'degree', factor: 1 };
  project = '';
  readonly setups = new Map<string, SurveySetupRead & { readonly sights: SurveySightRead[] }>();
  readonly points: SurveyPointRead[] = [];
  #group = '';
  #observed = '';
  #sight: OpenSight | null = null;
  #point: { readonly name: string; readonly at: XmlPlace; text: string } | null = null;
  readonly #counts = new Map<string, number>();

  #place(element: string, owner: string | null): XmlPlace {
    const number = (this.#counts.get(element) ?? 0) + 1;
    this.#counts.set(element, number);
    return { element, number, owner, line: this.walk.line };
  }

  #number(text: string | undefined, at: XmlPlace, part: string): number {
    if (text === undefined || text.trim() === '') throw new Refused({ code: 'XML_PART_MISSING', at, part });
    return plainNumber(text, () => at);
  }

  #length(text: string | undefined, at: XmlPlace, part: string): Metres {
    if (this.linearUnit === null) throw new Refused({ code: 'XML_UNITS_MISSING' });
    return lengthToMetres(this.#number(text, at, part), this.linearUnit);
  }

  #open({ name, attributes }: SaxesTagPlain): void {
    const local = localName(name);
    this.root ??= local;
    const given = Object.fromEntries(Object.entries(attributes).map(([key, value]) => [localName(key), value]));
    switch (local) {
      case 'Metric':
      case 'Imperial':
        this.#units(given);
        return;
      case 'Project':
        this.project = given['name'] ?? '';
        return;
      case 'CgPoints':
        this.#group = given['name'] ?? '';
        return;
      case 'CgPoint':
        if ((given['pntRef'] ?? '') === '')
          this.#point = { name: (given['name'] ?? '').trim(), at: this.#place(local, null), text: '' };
        return;
      case 'InstrumentSetup':
        this.#setup(given);
        return;
      case 'ObservationGroup':
        this.#observed = given['setupID'] ?? '';
        return;
      case 'RawObservation': {
        const at = this.#place(local, null);
        const setup = given['setupID'] ?? this.#observed;
        if (!this.setups.has(setup))
          throw new Refused({ code: 'XML_WORD_UNKNOWN', at, attribute: 'setupID', text: setup });
        this.#sight = { attributes: given, at, setup, target: '' };
        return;
      }
      case 'TargetPoint':
        if (this.#sight) this.#sight.target = (given['name'] ?? given['pntRef'] ?? '').trim();
        return;
    }
  }

  #units(given: Record<string, string>): void {
    const [length, angle] = [given['linearUnit'] ?? '', given['angularUnit'] ?? ''];
    this.linearUnit = LENGTH_WORDS[length.toLowerCase()] ?? null;
    if (this.linearUnit === null) throw new Refused({ code: 'XML_UNIT_UNKNOWN', text: length, line: this.walk.line });
    if (angle === '') return;
    const known = ANGLES[angle.toLowerCase()];
    if (!known)
      throw new Refused({
        code: 'XML_WORD_UNKNOWN',
        at: this.#place('Units', null),
        attribute: 'angularUnit',
        text: angle,
      });
    this.angle = known;
  }

  #setup(given: Record<string, string>): void {
    const at = this.#place('InstrumentSetup', null);
    const id = given['id'] ?? '';
    if (id === '') throw new Refused({ code: 'XML_PART_MISSING', at, part: 'id' });
    if (this.setups.has(id)) throw new Refused({ code: 'XML_SETUP_TWICE', at, id });
    this.setups.set(id, {
      id,
      name: (given['stationName'] ?? '').trim() || id,
      instrument: (given['desc'] ?? '').trim(),
      instrumentHeight: this.#length(given['instrumentHeight'], at, 'instrumentHeight'),
      at: instantOf(given['timeStamp'] ?? ''),
      sights: [],
    });
  }

  #close(local: string): void {
    if (local === 'CgPoints') this.#group = '';
    else if (local === 'CgPoint' && this.#point) {
      const { name, at, text } = this.#point;
      this.#point = null;
      this.#keepPoint(name, at, text);
    } else if (local === 'RawObservation' && this.#sight) {
      this.#keepSight(this.#sight);
      this.#sight = null;
    }
  }

  #keepPoint(name: string, at: XmlPlace, text: string): void {
    // Without a name nothing can be sighted by it.
    if (name === '') return;
    const [n, e, z] = plainNumbers(text, 2, 3, () => at) as [number, number, number?];
    if (this.linearUnit === null) throw new Refused({ code: 'XML_UNITS_MISSING' });
    const metres = (figure: number) => lengthToMetres(figure, this.linearUnit!);
    this.points.push({ name, group: this.#group, e: metres(e), n: metres(n), z: z === undefined ? null : metres(z) });
  }

  #keepSight({ attributes, at, setup, target }: OpenSight): void {
    const { horizAngle, zenithAngle, slopeDistance, targetHeight, directFace, purpose, timeStamp } = attributes;
    if (target === '') throw new Refused({ code: 'XML_PART_MISSING', at, part: 'TargetPoint' });
    const slope = slopeDistance === undefined ? 0 : this.#number(slopeDistance, at, 'slopeDistance');
    this.setups.get(setup)!.sights.push({
      target,
      at: instantOf(timeStamp ?? ''),
      purpose: purpose ?? '',
      face: directFace === 'false' || directFace === '0' ? 2 : 1,
      circle: this.#angle(horizAngle, at, 'horizAngle'),
      zenith: this.#angle(zenithAngle, at, 'zenithAngle'),
      // A distance of nothing is none.
      slope: slope > 0 ? slope : null,
      targetHeight: this.#length(targetHeight ?? '0', at, 'targetHeight'),
      angleDecimals: decimalsOf(horizAngle ?? '', MOST_DECIMALS.angle),
      lengthDecimals: decimalsOf(slopeDistance ?? '', MOST_DECIMALS.length),
    });
  }

  /** Within one turn of the circle, in the unit of the file. */
  #angle(text: string | undefined, at: XmlPlace, part: string): number {
    const turn = this.angle.unit === 'gon' ? 400 : 360;
    const read = this.#number(text, at, part) * this.angle.factor;
    return read < 0 || read >= turn ? ((read % turn) + turn) % turn : read;
  }
}

/** Reads the observations of a whole file. A file without any has no set-ups. */
export function readLandXmlSurvey(text: string): Result<SurveyRead, LandXmlFault> {
  if (text.trim() === '') return fail({ code: 'XML_EMPTY' });
  const reader = new SurveyReader();
  if (!reader.walk.write(text.replace(/^\uFEFF/, '')) || !reader.walk.close()) return fail(reader.walk.fault!);
  if (reader.root !== 'LandXML') return fail({ code: 'XML_OTHER_ROOT', root: reader.root ?? '' });
  if (reader.linearUnit === null) return fail({ code: 'XML_UNITS_MISSING' });
  const { linearUnit, angle, project, points } = reader;
  return ok({ linearUnit, angleUnit: angle.unit, project, setups: [...reader.setups.values()], points });
}
