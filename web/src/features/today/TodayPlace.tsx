import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { MarkStanding } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { bookLine, leftOut, markKey, packageRoots } from '@idle-marker/records';
import { smallLength, STANDING_REASON } from '@idle-marker/words';
import { useProofAge } from '../../frame/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';
import { useKey } from '../../ui/useKey.ts';
import { nextStep } from './nextStep.ts';
import { ProofChart } from './LazyProofChart.tsx';

const BAR = { spruce: 'bg-spruce', ochre: 'bg-ochre', brick: 'bg-brick' } as const;

/** The site at a glance, and what to do next. */
export function Place() {
  const site = useSite();
  const { id, state, trust, inForce } = site;
  const proof = useProofAge();
  const navigate = useNavigate();
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const roots = useMemo(() => packageRoots(state.timeline.filter((fact): fact is Fact<'package'> => fact.type === 'package')), [state]);
  const rows = state.packages.map((work) => {
    const marks = work.body.plans
      .map((plan) => state.marks.get(markKey(roots.get(work.id)!, plan.key)))
      .filter((mark) => mark !== undefined && mark.body.state !== 'rough') as Fact<'mark'>[];
    const of = (standing: MarkStanding['standing']) => marks.filter((mark) => standings.get(mark.id)?.standing === standing).length;
    return { work, set: marks.length, held: of('held'), inDoubt: of('inDoubt'), total: work.body.plans.length };
  });
  const doubtful = [...state.marks.values()].filter((mark) => standings.get(mark.id)?.standing === 'inDoubt');
  const set = rows.reduce((sum, row) => sum + row.set, 0);
  const total = rows.reduce((sum, row) => sum + row.total, 0);
  const step = nextStep(site, proof, doubtful.length, total - set);
  const go = () => void navigate(`/sites/${id}/${step.to}`);
  useKey('Enter', go);
  const out = inForce ? leftOut(state, inForce) : [];
  const proofs = inForce ? state.proofs.filter((each) => each.body.solution === inForce.fact.id) : [];
  const missed = proofs.filter((each) => [each.body.plan, each.body.height].includes('outside')).length;
  const lately = state.timeline
    .filter((fact) => fact.type !== 'sight' && fact.type !== 'solution')
    .slice(-7)
    .reverse();
  return (
    <div className="h-full overflow-y-auto p-[22px] max-md:p-3">
      <div className="mb-5 flex flex-wrap items-center gap-x-6 gap-y-3 border-[1.5px] border-ink bg-sheet">
        <span className={`self-stretch w-2 ${BAR[step.tone]}`} />
        <div className="min-w-0 flex-1 py-4">
          <h1 className="text-[30px] leading-tight max-md:text-[24px]">{step.title}</h1>
          <p className="mt-1 text-ink2">{step.text}</p>
        </div>
        <Button look="primary" hint="Enter" className="mr-5 mb-3 sm:mb-0" onClick={go}>
          {step.button}
        </Button>
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-[3fr_2fr]">
        <div className="flex flex-col gap-5">
          <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
            <div className="mb-2 flex items-baseline justify-between">
              <h2 className="text-xl">Work asked for</h2>
              <span className="text-ink2">
                {set} of {total} set
              </span>
            </div>
            {rows.length === 0 ? (
              <p className="text-ink2">
                Nothing is asked for yet.{' '}
                <Link className="font-semibold text-spruce underline" to={`/sites/${id}/design`}>
                  Make a work package
                </Link>
              </p>
            ) : (
              <table className={TABLE}>
                <thead>
                  <tr>
                    <th className={TH_WORD}>For</th>
                    <th className={TH_WORD}>What</th>
                    <th className={TH}>Within, mm</th>
                    <th className={TH_WORD}>Held · set · in doubt</th>
                    <th className={TH}>To set</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map(({ work, set: own, held, inDoubt, total: all }) => (
                    <tr key={work.id}>
                      <td className={TD_WORD}>{work.body.crew}</td>
                      <td className={TD_WORD}>
                        <Link className="font-medium underline decoration-dotted" to={`/sites/${id}/mark`}>
                          {work.body.name}
                        </Link>
                      </td>
                      <td className={TD}>{state.settings.classes.find((each) => each.id === work.body.class)?.planMm ?? '–'}</td>
                      <td className={TD_WORD}>
                        <ProgressBar held={held} set={own - held - inDoubt} inDoubt={inDoubt} total={all} />
                        <span className="sr-only">
                          {held} held, {own - held - inDoubt} set and not held yet, {inDoubt} in doubt
                        </span>
                      </td>
                      <td className={TD}>{all - own}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </section>
          {doubtful.length > 0 && (
            <section className="border-[1.5px] border-brick bg-sheet p-[18px]">
              <h2 className="mb-2 text-xl text-brick">In doubt</h2>
              <ul className="flex flex-col">
                {doubtful.slice(0, 12).map((mark) => {
                  const standing = standings.get(mark.id)!;
                  const part = standing.plan.standing === 'inDoubt' ? standing.plan : standing.height;
                  const station = state.accepted.find((each) => each.fact.id === mark.body.solution)?.fact.body.name ?? 'its station';
                  return (
                    <li key={mark.id} className="flex gap-6 border-b border-rule py-1.5">
                      <strong className="min-w-28 text-brick">{mark.body.name}</strong>
                      <span>
                        Set from {station}: {STANDING_REASON[part.because[0]!]}.
                      </span>
                      <Link
                        className="ml-auto font-semibold whitespace-nowrap text-spruce underline"
                        to={`/sites/${id}/mark?package=${mark.body.package}&mark=${encodeURIComponent(mark.body.key)}`}
                      >
                        Set it again
                      </Link>
                    </li>
                  );
                })}
              </ul>
              {doubtful.length > 12 && <p className="mt-2 text-ink2">And {doubtful.length - 12} more.</p>}
            </section>
          )}
        </div>
        <div className="flex flex-col gap-5">
          <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
            <h2 className="mb-2 text-xl">{inForce ? `Occupied: ${inForce.fact.body.name}` : 'No station in force'}</h2>
            {inForce ? (
              <>
                <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
                  <dt className="text-ink2">Good to (95 %)</dt>
                  <dd className="font-semibold">
                    {smallLength(inForce.fact.body.result.ellipse95.aMm / 1000, state.settings.lengthUnit)} plan
                    {inForce.fact.body.result.sdTrunnionZMm !== null &&
                      `, ${smallLength((1.96 * inForce.fact.body.result.sdTrunnionZMm) / 1000, state.settings.lengthUnit)} height`}
                  </dd>
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
                {proofs.length > 1 && (
                  <ProofChart proofs={proofs} limitMm={state.settings.classes.find((each) => each.id === inForce.fact.body.class)?.planMm ?? 10} />
                )}
              </>
            ) : (
              <p className="text-ink2">Nothing can be set until the instrument is stationed.</p>
            )}
          </section>
          <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
            <h2 className="mb-1 text-xl">Lately</h2>
            <table className={TABLE}>
              <tbody>
                {lately.map((fact) => (
                  <tr key={fact.id}>
                    <td className={`${TD_WORD} figures align-top whitespace-nowrap`}>{clockTime(fact.at)}</td>
                    <td className={TD_WORD}>
                      <span className="line-clamp-2">{bookLine(state, fact).text}</span>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </div>
      </div>
    </div>
  );
}

function ProgressBar({ held, set, inDoubt, total }: { held: number; set: number; inDoubt: number; total: number }) {
  const part = (n: number) => `${total === 0 ? 0 : (100 * n) / total}%`;
  return (
    <span className="flex h-3 w-full min-w-32 border border-ink bg-paper" aria-hidden="true">
      <span className="bg-good" style={{ width: part(held) }} />
      <span className="bg-good opacity-45" style={{ width: part(set) }} />
      <span style={{ width: part(inDoubt), background: 'repeating-linear-gradient(45deg, var(--brick) 0 3px, var(--sheet) 3px 6px)' }} />
    </span>
  );
}
