import { useState } from 'react';
import { Link } from 'react-router';
import { controlSources } from '@idle-marker/records';
import { msg, unitNameWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { CustomsDialog } from '../../settings/CustomsDialog.tsx';
import { EditSite } from '../../settings/EditSite.tsx';

/** What everything here refers to: where control and work come from, what coordinates and heights mean. */
export function SiteCard() {
  const { id, state } = useSite();
  const units = useUnits();
  const [editing, setEditing] = useState(false);
  const [differing, setDiffering] = useState(false);
  const { settings, control, packages } = state;
  const sources = controlSources(state);
  const factor = settings.combinedScaleFactor;
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">{msg('today.whatItRefersTo')}</h2>
        <span className="flex flex-wrap gap-x-2">
          <Button look="quiet" onClick={() => setDiffering(true)}>
            {msg('today.wherePeopleDiffer')}
          </Button>
          <Button look="quiet" onClick={() => setEditing(true)}>
            {msg('common.settings')}
          </Button>
        </span>
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        <dt className="text-ink2">{msg('today.readingsGoTo')}</dt>
        <dd>{settings.name}</dd>
        <dt className="text-ink2">{msg('today.controlFrom')}</dt>
        <dd>
          {control.length === 0 ? (
            <Link className="font-semibold text-spruce underline" to={`/sites/${id}/control`}>
              {msg('today.noneYetAddIt')}
            </Link>
          ) : (
            msg('today.marks', { sources: sources.join(', '), control: control.length })
          )}
        </dd>
        <dt className="text-ink2">{msg('today.workPackages')}</dt>
        <dd>{packages.length === 0 ? msg('today.noPackageYet') : packages.map((work) => work.body.name).join(', ')}</dd>
        <dt className="text-ink2">{msg('today.coordinates')}</dt>
        <dd>
          {settings.coordinateSystem || msg('today.systemNotNamed')}, {unitNameWords()[settings.lengthUnit]},{' '}
          {factor === 1 ? msg('today.distancesAsOnTheGround') : msg('today.gridDistancesFactor', { factor })}
        </dd>
        <dt className="text-ink2">{msg('today.heightDatum')}</dt>
        <dd>
          {settings.heightDatum || msg('today.datumNotNamed')}
          {settings.siteZero !== null &&
            msg('today.siteZeroIs', { length: units.length(settings.siteZero), unit: units.unit })}
        </dd>
      </dl>
      {differing && (
        <CustomsDialog
          onClose={() => setDiffering(false)}
          onSettings={() => {
            setDiffering(false);
            setEditing(true);
          }}
        />
      )}
      {editing && <EditSite onClose={() => setEditing(false)} />}
    </section>
  );
}
