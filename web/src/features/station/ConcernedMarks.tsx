import { msg } from '@idle-marker/words';

import type { CorrectEntriesModel } from './useCorrectEntries.ts';

/** So many names are read in a sentence. */
const NAMED = 6;

const SHOWN = 40;

export function ConcernedMarks({ model }: { readonly model: CorrectEntriesModel }) {
  const { what, chosen, rows, measured, errors } = model;
  return (
    <section className="mt-3" aria-label={msg('common.marksConcerned')}>
      <h3 className="text-[15px]">
        {rows.length === 0
          ? msg('station.everyMarkSetFromHereStaysWhere')
          : msg('station.elsewhereThanWasThought', { rows: rows.length })}
      </h3>
      {rows.length === 0 && what === 'targetHeight' && chosen.some((sight) => sight.body.purpose === 'station') && (
        <p className="text-ink2">{msg('station.theSameSlipAtTheControlAnd')}</p>
      )}
      <ul className="max-h-56 overflow-y-auto" tabIndex={0} role="region" aria-label={msg('station.listOfMarks')}>
        {rows.slice(0, SHOWN).map((row) => (
          <li key={row.effect.mark} className="flex justify-between gap-4 border-b border-rule py-0.5">
            <strong className="whitespace-nowrap">{row.name}</strong>
            <span className={row.out ? 'text-brick' : ''}>{row.text}</span>
          </li>
        ))}
      </ul>
      {rows.length > SHOWN && <p className="text-ink2">{msg('common.andMore', { rows: rows.length - SHOWN })}</p>}
      {errors.untold && <p className="font-medium text-brick">{errors.untold}</p>}
      {measured.length > 0 && (
        <p className="mt-1 text-ochre">
          {msg('station.measuredWithTheseSightsAsItStands', {
            measured: measured
              .slice(0, NAMED)
              .map(({ body }) => body.name)
              .join(', '),
            measured2: measured.length > NAMED && msg('station.andMore', { measured: measured.length - NAMED }),
            measured3: measured.length,
          })}
        </p>
      )}
    </section>
  );
}
