import { useMemo, useState } from 'react';
import type { Corner } from '@idle-marker/core';
import { knownPoints, type KnownPoints as Known } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';

type Kind = keyof Known;

const kindChoices = worded((): readonly (readonly [Kind, string])[] => [
  ['control', msg('design.controlMarks')],
  ['asBuilt', msg('design.measuredPoints')],
  ['marks', msg('design.marksAsSet')],
]);

interface KnownPointsProps {
  /** Names that stand in the list already. */
  readonly taken: ReadonlySet<string>;
  onPoints(corners: readonly Corner[]): void;
}

/** Points that the site has coordinates of: control, what was measured, marks as they were set. */
export function KnownPoints({ taken, onPoints }: KnownPointsProps) {
  const { state } = useSite();
  const known = useMemo(() => knownPoints(state), [state]);
  const [open, setOpen] = useState(false);
  const kinds = kindChoices().filter(([kind]) => known[kind].length > 0);
  const [wanted, setWanted] = useState<Kind>('control');
  const kind = kinds.some(([each]) => each === wanted) ? wanted : kinds[0]?.[0];
  const free = kind === undefined ? [] : known[kind].filter(({ name }) => !taken.has(name));
  const [name, setName] = useState('');
  const chosen = free.find((each) => each.name === name) ?? free[0];
  if (kinds.length === 0) return null;
  if (!open)
    return (
      <Button className="mt-2 ml-2 text-[14px]" onClick={() => setOpen(true)}>
        {msg('design.addKnownPoint')}
      </Button>
    );
  return (
    <section
      className="mt-2 flex flex-wrap items-end gap-3 border-l-4 border-pencil pl-3"
      aria-label={msg('design.knownPoints')}
    >
      <Choice label={msg('design.from')} value={kind!} options={kinds} onChange={setWanted} />
      <Choice
        label={msg('design.knownPoint')}
        value={chosen?.name ?? ''}
        options={free.map((each) => [each.name, each.name])}
        onChange={setName}
      />
      <Button disabled={!chosen} onClick={() => chosen && onPoints([chosen])}>
        {msg('design.addPoint')}
      </Button>
      <Button look="quiet" disabled={free.length < 2} onClick={() => onPoints(free)}>
        {msg('design.addAllPoints', { free: free.length })}
      </Button>
    </section>
  );
}
