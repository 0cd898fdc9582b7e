import { msg, angleWords, gradeWords } from '@idle-marker/words';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';
import { NONE } from './useRoadPackage.ts';
import type { RoadPackageModel } from './useRoadPackage.ts';

/** Rows of the preview. */
export const SHOWN = 40;

export function RoadPackageMarks({ model }: { readonly model: RoadPackageModel }) {
  const { units, gradeString, alsoString, rows } = model;
  return (
    <table className={`${TABLE} mt-3`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.mark')}</th>
          <th className={TH}>{msg('common.off2')}</th>
          <th className={TH}>{gradeWords(gradeString)}</th>
          {alsoString !== NONE && <th className={TH}>{gradeWords(alsoString)}</th>}
          <th className={TH_WORD}>{msg('packages.there')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, SHOWN).map((plan) => (
          <tr key={plan.key}>
            <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
            <td className={TD}>{units.length(plan.offset)}</td>
            <td className={TD}>{plan.designZ === null ? msg('packages.noHeight') : units.length(plan.designZ)}</td>
            {alsoString !== NONE && <td className={TD}>{units.length(plan.road?.also?.z ?? null)}</td>}
            <td className={TD_WORD}>
              {[plan.road?.why, plan.road?.angle && angleWords(plan.road.angle, units.lengthUnit)]
                .filter((each) => each)
                .join('; ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
