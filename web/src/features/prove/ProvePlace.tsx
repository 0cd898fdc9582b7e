import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { checkJson, type Fact } from '@idle-marker/contract';
import { judgeProof, usedBy, type ControlMark, type ProofJudgement } from '@idle-marker/records';
import { PROOF_OUTCOME, proofSentence, proofVerdict, stationErrorSentence } from '@idle-marker/words';
import { useProofAge } from '../../frame/railFacts.ts';
import { currentLink, useLinkState } from '../../link/linkStore.ts';
import { useShooting } from '../../link/takeSight.ts';
import { TypedReading } from '../../link/TypedReading.tsx';
import { Board } from '../../plan/LazyBoard.tsx';
import { joinScenes } from '../../plan/scene.ts';
import { controlScene, marksScene, outlineScene } from '../../plan/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Card, Empty, Slip, Workspace } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';
import { useKey } from '../../ui/useKey.ts';
import { ProofTable } from './ProofTable.tsx';

/** Is it still true? A sight to a known mark that the station did not use. */
export function Place() {
  const { id, state, trust, inForce, say } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const shooting = useShooting();
  const age = useProofAge();
  const [chosen, setChosen] = useState<string | null>(null);
  const [last, setLast] = useState<{ mark: ControlMark; judged: ProofJudgement; independent: boolean } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const scene = useMemo(() => {
    if (!inForce) return joinScenes(outlineScene(state.packages), controlScene(state.control, null));
    const { result, name } = inForce.fact.body;
    const at = { e: result.e, n: result.n };
    const facing = link?.setUp ? (result.orientationDeg + link.circleDeg) * RADIANS_PER_DEGREE : null;
    return joinScenes(
      outlineScene(state.packages),
      marksScene(state, state.packages, standings, null),
      { instruments: [{ at, label: name, facing }] },
      controlScene(state.control, chosen),
    );
  }, [state, inForce, link, chosen, standings]);
  const target = state.control.find((mark) => mark.id === chosen) ?? null;

  const prove = async (mark: ControlMark) => {
    if (!inForce) return;
    setChosen(mark.id);
    setLast(null);
    setFault(null);
    const sight = await shooting.shoot('proof', { kind: 'control', mark: mark.id }, { name: mark.revision.body.name });
    if (!sight) return;
    const asked = state.settings.classes.find((each) => each.id === inForce.fact.body.class) ?? state.settings.classes[0]!;
    const judged = judgeProof(state, inForce, mark, sight, asked);
    if (!judged.ok) {
      setFault(stationErrorSentence(judged.error));
      return;
    }
    const { plan, height, check } = judged.value;
    // Sighting the same mark again after a poor proof takes its place; sighting something else never does.
    const earlier = state.proofs.findLast((proof) => proof.body.solution === inForce.fact.id && proof.body.control === mark.id);
    const poor = earlier && [earlier.body.plan, earlier.body.height].some((part) => part === 'outside' || part === 'moreThanChance');
    await say({
      type: 'proof',
      body: {
        solution: inForce.fact.id,
        sight: sight.id,
        control: mark.id,
        revision: mark.revision.id,
        class: asked.id,
        plan,
        height,
        result: checkJson(check),
        supersedes: poor ? earlier.id : null,
      },
    });
    const used = usedBy(inForce, mark.id);
    setLast({ mark, judged: judged.value, independent: (plan !== 'notMeasured' && !used.plan) || (height !== 'notMeasured' && !used.height) });
  };
  useKey('a', target && !shooting.doing ? () => void prove(target) : null);

  if (!inForce) {
    return (
      <Empty
        title="No station to prove"
        action={
          <Link to={`/sites/${id}/station`} className="font-semibold text-spruce underline">
            Go to Station
          </Link>
        }
      >
        A proof compares a known mark with what the accepted station measures. Station the instrument first.
      </Empty>
    );
  }
  const verdict = last && proofVerdict(last.judged.plan, last.judged.height, last.independent);
  const candidates = state.control
    .filter((mark) => mark.revision.body.condition !== 'lost' && (mark.revision.body.usePlan || mark.revision.body.useHeight))
    .map((mark) => ({ mark, used: usedBy(inForce, mark.id) }))
    .sort(
      (a, b) =>
        Number(a.used.plan || a.used.height) - Number(b.used.plan || b.used.height) ||
        Number(b.mark.revision.body.forProof) - Number(a.mark.revision.body.forProof),
    );
  const proofs = state.proofs.filter((proof) => proof.body.solution === inForce.fact.id);
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={`Plan with station ${inForce.fact.body.name}, the control marks and the marks set`}
            onPick={(picked) => state.control.some((mark) => mark.id === picked) && setChosen(picked)}
            fitKey={inForce.fact.id}
          />
        }
        slip={
          <Slip
            topic={`${proofs.length} ${shooting.trouble ?? ''}`}
            head={
              <>
                <h1 className="text-xl">
                  Prove {inForce.fact.body.name}{' '}
                  <span className={`ml-1 text-[15px] font-normal ${age?.due ? 'text-ochre' : 'text-ink2'}`}>
                    {age?.failed ? 'a proof failed' : age?.proven ? `last good proof ${age.minutes} min ago` : 'unproven so far'}
                  </span>
                </h1>
                <p className="text-ink2">Best a mark the station did not use; the same pole height as for the stakes.</p>
              </>
            }
            foot={
              <>
                {shooting.doing ? <Button onClick={shooting.cancel}>Cancel</Button> : <span />}
                <Button look="primary" hint="A" disabled={!target || shooting.doing !== null} onClick={() => target && void prove(target)}>
                  {target ? `Sight ${target.revision.body.name}` : 'Choose a mark'}
                </Button>
              </>
            }
          >
            <div aria-live="polite">
              {shooting.doing && <p className="mb-2 font-medium">{shooting.doing}</p>}
              {(shooting.trouble ?? fault) && (
                <Card tone="brick" title="No proof was made">
                  {shooting.trouble ?? fault}
                </Card>
              )}
            </div>
            {last && verdict && (
              <Card
                tone={verdict.tone}
                title={verdict.title}
                actions={
                  verdict.tone === 'good' ? (
                    <Link className="font-semibold text-spruce underline" to={`/sites/${id}/mark`}>
                      On to the marks
                    </Link>
                  ) : (
                    <Button onClick={() => void prove(last.mark)}>Sight {last.mark.revision.body.name} again</Button>
                  )
                }
              >
                <p>{proofSentence(last.mark.revision.body.name, last.judged.check, last.judged.plan, last.judged.height, units.lengthUnit)}</p>
                <p className="mt-1">{verdict.text}</p>
              </Card>
            )}
            <table className={TABLE}>
              <thead>
                <tr>
                  <th className={TH_WORD}>Mark</th>
                  <th className={TH_WORD}>For the station it is</th>
                  <th className={TH_WORD}>Last sighted</th>
                  <th className={TH} />
                </tr>
              </thead>
              <tbody>
                {candidates.map(({ mark, used }) => {
                  const before = proofs.findLast((proof) => proof.body.control === mark.id);
                  return (
                    <tr key={mark.id} className={chosen === mark.id ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
                      <td className={TD_WORD}>
                        <button type="button" className="min-h-11 min-w-11 text-left font-semibold" onClick={() => setChosen(mark.id)}>
                          {mark.revision.body.name}
                        </button>
                      </td>
                      <td className={TD_WORD}>
                        {used.plan && used.height ? (
                          'used: a repeat'
                        ) : used.plan ? (
                          'used in plan'
                        ) : used.height ? (
                          'used in height'
                        ) : (
                          <strong>unused: a proof</strong>
                        )}
                      </td>
                      <td className={TD_WORD}>{before ? clockTime(before.at) : '–'}</td>
                      <td className={TD}>
                        <Button
                          className="my-0.5 px-3 text-[14px]"
                          disabled={shooting.doing !== null}
                          onClick={() => void prove(mark)}
                          aria-label={`Prove on ${mark.revision.body.name}`}
                        >
                          Sight
                        </Button>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
            {proofs.length > 0 && (
              <ProofTable
                proofs={proofs}
                nameOf={(mark) => state.control.find((each) => each.id === mark)?.revision.body.name ?? '?'}
                outcomeWords={(proof: Fact<'proof'>) => `plan ${PROOF_OUTCOME[proof.body.plan]}, height ${PROOF_OUTCOME[proof.body.height]}`}
              />
            )}
          </Slip>
        }
      />
      <TypedReading
        title={target ? `Reading to ${target.revision.body.name}` : 'Reading'}
        open={link?.kind === 'typed' && link.busy === 'measuring'}
        onCancel={() => currentLink()?.cancel()}
      />
    </>
  );
}
