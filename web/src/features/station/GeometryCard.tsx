import { stationGeometry, type ResectionResult } from '@idle-marker/core';
import { msg, coarseAngle, geometryWords, gradeOfGeometryWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';

/** How the control lies about the station, beside how well it fits: a good fit from a poor geometry proves little. */
export function GeometryCard({ result }: { readonly result: ResectionResult }) {
  const { state } = useSite();
  const naming = useNaming();
  const used = new Set(
    result.observations.filter((each) => each.direction || each.distance).map((each) => each.reduced.point),
  );
  const control = state.control.flatMap(({ id, revision: { body } }) =>
    used.has(id) && body.e !== null && body.n !== null ? [{ name: id, e: body.e, n: body.n }] : [],
  );
  const work = state.packages.flatMap((each) => each.body.plans.map((plan) => ({ name: plan.name, ...plan.place })));
  const { grade, bestAngle, remarks } = stationGeometry(result, control, work);
  if (bestAngle === null) return null;
  const poor = grade === 'weak' || grade === 'veryWeak';
  return (
    <section className="mt-3">
      <p>
        <strong className={poor ? 'text-ochre' : ''}>
          {msg('station.geometry', { gradeOfGeometry: gradeOfGeometryWords()[grade] })}
        </strong>{' '}
        {msg('station.theBestAngleBetweenTwoMarksIs', {
          coarseAngle: coarseAngle(bestAngle, state.settings.angleUnit),
        })}
      </p>
      {remarks.map((remark) => (
        <p key={remark.code + ('name' in remark ? remark.name : '')} className="mt-1 border-l-4 border-ochre pl-3">
          {geometryWords(remark, naming)}
        </p>
      ))}
    </section>
  );
}
