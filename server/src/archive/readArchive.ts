/**
 * An archive read back: everything is checked against its list of contents and against the rules that hold for facts
 * that come one by one. All of it is taken in, or nothing.
 */
import { createHash, type Hash } from 'node:crypto';
import { StringDecoder } from 'node:string_decoder';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import {
  Instant,
  invalidAgainst,
  invalidFact,
  invalidShape,
  LARGEST_BODY_BYTES,
  type AnyFact,
  type Invalid,
} from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { insertLaterReferencesOf } from '../database/facts.ts';
import { keepFile } from '../database/files.ts';
import { insertSheet, isHandedOver, isSheetSame } from '../database/sheets.ts';

import { appendFacts } from '../facts/ledger.ts';
import { isUnwritable, ProblemError } from '../http/problems.ts';
import { isTimeZone } from '../http/timeZone.ts';
import { imageTypeOf } from '../images/sniff.ts';
import { ARCHIVE_VERSION, FACTS, MANIFEST, ManifestSchema, refused, SHEETS, type Manifest } from './manifest.ts';
import { SheetLineSchema, type SheetLine } from './sheetLine.ts';
import { unzipped } from './unzipped.ts';

const UUID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const BESIDE_PATH = new RegExp(`^(images|sources)/(${UUID})$`);
/** Facts a statement, by their number and by what they come to. */
const AT_ONCE = 1000;
const LETTERS_AT_ONCE = 4 * 1024 * 1024;
/** A sheet carries every mark of its package. */
const LONGEST_SHEET = 16 * LARGEST_BODY_BYTES;

export interface ArchiveTaken {
  readonly site: string;
  readonly name: string;
  /** Facts that were not here yet. */
  readonly facts: number;
  readonly files: number;
}

/** Takes what is unpacked of one file of the archive. */
interface Taker {
  take(bytes: Uint8Array): Promise<void>;
  end(): Promise<void>;
}

export async function readArchive(orm: MikroORM, stream: AsyncIterable<Uint8Array>): Promise<ArchiveTaken> {
  try {
    return await orm.em.fork().transactional((em) => new Reading(em).read(stream));
  } catch (error) {
    if (isUnwritable(error)) throw refused(msg('answers.theArchiveHoldsAValueThatCant'));
    throw error;
  }
}

class Reading {
  private readonly em: EntityManager;
  private manifest: Manifest | null = null;
  private readonly seen = new Set<string>();
  private facts = 0;
  private files = 0;

  constructor(em: EntityManager) {
    this.em = em;
  }

  async read(stream: AsyncIterable<Uint8Array>): Promise<ArchiveTaken> {
    let open: { readonly path: string; readonly taker: Taker; readonly hash: Hash } | null = null;
    for await (const { path, bytes, final } of unzipped(stream)) {
      open ??= { path, taker: this.takerOf(path), hash: createHash('sha256') };
      open.hash.update(bytes);
      await open.taker.take(bytes);
      if (!final) continue;
      await open.taker.end();
      if (path !== MANIFEST && open.hash.digest('hex') !== this.manifest!.files[path])
        throw refused(msg('answers.isNotAsItWasWrittenThe', { path }));
      open = null;
    }
    const { manifest, facts, files } = this;
    if (manifest === null) throw refused(msg('answers.thisIsNoArchiveOfASite'));
    const missing = Object.keys(manifest.files).find((path) => !this.seen.has(path));
    if (missing) throw refused(msg('answers.isOnTheArchivesListOfContents', { missing }));
    return { site: manifest.site, name: manifest.name, facts, files };
  }

  private takerOf(path: string): Taker {
    const { em, manifest } = this;
    if (manifest === null) {
      if (path !== MANIFEST) throw refused(msg('answers.thisIsNoArchiveOfASite2'));
      return whole((bytes) => {
        this.manifest = manifestOf(bytes);
        return Promise.resolve();
      });
    }
    if (!Object.hasOwn(manifest.files, path)) throw refused(msg('answers.isNotOnTheArchivesListOf', { path }));
    if (this.seen.has(path)) throw refused(msg('answers.isInTheArchiveTwice', { path }));
    this.seen.add(path);
    if (path === FACTS) return new Facts(em, manifest, (written) => (this.facts += written));
    if (path === SHEETS) return lines(SHEETS, LONGEST_SHEET, (text, line) => takeSheet(em, manifest.site, text, line));
    return whole(async (bytes) => {
      this.files += await takeBeside(em, manifest.site, path, bytes, manifest.files[path]!);
    });
  }
}

function whole(take: (bytes: Buffer) => Promise<void>): Taker {
  const parts: Uint8Array[] = [];
  return {
    take: (bytes) => {
      parts.push(bytes);
      return Promise.resolve();
    },
    end: () => take(Buffer.concat(parts)),
  };
}

/** Line by line, without holding more than one of them. */
function lines(path: string, longest: number, take: (text: string, line: number) => Promise<void>): Taker {
  const decoder = new StringDecoder('utf8');
  let rest = '';
  let line = 0;
  const cut = async (text: string, last: boolean) => {
    const found = `${rest}${text}`.split('\n');
    rest = last ? '' : found.pop()!;
    if (rest.length > longest)
      throw refused(msg('answers.lineIsLongerThanSuchALine', { path, line: line + found.length + 1 }));
    for (const each of found) {
      line++;
      if (each !== '') await take(each, line);
    }
  };
  return {
    take: (bytes) => cut(decoder.write(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength)), false),
    end: () => cut(decoder.end(), true),
  };
}

function parsed(path: string, text: string, line?: number): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw refused(msg('answers.isNotJson', { path, line: line === undefined ? '' : msg('answers.line', { line }) }));
  }
}

function manifestOf(bytes: Buffer): Manifest {
  const manifest = parsed(MANIFEST, bytes.toString('utf8'));
  const invalid = invalidAgainst(ManifestSchema, manifest);
  if (invalid) throw refused(msg('answers.theArchivesListOfContentsIsNot', { message: invalid.message }));
  const { version } = manifest as Manifest;
  if (version > ARCHIVE_VERSION) throw refused(msg('answers.theArchiveWasWrittenByALater', { version }));
  return manifest as Manifest;
}

/** Facts with the lines that they stand on, some at a time. */
class Facts implements Taker {
  readonly take: Taker['take'];
  private readonly lines: Taker;
  private readonly em: EntityManager;
  private readonly site: string;
  private readonly quarantined: ReadonlySet<string>;
  private readonly wrote: (facts: number) => void;
  private batch: { readonly fact: AnyFact; readonly orderedAt: string | null; readonly line: number }[] = [];
  private letters = 0;
  private saysSite = false;

  constructor(em: EntityManager, { site, quarantined = [] }: Manifest, wrote: (facts: number) => void) {
    [this.em, this.site, this.quarantined, this.wrote] = [em, site, new Set(quarantined), wrote];
    this.lines = lines(FACTS, LARGEST_BODY_BYTES, (text, line) => this.line(text, line));
    this.take = (bytes) => this.lines.take(bytes);
  }

  async end(): Promise<void> {
    await this.lines.end();
    if (!this.saysSite) throw refused(msg('answers.doesNotSayWhatSiteItIs', { facts: FACTS }));
    await this.write();
    // What was kept before its reference was held to may have arrived before what it names.
    await insertLaterReferencesOf(this.em, this.site);
  }

  private async line(text: string, line: number): Promise<void> {
    const { orderedAt, fact } = withoutOrder(parsed(FACTS, text, line));
    const { id } = (fact ?? {}) as Partial<AnyFact>;
    const isQuarantined = id !== undefined && this.quarantined.has(id);
    const unfit = isQuarantined ? invalidShape(fact) : invalidFact(fact);
    const invalid = unfit ?? (orderedAt === undefined ? null : invalidOrder(orderedAt, fact as AnyFact));
    if (invalid)
      throw refused(
        msg('answers.line2', {
          facts: FACTS,
          line,
          message: invalid.message,
          path: invalid.path || msg('answers.theFactItself'),
        }),
      );
    this.batch.push({ fact: fact as AnyFact, orderedAt: (orderedAt as string | undefined) ?? null, line });
    this.letters += text.length;
    this.saysSite ||= (fact as AnyFact).type === 'site';
    if (this.batch.length >= AT_ONCE || this.letters >= LETTERS_AT_ONCE) await this.write();
  }

  private async write(): Promise<void> {
    const batch = this.batch;
    [this.batch, this.letters] = [[], 0];
    try {
      const facts = batch.map(({ fact }) => fact);
      const order = new Map(batch.map(({ fact, orderedAt }) => [fact.id, orderedAt]));
      this.wrote(
        (
          await appendFacts(this.em, this.site, facts, ({ id }) => order.get(id) ?? null, {
            quarantined: this.quarantined,
          })
        ).written,
      );
    } catch (error) {
      throw error instanceof ProblemError ? againstWhatIsHere(error, batch) : error;
    }
  }
}

/** What a server has put beside a fact is no part of it. */
function withoutOrder(document: unknown): { readonly orderedAt: unknown; readonly fact: unknown } {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return { orderedAt: undefined, fact: document };
  const { orderedAt, ...fact } = document as { readonly orderedAt?: unknown };
  return { orderedAt, fact };
}

function invalidOrder(orderedAt: unknown, { at }: AnyFact): Invalid | null {
  const invalid = invalidAgainst(Instant, orderedAt);
  if (invalid) return { ...invalid, path: '/orderedAt' };
  return Date.parse(orderedAt as string) < Date.parse(at)
    ? null
    : { code: 'INVALID_INPUT', path: '/orderedAt', message: msg('answers.orderedatIsNotBeforeTheStamp') };
}

/**
 * The same site, gone on differently in two places, is told by what differs rather than by ids that nobody has ever
 * seen.
 */
function againstWhatIsHere(error: ProblemError, batch: Facts['batch']): ProblemError {
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

/** A sheet as it was issued. One that no entry says was handed over is no sheet of this site. */
async function takeSheet(em: EntityManager, site: string, text: string, line: number): Promise<void> {
  const document = parsed(SHEETS, text, line);
  const invalid = invalidAgainst(SheetLineSchema, document);
  if (invalid)
    throw refused(
      msg('answers.lineIsNoSheet', {
        sheets: SHEETS,
        line,
        message: invalid.message,
        path: invalid.path || msg('answers.theSheetItself'),
      }),
    );
  const { id, number, revision, content, issuedAt } = document as SheetLine;
  if (!isTimeZone(content.timeZone))
    throw refused(msg('answers.lineIsNoSheetIsNoTime', { sheets: SHEETS, line, timeZone: content.timeZone }));
  const sheet = { id, number, revision, content };
  const same = await isSheetSame(em, site, sheet);
  if (same === false)
    throw new ProblemError('CONFLICT', msg('answers.cutSheetRevisionIsKeptHereWith', { number, revision }));
  if (same) return;
  if (!(await isHandedOver(em, site, sheet)))
    throw refused(msg('answers.lineNoEntrySaysThatCutSheet', { sheets: SHEETS, line, number, revision }));
  await insertSheet(em, site, sheet, issuedAt);
}

/** A photo or a drawing; gives how many were written. */
async function takeBeside(
  em: EntityManager,
  site: string,
  path: string,
  bytes: Buffer,
  digest: string,
): Promise<number> {
  const [, folder, id] = BESIDE_PATH.exec(path) ?? [];
  if (!folder || !id) throw refused(msg('answers.isNothingThatBelongsInAnArchive', { path }));
  const mediaType = folder === 'images' ? imageTypeOf(bytes) : undefined;
  if (mediaType === null) throw refused(msg('answers.isNoJpegPngOrWebpPicture', { path }));
  const kept = await keepFile(em, folder === 'images' ? 'image' : 'source_file', {
    site,
    id,
    bytes,
    digest,
    mediaType,
  });
  if (kept === 'known') return 0;
  if (kept === 'homeless') throw refused(msg('answers.comesBeforeTheEntriesOfItsSite', { path }));
  if (kept === 'other') throw new ProblemError('CONFLICT', msg('answers.isKeptHereWithOtherContentNothing', { path }));
  return 1;
}
