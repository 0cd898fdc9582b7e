/** Length in metres. */
export type Metres = number;
/** Angle in radians. */
export type Radians = number;

/** Names of the length units a site may use. Both feet exist in practice; they differ by 2 ppm, 1 m at 500 km. */
export type LengthUnit = 'metre' | 'foot' | 'usSurveyFoot';
/** Names of the angle units a site may use. `degree` is decimal, `dms` is degrees, minutes and seconds. */
export type AngleUnit = 'dms' | 'degree' | 'gon';

/** Exact size of each length unit in metres (international foot 1959; US survey foot 1893). */
export const METRES_PER_UNIT: Readonly<Record<LengthUnit, number>> = {
  metre: 1,
  foot: 0.3048,
  usSurveyFoot: 1200 / 3937,
};

export const RADIANS_PER_DEGREE = Math.PI / 180;
export const RADIANS_PER_GON = Math.PI / 200;
export const RADIANS_PER_SECOND = Math.PI / 648000;
