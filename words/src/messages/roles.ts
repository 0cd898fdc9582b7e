/** Messages of roles. */
export const roles = {
  lead: 'Lead',
  technician: 'Technician',
  apprentice: 'Apprentice',
  anApprentice: 'an apprentice',
} as const;
