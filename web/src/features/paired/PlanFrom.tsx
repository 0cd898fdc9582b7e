import { useNavigate } from 'react-router';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';

const LOOK = 'min-h-11 border-b-4 px-3';

/** By which device the plan is led: one touch from the one to the other. */
export function PlanFrom() {
  const { id } = useSite();
  const navigate = useNavigate();
  return (
    <p className="mt-1 flex items-center gap-1 text-[14px]" role="group" aria-label={msg('paired.planFrom')}>
      <span className="mr-1 text-ink2">{msg('paired.planFrom')}</span>
      <button type="button" aria-pressed className={`${LOOK} border-spruce font-semibold`}>
        {msg('paired.receiver')}
      </button>
      <button
        type="button"
        aria-pressed={false}
        className={`${LOOK} border-transparent text-ink2`}
        onClick={() => void navigate(`/sites/${id}/mark`)}
      >
        {msg('common.instrument')}
      </button>
    </p>
  );
}
