/**
 * Atmospheric correction of a measured distance, as a ratio (multiply by 1e6 for ppm).
 *
 * Group refractive index of near-infrared carrier light by the closed formulae of the
 * IAG resolution of 1999 (Ciddor, Hill; standard air 0 °C, 1013.25 hPa, dry, 0.0375 % CO2),
 * compared with the index for which the instrument was adjusted.
 * Moisture is left out here: it stays below 1 ppm under 30 °C.
 */
export interface Atmosphere {
  readonly temperatureC: number;
  readonly pressureHPa: number;
}

export interface ReferenceAtmosphere extends Atmosphere {
  /** Carrier wavelength in micrometres. */
  readonly wavelengthUm: number;
}

/** Reference atmosphere of the simulated instrument. */
export const SIMULATED_REFERENCE: ReferenceAtmosphere = { temperatureC: 12, pressureHPa: 1013.25, wavelengthUm: 0.658 };

/** Group refractivity N = (n - 1)·1e6 of dry air. */
export function groupRefractivity(atmosphere: Atmosphere, wavelengthUm: number): number {
  const inverseSquare = 1 / (wavelengthUm * wavelengthUm);
  const standard = 287.6155 + 4.8866 * inverseSquare + 0.068 * inverseSquare * inverseSquare;
  const kelvin = 273.15 + atmosphere.temperatureC;
  return (273.15 / 1013.25) * (atmosphere.pressureHPa / kelvin) * standard;
}

/** Ratio to add to a distance measured by an instrument adjusted for `reference`, in air of `atmosphere`. */
export function atmosphericCorrection(atmosphere: Atmosphere, reference: ReferenceAtmosphere): number {
  return (
    (groupRefractivity(reference, reference.wavelengthUm) - groupRefractivity(atmosphere, reference.wavelengthUm)) *
    1e-6
  );
}
