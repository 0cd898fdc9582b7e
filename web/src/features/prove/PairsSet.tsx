import { useMemo, useState } from 'react';
import type { Metres } from '@idle-marker/core';
import { pairTolerance, setPairs, type SetPair } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

const SHOWN = 12;

const signed = (difference: Metres, unit: Parameters<typeof smallLength>[1]): string =>
  Math.abs(difference) < 0.0005
    ? msg('prove.asDesigned')
    : `${smallLength(difference, unit)} ${difference > 0 ? 'longer' : 'shorter'}`;

/** Distances and diagonals between marks that are set, against the design; a pair that is chosen goes to the tape. */
export function PairsSet({ onChoose }: { onChoose(pair: SetPair): void }) {
  const { state } = useSite();
  const units = useUnits();
  const packages = useMemo(
    () =>
      state.packages.map((work) => ({ work, pairs: setPairs(state, work) })).filter(({ pairs }) => pairs.length > 0),
    [state],
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = packages.find(({ work }) => work.id === chosen) ?? packages[0];
  if (!shown) return null;
  const allowed = pairTolerance(state, shown.work.body.class);
  return (
    <section className="mt-4" aria-label={msg('prove.distancesBetweenSetMarks')}>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h3 className="text-[17px]">{msg('prove.betweenSetMarks')}</h3>
        {packages.length > 1 && (
          <Choice
            label={msg('common.workPackage')}
            value={shown.work.id}
            options={packages.map(({ work }) => [work.id, work.body.name] as const)}
            onChange={setChosen}
          />
        )}
      </div>
      <table className={`${TABLE} mt-2`}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('prove.fromTo')}</th>
            <th className={TH}>{msg('prove.design')}</th>
            <th className={TH_WORD}>{msg('prove.asSet')}</th>
            <th className={TH_WORD}>{msg('prove.tape')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.pairs.slice(0, SHOWN).map((pair) => {
            const difference = pair.asSet - pair.design;
            return (
              <tr key={pair.from.id + pair.to.id}>
                <td className={TD_WORD}>
                  <strong>{pair.from.body.name}</strong> {msg('common.to')} <strong>{pair.to.body.name}</strong>
                  {pair.kind === 'diagonal' && (
                    <span className="block text-[13px] text-ink2">{msg('prove.across')}</span>
                  )}
                </td>
                <td className={TD}>{units.length(pair.design)}</td>
                <td className={`${TD_WORD} ${Math.abs(difference) > allowed ? 'font-semibold text-brick' : ''}`}>
                  {signed(difference, units.lengthUnit)}
                </td>
                <td className={TD_WORD}>
                  {pair.tape ? (
                    <span className={pair.tape.body.within ? 'text-good' : 'font-semibold text-brick'}>
                      {pair.tape.body.within ? 'agrees' : 'outside'}
                    </span>
                  ) : (
                    <Button look="quiet" onClick={() => onChoose(pair)}>
                      {msg('prove.tapeIt')}
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-[14px] text-ink2">
        {msg('prove.twoMarksOfThisClassMayDiffer', {
          shown:
            shown.pairs.length > SHOWN &&
            msg('prove.theLargestOfDifferences', { shown: SHOWN, pairs: shown.pairs.length }),
          smallLength: smallLength(allowed, units.lengthUnit),
        })}
      </p>
    </section>
  );
}
