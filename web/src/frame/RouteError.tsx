import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { msg } from '@idle-marker/words';
import { Empty } from '../ui/Slip.tsx';
import { LINK } from '../ui/link.ts';

export function RouteError() {
  const error = useRouteError();
  const isUnknown = isRouteErrorResponse(error) && error.status === 404;
  return (
    <Empty
      title={isUnknown ? msg('frame.thereIsNoSuchPage') : msg('frame.thisPageCouldNotBeShown')}
      action={
        <Link to="/" className={LINK}>
          {msg('frame.backToTheSites')}
        </Link>
      }
    >
      {isUnknown
        ? msg('frame.theAddressLeadsNowhereItWasMistyped')
        : msg('frame.everythingStoredIsSafeLoadThePage', { error: error instanceof Error ? error.message : 'unknown' })}
    </Empty>
  );
}
