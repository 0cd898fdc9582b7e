/** Survey observations of another program's file as raw sights of this one. */
import {
  RAW_SIGHTS_FORMAT,
  RAW_SIGHTS_VERSION,
  type FactBody,
  type RawSight,
  type RawSights,
} from '@idle-marker/contract';
import type { SurveyPointRead, SurveyRead, SurveySetupRead } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import type { SiteState } from '../site/state.ts';

/** Groups of points that this application writes beside the control. */
const NOT_CONTROL: ReadonlySet<string> = new Set(['marks', 'planned', 'stations', 'asBuilt']);

const STATION_PURPOSES: ReadonlySet<string> = new Set(['resection', 'backsight', 'traverse', 'normal']);

/** What such a file doesn't say, as it is for most instruments of a site. */
const ASSUMED_INSTRUMENT: FactBody<'occupation'>['instrument'] = {
  name: 'unknown',
  angleSdSec: 3,
  distSdMm: 2,
  distSdPpm: 2,
};
const ASSUMED = { targetHeightSdMm: 1, targetCentringSdMm: 1.5, instrumentHeightSdMm: 2 };

/** The instrument that was used here last, whose precision a file without any is taken to have. */
export const instrumentAssumed = (state: SiteState): FactBody<'occupation'>['instrument'] =>
  state.occupations.at(-1)?.body.instrument ?? ASSUMED_INSTRUMENT;

/**
 * One placing of the file. Its distances are taken as they are: what prism and air ask for was put into them by who
 * wrote them. Sights to marks of the site or of the file's control are to control; all others to spots.
 * @param at of the placing and of sights whose time the file does not tell, ISO 8601
 */
export function rawOfSurvey(state: SiteState, survey: SurveyRead, setup: SurveySetupRead, at: string): RawSights {
  const known = new Map(state.control.map(({ revision: { body } }) => [body.name, body]));
  const points = new Map<string, SurveyPointRead>(
    survey.points.filter(({ group }) => !NOT_CONTROL.has(group)).map((point) => [point.name, point]),
  );
  const targets = new Set(setup.sights.map(({ target }) => target));
  const by = msg('records.anotherProgram');
  const control = [...targets].flatMap((name): RawSights['control'][number][] => {
    const point = points.get(name);
    if (point)
      return [
        {
          name,
          e: point.e,
          n: point.n,
          z: point.z,
          sdHMm: null,
          sdZMm: null,
          kind: 'other',
          usePlan: true,
          useHeight: point.z !== null,
        },
      ];
    const own = known.get(name);
    if (!own) return [];
    const { e, n, z, sdHMm, sdZMm, kind, usePlan, useHeight } = own;
    return [{ name, e, n, z, sdHMm, sdZMm, kind, usePlan, useHeight }];
  });
  const isControl = new Set(control.map(({ name }) => name));
  const instant = setup.at ?? at;
  return {
    header: {
      format: RAW_SIGHTS_FORMAT,
      version: RAW_SIGHTS_VERSION,
      site: survey.project.trim().slice(0, 80) || msg('records.anotherProgram'),
      lengthUnit: survey.linearUnit,
      angleUnit: survey.angleUnit,
      combinedScaleFactor: state.settings.combinedScaleFactor,
    },
    control,
    setup: {
      name: setup.name.slice(0, 80),
      instrument: { ...instrumentAssumed(state), name: setup.instrument.slice(0, 80) || instrumentAssumed(state).name },
      instrumentHeight: setup.instrumentHeight,
      instrumentHeightSdMm: ASSUMED.instrumentHeightSdMm,
      temperatureC: 12,
      pressureHPa: 1013,
      ppm: 0,
      ground: '',
      windy: false,
      link: 'typed',
      at: instant,
      by,
      over: null,
    },
    sights: setup.sights.map((sight): RawSight => {
      const toControl = isControl.has(sight.target);
      return {
        purpose: !toControl
          ? 'spot'
          : STATION_PURPOSES.has(sight.purpose) || sight.purpose === ''
            ? 'station'
            : sight.purpose === 'check'
              ? 'proof'
              : 'control',
        face: sight.face,
        read: {
          circle: sight.circle,
          zenith: sight.zenith,
          slope: sight.slope,
          angleUnit: survey.angleUnit,
          lengthUnit: survey.linearUnit,
          angleDecimals: sight.angleDecimals,
          lengthDecimals: sight.lengthDecimals,
          keyed: null,
        },
        targetHeight: sight.targetHeight,
        targetHeightSdMm: ASSUMED.targetHeightSdMm,
        targetCentringSdMm: ASSUMED.targetCentringSdMm,
        prismConstantMm: 0,
        ppm: 0,
        at: sight.at ?? instant,
        by,
        target: { kind: toControl ? 'control' : 'other', name: sight.target.slice(0, 80) },
        used: null,
      };
    }),
    station: null,
  };
}
