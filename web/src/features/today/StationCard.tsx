import { NORMAL_95_FACTOR } from '@idle-marker/core';
import { checkOf, goodToOf, leftOut, figuresOf } from '@idle-marker/records';
import { msg, checkabilityWords, goodToWords, smallLength } from '@idle-marker/words';
import { useProofAge } from '../../site/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { clockTime } from '../../ui/time.ts';
import { ProofChart } from '../../evidence/LazyProofChart.tsx';
import { Explained } from '../../ui/Explained.tsx';

/** Where the instrument stands, how good that is, and when it was last proved. */
export function StationCard() {
  const { state, inForce } = useSite();
  const proof = useProofAge();
  if (!inForce) {
    return (
      <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
        <h2 className="mb-2 text-xl">{msg('today.noStationInForce')}</h2>
        <p className="text-ink2">{msg('today.nothingCanBeSetUntilTheInstrument')}</p>
      </section>
    );
  }
  const { name } = inForce.fact.body;
  const { lengthUnit } = state.settings;
  const out = leftOut(state, inForce);
  const check = checkOf(state, inForce);
  const proofs = state.proofs.filter((each) => each.body.solution === inForce.fact.id);
  const missed = proofs.filter((each) => [each.body.plan, each.body.height].includes('outside')).length;
  return (
    <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
      <h2 className="mb-2 text-xl">{msg('today.occupied', { name })}</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        <dt className="text-ink2">
          <Explained term="confidence95">{msg('common.goodTo95')}</Explained>
        </dt>
        <dd className="font-semibold">
          {msg('today.plan', {
            goodTo: goodToWords(goodToOf(inForce), lengthUnit),
            sdAxis:
              figuresOf(inForce.fact).sdAxis === null
                ? msg('today.noHeight')
                : msg('today.height', {
                    smallLength: smallLength(NORMAL_95_FACTOR * (figuresOf(inForce.fact).sdAxis ?? 0), lengthUnit),
                  }),
          })}
        </dd>
        {check && (
          <>
            <dt className="text-ink2">{msg('common.checked')}</dt>
            <dd className={check.now === 'unchecked' ? 'font-semibold text-ochre' : 'font-semibold'}>
              {checkabilityWords()[check.now].title}
            </dd>
          </>
        )}
        <dt className="text-ink2">{msg('common.leftOut2')}</dt>
        <dd className={out.length > 0 ? 'font-semibold text-brick' : ''}>
          {out.length === 0 ? 'nothing' : out.join(', ')}
        </dd>
        <dt className="text-ink2">
          <Explained term="checkShot">{msg('today.lastProof')}</Explained>
        </dt>
        <dd className="font-semibold">
          {proof?.lastProof
            ? msg('today.minAgo', { clockTime: clockTime(proof.lastProof.at), minutes: proof.minutes })
            : msg('common.noneYet')}
        </dd>
        <dt className="text-ink2">{msg('common.proofs')}</dt>
        <dd className={missed > 0 ? 'font-semibold text-brick' : 'font-semibold'}>
          {msg('today.goodMissed', { proofs: proofs.length - missed, missed })}
        </dd>
        {inForce.decision.body.verdict === 'provisional' && (
          <>
            <dt className="text-ink2">{msg('today.reasonForProvisional')}</dt>
            <dd className="font-semibold text-ochre">{inForce.decision.body.reason}</dd>
          </>
        )}
      </dl>
      {proofs.length > 1 && <ProofChart proofs={proofs} classId={inForce.fact.body.class} />}
    </section>
  );
}
