/** What most crews carry, for a site to begin with: the usual figures, each to be confirmed before it is relied on. */
import type { FactBody } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';

type Item = FactBody<'equipment'>['what'];
type Target = Extract<Item, { kind: 'target' }>;

const target = (name: string, form: Target['form'], constantMm: number): Target => ({
  kind: 'target',
  name,
  form,
  constantMm,
  ownHeight: 0,
});

const usualList = worded((): readonly Item[] => [
  target(msg('records.roundPrism'), 'round', 0),
  target(msg('records.allRoundPrism'), 'allRound', 17),
  target(msg('records.smallPrism'), 'small', 11.5),
  target(msg('records.foil'), 'foil', 0),
  target(msg('records.tripodTarget'), 'round', 0),
  { kind: 'pole', name: msg('common.pole'), bubbleMinutes: 2, bubbleChecked: null },
]);

export const startingLibrary = (newId: () => string): FactBody<'equipment'>[] =>
  usualList().map((what) => ({ item: newId(), what, toConfirm: true, retired: false, supersedes: null }));

/** The same item, confirmed: a revision of its own, so that the book has when. */
export function confirmedItem({
  id,
  body,
}: {
  readonly id: string;
  readonly body: FactBody<'equipment'>;
}): FactBody<'equipment'> {
  const { toConfirm: _toConfirm, ...rest } = body;
  return { ...rest, supersedes: id };
}
