import { useEffect, useState } from 'react';
import { msg } from '@idle-marker/words';
import { askDrawing } from '../../drawings/drawings.ts';
import { tilesOf } from '../../drawings/tiles.ts';
import type { ReadFile } from '../../drawings/useTakeFile.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { Extent, UnderlayTile } from '../../board/underlay.ts';

interface PlainDrawing {
  readonly key: string;
  readonly tiles: readonly UnderlayTile[];
  readonly extent: Extent | null;
}

/** A drawing in its own coordinates, in metres, open beside the one that is placed. Null while it is read. */
export function usePlainDrawing({ digest, bytes, summary, said: { list } }: ReadFile): PlainDrawing | null {
  const { lengthUnit } = useSite().state.settings;
  const [plain, setPlain] = useState<PlainDrawing | null>(null);
  const { unit } = summary;
  useEffect(() => {
    let gone = false;
    const key = msg('design.plain', { digest });
    const open = async () => {
      const opened = await askDrawing('open', { key, bytes, siteUnit: lengthUnit, unit, list, similarity: null });
      if (!opened?.ok) return;
      const tiles = await tilesOf((await askDrawing('lines', { key })) ?? []);
      if (!gone) setPlain({ key, tiles, extent: opened.value.extent });
    };
    void open();
    return () => {
      gone = true;
      void askDrawing('close', { key });
    };
  }, [digest, bytes, lengthUnit, unit, list]);
  return plain;
}
