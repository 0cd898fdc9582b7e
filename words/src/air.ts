/** Air as it is measured where one works: degrees Celsius and hectopascals, or Fahrenheit and inches of mercury. */
import type { LengthUnit } from '@idle-marker/core';
import { msg } from './message.ts';

/** 0 °C at standard gravity. */
export const HPA_PER_INCH = 33.8639;

const plain = (value: number, decimals: number): string => String(Number(value.toFixed(decimals)));

export const airTemperature = (celsius: number, unit: LengthUnit): string =>
  unit === 'metre'
    ? msg('air.celsius', { temperature: plain(celsius, 1) })
    : msg('air.fahrenheit', { temperature: plain(celsius * 1.8 + 32, 0) });

export const airPressure = (hPa: number, unit: LengthUnit): string =>
  unit === 'metre'
    ? msg('air.hectopascals', { pressure: plain(hPa, 1) })
    : msg('air.inches', { pressure: (hPa / HPA_PER_INCH).toFixed(2) });

/** "12 °C, 1013 hPa"; "54 °F, 29.91 inHg". */
export const airWords = (celsius: number, hPa: number, unit: LengthUnit): string =>
  `${airTemperature(celsius, unit)}, ${airPressure(hPa, unit)}`;
