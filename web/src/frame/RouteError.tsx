import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Empty } from '../ui/Slip.tsx';
import { LINK } from '../ui/link.ts';

export function RouteError() {
  const error = useRouteError();
  const isUnknown = isRouteErrorResponse(error) && error.status === 404;
  return (
    <Empty
      title={isUnknown ? 'There is no such page' : 'This page could not be shown'}
      action={
        <Link to="/" className={LINK}>
          Back to the sites
        </Link>
      }
    >
      {isUnknown
        ? 'The address leads nowhere: it was mistyped, or is of another version.'
        : `Everything stored is safe. Load the page again; if it comes back, note what you did before: ${error instanceof Error ? error.message : 'unknown'}.`}
    </Empty>
  );
}
