import { useState } from 'react';
import { planDistance } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Choice } from '../../ui/Field.tsx';

/** Distance and height between two things that were measured. */
export function BetweenBuilt() {
  const { asBuilt } = useSite().state;
  const units = useUnits();
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [one, other] = [from, to].map((id) => asBuilt.find((fact) => fact.id === id)?.body);
  const options = [['', '–'] as const, ...asBuilt.map((fact) => [fact.id, fact.body.name] as const)];
  const rise = one && other && one.place.z !== null && other.place.z !== null ? other.place.z - one.place.z : null;
  return (
    <div className="mt-3 grid grid-cols-2 gap-3">
      <Choice label={msg('structure.between')} value={from} options={options} onChange={setFrom} />
      <Choice label={msg('common.and')} value={to} options={options} onChange={setTo} />
      {one && other && one !== other && (
        <p className="figures col-span-2">
          {msg('structure.apartLevel', {
            length: units.length(planDistance(one.place, other.place)),
            unit: units.unit,
            name:
              rise !== null &&
              msg('structure.is', {
                name: other.name,
                length: units.length(Math.abs(rise)),
                rise: rise >= 0 ? 'higher' : 'lower',
              }),
          })}
        </p>
      )}
    </div>
  );
}
