/**
 * What a station is truly taken from: a benchmark that its height was only compared with is no support of it, but can
 * prove it.
 */
import type { Fact, FactBody } from '@idle-marker/contract';

type Use = FactBody<'solution'>['uses'][number];

/**
 * The uses of a solution with `height` only where its height comes from. Over a mark that is the mark, benchmarks, or
 * both.
 */
export function heldUses({ body }: Fact<'solution'>, occupation: Fact<'occupation'>): readonly Use[] {
  const { over } = occupation.body;
  const from = body.heightFrom ?? 'mark';
  if (!over || from === 'both') return body.uses;
  return body.uses.map((use) =>
    use.height ? { ...use, height: (use.control === over.mark) === (from === 'mark') } : use,
  );
}

/**
 * What a station hangs on: its uses as held, and the mark under the instrument even where nothing was sighted at it.
 */
export function supportingUses(fact: Fact<'solution'>, occupation: Fact<'occupation'>): readonly Omit<Use, 'sight'>[] {
  const uses = heldUses(fact, occupation);
  const { over } = occupation.body;
  if (!over || uses.some((use) => use.revision === over.revision)) return uses;
  const { heightFrom, result } = fact.body;
  return [
    ...uses,
    {
      control: over.mark,
      revision: over.revision,
      plan: true,
      height: result.z !== null && heightFrom !== 'benchmarks',
    },
  ];
}
