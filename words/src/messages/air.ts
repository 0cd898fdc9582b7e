/** Messages of air. */
export const air = {
  celsius: '{temperature} °C',
  fahrenheit: '{temperature} °F',
  hectopascals: '{pressure} hPa',
  inches: '{pressure} inHg',
} as const;
