import { promiseFor, type AcceptedSolution, classOf } from '@idle-marker/records';
import {
  msg,
  aboutLength,
  checkabilityWords,
  cureWords,
  goodToWords,
  unnoticedWords,
  smallLength,
} from '@idle-marker/words';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

/** What the station can promise at the marks of each work package, pole included. */
export function Promise95({ solution }: { solution: AcceptedSolution }) {
  const { state } = useSite();
  const units = useUnits();
  const naming = useNaming();
  const pole = usePoleSet();
  if (state.packages.length === 0) return null;
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">
        <Explained term="expectedAccuracy">{msg('station.whatThisStationCanPromise')}</Explained>
      </h2>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('station.workPackage')}</th>
            <th className={TH}>{msg('station.within')}</th>
            <th className={TH}>
              <Explained term="confidence95">{msg('station.n95AtTheWorst')}</Explained>
            </th>
            <th className={TH}>
              <Explained term="unseenEffect">{msg('common.unseenEffect')}</Explained>
            </th>
            <th className={TH}>{msg('station.marksWithinTolerance')}</th>
          </tr>
        </thead>
        <tbody>
          {state.packages.map((work) => {
            const asked = classOf(state, work.body.class);
            const { worst, good, marks, worstMark, cure, reliability } = promiseFor(state, solution, work, pole);
            const hidden = reliability?.unnoticed[0] ?? null;
            const tone = good < marks ? 'font-semibold text-brick' : '';
            return (
              <tr key={work.id}>
                <td className={TD_WORD}>
                  {work.body.name}
                  {hidden && reliability?.state === 'unchecked' && (
                    <span className="block text-[13px] text-brick">
                      {msg('station.forThis', {
                        title: checkabilityWords().unchecked.title,
                        unnoticed: unnoticedWords(hidden, naming, msg('station.itsMarksUpTo')).replace(/^./, (first) =>
                          first.toLowerCase(),
                        ),
                      })}
                    </span>
                  )}
                  {cure && (
                    <span className="block text-[13px] text-ochre">{cureWords(cure, worstMark, units.lengthUnit)}</span>
                  )}
                </td>
                <td className={TD}>{smallLength(asked.plan, units.lengthUnit)}</td>
                <td className={`${TD} ${tone}`}>{goodToWords(worst, units.lengthUnit)}</td>
                <td className={`${TD} ${reliability?.state === 'unchecked' ? 'font-semibold text-brick' : ''}`}>
                  {!hidden || hidden.effect === null ? 'any' : aboutLength(hidden.effect, units.lengthUnit)}
                </td>
                <td className={`${TD} ${tone}`}>{msg('station.of3', { good, marks })}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
