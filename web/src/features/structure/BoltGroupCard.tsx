import type { BoltGroup } from '@idle-marker/records';
import { msg, heightOffWords, offWords, patternWords, smallLength } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { Card } from '../../ui/Slip.tsx';

/** Bolts as cast: where the group lies as a whole, and what is left at each. */
export function BoltGroupCard({ group: { name, bolts, fit, tolerance } }: { group: BoltGroup }) {
  const units = useUnits();
  const { lengthUnit } = units;
  const built = bolts.flatMap(({ plan, difference }) => (difference ? [{ plan, difference }] : []));
  const said = fit && patternWords(fit, built.length, tolerance, units);
  return (
    <Card
      tone={said?.tone ?? 'ochre'}
      title={msg('structure.group', { name, title: said?.title ?? msg('structure.oneBoltAloneShowsNoPattern') })}
    >
      <p>{msg('structure.ofMeasured', { text: said?.text, built: built.length, bolts: bolts.length })}</p>
      <ul className="figures mt-1 text-[14px]">
        {built.map(({ plan, difference }) => {
          const misfit = fit?.misfits.find((each) => each.name === plan.corner);
          return (
            <li key={plan.key}>
              <strong>{plan.corner}</strong> {offWords(difference.dE, difference.dN, lengthUnit)}
              {misfit &&
                msg('structure.inThePattern', { smallLength: smallLength(Math.hypot(misfit.e, misfit.n), lengthUnit) })}
              {difference.dZ !== null && `; ${heightOffWords(difference.dZ, lengthUnit)}`}
            </li>
          );
        })}
      </ul>
    </Card>
  );
}
