import { useState } from 'react';
import {
  azimuth,
  compassWord,
  walkingOrder,
  planDistance,
  RADIANS_PER_DEGREE,
  wrapTurn,
  type AngleUnit,
  type PlanPoint,
} from '@idle-marker/core';
import type { ControlMark } from '@idle-marker/records';
import { msg, coarseAngle, VISIT } from '@idle-marker/words';
import { useFacing } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { useVisit, type VisitOutcome } from './useVisit.ts';

const TAPS: readonly VisitOutcome[] = ['found', 'missing', 'disturbed', 'refreshed'];
const MS_PER_DAY = 86_400_000;

/** Marks shown at a time. */
const PAGE = 100;
/** A round through more marks than this is no walk any more: they are listed by distance. */
const MOST_TO_ROUTE = 500;

function walkOrder<T extends PlanPoint>(start: PlanPoint, places: readonly T[]): T[] {
  if (places.length <= MOST_TO_ROUTE) return walkingOrder(start, places).map((i) => places[i]!);
  return [...places].sort((a, b) => planDistance(start, a) - planDistance(start, b));
}

/** A turn to the right for somebody who looks for a mark: whole degrees or gon. */
const turned = (turn: number, unit: AngleUnit): string => coarseAngle(wrapTurn(turn), unit);

/**
 * The tick list of a walk round the marks: distance and direction from where one stands, found or not, in walking
 * order.
 */
export function WalkRound({ onChoose, onOpen }: { onChoose(mark: string): void; onOpen(mark: string): void }) {
  const { state, inForce, now } = useSite();
  const units = useUnits();
  const visit = useVisit();
  const [shown, setShown] = useState(PAGE);
  const here = state.control.filter(({ revision: { body } }) => (body.retired ?? null) === null);
  const placed = here.flatMap((mark) => {
    const { e, n } = mark.revision.body;
    return e === null || n === null ? [] : [{ e, n, mark }];
  });
  const station = inForce?.fact.body.result ?? null;
  const order = walkOrder(station ?? placed[0] ?? { e: 0, n: 0 }, placed);
  const unplaced = here.filter((mark) => mark.revision.body.e === null);
  const today = (mark: ControlMark) =>
    (state.visits.get(mark.id) ?? []).findLast((each) => now.getTime() - Date.parse(each.at) < MS_PER_DAY / 2) ?? null;
  const done = here.filter((mark) => today(mark) !== null).length;
  const facing = useFacing(station && station.orientationDeg * RADIANS_PER_DEGREE);
  const row = (mark: ControlMark, from: { readonly words: string } | null) => {
    const { body } = mark.revision;
    const last = today(mark);
    return (
      <li key={mark.id} className="border-b border-rule py-2" onFocus={() => onChoose(mark.id)}>
        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
          <button
            type="button"
            className="min-h-11 min-w-11 text-left font-semibold underline decoration-dotted"
            onClick={() => onOpen(mark.id)}
          >
            {body.name}
          </button>
          <span className="text-ink2">{from?.words}</span>
        </div>
        <p className="text-[14px] text-ink2">
          {[body.spot, body.note].filter(Boolean).join('; ') || msg('control.nothingNotedAboutTheSpot')}
        </p>
        <div className="mt-1 flex flex-wrap items-center gap-2">
          {TAPS.map((outcome) => (
            <Button
              key={outcome}
              aria-label={`${body.name} ${VISIT[outcome]}`}
              aria-pressed={last?.body.outcome === outcome}
              look={last?.body.outcome === outcome ? 'primary' : 'plain'}
              className="px-3 text-[14px]"
              onClick={() => void visit(mark, outcome)}
            >
              {VISIT[outcome].charAt(0).toUpperCase() + VISIT[outcome].slice(1)}
            </Button>
          ))}
          {last && <span className="text-[13px] text-ink2">{dayAndTime(last.at)}</span>}
        </div>
      </li>
    );
  };
  return (
    <div className="px-[18px] pb-4">
      <p className="py-2">
        <strong>{msg('control.ofLookedAtToday', { done, here: here.length })}</strong>{' '}
        {msg('control.foundMeansTheLabelWasReadAnd2')}
      </p>
      {state.settings.paint && (
        <p className="mb-2 border-l-4 border-spruce pl-3 text-[14px]">
          {msg('control.paintHere', { paint: state.settings.paint })}
        </p>
      )}
      <ul>
        {order.slice(0, shown).map(({ mark, ...place }) => {
          if (!station) return row(mark, null);
          const way = azimuth(station, place);
          const turn =
            facing === null
              ? ''
              : msg('control.toTheRightOfTheTelescope', { turned: turned(way - facing, units.angleUnit) });
          return row(mark, {
            words: msg('control.of', {
              length: units.length(planDistance(station, place), 1),
              unit: units.unit,
              compassWord: compassWord(way),
              name: inForce!.fact.body.name,
              turn,
            }),
          });
        })}
        {order.length <= shown && unplaced.map((mark) => row(mark, null))}
      </ul>
      {order.length > shown && (
        <Button look="quiet" onClick={() => setShown(shown + PAGE)}>
          {msg('control.moreMarks2', { order: order.length - shown })}
        </Button>
      )}
      {here.length === 0 && <p className="text-ink2">{msg('control.everyMarkIsRetired')}</p>}
    </div>
  );
}
