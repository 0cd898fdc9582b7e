/** An archive taken in: all of it is kept, or nothing. */
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import {
  ArchiveRefused,
  FACTS,
  readArchive as readFrom,
  SHEETS,
  type ArchivedFact,
  type ArchivedFile,
  type ArchiveKeeper,
  type Manifest,
  type SheetLine,
} from '@idle-marker/archive';
import { msg } from '@idle-marker/words';
import { insertLaterReferencesOf } from '../database/facts.ts';
import { keepFile } from '../database/files.ts';
import { insertSheet, isHandedOver, isSheetSame } from '../database/sheets.ts';
import { appendFacts } from '../facts/ledger.ts';
import { isUnwritable, ProblemError } from '../http/problems.ts';

export interface ArchiveTaken {
  readonly site: string;
  readonly name: string;
  /** Facts that were not here yet. */
  readonly facts: number;
  readonly files: number;
}

/** Says that nothing was kept of it. */
export const refused = (what: string): ProblemError =>
  new ProblemError('INVALID_ARCHIVE', msg('answers.nothingWasWritten', { what }));

export async function readArchive(orm: MikroORM, stream: AsyncIterable<Uint8Array>): Promise<ArchiveTaken> {
  try {
    return await orm.em.fork().transactional(async (em) => {
      let keeper: DatabaseKeeper | null = null;
      const { site, name } = await readFrom(stream, (manifest) => (keeper = new DatabaseKeeper(em, manifest)));
      const { written, files } = keeper!;
      return { site, name, facts: written, files };
    });
  } catch (error) {
    if (error instanceof ArchiveRefused) throw refused(error.message);
    if (isUnwritable(error)) throw refused(msg('answers.theArchiveHoldsAValueThatCant'));
    throw error;
  }
}

class DatabaseKeeper implements ArchiveKeeper {
  written = 0;
  files = 0;
  private readonly em: EntityManager;
  private readonly site: string;
  private readonly quarantined: ReadonlySet<string>;

  constructor(em: EntityManager, { site, quarantined = [] }: Manifest) {
    [this.em, this.site, this.quarantined] = [em, site, new Set(quarantined)];
  }

  async facts(batch: readonly ArchivedFact[]): Promise<void> {
    try {
      const order = new Map(batch.map(({ fact, orderedAt }) => [fact.id, orderedAt]));
      this.written += (
        await appendFacts(
          this.em,
          this.site,
          batch.map(({ fact }) => fact),
          ({ id }) => order.get(id) ?? null,
          { quarantined: this.quarantined },
        )
      ).written;
    } catch (error) {
      throw error instanceof ProblemError ? againstWhatIsHere(error, batch) : error;
    }
  }

  /** What was kept before its reference was held to may have arrived before what it names. */
  async factsEnd(): Promise<void> {
    await insertLaterReferencesOf(this.em, this.site);
  }

  /** A sheet as it was issued. One that no entry says was handed over is no sheet of this site. */
  async sheet({ id, number, revision, content, issuedAt }: SheetLine, line: number): Promise<void> {
    const { em, site } = this;
    const sheet = { id, number, revision, content };
    const same = await isSheetSame(em, site, sheet);
    if (same === false)
      throw new ProblemError('CONFLICT', msg('answers.cutSheetRevisionIsKeptHereWith', { number, revision }));
    if (same) return;
    if (!(await isHandedOver(em, site, sheet)))
      throw refused(msg('answers.lineNoEntrySaysThatCutSheet', { sheets: SHEETS, line, number, revision }));
    await insertSheet(em, site, sheet, issuedAt);
  }

  async file({ path, folder, id, bytes, digest, mediaType }: ArchivedFile): Promise<void> {
    const kept = await keepFile(this.em, folder === 'images' ? 'image' : 'source_file', {
      site: this.site,
      id,
      bytes,
      digest,
      mediaType,
    });
    if (kept === 'homeless') throw refused(msg('answers.comesBeforeTheEntriesOfItsSite', { path }));
    if (kept === 'other')
      throw new ProblemError('CONFLICT', msg('answers.isKeptHereWithOtherContentNothing', { path }));
    if (kept !== 'known') this.files++;
  }
}

/**
 * The same site, gone on differently in two places, is told by what differs rather than by ids that nobody has ever
 * seen.
 */
function againstWhatIsHere(error: ProblemError, batch: readonly ArchivedFact[]): ProblemError {
  const found = batch.find(({ fact }) => fact.id === error.about);
  const which = found
    ? msg('answers.lineOfOfUtc', {
        line: found.line,
        facts: FACTS,
        type: found.fact.type,
        at: found.fact.at.slice(0, 16).replace('T', ' '),
      })
    : '';
  switch (error.code) {
    case 'CONFLICT':
    case 'SEQUENCE_TAKEN':
      return new ProblemError(error.code, msg('answers.thisSiteIsHereAlreadyAndTells', { which }));
    case 'MISSING_REFERENCE':
      return refused(msg('answers.anEntryInRefersToAnotherThat', { facts: FACTS }));
    default:
      return error;
  }
}
