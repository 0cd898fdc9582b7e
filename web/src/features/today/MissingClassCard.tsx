import { useMemo } from 'react';
import { Link } from 'react-router';
import { missingClasses } from '@idle-marker/records';
import { msg, missingClassWords } from '@idle-marker/words';
import { rich } from '../../ui/rich.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';
import { Card } from '../../ui/Slip.tsx';

/** Work or a station that asks for a tolerance class which the site does not have. */
export function MissingClassCard() {
  const { id, state } = useSite();
  const missing = useMemo(() => missingClasses(state), [state]);
  if (missing.length === 0) return null;
  return (
    <Card
      tone="brick"
      title={
        missing.length === 1
          ? msg('today.aToleranceClassIsMissing')
          : msg('today.toleranceClassesAreMissing', { missing: missing.length })
      }
    >
      {missing.map((each) => (
        <p key={each.id}>{missingClassWords(each)}</p>
      ))}
      <p className="mt-1">
        {rich('today.putItBackUnderSettingsOrRevise', {
          link: (
            <Link className={LINK} to={`/sites/${id}/design`}>
              {msg('today.work')}
            </Link>
          ),
        })}
      </p>
    </Card>
  );
}
