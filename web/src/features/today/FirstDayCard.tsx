import { Link } from 'react-router';
import { CONTROL_PACE, controlTime, stationSights } from '@idle-marker/records';
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
  const { minutes, marks, toFind, stands } = controlTime(state);
  if (here.length === 0 || state.accepted.length > 0) return null;
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]" aria-label="First day on this site">
      <h2 className="mb-1 text-xl">First day on this site</h2>
      <p className="text-ink2">Everything later hangs on the control: time for it comes back all through the job.</p>
      {minutes > 0 && (
        <p>
          About <strong>{hoursWords(minutes)}</strong> for {marks} marks:{' '}
          {[
            toFind > 0 && `${toFind} to find at ${CONTROL_PACE.find} min each`,
            stands > 0 && `${stands} ${stands === 1 ? 'stand' : 'stands'} of ${CONTROL_PACE.setUp} min, ${CONTROL_PACE.sight} min a mark in both faces`,
          ]
            .filter(Boolean)
            .join('; ')}
          . On a large site half a working day is not too much.
        </p>
      )}
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

/** To the next quarter of an hour: nobody plans finer. */
function hoursWords(minutes: number): string {
  const quarters = Math.max(1, Math.ceil(minutes / 15));
  const [hours, rest] = [Math.floor(quarters / 4), (quarters % 4) * 15];
  return [hours > 0 && `${hours} h`, rest > 0 && `${rest} min`].filter(Boolean).join(' ');
}
