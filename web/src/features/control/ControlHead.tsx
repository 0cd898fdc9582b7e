import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { ExportControl } from './ExportControl.tsx';

import type { ControlPlaceModel } from './useControlPlace.ts';

export function ControlHead({ model }: { readonly model: ControlPlaceModel }) {
  const { state, setEditing, setImporting, usable, short, setShort, againstZero, setAgainstZero, siteZero, leads } =
    model;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3 border-b border-ink px-[18px] py-3">
      <div>
        <h1 className="text-xl">{msg('common.control')}</h1>
        <p className={usable < 3 ? 'text-ochre' : 'text-ink2'}>
          {msg('control.usableInPlan', {
            usable,
            usable2:
              usable < 2
                ? msg('control.twoAreNeeded')
                : usable < 3
                  ? msg('control.nothingChecksThem')
                  : usable < 4
                    ? msg('control.aMistakeWouldShow')
                    : msg('control.oneBadMarkCanBeNamed'),
          })}
        </p>
      </div>
      <span className="flex flex-wrap gap-2">
        {(leads.e !== 0 || leads.n !== 0) && (
          <Button aria-pressed={short} onClick={() => setShort(!short)}>
            {short ? msg('control.wholeCoordinates') : msg('control.shortCoordinates')}
          </Button>
        )}
        {siteZero !== null && (
          <Button aria-pressed={againstZero} onClick={() => setAgainstZero(!againstZero)}>
            {againstZero ? msg('control.trueHeights') : msg('control.againstSiteZero')}
          </Button>
        )}
        <Button onClick={() => setImporting(true)}>{msg('control.import')}</Button>
        {state.control.length > 0 && <ExportControl />}
        <Button look="primary" hint="N" onClick={() => setEditing('new')}>
          {msg('control.addMark')}
        </Button>
      </span>
    </div>
  );
}
