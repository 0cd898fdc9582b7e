import { useState } from 'react';
import { Link } from 'react-router';
import { controlSources } from '@idle-marker/records';
import { UNIT_NAME } from '@idle-marker/words';
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
        <h2 className="text-xl">What it refers to</h2>
        <span className="flex flex-wrap gap-x-2">
          <Button look="quiet" onClick={() => setDiffering(true)}>
            Where people differ…
          </Button>
          <Button look="quiet" onClick={() => setEditing(true)}>
            Settings…
          </Button>
        </span>
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        <dt className="text-ink2">Readings go to</dt>
        <dd>{settings.name}</dd>
        <dt className="text-ink2">Control from</dt>
        <dd>
          {control.length === 0 ? (
            <Link className="font-semibold text-spruce underline" to={`/sites/${id}/control`}>
              none yet: add it
            </Link>
          ) : (
            `${sources.join(', ')}: ${control.length} marks`
          )}
        </dd>
        <dt className="text-ink2">Work</dt>
        <dd>{packages.length === 0 ? 'no package yet' : packages.map((work) => work.body.name).join(', ')}</dd>
        <dt className="text-ink2">Coordinates</dt>
        <dd>
          {settings.coordinateSystem || 'system not named'}, {UNIT_NAME[settings.lengthUnit]},{' '}
          {factor === 1 ? 'distances as on the ground' : `grid distances, factor ${factor}`}
        </dd>
        <dt className="text-ink2">Heights</dt>
        <dd>
          {settings.heightDatum || 'datum not named'}
          {settings.siteZero !== null && `; site zero is ${units.length(settings.siteZero)} ${units.unit}`}
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
