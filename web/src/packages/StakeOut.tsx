import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Corner } from '@idle-marker/core';
import { withSinglePoint } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';

interface StakeOutProps {
  readonly point: Corner;
  readonly look?: 'quiet' | 'plain';
  readonly label?: string;
}

/** Takes a point into the package of single points, and opens Mark at it. */
export function useStakeOut(): { readonly going: boolean; go(point: Corner): Promise<void> } {
  const { id, state, say } = useSite();
  const navigate = useNavigate();
  const names = { package: msg('packages.singlePoints'), crew: msg('packages.ownUse'), prefix: 'SP' };
  const [going, setGoing] = useState(false);
  const go = async (point: Corner) => {
    const added = withSinglePoint(state, point, names, state.settings.lengthUnit);
    if (!added.ok) return;
    // A second press before the first is stored would make the package twice.
    setGoing(true);
    const { key, body, before } = added.value;
    const [fact] = body ? await say({ type: 'package', body }) : [before];
    setGoing(false);
    void navigate(`/sites/${id}/mark?package=${fact!.id}&mark=${encodeURIComponent(key)}`);
  };
  return { going, go };
}

/** Stakes back to a point that has coordinates. */
export function StakeOut({ point, look = 'quiet', label }: StakeOutProps) {
  const { going, go } = useStakeOut();
  return (
    <Button
      look={look}
      disabled={going}
      aria-label={label ?? msg('packages.stakeOutPoint', { name: point.name })}
      onClick={() => void go(point)}
    >
      {label ?? msg('packages.stakeOut')}
    </Button>
  );
}
