import { Link } from 'react-router';
import { CONTROL_PACE, controlTime, stationSights } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { rich } from '../../ui/rich.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';

const ENOUGH_MARKS = 4;

/**
 * The first day on a site: find, measure, compare, decide which control is trusted, tell the others. Gone once a
 * station is accepted and the marks were walked.
 */
export function FirstDayCard() {
  const { id, state } = useSite();
  const here = state.control.filter(({ revision: { body } }) => body.condition !== 'lost');
  const walked = here.filter((mark) => (state.visits.get(mark.id)?.length ?? 0) > 0).length;
  const most = Math.max(
    0,
    ...state.occupations.map(
      (each) => new Set(stationSights(state, each.id).map((sight) => JSON.stringify(sight.body.target))).size,
    ),
  );
  const steps: readonly (readonly [boolean, string, string, string])[] = [
    [here.length >= 3, msg('today.listTheMarksWithWhoSetThem'), 'control', msg('common.control')],
    [
      here.length > 0 && walked === here.length,
      msg('today.walkRoundThemAndReadTheLabels', { walked, here: here.length }),
      'control',
      msg('today.startSiteWalk'),
    ],
    [most >= ENOUGH_MARKS, msg('today.sightFourOrMoreFromOneStand'), 'station', msg('common.station')],
    [state.accepted.length > 0, msg('today.comparePairByPairAndAcceptWhat'), 'control', msg('today.openPairCheck')],
  ];
  const { minutes, marks, toFind, stands } = controlTime(state);
  if (here.length === 0 || state.accepted.length > 0) return null;
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]" aria-label={msg('today.firstDayOnThisSite')}>
      <h2 className="mb-1 text-xl">{msg('today.firstDayOnThisSite')}</h2>
      <p className="text-ink2">{msg('today.everythingLaterHangsOnTheControlTime')}</p>
      {minutes > 0 && (
        <p>
          {rich('today.aboutForMarksOnALargeSite', {
            strong: <strong>{hoursWords(minutes)}</strong>,
            marks,
            value: [
              toFind > 0 && msg('today.toFindAtMinEach', { toFind, find: CONTROL_PACE.find }),
              stands > 0 &&
                msg('today.ofMinMinAMarkInBoth', { stands, setUp: CONTROL_PACE.setUp, sight: CONTROL_PACE.sight }),
            ]
              .filter(Boolean)
              .join('; '),
          })}
        </p>
      )}
      <ol>
        {steps.map(([done, words, to, where]) => (
          <li key={words} className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-1">
            <span>
              <span aria-hidden="true">{done ? '✓' : '○'}</span>{' '}
              <span className="sr-only">{done ? 'done: ' : msg('today.toDo')}</span>
              {words}
            </span>
            <Link className={LINK} to={`/sites/${id}/${to}`}>
              {where}
            </Link>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-[13px] text-ink2">{msg('today.thenTellTheOtherTradesControlExport')}</p>
    </section>
  );
}

/** To the next quarter of an hour: nobody plans finer. */
function hoursWords(minutes: number): string {
  const quarters = Math.max(1, Math.ceil(minutes / 15));
  const [hours, rest] = [Math.floor(quarters / 4), (quarters % 4) * 15];
  return [hours > 0 && `${hours} h`, rest > 0 && msg('today.min', { rest })].filter(Boolean).join(' ');
}
