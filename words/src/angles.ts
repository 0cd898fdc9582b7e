/** Angles as they were read, in the form of the site, always with their unit. */
import { angleFromRadians, angleToRadians, formatAngle, type AngleUnit, type LengthUnit } from '@idle-marker/core';
import { msg } from './message.ts';

export interface SiteUnits {
  readonly lengthUnit: LengthUnit;
  readonly angleUnit: AngleUnit;
}

export interface AngleRead {
  readonly angleUnit: AngleUnit;
  /** Of seconds where they were keyed so, else of degrees or gon. */
  readonly angleDecimals: number;
}

/** Decimals in the form of the site that show what was read, and no more. */
function decimalsIn(unit: AngleUnit, { angleUnit, angleDecimals }: AngleRead): number {
  const ofSeconds = angleUnit === 'dms' ? angleDecimals : angleDecimals - 4;
  return unit === 'dms' ? Math.max(0, ofSeconds) : Math.max(4, ofSeconds + 4);
}

export const angleAsRead = (value: number, read: AngleRead, unit: AngleUnit): string =>
  formatAngle(angleToRadians(value, read.angleUnit), unit, decimalsIn(unit, read));

/** An angle that was computed, to a second or its like. */
export const angleText = (degrees: number, unit: AngleUnit): string =>
  formatAngle(angleToRadians(degrees, 'degree'), unit, unit === 'dms' ? 0 : 4);

/** A small angle, signless: minutes or degrees, or milligon and gon where the site reads gon. */
export function smallAngle(radians: number, unit: AngleUnit): string {
  const size = Math.abs(angleFromRadians(radians, unit === 'gon' ? 'gon' : 'degree'));
  if (unit === 'gon')
    return size < 1
      ? msg('angles.mgon', { size: (size * 1000).toFixed(size < 0.1 ? 1 : 0) })
      : msg('angles.gon', { size: size.toFixed(size < 10 ? 2 : 1) });
  return size < 1 ? `${(size * 60).toFixed(size * 60 < 10 ? 1 : 0)}′` : `${size.toFixed(size < 10 ? 2 : 1)}°`;
}

/** An angle that is only to be pictured: whole degrees, or gon where the site reads gon. */
export const coarseAngle = (radians: number, unit: AngleUnit, decimals = 0): string =>
  formatAngle(radians, unit === 'gon' ? 'gon' : 'degree', decimals);
