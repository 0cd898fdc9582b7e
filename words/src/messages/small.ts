/** Messages of small. */
export const small = {
  mm: '{metres} mm',
  ft: '{lengthFromMetres} ft',
  offAxes: '{axes} ({unit})',
  figure: '{figure} {unit}',
  mm2: '{millimetres} / {millimetres2} mm',
  ft2: '{feet} / {feet2} ft',
  inchesBeside: '{inches} in ({feet} ft)',
  feetInchesBeside: '{inches} ({feet} ft)',
  in2: '{inches} / {inches2} in ({both})',
} as const;
