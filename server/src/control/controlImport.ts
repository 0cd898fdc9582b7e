/** A control list, read and written in one transaction: all rows or none. */
import { v5 } from './nameUuid.ts';
import type { EntityManager } from '@mikro-orm/postgresql';
import { invalidFact, type AnyFact, type ControlImport, type Fact } from '@idle-marker/contract';
import { readControlBytes, sameName, type ControlRow } from '@idle-marker/formats';
import { siteState } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { appendFacts, orderedOnArrival, readAllFacts } from '../facts/ledger.ts';

const NAME_FOR_PROOF = /^P\d/;

/** Writes the list's rows as control revisions; ids follow from the import's id, so sending it twice writes it once. */
export async function importControl(
  em: EntityManager,
  site: string,
  id: string,
  bytes: Uint8Array,
  options: ControlImport,
  arrival: Date | null,
): Promise<{ written: number; rows: number }> {
  const revisions = controlRevisions(await readAllFacts(em, site), id, bytes, options);
  const { written } = await appendFacts(em, site, revisions, orderedOnArrival(arrival));
  return { written, rows: revisions.length };
}

/** The revisions that a list gives beside what a site has; throws for the first row that is not fit to be written. */
export function controlRevisions(
  facts: readonly AnyFact[],
  id: string,
  bytes: Uint8Array,
  options: ControlImport,
): Fact<'control'>[] {
  const list = readControlBytes(bytes, { unit: options.unit, xIsNorth: options.xIsNorth, said: options.said ?? {} });
  if (!list.ok) {
    const { code } = list.error;
    throw new ProblemError(
      'INVALID_FILE',
      code === 'EMPTY_FILE'
        ? msg('answers.theFileIsEmptyNothingWasWritten')
        : code === 'NOT_TEXT'
          ? msg('answers.theFileIsNotUtf8Text')
          : msg('answers.theListCanNotBeReadNothing', { code }),
    );
  }
  const rows = list.value.rows.filter((row) => !options.skipRows.includes(row.row));
  const bad = rows.find((row) => row.issues.length > 0);
  if (bad)
    throw new ProblemError(
      'INVALID_FILE',
      msg('answers.rowHasAFaultMendItOr', { row: bad.row, code: bad.issues[0]!.code }),
      `/rows/${bad.row}`,
    );
  const known = new Map(
    facts.length > 0 ? siteState(facts).control.map((mark) => [sameName(mark.revision.body.name), mark.revision]) : [],
  );
  const seen = new Set<string>();
  return rows.map((row, i): Fact<'control'> => {
    const key = sameName(row.name);
    if (seen.has(key))
      throw new ProblemError(
        'INVALID_FILE',
        msg('answers.rowIsInTheListTwiceLeave', { row: row.row, name: row.name }),
        `/rows/${row.row}`,
      );
    seen.add(key);
    const revision = revisionOf(id, row, i, options, known.get(key) ?? null);
    const invalid = invalidFact(revision);
    if (invalid)
      throw new ProblemError(
        'INVALID_FILE',
        msg('answers.rowMendItOrLeaveItOut', { row: row.row, message: invalid.message }),
        `/rows/${row.row}`,
      );
    return revision;
  });
}

function revisionOf(
  importId: string,
  row: ControlRow,
  index: number,
  options: ControlImport,
  known: Fact<'control'> | null,
): Fact<'control'> {
  const swap = options.swapRows.includes(row.row);
  const factId = v5(importId, `revision/${row.row}`);
  // The same import sent again finds its own rows as known: it must then give the very same facts.
  const previous = known?.id === factId ? null : known;
  return {
    id: factId,
    type: 'control',
    at: options.at,
    device: `list ${importId}`,
    seq: index,
    by: options.by,
    body: {
      mark: known && known.id !== factId ? known.body.mark : v5(importId, `mark/${row.row}`),
      name: row.name,
      e: swap ? row.n : row.e,
      n: swap ? row.e : row.n,
      z: row.z,
      sdHMm: row.e === null ? null : (row.sdPlanMm ?? options.sdHMm),
      sdZMm: row.z === null ? null : (row.sdHeightMm ?? options.sdZMm),
      kind: row.kind,
      usePlan: row.e !== null && row.kind !== 'benchmark',
      useHeight: row.z !== null,
      forProof: NAME_FOR_PROOF.test(row.name),
      condition: row.condition,
      note: row.note,
      source: msg('answers.row', { fileName: options.fileName, row: row.row }),
      supersedes: previous?.id ?? null,
    },
  };
}
