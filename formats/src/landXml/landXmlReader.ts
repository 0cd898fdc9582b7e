/**
 * Reads LandXML (1.0 to 1.2) as it comes, piece by piece: points, planar features, alignments with their profiles,
 * station equations and cross sections, and surfaces. Northing first. Entities are never resolved and a document type
 * is refused; the first thing that can't be understood where it matters ends the reading with its element and line.
 * What is only not taken is counted by name. Source: LandXML.org, LandXML-1.2 schema.
 */
import type { SaxesTagPlain } from 'saxes';
import {
  fail,
  METRES_PER_UNIT,
  ok,
  profileOf,
  stationBack,
  type GradePoint,
  type LengthUnit,
  type Result,
  type SitePoint,
  type StationEquation,
  type VerticalRounding,
} from '@idle-marker/core';
import {
  unitOfLength,
  type DrawingUnit,
  type DrawnPath,
  type DrawnPoint,
  type DrawnSurface,
} from '../design/drawing.ts';
import { GrowingSurface } from '../design/growingSurface.ts';
import { definitionOf, elementOf, type GeomPart, type PlaceText, type RawElement } from './coordGeom.ts';
import { pathsOf } from './drawnPaths.ts';
import type { LandXmlDesign, ReadAlignment, ReadCrossSection, ReadProfile } from './landXmlDesign.ts';
import { Refused, type LandXmlFault, type LandXmlWarning, type XmlPlace } from './landXmlFault.ts';
import { plainNumber, plainNumbers } from './numbers.ts';
import { localName } from './xmlNames.ts';
import { XmlWalk } from './xmlWalk.ts';

const METRIC: Readonly<Record<string, DrawingUnit>> = {
  meter: unitOfLength('metre'),
  metre: unitOfLength('metre'),
  millimeter: { name: 'millimetres', metres: 0.001 },
  centimeter: { name: 'centimetres', metres: 0.01 },
  kilometer: { name: 'kilometres', metres: 1000 },
};
const IMPERIAL: Readonly<Record<string, DrawingUnit>> = {
  foot: unitOfLength('foot'),
  ussurveyfoot: unitOfLength('usSurveyFoot'),
  inch: { name: 'inches', metres: METRES_PER_UNIT.foot / 12 },
};

/** Longer descriptions are cut: a code is a word. */
const LONGEST_CODE = 80;

/** Elements whose insides are walked through. */
const CONTAINERS = new Set(
  'LandXML CgPoints PlanFeatures PlanFeature CoordGeom Alignments Alignment Profile ProfAlign Surfaces Surface Definition Pnts Faces SourceData Boundaries Boundary Breaklines Breakline CrossSects CrossSect DesignCrossSectSurf CrossSectSurf Units Line Curve Spiral IrregularLine Chain'.split(
    ' ',
  ),
);
/** Elements whose text is read. */
const TEXTS = new Set(
  'CgPoint Start End Center PI P F PVI ParaCurve UnsymParaCurve CircCurve PntList2D PntList3D CrossSectPnt'.split(' '),
);
/** Says who made the file, or repeats what is read elsewhere: nobody misses it. */
const SILENT = new Set(
  'Project Application Author CoordinateSystem Feature Property DocFileRef Metric Imperial AlignPIs DataPoints PointFiles Contours Chains DEMs Watersheds'.split(
    ' ',
  ),
);

interface OpenElement {
  readonly raw: RawElement;
  readonly name: 'Line' | 'Curve' | 'Spiral' | 'IrregularLine' | 'Chain';
  /** Of an irregular line or a chain: the places between. */
  between: PlaceText[];
}
interface OpenAlignment {
  readonly name: string;
  readonly at: XmlPlace;
  readonly startStation: number;
  readonly length: number | null;
  /** What of it could not be read; it is left out then, and nothing else is. */
  broken: LandXmlFault | null;
  readonly elements: (RawElement | readonly RawElement[])[];
  readonly equations: { readonly at: XmlPlace; readonly equation: StationEquation; readonly back: number | null }[];
  readonly profiles: { readonly at: XmlPlace; readonly name: string; readonly points: GradePoint[] }[];
  readonly crossSections: { station: number; lines: ReadCrossSection['lines'][number][] }[];
}
interface OpenFeature {
  readonly name: string;
  readonly elements: (RawElement | readonly RawElement[])[];
}

export class LandXmlReader {
  readonly #walk = new XmlWalk({
    open: (tag) => this.#open(tag),
    close: (name) => this.#close(localName(name)),
    text: (piece) => {
      if (this.#reading?.depth === this.#stack.length) this.#reading.text += piece;
    },
  });
  #root: string | null = null;
  readonly #stack: string[] = [];
  /** Depth below which nothing is looked at; 0 while everything is. */
  #skipBelow = 0;
  #attributes: Record<string, string> = {};
  /** Of the element whose text is being read; null while none is. What stands inside of it is no part of its text. */
  #reading: { readonly depth: number; readonly attributes: Record<string, string>; text: string } | null = null;
  #line = 1;

  #unit: DrawingUnit | null = null;
  #linearUnit: LengthUnit | null = null;
  readonly #named = new Map<string, SitePoint>();
  readonly #references: { readonly name: string; readonly to: string; readonly at: XmlPlace }[] = [];
  readonly #points: DrawnPoint[] = [];
  readonly #surfaces: DrawnSurface[] = [];
  readonly #alignments: OpenAlignment[] = [];
  readonly #features: OpenFeature[] = [];
  /** Breaklines and boundaries of surfaces, as they are drawn. */
  readonly #drawn: DrawnPath[] = [];
  #pointsName = 'points';
  readonly #left = new Map<string, number>();

  #alignment: OpenAlignment | null = null;
  #feature: OpenFeature | null = null;
  #element: OpenElement | null = null;
  #surface: { readonly name: string; readonly growing: GrowingSurface } | null = null;
  #section: OpenAlignment['crossSections'][number] | null = null;
  #sectionLine: {
    readonly name: string;
    readonly points: { offset: number; z: number; code: string }[];
    /** Its points are by slope and distance: not read. */
    isBySlope: boolean;
  } | null = null;
  #counts = new Map<string, number>();

  /** False once reading on is of no use. */
  write(text: string): boolean {
    return this.#walk.write(text);
  }

  finish(): Result<LandXmlDesign, LandXmlFault> {
    let design: LandXmlDesign | null = null;
    this.#walk.close();
    this.#walk.guard(() => {
      if (this.#root !== 'LandXML') throw new Refused({ code: 'XML_OTHER_ROOT', root: this.#root ?? '' });
      if (this.#unit === null) throw new Refused({ code: 'XML_UNITS_MISSING' });
      design = this.#design();
    });
    return this.#walk.fault ? fail(this.#walk.fault) : ok(design!);
  }

  #leave(what: string): void {
    this.#left.set(what, (this.#left.get(what) ?? 0) + 1);
  }

  #attribute(key: string): string | undefined {
    const value = this.#attributes[key]?.trim();
    return value === '' ? undefined : value;
  }

  #owner(): string | null {
    if (this.#alignment) return `Alignment “${this.#alignment.name}”`;
    if (this.#surface) return `Surface “${this.#surface.name}”`;
    if (this.#feature) return `PlanFeature “${this.#feature.name}”`;
    return null;
  }

  #place(element: string, number: number | null = null): XmlPlace {
    return { element, number, owner: this.#owner(), line: this.#line };
  }

  /** Of the element that is open, counted among its like within its owner. */
  #counted(element: string): XmlPlace {
    return this.#place(element, this.#counts.get(element) ?? null);
  }

  #number(attribute: string, element: string): number | null {
    const text = this.#attribute(attribute);
    return text === undefined
      ? null
      : plainNumber(text, () => ({ ...this.#counted(element), element: `${attribute} of ${element}` }));
  }

  #open({ name, attributes }: SaxesTagPlain): void {
    const local = localName(name);
    this.#stack.push(local);
    this.#line = this.#walk.line;
    if (this.#skipBelow > 0) return;
    this.#root ??= local;
    if (this.#stack.length === 1 && local !== 'LandXML') {
      this.#skipBelow = 1;
      return;
    }
    this.#attributes = attributes;
    if (TEXTS.has(local)) this.#reading = { depth: this.#stack.length, attributes, text: '' };
    if (!this.#within(() => this.#begin(local), false)) this.#skipBelow = this.#stack.length;
  }

  /** What can not be read in an alignment costs that alignment and nothing else. */
  #within<T>(act: () => T, otherwise: T): T {
    const alignment = this.#alignment;
    if (!alignment) return act();
    try {
      return act();
    } catch (error) {
      if (!(error instanceof Refused) || !('at' in error.fault)) throw error;
      alignment.broken ??= error.fault;
      return otherwise;
    }
  }

  /** False when nothing inside of it is looked at. */
  #begin(local: string): boolean {
    const parent = this.#stack.at(-2);
    if (local === 'Metric' || local === 'Imperial') {
      this.#unitOf(local === 'Metric' ? METRIC : IMPERIAL);
      return true;
    }
    if (SILENT.has(local)) return false;
    if (!CONTAINERS.has(local) && !TEXTS.has(local) && local !== 'StaEquation') {
      this.#leave(parent === undefined || parent === 'LandXML' ? local : `${local} of ${parent}`);
      return false;
    }
    this.#counts.set(local, (this.#counts.get(local) ?? 0) + 1);
    switch (local) {
      case 'CgPoints':
        this.#pointsName = this.#attribute('name') ?? 'points';
        return true;
      case 'CgPoint':
        // Only what stands in the list of points is one; elsewhere it is a note.
        return parent === 'CgPoints';
      case 'PlanFeature':
        this.#counts = new Map();
        this.#feature = { name: this.#attribute('name') ?? 'plan features', elements: [] };
        return true;
      case 'Alignment':
        if (parent !== 'Alignments') return false;
        this.#counts = new Map();
        this.#alignment = {
          name: this.#attribute('name') ?? 'alignment',
          at: this.#place('Alignment'),
          startStation: this.#number('staStart', 'Alignment') ?? 0,
          length: this.#number('length', 'Alignment'),
          broken: null,
          elements: [],
          equations: [],
          profiles: [],
          crossSections: [],
        };
        return true;
      case 'CoordGeom':
        if (parent === 'PlanFeature' || parent === 'Alignment') return true;
        this.#leave(`CoordGeom of ${parent ?? 'the file'}`);
        return false;
      case 'Line':
      case 'Curve':
      case 'Spiral':
      case 'IrregularLine':
      case 'Chain':
        this.#beginElement(local);
        return true;
      case 'StaEquation':
        this.#equation();
        return true;
      case 'ProfAlign':
        this.#counts.delete('PVI');
        this.#alignment?.profiles.push({
          at: this.#place('ProfAlign'),
          name: this.#attribute('name') ?? this.#alignment.name,
          points: [],
        });
        return this.#alignment !== null;
      case 'Surface':
        this.#counts = new Map();
        this.#surface = { name: this.#attribute('name') ?? 'surface', growing: new GrowingSurface() };
        return true;
      case 'CrossSect': {
        const station = this.#number('sta', 'CrossSect');
        if (station === null)
          throw new Refused({ code: 'XML_PART_MISSING', at: this.#counted('CrossSect'), part: 'sta' });
        this.#section = { station, lines: [] };
        return true;
      }
      case 'DesignCrossSectSurf':
      case 'CrossSectSurf':
        this.#sectionLine = { name: this.#attribute('name') ?? local, points: [], isBySlope: false };
        return this.#section !== null;
      default:
        return true;
    }
  }

  #unitOf(known: Readonly<Record<string, DrawingUnit>>): void {
    const word = this.#attribute('linearUnit');
    if (word === undefined) throw new Refused({ code: 'XML_UNIT_UNKNOWN', text: '', line: this.#line });
    const unit = known[word.toLowerCase()];
    if (!unit) throw new Refused({ code: 'XML_UNIT_UNKNOWN', text: word, line: this.#line });
    this.#unit = unit;
    this.#linearUnit =
      (['metre', 'foot', 'usSurveyFoot'] as const).find((each) => METRES_PER_UNIT[each] === unit.metres) ?? null;
  }

  #beginElement(local: OpenElement['name']): void {
    if (this.#element || (!this.#alignment && !this.#feature)) return;
    const at = this.#counted(local);
    const kind = local === 'Curve' || local === 'Spiral' ? local : 'Line';
    const rotation = this.#attribute('rot')?.toLowerCase();
    if (rotation !== undefined && rotation !== 'cw' && rotation !== 'ccw')
      throw new Refused({ code: 'XML_WORD_UNKNOWN', at, attribute: 'rot', text: rotation });
    const type = this.#attribute(kind === 'Spiral' ? 'spiType' : 'crvType')?.toLowerCase();
    if (kind === 'Spiral' && type !== 'clothoid')
      throw new Refused({ code: 'XML_SPIRAL_TYPE', at, type: this.#attribute('spiType') ?? '' });
    // How sharpness was stated; the line is an arc in both cases.
    if (kind === 'Curve' && type !== undefined && type !== 'arc' && type !== 'chord')
      throw new Refused({ code: 'XML_WORD_UNKNOWN', at, attribute: 'crvType', text: type });
    const radius = (key: string): number | null => {
      const text = this.#attribute(key);
      return text === undefined || text.toUpperCase() === 'INF' ? null : this.#number(key, local);
    };
    this.#element = {
      name: local,
      between: [],
      raw: {
        kind,
        at,
        parts: new Map(),
        rotation: rotation ?? null,
        radius: kind === 'Curve' ? radius('radius') : null,
        radiusStart: radius('radiusStart'),
        radiusEnd: radius('radiusEnd'),
        length: kind === 'Spiral' ? this.#number('length', local) : null,
        stated: {
          length:
            kind === 'Spiral' || local === 'Chain' || local === 'IrregularLine' ? null : this.#number('length', local),
          station: this.#number('staStart', local),
        },
      },
    };
  }

  #equation(): void {
    if (!this.#alignment) return;
    const at = this.#counted('StaEquation');
    const ahead = this.#number('staAhead', 'StaEquation');
    const back = this.#number('staBack', 'StaEquation');
    const where = this.#number('staInternal', 'StaEquation') ?? this.#reached(back);
    if (ahead === null) throw new Refused({ code: 'XML_PART_MISSING', at, part: 'staAhead' });
    if (where === null) throw new Refused({ code: 'XML_PART_MISSING', at, part: 'staInternal' });
    const counts = this.#attribute('staIncrement')?.toLowerCase() === 'decreasing' ? -1 : 1;
    this.#alignment.equations.push({ at, equation: { at: where, ahead, counts }, back });
  }

  /** Where the stationing before an equation reaches the station that it goes back to. */
  #reached(back: number | null): number | null {
    const before = this.#alignment?.equations.at(-1)?.equation;
    if (back === null || !before) return back;
    return before.at + (back - before.ahead) * before.counts;
  }

  #close(local: string): void {
    if (this.#skipBelow > 0) {
      if (this.#stack.length === this.#skipBelow) this.#skipBelow = 0;
      this.#stack.pop();
      return;
    }
    this.#stack.pop();
    const parent = this.#stack.at(-1);
    if (this.#reading && this.#reading.depth > this.#stack.length) {
      const { attributes, text } = this.#reading;
      this.#reading = null;
      this.#attributes = attributes;
      this.#within(() => this.#readText(local, parent, text), undefined);
      return;
    }
    switch (local) {
      case 'Line':
      case 'Curve':
      case 'Spiral':
      case 'IrregularLine':
      case 'Chain':
        if (this.#element?.name === local) this.#endElement(this.#element);
        return;
      case 'PlanFeature':
        if (this.#feature) this.#features.push(this.#feature);
        this.#feature = null;
        return;
      case 'Alignment':
        if (this.#alignment) this.#alignments.push(this.#alignment);
        this.#alignment = null;
        return;
      case 'Surface':
        this.#endSurface();
        return;
      case 'CrossSect':
        if (this.#section && this.#alignment) this.#alignment.crossSections.push(this.#section);
        this.#section = null;
        return;
      case 'DesignCrossSectSurf':
      case 'CrossSectSurf':
        if (this.#section && this.#sectionLine) {
          if (this.#sectionLine.isBySlope) this.#leave(local);
          else this.#section.lines.push({ name: this.#sectionLine.name, points: this.#sectionLine.points });
        }
        this.#sectionLine = null;
    }
  }

  #readText(local: string, parent: string | undefined, text: string): void {
    const at = () => this.#counted(local);
    switch (local) {
      case 'CgPoint':
        this.#cgPoint(text);
        return;
      case 'Start':
      case 'End':
      case 'Center':
      case 'PI':
        if (this.#element && parent === this.#element.name)
          this.#element.raw.parts.set(local, this.#placeText(local, text));
        return;
      case 'P': {
        if (!this.#surface) return;
        const id = this.#attribute('id') ?? '';
        const [n, e, z] = plainNumbers(text, 3, 3, at);
        if (!this.#surface.growing.corner(id, e!, n!, z!))
          throw new Refused({ code: 'XML_CORNER_TWICE', at: at(), id });
        return;
      }
      case 'F':
        this.#face(text);
        return;
      case 'PVI':
      case 'ParaCurve':
      case 'UnsymParaCurve':
      case 'CircCurve':
        this.#gradePoint(local, text);
        return;
      case 'PntList2D':
      case 'PntList3D':
        this.#pointList(local, parent, text);
        return;
      case 'CrossSectPnt': {
        if (/slope/i.test(this.#attribute('dataFormat') ?? '')) {
          if (this.#sectionLine) this.#sectionLine.isBySlope = true;
          return;
        }
        const [offset, z] = plainNumbers(text, 2, 2, at);
        this.#sectionLine?.points.push({ offset: offset!, z: z!, code: this.#attribute('code') ?? '' });
      }
    }
  }

  #cgPoint(text: string): void {
    const name = this.#attribute('name');
    const reference = this.#attribute('pntRef');
    if (reference !== undefined) {
      if (name !== undefined) this.#references.push({ name, to: reference, at: this.#counted('CgPoint') });
      return;
    }
    if (text.trim() === '') {
      this.#leave('CgPoint');
      return;
    }
    const [n, e, z] = plainNumbers(text, 2, 3, () => ({
      ...this.#counted('CgPoint'),
      owner: name === undefined ? null : `point “${name}”`,
    }));
    const place = { e: e!, n: n!, z: z ?? null };
    if (name !== undefined) this.#named.set(name, place);
    const code = this.#attribute('code');
    this.#points.push({
      layer: this.#pointsName,
      at: { e: place.e, n: place.n },
      z: place.z,
      name: name ?? null,
      ...(code ? { code: code.slice(0, LONGEST_CODE) } : {}),
    });
  }

  #placeText(part: GeomPart, text: string): PlaceText {
    const { raw } = this.#element!;
    const at = (): XmlPlace => ({ ...raw.at, element: `${part} of ${raw.at.element}`, line: this.#line });
    const reference = this.#attribute('pntRef');
    if (reference !== undefined) return { pointName: reference, at: at() };
    const [n, e, z] = plainNumbers(text, 2, 3, at);
    return { place: { e: e!, n: n!, z: z ?? null } };
  }

  #face(text: string): void {
    if (!this.#surface) return;
    const { growing } = this.#surface;
    const ids = text.trim().split(/\s+/);
    if (ids.length < 3 || ids.length > 4 || ids[0] === '')
      throw new Refused({
        code: 'XML_NUMBER_COUNT',
        at: this.#counted('F'),
        given: ids[0] === '' ? 0 : ids.length,
        wanted: '3',
      });
    const corners = ids.map((id) => {
      const corner = growing.named(id);
      if (corner === undefined) throw new Refused({ code: 'XML_CORNER_UNKNOWN', at: this.#counted('F'), id });
      return corner;
    });
    // Marked so it is not there to be seen: a hole.
    if (this.#attribute('i') === '1') return;
    growing.triangle(corners[0]!, corners[1]!, corners[2]!);
    if (corners.length === 4) growing.triangle(corners[0]!, corners[2]!, corners[3]!);
  }

  #gradePoint(local: 'PVI' | 'ParaCurve' | 'UnsymParaCurve' | 'CircCurve', text: string): void {
    const profile = this.#alignment?.profiles.at(-1);
    if (!profile || this.#stack.at(-1) !== 'ProfAlign') return;
    const [station, z] = plainNumbers(text, 2, 2, () => this.#counted(local));
    const wanted = (attribute: string): number => {
      const value = this.#number(attribute, local);
      if (value === null) throw new Refused({ code: 'XML_PART_MISSING', at: this.#counted(local), part: attribute });
      return value;
    };
    const rounding: VerticalRounding | null =
      local === 'PVI'
        ? null
        : local === 'ParaCurve'
          ? { kind: 'parabola', length: wanted('length') }
          : local === 'UnsymParaCurve'
            ? { kind: 'unsymmetricParabola', lengthIn: wanted('lengthIn'), lengthOut: wanted('lengthOut') }
            : { kind: 'circular', radius: Math.abs(wanted('radius')) };
    // A curve of no length is a break.
    const isPlain = rounding?.kind === 'parabola' && rounding.length === 0;
    profile.points.push({ station: station!, z: z!, rounding: isPlain ? null : rounding });
  }

  #pointList(local: 'PntList2D' | 'PntList3D', parent: string | undefined, text: string): void {
    const size = local === 'PntList2D' ? 2 : 3;
    if (parent === 'DesignCrossSectSurf' || parent === 'CrossSectSurf') {
      const numbers = this.#list(local, text, 2);
      for (let i = 0; i + 1 < numbers.length; i += 2)
        this.#sectionLine?.points.push({ offset: numbers[i]!, z: numbers[i + 1]!, code: '' });
    } else if (this.#element && parent === this.#element.name) {
      const numbers = this.#list(local, text, size);
      for (let i = 0; i + 1 < numbers.length; i += size)
        this.#element.between.push({
          place: { n: numbers[i]!, e: numbers[i + 1]!, z: size === 3 ? numbers[i + 2]! : null },
        });
    } else if (this.#surface && (parent === 'Boundary' || parent === 'Breakline')) {
      const numbers = this.#list(local, text, size);
      const isBoundary = parent === 'Boundary';
      this.#drawn.push({
        layer: `${this.#surface.name}: ${isBoundary ? 'boundaries' : 'breaklines'}`,
        closed: isBoundary,
        corners: Array.from({ length: numbers.length / size }, (_, i) => ({
          n: numbers[size * i]!,
          e: numbers[size * i + 1]!,
          z: size === 3 ? numbers[size * i + 2]! : null,
          bulge: 0,
        })),
      });
    } else this.#leave(`${local} of ${parent ?? 'the file'}`);
  }

  #list(local: string, text: string, size: number): number[] {
    const numbers = plainNumbers(text, size, Infinity, () => this.#counted(local));
    if (numbers.length % size !== 0)
      throw new Refused({
        code: 'XML_NUMBER_COUNT',
        at: this.#counted(local),
        given: numbers.length,
        wanted: `a multiple of ${size}`,
      });
    return numbers;
  }

  #endElement(open: OpenElement): void {
    this.#element = null;
    const list = (this.#alignment ?? this.#feature)!.elements;
    if (open.name !== 'IrregularLine' && open.name !== 'Chain') {
      list.push(open.raw);
      return;
    }
    // Its places in order, each joined to the next by a line.
    const [start, end] = [open.raw.parts.get('Start'), open.raw.parts.get('End')];
    const inner = open.between.filter((each) => !isSamePlace(each, start) && !isSamePlace(each, end));
    const places = [...(start ? [start] : []), ...inner, ...(end ? [end] : [])];
    if (places.length < 2) {
      this.#leave(`${open.name} of ${this.#alignment ? 'Alignment' : 'PlanFeature'}`);
      return;
    }
    list.push(
      places.slice(1).map((to, i): RawElement => ({
        ...open.raw,
        kind: 'Line',
        parts: new Map([
          ['Start', places[i]!],
          ['End', to],
        ]),
      })),
    );
  }

  #endSurface(): void {
    const { name: own, growing } = this.#surface!;
    this.#surface = null;
    const again = this.#surfaces.filter(({ layer }) => layer === own || layer.startsWith(`${own} `)).length;
    const grown = growing.finish(again === 0 ? own : `${own} ${again + 1}`);
    if (grown) this.#surfaces.push(grown);
    else this.#leave('Surface without triangles');
  }

  #design(): LandXmlDesign {
    this.#resolveReferences();
    const unit = this.#unit!;
    const named = (name: string) => this.#named.get(name);
    const warnings: LandXmlWarning[] = [];
    const unreadable = (fault: LandXmlFault & { readonly at: XmlPlace }): ReadAlignment[] => {
      this.#leave('Alignment');
      warnings.push({ code: 'XML_UNREADABLE', at: fault.at, fault });
      return [];
    };
    const whole = (open: OpenAlignment): ReadAlignment[] => {
      const read = open.elements.flat().map((raw) => elementOf(raw, named));
      if (read.length === 0) {
        this.#leave('Alignment without geometry');
        return [];
      }
      const equations = open.equations.map(({ equation }) => equation);
      const { definition, warnings: own } = definitionOf(
        { ...open.at, owner: `Alignment “${open.name}”` },
        read,
        open.startStation,
        equations,
        unit.metres,
        open.length,
      );
      warnings.push(...own, ...equationWarnings(open, unit.metres));
      return [
        {
          name: open.name,
          definition,
          profiles: open.profiles.flatMap((each) => this.#profile(each, unit.metres)),
          crossSections: open.crossSections,
        },
      ];
    };
    const alignments = this.#alignments.flatMap((open): ReadAlignment[] => {
      if (open.broken && 'at' in open.broken) return unreadable(open.broken);
      try {
        return whole(open);
      } catch (error) {
        // A point that is not in the file may be missing everywhere; a profile is refused by itself.
        if (!(error instanceof Refused) || error.fault.code === 'XML_PROFILE' || !('at' in error.fault)) throw error;
        return unreadable(error.fault);
      }
    });
    const [first] = warnings.filter((warning) => warning.code === 'XML_UNREADABLE');
    const nothingElse = this.#points.length + this.#surfaces.length + this.#features.length + this.#drawn.length === 0;
    // Where nothing is left to take, what is wrong is no remark.
    if (first && alignments.length === 0 && nothingElse) throw new Refused(first.fault);
    return {
      unit,
      linearUnit: this.#linearUnit,
      alignments: withOwnNames(alignments),
      paths: [
        ...this.#features.flatMap(({ name, elements }) =>
          pathsOf(
            name,
            elements.flat().map((raw) => elementOf(raw, named)),
          ),
        ),
        ...this.#drawn.flatMap(tidy),
      ],
      points: this.#points,
      surfaces: this.#surfaces,
      warnings,
      leftOut: [...this.#left].map(([what, count]) => ({ what, layer: 'LandXML', count })),
    };
  }

  #profile({ at, name, points }: OpenAlignment['profiles'][number], metresPerUnit: number): ReadProfile[] {
    if (points.length === 0) {
      this.#leave('ProfAlign without points');
      return [];
    }
    const made = profileOf(points, metresPerUnit);
    if (!made.ok)
      throw new Refused({ code: 'XML_PROFILE', at: { ...at, element: `ProfAlign “${name}”` }, fault: made.error });
    return [{ name, points }];
  }

  /** Points that are another point under a further name. */
  #resolveReferences(): void {
    let open = this.#references;
    while (open.length > 0) {
      const rest = open.filter(({ name, to }) => {
        const place = this.#named.get(to);
        if (place && !this.#named.has(name)) this.#named.set(name, place);
        return !place;
      });
      if (rest.length === open.length) {
        const { at, to } = rest[0]!;
        throw new Refused({ code: 'XML_POINT_UNKNOWN', at, name: to });
      }
      open = rest;
    }
  }
}

/** A boundary ends where it begins; a line of one place is none. */
function tidy({ layer, closed, corners }: DrawnPath): DrawnPath[] {
  const apart = corners.filter(
    ({ e, n, z }, i) => i === 0 || e !== corners[i - 1]!.e || n !== corners[i - 1]!.n || z !== corners[i - 1]!.z,
  );
  const [first, last] = [apart[0], apart.at(-1)];
  const ends = first && last && apart.length > 2 && first.e === last.e && first.n === last.n;
  const kept = ends ? apart.slice(0, -1) : apart;
  return kept.length > 1 ? [{ layer, closed: closed || Boolean(ends), corners: kept }] : [];
}

const isSamePlace = (a: PlaceText, b: PlaceText | undefined): boolean =>
  b !== undefined && 'place' in a && 'place' in b && Math.hypot(a.place.e - b.place.e, a.place.n - b.place.n) < 1e-6;

/** Two of one name can't be chosen between: the later ones are numbered. */
function withOwnNames(alignments: readonly ReadAlignment[]): ReadAlignment[] {
  const seen = new Map<string, number>();
  return alignments.map((alignment) => {
    const count = (seen.get(alignment.name) ?? 0) + 1;
    seen.set(alignment.name, count);
    return count === 1 ? alignment : { ...alignment, name: `${alignment.name} (${count})` };
  });
}

/** An equation says twice where it stands: by the station back and by the distance along. */
function equationWarnings(open: OpenAlignment, metresPerUnit: number): LandXmlWarning[] {
  const inOrder = [...open.equations].sort((a, b) => a.equation.at - b.equation.at);
  return inOrder.flatMap(({ at, back }, i): LandXmlWarning[] => {
    if (back === null) return [];
    const reached = stationBack({ equations: inOrder.map((each) => each.equation) }, i);
    const size = Math.abs(reached - back) * metresPerUnit;
    return size > 0.001 ? [{ code: 'XML_EQUATION_BACK', at, size }] : [];
  });
}
