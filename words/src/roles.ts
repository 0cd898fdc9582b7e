import { msg, worded } from './message.ts';
/** What people are on a site, as said in a sentence. */
export const roleWords = worded(
  () =>
    ({
      lead: msg('roles.lead'),
      technician: msg('roles.technician'),
      apprentice: msg('roles.apprentice'),
    }) as const,
);
export type RoleName = keyof ReturnType<typeof roleWords>;

const somebodyWords = worded((): Readonly<Record<RoleName, string>> => ({
  lead: 'a lead',
  technician: 'a technician',
  apprentice: msg('roles.anApprentice'),
}));

/** "a lead or a technician". */
export const allowedRoles = (roles: readonly RoleName[]): string =>
  roles.map((role) => somebodyWords()[role]).join(' or ');
