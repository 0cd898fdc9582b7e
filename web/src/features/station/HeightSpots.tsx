import { NORMAL_95_FACTOR } from '@idle-marker/core';
import { msg, smallLength } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

import type { HeightWorkModel } from './useHeightWork.ts';

export function HeightSpots({ model }: { readonly model: HeightWorkModel }) {
  const { state, say, units, spot, setSpot, draft } = model;
  return (
    <section className="mt-4" aria-label={msg('station.heightsReadFromHere')}>
      <h2 className="text-[15px]">{msg('station.heightsFromHere')}</h2>
      <Field
        label={msg('station.whichSpot')}
        value={spot}
        maxLength={80}
        placeholder={msg('station.topOfTheFootingNorthEast')}
        onChange={(event) => setSpot(event.target.value)}
        help={msg('station.thenReadItEachOneIsKept')}
      />
      {draft.spots.length > 0 && (
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('station.spot')}</th>
              <th className={TH}>{msg('common.height2', { unit: units.unit })}</th>
              {state.settings.siteZero !== null && <th className={TH}>{msg('common.againstZero')}</th>}
              <th className={TH}>95 %</th>
              <th className={TH}>
                <span className="sr-only">{msg('common.takeBack')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {draft.spots.map((each) => (
              <tr key={each.sight.id}>
                <td className={TD_WORD}>{each.name}</td>
                <td className={TD}>{units.length(each.z)}</td>
                {state.settings.siteZero !== null && (
                  <td className={TD}>{units.length(each.z - state.settings.siteZero)}</td>
                )}
                <td className={TD}>{smallLength(NORMAL_95_FACTOR * each.sd, units.lengthUnit)}</td>
                <td className={TD}>
                  <Button
                    look="quiet"
                    aria-label={msg('common.takeBack2', { name: each.name })}
                    onClick={() =>
                      void say({
                        type: 'withdrawal',
                        body: {
                          record: each.sight.id,
                          occupation: null,
                          reason: msg('station.theHeightOfWasTakenBack', { name: each.name }),
                        },
                      })
                    }
                  >
                    {msg('common.takeBack')}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
