import { useState } from 'react';
import type { Corner } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { useStakeOut } from '../StakeOut.tsx';
import { SaidPlace } from './SaidPlace.tsx';

const NO_POINTS: readonly Corner[] = [];

/**
 * A point put in measurements where one stands, without a package made first: it is marked as a single point, and Mark
 * opens at it.
 */
export function StakeSaid({ look = 'plain' }: { readonly look?: 'plain' | 'quiet' }) {
  const { state } = useSite();
  const { going, go } = useStakeOut();
  const [open, setOpen] = useState(false);
  const single = state.packages.find(({ body }) => body.name === msg('packages.singlePoints'));
  return (
    <>
      <Button look={look} disabled={going} onClick={() => setOpen(true)}>
        {msg('packages.pointByMeasurements')}
      </Button>
      {open && (
        <Dialog
          open
          wide
          onClose={() => setOpen(false)}
          title={msg('packages.pointByMeasurementsTitle')}
          foot={<Button onClick={() => setOpen(false)}>{msg('common.cancel')}</Button>}
        >
          <SaidPlace
            isOpen
            points={single?.body.items.flatMap(({ corners }) => corners) ?? NO_POINTS}
            label={msg('packages.stakeIt')}
            onPlace={(point) => {
              setOpen(false);
              void go(point);
            }}
          />
        </Dialog>
      )}
    </>
  );
}
