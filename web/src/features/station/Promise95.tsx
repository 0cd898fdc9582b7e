import { NORMAL_95_FACTOR, predictAt, TARGET_HEIGHT_SD, targetCentringSd } from '@idle-marker/core';
import { precisionOf, reductionOf, setupOf, stationOfSolution, type AcceptedSolution } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { useLinkState } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

/** What the station can promise at the marks of each work package, pole included. */
export function Promise95({ solution }: { solution: AcceptedSolution }) {
  const { state } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const station = stationOfSolution(solution.fact.body.result);
  const pole = link?.pole ?? { targetHeight: 1.5, legs: true };
  const poleSet = {
    targetHeight: pole.targetHeight,
    targetHeightSd: TARGET_HEIGHT_SD,
    targetCentringSd: targetCentringSd(pole.targetHeight, pole.legs),
  };
  if (state.packages.length === 0) return null;
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">What this station can promise</h2>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>Work</th>
            <th className={TH}>Within</th>
            <th className={TH}>95 % at the worst</th>
            <th className={TH}>Marks</th>
          </tr>
        </thead>
        <tbody>
          {state.packages.map((each) => {
            const asked = state.settings.classes.find((one) => one.id === each.body.class);
            const predictions = each.body.plans.map((plan) =>
              predictAt(
                station,
                setupOf(solution.occupation.body),
                precisionOf(solution.occupation.body),
                reductionOf(state.settings),
                { ...plan.place, z: plan.designZ },
                poleSet,
              ),
            );
            const worst = Math.max(0, ...predictions.map((one) => one.radius95));
            const good = predictions.filter(
              (one) => !asked || (one.radius95 * 1000 <= asked.planMm && (one.sdZ === null || one.sdZ * 1000 * NORMAL_95_FACTOR <= asked.heightMm)),
            ).length;
            const short = good < predictions.length;
            return (
              <tr key={each.id}>
                <td className={TD_WORD}>{each.body.name}</td>
                <td className={TD}>{asked ? `${asked.planMm} mm` : '–'}</td>
                <td className={`${TD} ${short ? 'font-semibold text-brick' : ''}`}>{smallLength(worst, units.lengthUnit)}</td>
                <td className={`${TD} ${short ? 'font-semibold text-brick' : ''}`}>
                  {good} of {predictions.length}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
