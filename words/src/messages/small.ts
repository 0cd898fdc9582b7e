/** Messages of small. */
export const small = {
  mm: '{metres} mm',
  ft: '{lengthFromMetres} ft',
  mm2: '{millimetres} / {millimetres2} mm',
  ft2: '{feet} / {feet2} ft',
} as const;
