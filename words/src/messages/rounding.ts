/** Messages of rounding. */
export const rounding = {
  toTheMillimetre: 'to the millimeter',
  toTheCentimetre: 'to the centimeter',
  toTheThousandthOfAFoot: 'to the thousandth of a foot',
  toTheHundredthOfAFoot: 'to the hundredth of a foot',
  toTheTenthOfAFoot: 'to the tenth of a foot',
  inFeetAndInchesToTheSixteenth: 'in feet and inches, to the sixteenth',
} as const;
