/** Who may decide on a station. As picked by whoever holds the device: it guides, and locks nothing. */
import type { FactBody } from '@idle-marker/contract';
import type { SiteState } from './state.ts';

export type Role = NonNullable<FactBody<'site'>['roles']>[number]['role'];
export const ROLES: readonly Role[] = ['lead', 'technician', 'apprentice'];

export const roleOf = ({ settings }: SiteState, member: string | null): Role =>
  settings.roles?.find((each) => each.member === member)?.role ?? 'technician';

/** Whether somebody's role allows a decision; refusing is open to everybody. */
export function mayDecide(state: SiteState, member: string | null, verdict: 'accepted' | 'provisional'): boolean {
  const allowed = state.settings.mayAccept?.[verdict] ?? [];
  return allowed.length === 0 || allowed.includes(roleOf(state, member));
}
