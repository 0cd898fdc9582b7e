/**
 * An archive read: everything is checked against its list of contents and against the rules that hold for facts that
 * come one by one. Whoever keeps it gets it piece by piece, and has to keep all of it or nothing.
 */
import { createHash, type Hash } from 'node:crypto';
import { StringDecoder } from 'node:string_decoder';
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
import { imageTypeOf, type ImageType } from './imageType.ts';
import { ARCHIVE_VERSION, FACTS, MANIFEST, ManifestSchema, refused, SHEETS, type Manifest } from './manifest.ts';
import { SheetLineSchema, type SheetLine } from './sheetLine.ts';
import { isTimeZone } from './timeZone.ts';
import { unzipped } from './unzipped.ts';

const UUID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const BESIDE_PATH = new RegExp(`^(images|sources)/(${UUID})$`);
/** Facts a statement, by their number and by what they come to. */
const AT_ONCE = 1000;
const LETTERS_AT_ONCE = 4 * 1024 * 1024;
/** A sheet carries every mark of its package. */
const LONGEST_SHEET = 16 * LARGEST_BODY_BYTES;

export interface ArchivedFact {
  readonly fact: AnyFact;
  /** What a server put in the place of its stamp; null where it put nothing. */
  readonly orderedAt: string | null;
  readonly line: number;
}

/** A photo or a drawing. */
export interface ArchivedFile {
  readonly path: string;
  readonly folder: 'images' | 'sources';
  readonly id: string;
  readonly bytes: Buffer;
  /** SHA-256. */
  readonly digest: string;
  /** Of a photo what its bytes are. */
  readonly mediaType: ImageType | undefined;
}

/** Takes what is in an archive, in its order. */
export interface ArchiveKeeper {
  facts(facts: readonly ArchivedFact[]): Promise<void>;
  /** All facts have come. */
  factsEnd?(): Promise<void>;
  sheet(sheet: SheetLine, line: number): Promise<void>;
  file(file: ArchivedFile): Promise<void>;
}

/**
 * Reads an archive to whoever `begin` gives for it.
 *
 * @throws ArchiveRefused for what is no archive, is damaged, or breaks a rule
 */
export async function readArchive(
  stream: AsyncIterable<Uint8Array>,
  begin: (manifest: Manifest) => ArchiveKeeper,
): Promise<Manifest> {
  return new Reading(begin).read(stream);
}

/** Takes what is unpacked of one file of the archive. */
interface Taker {
  take(bytes: Uint8Array): Promise<void>;
  end(): Promise<void>;
}

class Reading {
  private readonly begin: (manifest: Manifest) => ArchiveKeeper;
  private known: { readonly manifest: Manifest; readonly keeper: ArchiveKeeper } | null = null;
  private readonly seen = new Set<string>();

  constructor(begin: (manifest: Manifest) => ArchiveKeeper) {
    this.begin = begin;
  }

  async read(stream: AsyncIterable<Uint8Array>): Promise<Manifest> {
    let open: { readonly path: string; readonly taker: Taker; readonly hash: Hash } | null = null;
    for await (const { path, bytes, final } of unzipped(stream)) {
      open ??= { path, taker: this.takerOf(path), hash: createHash('sha256') };
      open.hash.update(bytes);
      await open.taker.take(bytes);
      if (!final) continue;
      await open.taker.end();
      if (path !== MANIFEST && open.hash.digest('hex') !== this.known!.manifest.files[path])
        throw refused(msg('answers.isNotAsItWasWrittenThe', { path }));
      open = null;
    }
    if (this.known === null) throw refused(msg('answers.thisIsNoArchiveOfASite'));
    const { manifest } = this.known;
    const missing = Object.keys(manifest.files).find((path) => !this.seen.has(path));
    if (missing) throw refused(msg('answers.isOnTheArchivesListOfContents', { missing }));
    return manifest;
  }

  private takerOf(path: string): Taker {
    if (this.known === null) {
      if (path !== MANIFEST) throw refused(msg('answers.thisIsNoArchiveOfASite2'));
      return whole((bytes) => {
        const manifest = manifestOf(bytes);
        this.known = { manifest, keeper: this.begin(manifest) };
        return Promise.resolve();
      });
    }
    const { manifest, keeper } = this.known;
    if (!Object.hasOwn(manifest.files, path)) throw refused(msg('answers.isNotOnTheArchivesListOf', { path }));
    if (this.seen.has(path)) throw refused(msg('answers.isInTheArchiveTwice', { path }));
    this.seen.add(path);
    if (path === FACTS) return new Facts(keeper, manifest);
    if (path === SHEETS) return lines(SHEETS, LONGEST_SHEET, (text, line) => keeper.sheet(sheetOf(text, line), line));
    return whole((bytes) => keeper.file(fileOf(path, bytes, manifest.files[path]!)));
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
  private readonly keeper: ArchiveKeeper;
  private readonly quarantined: ReadonlySet<string>;
  private batch: ArchivedFact[] = [];
  private letters = 0;
  private saysSite = false;

  constructor(keeper: ArchiveKeeper, { quarantined = [] }: Manifest) {
    [this.keeper, this.quarantined] = [keeper, new Set(quarantined)];
    this.lines = lines(FACTS, LARGEST_BODY_BYTES, (text, line) => this.line(text, line));
    this.take = (bytes) => this.lines.take(bytes);
  }

  async end(): Promise<void> {
    await this.lines.end();
    if (!this.saysSite) throw refused(msg('answers.doesNotSayWhatSiteItIs', { facts: FACTS }));
    await this.pass();
    await this.keeper.factsEnd?.();
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
    if (this.batch.length >= AT_ONCE || this.letters >= LETTERS_AT_ONCE) await this.pass();
  }

  private async pass(): Promise<void> {
    const batch = this.batch;
    [this.batch, this.letters] = [[], 0];
    await this.keeper.facts(batch);
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

function sheetOf(text: string, line: number): SheetLine {
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
  const sheet = document as SheetLine;
  const { timeZone } = sheet.content;
  if (!isTimeZone(timeZone)) throw refused(msg('answers.lineIsNoSheetIsNoTime', { sheets: SHEETS, line, timeZone }));
  return sheet;
}

function fileOf(path: string, bytes: Buffer, digest: string): ArchivedFile {
  const [, folder, id] = BESIDE_PATH.exec(path) ?? [];
  if (!folder || !id) throw refused(msg('answers.isNothingThatBelongsInAnArchive', { path }));
  const mediaType = folder === 'images' ? imageTypeOf(bytes) : undefined;
  if (mediaType === null) throw refused(msg('answers.isNoJpegPngOrWebpPicture', { path }));
  return { path, folder: folder as ArchivedFile['folder'], id, bytes, digest, mediaType };
}
