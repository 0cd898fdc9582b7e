import { NORMAL_95_FACTOR } from '@idle-marker/core';
import { checkOf, goodToOf, leftOut, figuresOf } from '@idle-marker/records';
import { CHECKABILITY_WORDS, goodToWords, smallLength } from '@idle-marker/words';
import { useProofAge } from '../../site/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { clockTime } from '../../ui/time.ts';
import { ProofChart } from '../../evidence/LazyProofChart.tsx';

/** Where the instrument stands, how good that is, and when it was last proved. */
export function StationCard() {
  const { state, inForce } = useSite();
  const proof = useProofAge();
  if (!inForce) {
    return (
      <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
        <h2 className="mb-2 text-xl">No station in force</h2>
        <p className="text-ink2">Nothing can be set until the instrument is stationed.</p>
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
      <h2 className="mb-2 text-xl">Occupied: {name}</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        <dt className="text-ink2">Good to (95 %)</dt>
        <dd className="font-semibold">
          {goodToWords(goodToOf(inForce), lengthUnit)} plan
          {figuresOf(inForce.fact).sdAxis === null
            ? ', no height'
            : `, ${smallLength(NORMAL_95_FACTOR * (figuresOf(inForce.fact).sdAxis ?? 0), lengthUnit)} height`}
        </dd>
        {check && (
          <>
            <dt className="text-ink2">Checked</dt>
            <dd className={check.now === 'unchecked' ? 'font-semibold text-ochre' : 'font-semibold'}>{CHECKABILITY_WORDS[check.now].title}</dd>
          </>
        )}
        <dt className="text-ink2">Left out</dt>
        <dd className={out.length > 0 ? 'font-semibold text-brick' : ''}>{out.length === 0 ? 'nothing' : out.join(', ')}</dd>
        <dt className="text-ink2">Last proof</dt>
        <dd className="font-semibold">{proof?.lastProof ? `${clockTime(proof.lastProof.at)}, ${proof.minutes} min ago` : 'none yet'}</dd>
        <dt className="text-ink2">Proofs</dt>
        <dd className={missed > 0 ? 'font-semibold text-brick' : 'font-semibold'}>
          {proofs.length - missed} good, {missed} missed
        </dd>
        {inForce.decision.body.verdict === 'provisional' && (
          <>
            <dt className="text-ink2">Provisional</dt>
            <dd className="font-semibold text-ochre">{inForce.decision.body.reason}</dd>
          </>
        )}
      </dl>
      {proofs.length > 1 && <ProofChart proofs={proofs} classId={inForce.fact.body.class} />}
    </section>
  );
}
