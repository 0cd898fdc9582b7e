/** A site out of its archive, without a server or a database. */
import { Readable } from 'node:stream';
import { archiveInMemory, ArchiveRefused, isTimeZone, type ArchiveContent } from '@idle-marker/archive';
import type { TrustResult } from '@idle-marker/core';
import { siteState, trustOf, type SiteState } from '@idle-marker/records';
import { msg, sayIn, wordingOf } from '@idle-marker/words';
import { bytesOf, CommandFault } from './caller.ts';
import type { Wanted } from './arguments.ts';

/** What commands that start from an archive are told alike. */
export const SITE_OPTIONS = {
  at: { type: 'string' },
  by: { type: 'string' },
  'time-zone': { type: 'string' },
  out: { type: 'string', short: 'o' },
  help: { type: 'boolean', short: 'h' },
} as const;

export interface SiteAsked {
  readonly at?: string | undefined;
  readonly by?: string | undefined;
  readonly 'time-zone'?: string | undefined;
}

export interface OpenSite {
  readonly content: ArchiveContent;
  readonly state: SiteState;
  readonly trust: TrustResult;
  readonly at: string;
  /** Id of the member in whose name it is written. */
  readonly by: string;
  readonly timeZone: string;
}

/** @throws CommandFault where it is no archive */
export async function contentOf(archive: string): Promise<ArchiveContent> {
  const bytes = bytesOf(archive);
  try {
    return await archiveInMemory(Readable.from([bytes]));
  } catch (error) {
    if (error instanceof ArchiveRefused) throw new CommandFault(1, [`${archive}: ${error.message}`]);
    throw error;
  }
}

/** Opens it as it stood at an instant; faults of what was asked go to `wanted`. */
export async function openSite(archive: string, asked: SiteAsked, wanted: Wanted): Promise<OpenSite> {
  const content = await contentOf(archive);
  const state = siteState(content.facts);
  sayIn(wordingOf(state.settings));
  const last = state.timeline.at(-1)!;
  const at = asked.at === undefined ? last.at : instantOf(asked.at, wanted);
  const member = asked.by === undefined ? undefined : state.members.find(({ body }) => body.name === asked.by);
  if (asked.by !== undefined && !member)
    wanted.fault(
      msg('commands.isNoneOf', {
        option: '--by',
        value: asked.by,
        words: state.members.map(({ body }) => body.name).join(', '),
      }),
    );
  const timeZone =
    asked['time-zone'] ?? content.sheets.at(-1)?.content.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (!isTimeZone(timeZone)) wanted.fault(msg('commands.isNoTimeZone', { timeZone }));
  return { content, state, trust: trustOf(state, at), at, by: member?.id ?? last.by ?? '', timeZone };
}

function instantOf(text: string, wanted: Wanted): string {
  const time = Date.parse(text);
  if (Number.isNaN(time)) wanted.fault(msg('commands.isNoInstant', { text }));
  return Number.isNaN(time) ? text : new Date(time).toISOString();
}
