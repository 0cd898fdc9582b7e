import { useMemo } from 'react';
import { Link } from 'react-router';
import { missingClasses } from '@idle-marker/records';
import { missingClassWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';
import { Card } from '../../ui/Slip.tsx';

/** Work or a station that asks for a tolerance class which the site does not have. */
export function MissingClassCard() {
  const { id, state } = useSite();
  const missing = useMemo(() => missingClasses(state), [state]);
  if (missing.length === 0) return null;
  return (
    <Card tone="brick" title={missing.length === 1 ? 'A tolerance class is missing' : `${missing.length} tolerance classes are missing`}>
      {missing.map((each) => (
        <p key={each.id}>{missingClassWords(each)}</p>
      ))}
      <p className="mt-1">
        Put it back under Settings, or revise the{' '}
        <Link className={LINK} to={`/sites/${id}/design`}>
          work
        </Link>{' '}
        to another class.
      </p>
    </Card>
  );
}
