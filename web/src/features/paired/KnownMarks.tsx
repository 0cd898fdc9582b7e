import { useMemo, useState } from 'react';
import { checkJson, type Fact } from '@idle-marker/contract';
import { judgePairedProof, type ControlMark, type PairedSolution, classOf } from '@idle-marker/records';
import { msg, proofOutcomeWords, pairedProofSentence, proofVerdict, smallLength, partWord } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';
import type { PairedShooting } from '../../pole/usePairedShooting.ts';

interface KnownMarksProps {
  readonly paired: PairedSolution;
  readonly shooting: PairedShooting;
}

/** The pole on marks that are known: the plan is proved by the receiver, the height by the instrument. */
export function KnownMarks({ paired, shooting: { shoot, shooting } }: KnownMarksProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const [last, setLast] = useState<{
    readonly tone: 'good' | 'ochre' | 'brick';
    readonly title: string;
    readonly text: string;
    readonly said: string;
  } | null>(null);
  const asked = classOf(state, paired.solution.body.class);
  const used = useMemo(
    () => new Set(paired.solution.body.uses.filter((use) => use.height).map((use) => use.control)),
    [paired],
  );
  const proofs = state.proofs.filter(({ body }) => body.solution === paired.solution.id);
  const known = state.control.filter(
    ({ revision: { body } }) => body.condition !== 'lost' && (body.usePlan || (body.useHeight && body.z !== null)),
  );
  const nameOf = (id: string | null) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? '?';
  const busy = shooting.doing !== null;
  const prove = async (mark: ControlMark) => {
    setLast(null);
    const { name } = mark.revision.body;
    const shot = await shoot('proof', { kind: 'control', mark: mark.id }, { name }, asked.plan);
    if (!shot) return;
    const { check, plan, height } = judgePairedProof(state, paired, mark, shot.position, shot.sight, asked);
    const earlier = proofs.findLast((proof) => proof.body.control === mark.id);
    const poor =
      earlier &&
      [earlier.body.plan, earlier.body.height].some((part) => part === 'outside' || part === 'moreThanChance');
    await say({
      type: 'proof',
      body: {
        solution: paired.solution.id,
        sight: shot.sight.id,
        position: shot.position.id,
        control: mark.id,
        revision: mark.revision.id,
        class: asked.id,
        plan,
        height,
        result: checkJson(check),
        supersedes: poor ? earlier.id : null,
      },
    });
    const independent = plan !== 'notMeasured' || (height !== 'notMeasured' && !used.has(mark.id));
    setLast({
      ...proofVerdict(plan, height, independent),
      said: pairedProofSentence(name, check, plan, height, units.lengthUnit),
    });
  };
  const figure = (proof: Fact<'proof'>, field: string) => {
    const value = proof.body.result[field];
    return typeof value === 'number' ? smallLength(value / 1000, units.lengthUnit) : '–';
  };
  return (
    <section className="mt-4" aria-label={msg('paired.knownMarks')}>
      <h2 className="text-[15px]">{msg('paired.thePoleOnAKnownMark')}</h2>
      <p className="text-[13px] text-ink2">{msg('paired.marksOfTheControlListOnlyWhat')}</p>
      {last && (
        <Card tone={last.tone} title={last.title}>
          {last.said} {last.text}
        </Card>
      )}
      <ul>
        {known.map((mark) => {
          const { body } = mark.revision;
          const proves = [
            ...(body.usePlan ? ['plan'] : []),
            ...(body.useHeight && body.z !== null
              ? [used.has(mark.id) ? msg('paired.heightTheOneItCameFrom') : partWord('height')]
              : []),
          ].join(' and ');
          return (
            <li key={mark.id} className="flex items-center justify-between gap-3 border-b border-rule">
              <span>
                <strong>{body.name}</strong>{' '}
                <span className="text-[13px] text-ink2">{msg('paired.proves', { proves })}</span>
              </span>
              <Button
                className="my-0.5 px-3 text-[14px]"
                disabled={busy}
                onClick={() => void prove(mark)}
                aria-label={msg('common.proveOn', { name: body.name })}
              >
                {msg('common.prove')}
              </Button>
            </li>
          );
        })}
      </ul>
      {proofs.length > 0 && (
        <table className={`mt-3 ${TABLE}`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.at')}</th>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH}>{msg('paired.planReceiver')}</th>
              <th className={TH}>{msg('paired.heightInstrument')}</th>
            </tr>
          </thead>
          <tbody>
            {[...proofs].reverse().map((proof) => (
              <tr
                key={proof.id}
                className={[proof.body.plan, proof.body.height].includes('outside') ? 'text-brick' : ''}
              >
                <td className={TD_WORD}>{clockTime(proof.at)}</td>
                <td className={TD_WORD}>{nameOf(proof.body.control)}</td>
                <td className={TD}>
                  {figure(proof, 'horizontalMm')}{' '}
                  <span className="text-[13px]">{proofOutcomeWords()[proof.body.plan]}</span>
                </td>
                <td className={TD}>
                  {figure(proof, 'dZMm')} <span className="text-[13px]">{proofOutcomeWords()[proof.body.height]}</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
