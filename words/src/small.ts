import { formatSigned, lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { msg } from './message.ts';

/** From here on nobody says millimetres any more. */
const LARGE = 1;

/** A small length as people say it: whole millimetres on metric sites, thousandths of a foot on others. */
export function smallLength(metres: number, unit: LengthUnit): string {
  if (unit === 'metre' && Math.abs(metres) >= LARGE) return `${Math.abs(metres).toFixed(3)} m`;
  if (unit === 'metre') return msg('small.mm', { metres: Math.round(Math.abs(metres) * 1000) });
  return msg('small.ft', { lengthFromMetres: lengthFromMetres(Math.abs(metres), unit).toFixed(3) });
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
  return msg('small.figure', { figure: formatSigned((mm / 1000) * perMetre, decimals), unit: name });
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
  return msg('small.ft2', { feet: feet(plan), feet2: feet(height) });
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
