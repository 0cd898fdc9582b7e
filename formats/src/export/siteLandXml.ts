/** A site's points and its survey observations as LandXML 1.2: set-ups, and every sight as it was read. */
import { lengthFromMetres, type LengthUnit, type Metres } from '@idle-marker/core';
import { oneLine, type SiteAbout } from './siteAbout.ts';
import { EXPORT_DECIMALS, type SitePoint } from './sitePoint.ts';

export interface SurveySetup {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  readonly instrumentHeight: Metres;
  readonly at: string;
  /** Where it stood; null while it was not found. */
  readonly place: { readonly e: Metres; readonly n: Metres; readonly z: Metres | null } | null;
  readonly sights: readonly SurveySight[];
}

export interface SurveySight {
  readonly target: string;
  readonly at: string;
  readonly purpose: string;
  readonly face: 1 | 2;
  /** Decimal degrees. */
  readonly horizontal: number;
  readonly zenith: number;
  readonly slope: Metres | null;
  readonly targetHeight: Metres;
}

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** Without what XML has no place for. */
const UNWRITABLE =
  // oxlint-disable-next-line no-control-regex
  /[\u0000-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
export const xmlText = (text: string): string =>
  text.replace(UNWRITABLE, ' ').replace(/[&<>"]/g, (letter) => ESCAPES[letter]!);

const IMPERIAL = 'areaUnit="squareFoot" volumeUnit="cubicFeet" temperatureUnit="fahrenheit" pressureUnit="inHG"';
/** The units of a file: lengths as the site's, angles in decimal degrees. */
export const unitsElement = (unit: LengthUnit): string =>
  unit === 'metre'
    ? '<Metric linearUnit="meter" areaUnit="squareMeter" volumeUnit="cubicMeter" temperatureUnit="celsius" pressureUnit="milliBars" angularUnit="decimal degrees" directionUnit="decimal degrees"/>'
    : `<Imperial linearUnit="${unit === 'foot' ? 'foot' : 'USSurveyFoot'}" ${IMPERIAL} angularUnit="decimal degrees" directionUnit="decimal degrees"/>`;

/** Units, coordinate system, the site, who wrote it and what it hangs on, as the schema has them in this order. */
export const aboutElements = (about: SiteAbout): string[] => [
  `  <Units>${unitsElement(about.unit)}</Units>`,
  `  <CoordinateSystem name="${xmlText(about.coordinateSystem)}" desc="${about.scaleFactor === null ? '' : `scale factor ${about.scaleFactor}`}" horizontalCoordinateSystemName="${xmlText(about.coordinateSystem)}" verticalDatum="${xmlText(about.heightDatum)}"/>`,
  `  <Project name="${xmlText(about.site)}" desc="${xmlText(about.lines.map(oneLine).join('; '))}"/>`,
  `  <Application name="Idle Marker"><Author createdBy="${xmlText(about.by)}" timeStamp="${about.at}"/></Application>`,
];

/** Purposes as LandXML names them. */
const PURPOSE: Readonly<Record<string, string>> = {
  station: 'resection',
  proof: 'check',
  control: 'traverse',
  resight: 'check',
};
/** Thousandths of a second of arc. */
const ANGLE_DECIMALS = 7;

export function siteLandXml(points: readonly SitePoint[], setups: readonly SurveySetup[], about: SiteAbout): string {
  const { unit } = about;
  const figure = (metres: Metres) => lengthFromMetres(metres, unit).toFixed(EXPORT_DECIMALS);
  const place = ({ e, n, z }: { readonly e: Metres; readonly n: Metres; readonly z: Metres | null }) =>
    [n, e, ...(z === null ? [] : [z])].map(figure).join(' ');
  const groups = [...new Set(points.map((point) => point.group))];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2" date="${about.at.slice(0, 10)}" time="${about.at.slice(11, 19)}">`,
    ...aboutElements(about),
    ...groups.flatMap((group) => [
      `  <CgPoints name="${group}">`,
      ...points
        .filter((point) => point.group === group)
        .map(
          (point) =>
            `    <CgPoint name="${xmlText(point.name)}" code="${xmlText(point.code)}" desc="${xmlText(point.note)}">${place(point)}</CgPoint>`,
        ),
      '  </CgPoints>',
    ]),
    ...(setups.length === 0
      ? []
      : [
          '  <Survey>',
          `    <SurveyHeader name="${xmlText(about.site)}"/>`,
          ...setups.map(
            (setup) =>
              `    <InstrumentSetup id="${setup.id}" stationName="${xmlText(setup.name)}" instrumentHeight="${figure(setup.instrumentHeight)}" timeStamp="${setup.at}" desc="${xmlText(setup.instrument)}">${setup.place ? `<InstrumentPoint>${place(setup.place)}</InstrumentPoint>` : ''}</InstrumentSetup>`,
          ),
          ...setups.map((setup) =>
            [
              `    <ObservationGroup id="${setup.id}-observations" setupID="${setup.id}">`,
              ...setup.sights.map(
                (sight) =>
                  `      <RawObservation setupID="${setup.id}" targetHeight="${figure(sight.targetHeight)}" horizAngle="${sight.horizontal.toFixed(ANGLE_DECIMALS)}" zenithAngle="${sight.zenith.toFixed(ANGLE_DECIMALS)}"${sight.slope === null ? '' : ` slopeDistance="${figure(sight.slope)}"`} directFace="${sight.face === 1}" purpose="${PURPOSE[sight.purpose] ?? 'sideshot'}" timeStamp="${sight.at}"><TargetPoint name="${xmlText(sight.target)}"/></RawObservation>`,
              ),
              '    </ObservationGroup>',
            ].join('\n'),
          ),
          '  </Survey>',
        ]),
    '</LandXML>',
    '',
  ].join('\n');
}
