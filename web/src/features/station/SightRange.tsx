import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Choice, Tick } from '../../ui/Field.tsx';
import { clockTime } from '../../ui/time.ts';

export interface ChosenSights {
  readonly from: string;
  readonly to: string;
  readonly skipped: ReadonlySet<string>;
}

/**
 * The sights from the first to the last one, without those that were left out; none when the first comes after the
 * last.
 */
export function chosenOf(
  sights: readonly Fact<'sight'>[],
  { from, to, skipped }: ChosenSights,
): { range: Fact<'sight'>[]; chosen: Fact<'sight'>[] } {
  const first = sights.findIndex((sight) => sight.id === from);
  const last = sights.findIndex((sight) => sight.id === to);
  const range = first >= 0 && first <= last ? sights.slice(first, last + 1) : [];
  return { range, chosen: range.filter((sight) => !skipped.has(sight.id)) };
}

/** What is chosen at first: all of them. */
export const useChosenSights = (sights: readonly Fact<'sight'>[]) =>
  useState<ChosenSights>({ from: sights[0]?.id ?? '', to: sights.at(-1)?.id ?? '', skipped: new Set() });

interface SightRangeProps {
  readonly sights: readonly Fact<'sight'>[];
  readonly value: ChosenSights;
  readonly onChange: (value: ChosenSights) => void;
  /** What was entered with a sight, to tell them apart by. */
  readonly entered: (sight: Fact<'sight'>) => string;
}

/** A run of sights by its first and its last, with single ones to leave out. */
export function SightRange({ sights, value, onChange, entered }: SightRangeProps) {
  const nameOf = useSightName();
  const said = (sight: Fact<'sight'>) => `${clockTime(sight.at)} ${nameOf(sight)}, ${entered(sight)}`;
  const options = sights.map((sight) => [sight.id, said(sight)] as const);
  const { range, chosen } = chosenOf(sights, value);
  const leave = (id: string, on: boolean) => {
    const skipped = new Set(value.skipped);
    if (on) skipped.delete(id);
    else skipped.add(id);
    onChange({ ...value, skipped });
  };
  return (
    <>
      <div className="mt-3 grid gap-3 sm:grid-cols-2">
        <Choice
          label={msg('station.fromTheSight')}
          value={value.from}
          options={options}
          onChange={(from) => onChange({ ...value, from })}
        />
        <Choice
          label={msg('station.toTheSight')}
          value={value.to}
          options={options}
          onChange={(to) => onChange({ ...value, to })}
        />
      </div>
      {range.length > 1 && (
        <details className="mt-2">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
            {msg('station.ofSightsLeaveSingleOnesOut', { chosen: chosen.length, range: range.length })}
          </summary>
          <div className="grid sm:grid-cols-2">
            {range.map((sight) => (
              <Tick
                key={sight.id}
                label={said(sight)}
                checked={!value.skipped.has(sight.id)}
                onChange={(on) => leave(sight.id, on)}
              />
            ))}
          </div>
        </details>
      )}
    </>
  );
}

function useSightName(): (sight: Fact<'sight'>) => string {
  const { state } = useSite();
  return ({ body: { target } }) => {
    switch (target.kind) {
      case 'control':
        return state.control.find((mark) => mark.id === target.mark)?.revision.body.name ?? '?';
      case 'plan':
        return (
          state.packages.flatMap((work) => work.body.plans).find((plan) => plan.key === target.key)?.name ?? target.key
        );
      case 'mark':
        return [...state.marks.values()].find((mark) => mark.id === target.mark)?.body.name ?? '?';
      case 'line':
        return target.item;
      default:
        return target.name;
    }
  };
}
