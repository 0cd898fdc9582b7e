import { useState } from 'react';
import {
  azimuth,
  NEAREST_SIGHT,
  walkingOrder,
  planDistance,
  type AddedSight,
  type LengthUnit,
  type PlanPoint,
} from '@idle-marker/core';
import { isProvenControl, type ControlMark } from '@idle-marker/records';
import { msg, aboutLength, addsWords, smallLength, partWord } from '@idle-marker/words';
import { rich } from '../../ui/rich.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { EditControl } from '../../evidence/EditControl.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

interface NextMarkProps {
  readonly sighted: ReadonlySet<string>;
  /** What each open mark would add to the station, the best first. */
  readonly adds: readonly AddedSight[];
  readonly chosen: string | null;
  onChoose(mark: string): void;
  onSight(mark: string): void;
  /** All that are left, in walking order; null where the instrument does not find them by itself. */
  readonly onSightAll: ((marks: readonly string[]) => void) | null;
  readonly busy: boolean;
  /** The plan comes from elsewhere: only marks with a height are offered. */
  readonly forHeight?: boolean;
  /** The station, once there is one. */
  readonly at: PlanPoint | null;
}

const CONDITION = { secure: '', usable: 'usable', doubtful: 'doubtful', lost: 'lost' } as const;

/** Marks still to be sighted; those kept for proofs last, lost ones not at all. */
export function NextMark({
  sighted,
  adds,
  chosen,
  onChoose,
  onSight,
  onSightAll,
  busy,
  forHeight = false,
  at,
}: NextMarkProps) {
  const { state } = useSite();
  const units = useUnits();
  const [adding, setAdding] = useState(false);
  const rank = (mark: ControlMark) => adds.findIndex((each) => each.name === mark.id);
  const open = state.control
    .filter(
      (mark) => !sighted.has(mark.id) && mark.revision.body.condition !== 'lost' && !(at && isUnderfoot(at, mark)),
    )
    .filter(({ revision: { body } }) => !forHeight || (body.useHeight && body.z !== null))
    .sort(
      (a, b) =>
        Number(rank(a) < 0) - Number(rank(b) < 0) ||
        rank(a) - rank(b) ||
        Number(a.revision.body.forProof) - Number(b.revision.body.forProof),
    );
  const best = adds[0];
  const isJudged = adds.length > 0;
  const usable = open.flatMap(({ id, revision: { body } }) =>
    body.e !== null && body.n !== null && body.usePlan && !body.forProof && body.condition !== 'doubtful'
      ? [{ id, e: body.e, n: body.n }]
      : [],
  );
  const rest = at ? walkingOrder(at, usable).map((i) => usable[i]!.id) : [];
  if (open.length === 0)
    return forHeight ? null : <p className="mt-3 text-ink2">{msg('station.everyUsableMarkHasBeenSighted')}</p>;
  return (
    <section className="mt-4">
      <h2 className="mb-1 text-[15px]">
        {forHeight ? msg('station.benchmarksToSightForTheHeight') : msg('station.marksToSight')}
      </h2>
      {best && (
        <p className="mb-1">
          <strong>
            {msg('station.bestNext', { name: state.control.find((mark) => mark.id === best.name)!.revision.body.name })}
          </strong>{' '}
          {rich('station.withItTheStationIsGoodTo', {
            smallLength: smallLength(best.radius95, units.lengthUnit),
            value: best.worst && best.worst.effect !== null && (
              <>
                {msg('station.whatCouldGoUnseenInItComes', {
                  aboutLength: aboutLength(best.worst.effect, units.lengthUnit),
                })}
              </>
            ),
            adds: addsWords()[best.checkability],
          })}
        </p>
      )}
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('common.mark')}</th>
            <th className={TH_WORD}>{msg('station.use')}</th>
            {at && <th className={TH}>{msg('station.distance')}</th>}
            {at && <th className={`${TH} ${isJudged ? 'max-sm:hidden' : ''}`}>{msg('station.azimuth')}</th>}
            {isJudged && <th className={TH}>{msg('station.goodTo')}</th>}
            {isJudged && (
              <th className={TH}>
                <Explained term="unseenEffect">{msg('common.unseenEffect')}</Explained>
              </th>
            )}
            <th className={TH}>
              <span className="sr-only">{msg('common.sightIt')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {open.map((mark) => {
            const { body } = mark.revision;
            const place = body.e !== null && body.n !== null ? { e: body.e, n: body.n } : null;
            return (
              <tr key={mark.id} className={chosen === mark.id ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
                <td className={TD_WORD}>
                  <button
                    type="button"
                    className="min-h-11 min-w-11 text-left font-semibold"
                    onClick={() => onChoose(mark.id)}
                  >
                    {body.name}
                  </button>
                </td>
                <td className={`${TD_WORD} text-[13px] text-ink2`}>
                  {purpose(mark)}
                  {!isProvenControl(state, mark) && (
                    <span className="block text-ochre">{msg('station.ofOurOwnNotProven')}</span>
                  )}
                </td>
                {at && <td className={TD}>{place && units.length(planDistance(at, place), 1)}</td>}
                {at && (
                  <td className={`${TD} ${isJudged ? 'max-sm:hidden' : ''}`}>
                    {place && units.angle(azimuth(at, place), 0)}
                  </td>
                )}
                {isJudged && (
                  <td className={TD}>
                    {adds[rank(mark)] ? smallLength(adds[rank(mark)]!.radius95, units.lengthUnit) : ''}
                  </td>
                )}
                {isJudged && <td className={TD}>{hidden(adds[rank(mark)], units.lengthUnit)}</td>}
                <td className={TD}>
                  <Button
                    className="my-0.5 px-3 text-[14px]"
                    disabled={busy}
                    onClick={() => onSight(mark.id)}
                    aria-label={msg('common.sight2', { name: body.name })}
                  >
                    {msg('common.sight')}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {onSightAll && at && rest.length > 1 && (
        <Button look="quiet" disabled={busy} onClick={() => onSightAll(rest)}>
          {msg('station.sightTheOtherInWalkingOrder', { rest: rest.length })}
        </Button>
      )}
      <Button look="quiet" onClick={() => setAdding(true)}>
        {msg('station.aMarkThatIsNotListed')}
      </Button>
      {adding && <EditControl mark={null} onClose={() => setAdding(false)} />}
    </section>
  );
}

/** So near that no instrument measures there: the ground under it, or the post it stands by. */
function isUnderfoot(at: PlanPoint, { revision: { body } }: ControlMark): boolean {
  return body.e !== null && body.n !== null && planDistance(at, { e: body.e, n: body.n }) < NEAREST_SIGHT;
}

/** The largest mistake that could still hide with it. */
function hidden(added: AddedSight | undefined, unit: LengthUnit): string {
  if (!added?.worst) return '';
  return added.worst.effect === null ? 'any' : aboutLength(added.worst.effect, unit);
}

function purpose({ revision: { body } }: ControlMark): string {
  const parts = [body.usePlan && 'plan', body.useHeight && partWord('height')].filter(Boolean).join(' + ');
  return [body.forProof ? msg('station.keptForProofs') : parts, CONDITION[body.condition]]
    .filter((each) => each !== '' && each !== 'usable')
    .join(', ');
}
