import { Link } from 'react-router';
import { stationSights } from '@idle-marker/records';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';

const ENOUGH_MARKS = 4;

/** The first day on a site: find, measure, compare, decide which control is trusted, tell the others. Gone once a station is accepted and the marks were walked. */
export function FirstDayCard() {
  const { id, state } = useSite();
  const here = state.control.filter(({ revision: { body } }) => body.condition !== 'lost');
  const walked = here.filter((mark) => (state.visits.get(mark.id)?.length ?? 0) > 0).length;
  const most = Math.max(0, ...state.occupations.map((each) => new Set(stationSights(state, each.id).map((sight) => JSON.stringify(sight.body.target))).size));
  const steps: readonly (readonly [boolean, string, string, string])[] = [
    [here.length >= 3, 'List the marks, with who set them', 'control', 'Control'],
    [here.length > 0 && walked === here.length, `Walk round them and read the labels: ${walked} of ${here.length} found`, 'control', 'Walk round'],
    [most >= ENOUGH_MARKS, 'Sight four or more from one stand', 'station', 'Station'],
    [state.accepted.length > 0, 'Compare pair by pair, and accept what holds', 'control', 'Pair by pair'],
  ];
  if (here.length === 0 || state.accepted.length > 0) return null;
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]" aria-label="First day on this site">
      <h2 className="mb-1 text-xl">First day on this site</h2>
      <p className="text-ink2">Everything later hangs on the control: time for it comes back all through the job.</p>
      <ol>
        {steps.map(([done, words, to, where]) => (
          <li key={words} className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-1">
            <span>
              <span aria-hidden="true">{done ? '✓' : '○'}</span> <span className="sr-only">{done ? 'done: ' : 'to do: '}</span>
              {words}
            </span>
            <Link className={LINK} to={`/sites/${id}/${to}`}>
              {where}
            </Link>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-[13px] text-ink2">
        Then tell the other trades: Control, Export, Control report. And put extra control outside the works before anything is dug.
      </p>
    </section>
  );
}
