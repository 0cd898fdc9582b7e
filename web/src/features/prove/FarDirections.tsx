import { useState } from 'react';
import { angleToRadians, formatSigned, RADIANS_PER_DEGREE, RADIANS_PER_SECOND } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { judgeTurn, type AcceptedSolution } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useLinked, useLinkKind } from '../../link/linkStore.ts';
import type { Shooting } from '../../pole/takeSight.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';

const azimuthOf = (solution: AcceptedSolution, sight: Fact<'sight'>): number => {
  const turned = angleToRadians(sight.body.read.circle, sight.body.read.angleUnit) / RADIANS_PER_DEGREE;
  const circle = sight.body.face === 2 ? turned - 180 : turned;
  return (((solution.fact.body.result.orientationDeg + circle) % 360) + 360) % 360;
};

/** A far, fixed thing: its direction alone, without a prism, tells within half a minute whether anything has turned. */
export function FarDirections({
  solution,
  shooting,
}: {
  readonly solution: AcceptedSolution;
  readonly shooting: Shooting;
}) {
  const { state, say } = useSite();
  const kind = useLinkKind();
  const far = useLinked((link) => link?.far);
  const [name, setName] = useState('');
  const mine = state.directions.filter((each) => each.body.solution === solution.fact.id);
  const busy = shooting.doing !== null;
  const offered = far?.filter((each) => !mine.some((known) => known.body.name === each)) ?? [];
  const take = async (what: string) => {
    const sight = await shooting.shoot('proof', { kind: 'direction', name: what }, null);
    if (!sight) return;
    await say({
      type: 'direction',
      body: { solution: solution.fact.id, sight: sight.id, name: what, azimuthDeg: azimuthOf(solution, sight) },
    });
    setName('');
  };
  const compare = async (direction: Fact<'direction'>) => {
    const sight = await shooting.shoot('proof', { kind: 'direction', name: direction.body.name }, null);
    if (!sight) return;
    const turnDeg = ((azimuthOf(solution, sight) - direction.body.azimuthDeg + 540) % 360) - 180;
    const turn = turnDeg * RADIANS_PER_DEGREE;
    const { outcome, shift, reach } = judgeTurn(state, solution, turn);
    const earlier = state.proofs.findLast(
      (proof) => proof.body.direction === direction.id && proof.body.solution === solution.fact.id,
    );
    await say({
      type: 'proof',
      body: {
        solution: solution.fact.id,
        sight: sight.id,
        control: null,
        revision: null,
        direction: direction.id,
        class: solution.fact.body.class,
        plan: outcome,
        height: 'notMeasured',
        result: { turnSec: turn / RADIANS_PER_SECOND, shiftMm: shift * 1000, reach },
        supersedes: earlier?.body.plan === 'outside' ? earlier.id : null,
      },
    });
  };
  return (
    <section>
      <p className="my-2 text-ink2">{msg('prove.takeTheDirectionToSomethingFarAnd')}</p>
      {mine.length > 0 && (
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('prove.farMark')}</th>
              <th className={TH_WORD}>{msg('prove.firstTaken')}</th>
              <th className={TH}>{msg('prove.turnedSince')}</th>
              <th className={TH}>
                <span className="sr-only">{msg('prove.aimAgain')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {mine.map((direction) => {
              const last = state.proofs.findLast((proof) => proof.body.direction === direction.id);
              const turn = last?.body.result.turnSec;
              const shift = last?.body.result.shiftMm;
              return (
                <tr key={direction.id} className={last?.body.plan === 'outside' ? 'text-brick' : ''}>
                  <td className={`${TD_WORD} font-semibold`}>{direction.body.name}</td>
                  <td className={TD_WORD}>{clockTime(direction.at)}</td>
                  <td className={TD}>
                    {typeof turn === 'number' ? `${formatSigned(turn, 1)}″` : '–'}{' '}
                    {last?.body.plan === 'outside' && <strong>{msg('prove.itHasTurned')}</strong>}
                    {typeof shift === 'number' && (
                      <span className="block text-[12px] text-ink2">
                        {msg('prove.atTheFarthestMark', {
                          smallLength: smallLength(shift / 1000, state.settings.lengthUnit),
                        })}
                      </span>
                    )}
                  </td>
                  <td className={TD}>
                    <Button
                      className="my-0.5 px-3 text-[14px]"
                      disabled={busy}
                      onClick={() => void compare(direction)}
                      aria-label={msg('prove.aimAtAgain', { name: direction.body.name })}
                    >
                      {msg('prove.aim')}
                    </Button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {offered.map((each) => (
          <Button key={each} disabled={busy} onClick={() => void take(each)}>
            {msg('prove.take', { each })}
          </Button>
        ))}
      </div>
      {kind === 'typed' && (
        <div className="mt-3 flex items-end gap-2">
          <Field
            className="flex-1"
            label={msg('prove.whatIsAimedAt')}
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
          <Button disabled={busy || name.trim() === ''} onClick={() => void take(name.trim())}>
            {msg('prove.recordDirection')}
          </Button>
        </div>
      )}
    </section>
  );
}
