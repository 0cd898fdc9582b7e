import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Empty } from '../ui/Slip.tsx';
import { useSite } from './SiteContext.tsx';
import { LINK } from '../ui/link.ts';

interface EmptyToProps {
  readonly title: string;
  readonly place: string;
  readonly label: string;
  /** The parts beside this one: what is empty here is no reason not to reach them. */
  readonly ways?: ReactNode;
  /** What can be done here all the same. */
  readonly also?: ReactNode;
  readonly children: ReactNode;
}

/** An empty place that says what goes there, and leads to the place where it is made. */
export function EmptyTo({ title, place, label, ways, also, children }: EmptyToProps) {
  const { id } = useSite();
  const empty = (
    <Empty
      title={title}
      action={
        <span className="flex flex-wrap items-center justify-center gap-3">
          <Link to={`/sites/${id}/${place}`} className={LINK}>
            {label}
          </Link>
          {also}
        </span>
      }
    >
      {children}
    </Empty>
  );
  if (!ways) return empty;
  return (
    <div className="flex h-full min-h-0 flex-col">
      {ways}
      <div className="min-h-0 flex-1">{empty}</div>
    </div>
  );
}
