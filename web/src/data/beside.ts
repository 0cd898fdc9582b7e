import { msg } from '@idle-marker/words';
/**
 * What is kept beside the ledger under an id: bytes too large for a fact. They stay in the browser until the server has
 * them.
 */
import { addressOf, bytesIn, call, send, troubleOf } from './server.ts';
import { readBytes, readSetting, writeBytes, writeSetting } from './storage.ts';

export interface Beside {
  readonly mediaType: string;
  readonly bytes: ArrayBuffer;
}

interface Kind {
  readonly name: string;
  readonly waiting: string;
  readonly key: string;
  /** Wanted again here, so kept after the server has them. */
  readonly staysHere: boolean;
  readonly read: 'readImage' | 'readSource';
  readonly keep: 'keepImage' | 'keepSource';
}
const KINDS = {
  images: {
    name: 'photo',
    waiting: 'photos waiting',
    key: 'photo',
    staysHere: false,
    read: 'readImage',
    keep: 'keepImage',
  },
  sources: {
    name: 'file',
    waiting: 'sources waiting',
    key: 'source',
    staysHere: true,
    read: 'readSource',
    keep: 'keepSource',
  },
} as const satisfies Readonly<Record<string, Kind>>;
export type BesideKind = keyof typeof KINDS;

/** Not sent yet, for when the browser has no room for them or takes them away. */
const unsent = new Map<string, Beside>();

export const besideAddress = (site: string, kind: BesideKind, id: string): string =>
  addressOf(KINDS[kind].read, { site, id });
const waitingKey = (site: string, kind: BesideKind): string => `${KINDS[kind].waiting} ${site}`;
const bytesKey = (kind: BesideKind, id: string): string => `${KINDS[kind].key} ${id}`;

const waitingOf = async (site: string, kind: BesideKind): Promise<string[]> =>
  (await readSetting<string[]>(waitingKey(site, kind))) ?? [];

/** Keeps bytes here, and sends them. Gives what keeps them from the server, null once they are there. */
export async function keepBeside(site: string, kind: BesideKind, id: string, beside: Beside): Promise<string | null> {
  unsent.set(id, beside);
  const isKept = await writeBytes(bytesKey(kind, id), beside).then(
    () => true,
    () => false,
  );
  await writeSetting(waitingKey(site, kind), [...(await waitingOf(site, kind)), id]);
  const trouble = await sendBeside(site, kind);
  return trouble === null || isKept ? trouble : msg('data.theBrowserHasNoRoomForIt', { trouble });
}

/** Sends what waits; the first refusal or a server that is away ends it. */
export async function sendBeside(site: string, kind: BesideKind): Promise<string | null> {
  const { name, staysHere, keep } = KINDS[kind];
  for (const id of await waitingOf(site, kind)) {
    const beside = await besideHere(kind, id);
    if (beside) {
      try {
        await call(keep, { site, id }, { file: beside });
      } catch (error) {
        return troubleOf(error, msg('data.theWaitsInThisBrowserAndGoes', { name }));
      }
      if (!staysHere) await writeBytes(bytesKey(kind, id), null).catch(() => undefined);
      unsent.delete(id);
    }
    await writeSetting(
      waitingKey(site, kind),
      (await waitingOf(site, kind)).filter((each) => each !== id),
    );
  }
  return null;
}

/** What is kept here under an id; null when it is not. */
export const besideHere = async (kind: BesideKind, id: string): Promise<Beside | null> =>
  (await readBytes<Beside | null>(bytesKey(kind, id))) ?? unsent.get(id) ?? null;

/** The bytes of a file: from here, or from the server and then kept here. Null when neither has it at the moment. */
export async function sourceBytes(site: string, id: string): Promise<Uint8Array | null> {
  const here = await besideHere('sources', id);
  if (here) return new Uint8Array(here.bytes);
  try {
    const bytes = await bytesIn(await send('readSource', { site, id }));
    await writeBytes(bytesKey('sources', id), { mediaType: 'application/octet-stream', bytes }).catch(() => undefined);
    return new Uint8Array(bytes);
  } catch {
    return null;
  }
}
