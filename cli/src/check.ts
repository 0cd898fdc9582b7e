/** `check`: whether an archive is whole and holds to every rule, and what is in it. */
import { allReferences, quarantinedAmong } from '@idle-marker/contract';
import { siteState, trustOf } from '@idle-marker/records';
import { msg, sayIn, wordingOf } from '@idle-marker/words';
import { argumentsOf, Wanted } from './arguments.ts';
import { CommandFault, give } from './caller.ts';
import { contentOf } from './site.ts';

const OPTIONS = {
  json: { type: 'boolean' },
  out: { type: 'string', short: 'o' },
  help: { type: 'boolean', short: 'h' },
} as const;

export async function runCheck(args: readonly string[]): Promise<number> {
  const { values, positionals } = argumentsOf(args, OPTIONS);
  const wanted = new Wanted();
  if (positionals.length === 0) wanted.need('ARCHIVE', undefined, 'site.zip');
  wanted.settle();
  let status = 0;
  for (const archive of positionals) {
    const found = await resultOf(archive);
    if (!found.ok) status = 1;
    give(values.json === true ? `${JSON.stringify(found)}\n` : told(archive, found), values.out);
  }
  return status;
}

type Found =
  | { readonly ok: false; readonly archive: string; readonly error: string }
  | {
      readonly ok: true;
      readonly archive: string;
      readonly site: string;
      readonly from: string;
      readonly to: string;
      readonly entries: Readonly<Record<string, number>>;
      readonly sheets: readonly string[];
      readonly files: number;
      /** Entries that were kept before a rule held for them. */
      readonly quarantined: number;
      /** Entries that name another which is not there. */
      readonly loose: readonly string[];
      readonly marksInDoubt: readonly string[];
    };

async function resultOf(archive: string): Promise<Found> {
  try {
    const { facts, sheets, files } = await contentOf(archive);
    const state = siteState(facts);
    sayIn(wordingOf(state.settings));
    const ids = new Set(facts.map(({ id }) => id));
    const entries: Record<string, number> = {};
    for (const { type } of facts) entries[type] = (entries[type] ?? 0) + 1;
    const times = facts.map(({ at }) => at).sort();
    const trust = trustOf(state, times.at(-1)!);
    const names = new Map([...state.marks.values()].map((mark) => [mark.id, mark.body.name]));
    return {
      ok: true,
      archive,
      site: state.settings.name,
      from: times[0]!,
      to: times.at(-1)!,
      entries,
      sheets: sheets.map(({ number, revision }) => `${number}.${revision}`),
      files: files.length,
      quarantined: quarantinedAmong(facts).length,
      loose: facts.flatMap((fact) =>
        allReferences(fact)
          .filter(({ to }) => !ids.has(to))
          .map(({ to }) => `${fact.type} ${fact.id}: ${to}`),
      ),
      marksInDoubt: trust.marks.filter(({ standing }) => standing === 'inDoubt').map(({ id }) => names.get(id) ?? id),
    };
  } catch (error) {
    if (error instanceof CommandFault) return { ok: false, archive, error: error.message };
    throw error;
  }
}

function told(archive: string, found: Found): string {
  if (!found.ok) return `${found.error}\n`;
  const { site, from, to, entries, sheets, files, quarantined, loose, marksInDoubt } = found;
  const all = Object.values(entries).reduce((sum, each) => sum + each, 0);
  const lines = [
    msg('commands.archiveIsWhole', { archive, site }),
    msg('commands.archiveEntries', { all, from, to }),
    ...Object.entries(entries).map(([type, count]) => `    ${type} ${count}`),
    msg('commands.archiveSheets', { sheets: sheets.join(', ') || '–' }),
    msg('commands.archiveFiles', { files }),
    ...(quarantined > 0 ? [msg('commands.archiveQuarantined', { quarantined })] : []),
    ...loose.map((each) => msg('commands.archiveLoose', { each })),
    msg('commands.archiveInDoubt', { marks: marksInDoubt.join(', ') || '–' }),
  ];
  return `${lines.join('\n')}\n`;
}
