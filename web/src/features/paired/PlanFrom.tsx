import { useNavigate } from 'react-router';
import { useSite } from '../../site/SiteContext.tsx';

const LOOK = 'min-h-11 border-b-4 px-3';

/** By which device the plan is led: one touch from the one to the other. */
export function PlanFrom() {
  const { id } = useSite();
  const navigate = useNavigate();
  return (
    <p className="mt-1 flex items-center gap-1 text-[14px]" role="group" aria-label="Plan from">
      <span className="mr-1 text-ink2">Plan from</span>
      <button type="button" aria-pressed className={`${LOOK} border-spruce font-semibold`}>
        Receiver
      </button>
      <button type="button" aria-pressed={false} className={`${LOOK} border-transparent text-ink2`} onClick={() => void navigate(`/sites/${id}/mark`)}>
        Instrument
      </button>
    </p>
  );
}
