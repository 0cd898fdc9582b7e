import { Link, useRouteError } from 'react-router';
import { Empty } from '../ui/Slip.tsx';
import { LINK } from '../ui/link.ts';

export function RouteError() {
  const error = useRouteError();
  return (
    <Empty
      title="This page could not be shown"
      action={
        <Link to="/" className={LINK}>
          Back to the sites
        </Link>
      }
    >
      Everything stored is safe. Load the page again; if it comes back, note what you did before: {error instanceof Error ? error.message : 'unknown'}.
    </Empty>
  );
}
