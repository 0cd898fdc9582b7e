import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Empty } from '../ui/Slip.tsx';
import { useSite } from './SiteContext.tsx';
import { LINK } from '../ui/link.ts';

/** An empty place that says what goes there, and leads to the place where it is made. */
export function EmptyTo({ title, place, label, children }: { title: string; place: string; label: string; children: ReactNode }) {
  const { id } = useSite();
  return (
    <Empty
      title={title}
      action={
        <Link to={`/sites/${id}/${place}`} className={LINK}>
          {label}
        </Link>
      }
    >
      {children}
    </Empty>
  );
}
