/** Issuing a sheet: the server collects it from the facts, gives it its number and freezes it. */
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import type { AnyFact, Fact, IssueRequest } from '@idle-marker/contract';
import { cutSheet, memberName, siteState, trustOf, type CutSheet, type NumberedSheet } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { insertSheet, sheetsOf, type SheetRow } from '../database/sheets.ts';
import { lockQueue } from '../database/sites.ts';
import { ProblemError } from '../http/problems.ts';
import { appendFacts, orderedOnArrival, readAllFacts } from '../facts/ledger.ts';

type SheetRecord = SheetRow<CutSheet & { readonly packageRoot: string }>;

/** Revisions of one sheet are of one package and of one part of it. */
const isSameSheet =
  (root: string, { selection = null }: Pick<CutSheet, 'selection'>) =>
  (sheet: SheetRecord): boolean =>
    sheet.content.packageRoot === root && (sheet.content.selection ?? null) === selection;

export const readSheets = (em: EntityManager, site: string): Promise<SheetRecord[]> => sheetsOf(em, site);

export function numbered({ number, revision, content }: SheetRecord): NumberedSheet {
  // The root is how revisions of one package find each other here; it is nothing to print.
  const { packageRoot: _packageRoot, ...sheet } = content;
  return { ...sheet, number, revision };
}

/** Issues a sheet once: the same id again gives the same sheet. */
export async function issueSheet(
  orm: MikroORM,
  site: string,
  id: string,
  request: IssueRequest,
  arrival: Date | null,
): Promise<{ sheet: NumberedSheet; fresh: boolean }> {
  return orm.em.fork().transactional(async (em) => {
    await lockQueue(em, 'sheets', site);
    const issued = await readSheets(em, site);
    const known = issued.find((sheet) => sheet.id === id);
    if (known) return { sheet: numbered(known), fresh: false };
    const facts = await readAllFacts(em, site);
    const { content, root } = collect(facts, request, issued);
    const earlier = issued.filter(isSameSheet(root, content));
    const number = earlier[0]?.number ?? Math.max(0, ...issued.map((sheet) => sheet.number)) + 1;
    const revision = Math.max(0, ...earlier.map((sheet) => sheet.revision)) + 1;
    await insertSheet(em, site, { id, number, revision, content: { ...content, packageRoot: root } }, request.at);
    const handover: Fact<'handover'> = {
      id: request.fact,
      type: 'handover',
      at: request.at,
      device: request.device,
      seq: request.seq,
      by: request.by,
      body: {
        sheet: id,
        number,
        revision,
        package: request.package,
        marks: content.rows.map((row) => row.mark),
        withheld: content.withheld.map((each) => each.mark),
        ...(request.givenTo ? { givenTo: request.givenTo } : {}),
      },
    };
    await appendFacts(em, site, [handover], orderedOnArrival(arrival));
    return { sheet: { ...content, number, revision }, fresh: true };
  });
}

function collect(
  facts: readonly AnyFact[],
  request: IssueRequest,
  issued: readonly SheetRecord[],
): { content: CutSheet; root: string } {
  const state = facts.length > 0 ? siteState(facts) : null;
  const asked = state?.packages.find((each) => each.id === request.package);
  if (!state || !asked)
    throw new ProblemError('MISSING_REFERENCE', msg('answers.thisWorkPackageHasNotArrivedOr'), '/package');
  const root = state.packageRoots.get(asked.id)!;
  const {
    selection = null,
    givenTo = null,
    bothHeights = false,
    coordinates = false,
    validUntil = null,
    remarks = '',
  } = request;
  const strangers = selection?.keys.filter((key) => !asked.body.plans.some((plan) => plan.key === key)) ?? [];
  if (strangers.length > 0)
    throw new ProblemError(
      'INVALID_INPUT',
      msg('answers.isNoMarkOfThisPackageNothing', { strangers: strangers[0] }),
      '/selection/keys',
    );
  const previous = issued.findLast(isSameSheet(root, { selection: selection?.name ?? null }))?.content ?? null;
  const content = cutSheet(
    state,
    trustOf(state, request.at),
    {
      package: asked,
      issuedBy: memberName(state, request.by),
      issuedAt: request.at,
      timeZone: request.timeZone,
      selection,
      givenTo,
      bothHeights,
      coordinates,
      validUntil,
      remarks,
    },
    previous,
  );
  if (content.rows.length === 0 && content.withheld.length === 0) {
    throw new ProblemError('INVALID_INPUT', msg('answers.noMarkOfThisPackageIsSet'), '/package');
  }
  return { content, root };
}
