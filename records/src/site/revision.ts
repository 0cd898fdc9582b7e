/** Revisions of what people edit: whether one says anything that the one before it did not. */
import { canonicalJson, type AnyFact } from '@idle-marker/contract';
import type { SiteState } from './state.ts';

export const REVISED = [
  'control',
  'package',
  'grid',
  'area',
  'alignment',
  'drawing',
  'equipment',
  'convention',
] as const;
export type RevisedKind = (typeof REVISED)[number];
export type Revision = Extract<AnyFact, { type: RevisedKind }>;

export const isRevision = (fact: AnyFact): fact is Revision => (REVISED as readonly string[]).includes(fact.type);

/** Nothing, an empty text, list or group are all nothing said: older entries lack what newer ones leave empty. */
function said(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(said);
  if (typeof value !== 'object' || value === null) return value;
  const parts = Object.entries(value).map(([name, part]) => [name, said(part)] as const);
  return Object.fromEntries(parts.filter(([, part]) => !isNothing(part)));
}

const isNothing = (part: unknown): boolean =>
  part === null || part === undefined || part === '' || (typeof part === 'object' && Object.keys(part).length === 0);

/** What a body says, but for the fields that are left out. */
export const saidIn = (body: object, without: readonly string[]): string =>
  canonicalJson(said(Object.fromEntries(Object.entries(body).filter(([name]) => !without.includes(name)))));

interface Editing {
  readonly type: AnyFact['type'];
  readonly body: object;
}

/** What would be replaced: a revision by what it says of itself, the settings of the site by the next ones. */
function replacedBy({ ofType, byId }: SiteState, { type, body }: Editing): AnyFact | undefined {
  if (type === 'site') return ofType.site.at(-1);
  const { supersedes } = body as { readonly supersedes?: string | null };
  const replaced = supersedes ? byId.get(supersedes) : undefined;
  return replaced && replaced.type === type && isRevision(replaced) ? replaced : undefined;
}

/** The entry that would be replaced by one that says the very same, null where something is new. */
export function sameAsBefore(state: SiteState, editing: Editing): AnyFact | null {
  const replaced = replacedBy(state, editing);
  return replaced && saidIn(replaced.body, ['supersedes']) === saidIn(editing.body, ['supersedes']) ? replaced : null;
}
