import {
  feetInchesParts,
  formatFeetInches,
  formatLength,
  formatSigned,
  lengthFromMetres,
  type LengthUnit,
  type Metres,
} from '@idle-marker/core';
import { msg } from './message.ts';
import { LENGTH_DECIMALS } from './vocabulary.ts';
import { wordingNow, type InchFraction } from './wording.ts';

/** From here on nobody says millimetres any more. */
const LARGE = 1;

/** Parts of an inch that a site says small lengths in; null where it says decimals. */
export const smallFraction = (unit: LengthUnit): number | null => {
  const { small } = wordingNow();
  return unit === 'metre' || small === undefined ? null : FRACTIONS[small];
};
const FRACTIONS: Readonly<Record<InchFraction, number>> = { sixteenth: 16, thirtySecond: 32 };

/** Inches and their fraction, below a foot: "3 1/4", "5/16", "0". */
export function inchesText(metres: Metres, unit: LengthUnit, denominator: number): string {
  const {
    feet,
    inches,
    numerator,
    denominator: reduced,
  } = feetInchesParts(lengthFromMetres(Math.abs(metres), unit), denominator);
  const whole = feet * 12 + inches;
  if (numerator === 0) return String(whole);
  return whole === 0 ? `${numerator}/${reduced}` : `${whole} ${numerator}/${reduced}`;
}

/** Without its sign, with its unit; inches have the decimal figure beside them, which is what was computed. */
function feetWords(metres: Metres, unit: LengthUnit, sign = ''): string {
  const size = Math.abs(metres);
  const feet = lengthFromMetres(size, unit).toFixed(3);
  const fraction = smallFraction(unit);
  if (fraction === null) return `${sign}${msg('small.ft', { lengthFromMetres: feet })}`;
  return lengthFromMetres(size, unit) < 1
    ? msg('small.inchesBeside', { inches: `${sign}${inchesText(size, unit, fraction)}`, feet: `${sign}${feet}` })
    : msg('small.feetInchesBeside', {
        inches: `${sign}${formatFeetInches(size, unit, fraction)}`,
        feet: `${sign}${feet}`,
      });
}

/**
 * A small length as people say it: whole millimetres on metric sites, thousandths of a foot on others, or inches with
 * those beside where the site says so.
 */
export function smallLength(metres: number, unit: LengthUnit): string {
  if (unit === 'metre' && Math.abs(metres) >= LARGE) return `${Math.abs(metres).toFixed(3)} m`;
  if (unit === 'metre') return msg('small.mm', { metres: Math.round(Math.abs(metres) * 1000) });
  return feetWords(metres, unit);
}

/** As an ironworker reads it on steel: millimetres' decimals, or inches and fractions where the site says so. */
export function steelLength(metres: Metres, unit: LengthUnit): string {
  const size = Math.abs(metres);
  const fraction = smallFraction(unit);
  if (fraction === null) return formatLength(size, unit, LENGTH_DECIMALS);
  return lengthFromMetres(size, unit) < 1
    ? `${inchesText(size, unit, fraction)}″`
    : formatFeetInches(size, unit, fraction);
}

/** Unit in which small differences stand in tables, and how many of it a metre is. */
export const smallUnit = (
  unit: LengthUnit,
): { readonly name: string; readonly perMetre: number; readonly decimals: number } =>
  unit === 'metre'
    ? { name: 'mm', perMetre: 1000, decimals: 0 }
    : { name: 'ft', perMetre: lengthFromMetres(1, unit), decimals: 3 };

/**
 * A figure that is kept in millimetres, in the small unit of the site, without its name: "6", "0.020"; a dash where
 * there is none.
 */
export function smallFigure(mm: number | null | undefined, unit: LengthUnit): string {
  if (mm === null || mm === undefined) return '–';
  return unit === 'metre' ? String(mm) : lengthFromMetres(mm / 1000, unit).toFixed(3);
}

/** The same with its sign and its name: "+3 mm", "−0.010 ft". */
export function signedSmall(mm: number, unit: LengthUnit, decimals = smallUnit(unit).decimals): string {
  const { name, perMetre } = smallUnit(unit);
  const figure = formatSigned((mm / 1000) * perMetre, decimals);
  // The sign that the figure carries: none where it is written as nothing.
  if (smallFraction(unit) !== null) return feetWords(mm / 1000, unit, /^[+−]/.exec(figure)?.[0]);
  return msg('small.figure', { figure, unit: name });
}

/** As it was typed, with as many decimals as it has. */
export const millimetres = (metres: number): number => Math.round(metres * 1e9) / 1e6;

/** What a class allows, plan and height: "6 / 5 mm", "0.020 / 0.016 ft". */
export function toleranceWords(
  { plan, height }: { readonly plan: number; readonly height: number },
  unit: LengthUnit,
): string {
  if (unit === 'metre') return msg('small.mm2', { millimetres: millimetres(plan), millimetres2: millimetres(height) });
  const feet = (metres: number) => lengthFromMetres(metres, unit).toFixed(3);
  const both = msg('small.ft2', { feet: feet(plan), feet2: feet(height) });
  const fraction = smallFraction(unit);
  if (fraction === null) return both;
  const inches = (metres: number) => inchesText(metres, unit, fraction);
  return msg('small.in2', { inches: inches(plan), inches2: inches(height), both });
}

/** The two figures of a tolerance with their unit, as a crew reads them: in inches alone where the site says inches. */
export function toleranceFigures(
  { plan, height }: { readonly plan: Metres; readonly height: Metres },
  unit: LengthUnit,
): { readonly plan: string; readonly height: string; readonly unit: string } {
  const fraction = smallFraction(unit);
  const figure = (metres: Metres) =>
    fraction === null ? smallFigure(millimetres(metres), unit) : inchesText(metres, unit, fraction);
  return { plan: figure(plan), height: figure(height), unit: fraction === null ? smallUnit(unit).name : 'in' };
}

interface OffAxes {
  readonly dEMm: number;
  readonly dNMm: number;
}

/** What a mark is off by along the axes, in the order of the site: "+3 / −2", "−0.007 / +0.010". */
export function offAxes({ dEMm, dNMm }: OffAxes, axes: 'EN' | 'NE', unit: LengthUnit): string {
  const { perMetre, decimals } = smallUnit(unit);
  return (axes === 'EN' ? [dEMm, dNMm] : [dNMm, dEMm])
    .map((mm) => formatSigned((mm / 1000) * perMetre, decimals))
    .join(' / ');
}

/** The head of a column of those. */
export const offAxesHead = (axes: 'EN' | 'NE', unit: LengthUnit): string =>
  msg('small.offAxes', { axes: axes === 'EN' ? 'dE / dN' : 'dN / dE', unit: smallUnit(unit).name });

/** The same in a sentence: "E +3 mm, N −2 mm", "N −0.007 ft, E +0.010 ft". */
export function offAxesNamed({ dEMm, dNMm }: OffAxes, axes: 'EN' | 'NE', unit: LengthUnit): string {
  const [e, n] = [`E ${signedSmall(dEMm, unit)}`, `N ${signedSmall(dNMm, unit)}`];
  return (axes === 'EN' ? [e, n] : [n, e]).join(', ');
}
