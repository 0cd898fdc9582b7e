/** Taking a file as a drawing of the site: read with progress, its unit asked where it says none, kept whole. */
import { useCallback, useRef, useState } from 'react';
import type { Similarity } from '@idle-marker/core';
import { LARGEST_DRAWING_BYTES, type Fact, type FactBody } from '@idle-marker/contract';
import { alikeName } from '@idle-marker/records';
import { msg, drawingWords } from '@idle-marker/words';
import {
  DRAWING_READING,
  type DrawingSaid,
  type DrawingSummary,
  type DrawingUnit,
  type ListHead,
} from '@idle-marker/formats';
import { keepBeside } from '../data/beside.ts';
import { newId } from '../data/uuid.ts';
import { useSite } from '../site/SiteContext.tsx';
import { askDrawing, cancelDrawings } from './drawings.ts';

/** What a person says of a file: the unit of a drawing, null where nobody did; how a list of points is read. */
export interface FileSaid {
  readonly unit: DrawingUnit | null;
  readonly list: DrawingSaid;
}

/** A file that was read and is not kept yet. It is open under `key`. */
export interface ReadFile {
  readonly fileName: string;
  readonly bytes: Uint8Array;
  readonly digest: string;
  readonly key: string;
  readonly summary: DrawingSummary;
  /** How a list of points begins; null for any other drawing. */
  readonly head: ListHead | null;
  readonly said: FileSaid;
}

/** A list of points that could not be read as it stands, and may be when it is said how. */
export interface UnreadList {
  readonly fileName: string;
  readonly bytes: Uint8Array;
  readonly key: string;
  readonly head: ListHead;
  readonly said: FileSaid;
}

/** A drawing that is kept and not said yet. */
export interface KeptFile {
  readonly id: string;
  readonly type: 'drawing';
  readonly body: FactBody<'drawing'>;
}

export interface TakeFile {
  /** What is being read, and how far. */
  readonly reading: { readonly fileName: string; readonly share: number } | null;
  readonly fault: string | null;
  readonly unread: UnreadList | null;
  /** `usual`: the unit where the file says none; `list`: how a list of points is said to be read. */
  read(file: File, usual?: DrawingUnit | null, list?: DrawingSaid): Promise<ReadFile | null>;
  /** Places a file anew that was read already: as it is said, whatever it says itself. Null when it can't be read so. */
  place(read: ReadFile | UnreadList, said: FileSaid, similarity: Similarity | null): Promise<ReadFile | null>;
  cancel(): void;
  /** Keeps its bytes in this browser, and gives what is to be said of it. */
  keep(
    read: ReadFile,
    about: {
      readonly name: string;
      readonly placing: FactBody<'drawing'>['placing'];
      readonly hidden: readonly string[];
      readonly replaces: Fact<'drawing'> | null;
    },
  ): KeptFile;
}

const placeText = ({ unit, list }: FileSaid, similarity: Similarity | null): string =>
  JSON.stringify([unit?.metres, list, similarity]);

const NOBODY_SAID: FileSaid = { unit: null, list: {} };

/** A list has a name and two coordinates at least; what has fewer columns is none. */
const LEAST_COLUMNS = 3;

/** What was said of a list beside its unit, as it is kept; nothing where nothing was. */
function listReadOf({ decimal, columns, order }: DrawingSaid): Pick<FactBody<'drawing'>, 'listRead'> {
  if (!decimal && !columns && !order) return {};
  return {
    listRead: {
      ...(decimal ? { decimal } : {}),
      ...(columns ? { columns: [...columns] } : {}),
      ...(order ? { order } : {}),
    },
  };
}

/** How a kept list was said to be read. */
export const listSaidOf = ({ listUnit, listRead }: FactBody<'drawing'>): DrawingSaid => ({
  unit: listUnit ?? null,
  ...listRead,
});

export function useTakeFile(): TakeFile {
  const { id, state } = useSite();
  const siteUnit = state.settings.lengthUnit;
  const [reading, setReading] = useState<TakeFile['reading']>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [unread, setUnread] = useState<UnreadList | null>(null);
  /** How each file lies by now: asked to lie as it does, it is not read again. */
  const placed = useRef(new Map<string, string>());

  const open = useCallback(
    async (
      key: string,
      fileName: string,
      bytes: Uint8Array,
      said: FileSaid & { readonly usual?: DrawingUnit | null },
      similarity: Similarity | null,
    ): Promise<ReadFile | null> => {
      const { unit, list } = said;
      setReading({ fileName, share: 0 });
      setFault(null);
      setUnread(null);
      const opened = await askDrawing('open', { key, bytes, siteUnit, ...said, similarity }, (done, total) =>
        setReading({ fileName, share: done / total }),
      );
      setReading(null);
      if (!opened) return null;
      if (!opened.ok) {
        setFault(`${fileName}: ${drawingWords(opened.error)}`);
        const { head } = opened;
        if (head && head.columns.length >= LEAST_COLUMNS)
          setUnread({ fileName, bytes, key, head, said: { unit, list } });
        return null;
      }
      placed.current.set(key, placeText(said, similarity));
      const { value: summary, digest, head } = opened;
      return { fileName, bytes, digest, key, summary, head, said: { unit, list } };
    },
    [siteUnit],
  );

  const read = useCallback<TakeFile['read']>(
    async (file, usual = null, list = {}) => {
      setFault(null);
      setUnread(null);
      if (file.size > LARGEST_DRAWING_BYTES) {
        setFault(
          msg('drawings.isOverMbTakeOutWhatIs', {
            name: file.name,
            largestDrawingBytes: LARGEST_DRAWING_BYTES / 1024 / 1024,
          }),
        );
        return null;
      }
      const bytes = new Uint8Array(await file.arrayBuffer());
      return open(`file ${newId()}`, file.name, bytes, { ...NOBODY_SAID, usual, list }, null);
    },
    [open],
  );

  const place = useCallback<TakeFile['place']>(
    async (one, said, similarity) =>
      'summary' in one && placed.current.get(one.key) === placeText(said, similarity)
        ? one
        : open(one.key, one.fileName, one.bytes, said, similarity),
    [open],
  );

  const keep = useCallback<TakeFile['keep']>(
    ({ fileName, bytes, digest, summary, said }, { name, placing, hidden, replaces }) => {
      const file = newId();
      const body: FactBody<'drawing'> = {
        drawing: replaces?.body.drawing ?? newId(),
        name,
        fileName: fileName.slice(0, 200),
        format: summary.format,
        file,
        bytes: bytes.length,
        digest,
        unit: { name: summary.unit.name, metres: summary.unit.metres },
        placing,
        hidden: [...hidden],
        elements: summary.elements,
        ...(said.list.unit ? { listUnit: said.list.unit } : {}),
        ...listReadOf(said.list),
        reading: DRAWING_READING,
        retired: false,
        supersedes: replaces?.id ?? null,
      };
      // A copy: what was handed on to a worker may be gone from here.
      void keepBeside(id, 'sources', file, { mediaType: 'application/octet-stream', bytes: bytes.slice().buffer });
      return { id: newId(), type: 'drawing', body };
    },
    [id],
  );
  return { reading, fault, unread, read, place, keep, cancel: cancelDrawings };
}

/** A name for a drawing from its file's, free of those there are. */
export function nameFor(fileName: string, taken: readonly string[]): string {
  const stem =
    fileName
      .replace(/\.[^.]+$/, '')
      .trim()
      .slice(0, 70) || 'drawing';
  for (let i = 1; ; i++) {
    const name = i === 1 ? stem : `${stem} (${i})`;
    if (alikeName(name, taken) === null) return name;
  }
}
