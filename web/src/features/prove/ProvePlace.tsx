import { useMemo } from 'react';
import { Link } from 'react-router';
import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { PROOF_OUTCOME, proofSentence, proofVerdict } from '@idle-marker/words';
import { useProofAge } from '../../frame/railFacts.ts';
import { useLinkState } from '../../link/linkStore.ts';
import { MisnamedCard } from '../../link/MisnamedCard.tsx';
import { TypedReading } from '../../link/TypedReading.tsx';
import { Board } from '../../plan/LazyBoard.tsx';
import { joinScenes } from '../../plan/scene.ts';
import { controlScene, marksScene, outlineScene } from '../../plan/siteScene.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
import { useKey } from '../../ui/useKey.ts';
import { CandidateTable } from './CandidateTable.tsx';
import { ProofTable } from './ProofTable.tsx';
import { useProving } from './useProving.ts';
import { LINK } from '../../ui/link.ts';

/** Is it still true? A sight to a known mark that the station did not use. */
export function Place() {
  const { id, state, trust, inForce } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const proving = useProving();
  const { shooting, target, last, fault, prove } = proving;
  const chosen = target?.id ?? null;
  const age = useProofAge();
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
  useKey('a', target && !shooting.doing ? () => void prove(target) : null);

  if (!inForce) {
    return (
      <EmptyTo title="No station to prove" place="station" label="Go to Station">
        A proof compares a known mark with what the accepted station measures. Station the instrument first.
      </EmptyTo>
    );
  }
  const verdict = last && proofVerdict(last.judged.plan, last.judged.height, last.independent);
  const proofs = state.proofs.filter((proof) => proof.body.solution === inForce.fact.id);
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={`Plan with station ${inForce.fact.body.name}, the control marks and the marks set`}
            onPick={(picked) => state.control.some((mark) => mark.id === picked) && proving.choose(picked)}
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
                    <Link className={LINK} to={`/sites/${id}/mark`}>
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
            <MisnamedCard doubt={proving.misnamed.doubt} onRename={() => void proving.rename()} onKeep={() => void proving.keepName()} />
            <CandidateTable
              candidates={proving.candidates}
              chosen={chosen}
              busy={shooting.doing !== null}
              onChoose={proving.choose}
              onProve={(mark) => void prove(mark)}
            />
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
      <TypedReading title={target ? `Reading to ${target.revision.body.name}` : 'Reading'} />
    </>
  );
}
