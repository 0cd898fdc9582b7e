/** An archive as it is, in memory: for who reads it without keeping it. */
import type { StoredFact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { refused, SHEETS, type Manifest } from './manifest.ts';
import { readArchive, type ArchivedFile } from './readArchive.ts';
import type { SheetLine } from './sheetLine.ts';

export interface ArchiveContent {
  readonly manifest: Manifest;
  /** In their order of arrival. */
  readonly facts: readonly StoredFact[];
  readonly sheets: readonly SheetLine[];
  readonly files: readonly ArchivedFile[];
}

/** @throws ArchiveRefused for what is no archive, is damaged, or breaks a rule */
export async function archiveInMemory(stream: AsyncIterable<Uint8Array>): Promise<ArchiveContent> {
  const facts: StoredFact[] = [];
  const sheets: SheetLine[] = [];
  const files: ArchivedFile[] = [];
  const manifest = await readArchive(stream, () => ({
    facts: (batch) => {
      for (const { fact, orderedAt } of batch)
        facts.push({ ...fact, ...(orderedAt === null ? {} : { orderedAt }) } as StoredFact);
      return Promise.resolve();
    },
    sheet: (sheet, line) => {
      const { id, number, revision } = sheet;
      const isHandedOver = facts.some(
        ({ type, body }) => type === 'handover' && (body as { sheet: string }).sheet === id,
      );
      if (!isHandedOver)
        throw refused(msg('answers.lineNoEntrySaysThatCutSheet', { sheets: SHEETS, line, number, revision }));
      sheets.push(sheet);
      return Promise.resolve();
    },
    file: (file) => {
      files.push(file);
      return Promise.resolve();
    },
  }));
  return { manifest, facts, sheets, files };
}
