import { useMemo, useState } from 'react';
import type { Metres } from '@idle-marker/core';
import { pairTolerance, setPairs, type SetPair } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

const SHOWN = 12;

const signed = (difference: Metres, unit: Parameters<typeof smallLength>[1]): string =>
  Math.abs(difference) < 0.0005 ? 'as designed' : `${smallLength(difference, unit)} ${difference > 0 ? 'longer' : 'shorter'}`;

/** Distances and diagonals between marks that are set, against the design; a pair that is chosen goes to the tape. */
export function PairsSet({ onChoose }: { onChoose(pair: SetPair): void }) {
  const { state } = useSite();
  const units = useUnits();
  const packages = useMemo(() => state.packages.map((work) => ({ work, pairs: setPairs(state, work) })).filter(({ pairs }) => pairs.length > 0), [state]);
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = packages.find(({ work }) => work.id === chosen) ?? packages[0];
  if (!shown) return null;
  const allowed = pairTolerance(state, shown.work.body.class);
  return (
    <section className="mt-4" aria-label="Distances between set marks">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h3 className="text-[17px]">Between set marks</h3>
        {packages.length > 1 && (
          <Choice label="Work package" value={shown.work.id} options={packages.map(({ work }) => [work.id, work.body.name] as const)} onChange={setChosen} />
        )}
      </div>
      <table className={`${TABLE} mt-2`}>
        <thead>
          <tr>
            <th className={TH_WORD}>From, to</th>
            <th className={TH}>Design</th>
            <th className={TH_WORD}>As set</th>
            <th className={TH_WORD}>Tape</th>
          </tr>
        </thead>
        <tbody>
          {shown.pairs.slice(0, SHOWN).map((pair) => {
            const difference = pair.asSet - pair.design;
            return (
              <tr key={pair.from.id + pair.to.id}>
                <td className={TD_WORD}>
                  <strong>{pair.from.body.name}</strong> to <strong>{pair.to.body.name}</strong>
                  {pair.kind === 'diagonal' && <span className="block text-[13px] text-ink2">across</span>}
                </td>
                <td className={TD}>{units.length(pair.design)}</td>
                <td className={`${TD_WORD} ${Math.abs(difference) > allowed ? 'font-semibold text-brick' : ''}`}>{signed(difference, units.lengthUnit)}</td>
                <td className={TD_WORD}>
                  {pair.tape ? (
                    <span className={pair.tape.body.within ? 'text-good' : 'font-semibold text-brick'}>{pair.tape.body.within ? 'agrees' : 'outside'}</span>
                  ) : (
                    <Button look="quiet" onClick={() => onChoose(pair)}>
                      Tape it
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-[14px] text-ink2">
        {shown.pairs.length > SHOWN && `The ${SHOWN} largest of ${shown.pairs.length} differences. `}
        Two marks of this class may differ by {smallLength(allowed, units.lengthUnit)}.
      </p>
    </section>
  );
}
