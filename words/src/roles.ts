import { msg } from './message.ts';
/** What people are on a site, as said in a sentence. */
export const ROLE_NAME = {
  lead: msg('roles.lead'),
  technician: msg('roles.technician'),
  apprentice: msg('roles.apprentice'),
} as const;
export type RoleName = keyof typeof ROLE_NAME;

const SOMEBODY: Readonly<Record<RoleName, string>> = {
  lead: 'a lead',
  technician: 'a technician',
  apprentice: msg('roles.anApprentice'),
};

/** "a lead or a technician". */
export const allowedRoles = (roles: readonly RoleName[]): string => roles.map((role) => SOMEBODY[role]).join(' or ');
