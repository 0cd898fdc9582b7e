import { Tabs } from 'radix-ui';
import { Link } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { markInForce } from '@idle-marker/records';
import {
  msg,
  proofOutcomeWords,
  proofSentence,
  proofVerdict,
  resightVerdict,
  unprovenShort,
  worded,
} from '@idle-marker/words';
import { MisnamedCard } from '../../pole/MisnamedCard.tsx';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { LiftProvision } from '../../evidence/LiftProvision.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
import { FoundMovedDialog } from '../../evidence/FoundMovedDialog.tsx';
import { Beside } from './Beside.tsx';
import { CandidateTable } from './CandidateTable.tsx';
import { ClearCard } from '../../evidence/ClearCard.tsx';
import { ProofChart } from '../../evidence/LazyProofChart.tsx';
import { HiddenCard } from './HiddenCard.tsx';
import { DriftCard } from './DriftCard.tsx';
import { OutsideCard } from './OutsideCard.tsx';
import { FarDirections } from './FarDirections.tsx';
import { HappenedRow } from './HappenedRow.tsx';
import { ProofTable } from './ProofTable.tsx';
import { SetMarks } from './SetMarks.tsx';
import { TapeBetween } from './TapeBetween.tsx';
import { LINK } from '../../ui/link.ts';
import { useProvePlace } from './useProvePlace.ts';

const wayList = worded(
  () =>
    [
      ['known', msg('prove.aKnownMark')],
      ['set', msg('prove.aMarkSet')],
      ['far', msg('prove.farDirection')],
      ['tape', msg('prove.tape')],
    ] as const,
);

/** Is it still true? A sight to a known mark that the station did not use. */
export function Place() {
  const {
    id,
    state,
    trust,
    inForce,
    occupation,
    units,
    proving,
    shooting,
    target,
    last,
    fault,
    prove,
    chosen,
    age,
    claim,
    moved,
    setMoved,
    scene,
    proofs,
  } = useProvePlace();

  if (!inForce && occupation?.body.method === 'heightOnly') {
    return (
      <EmptyTo
        title={msg('common.givesHeightsAlone', { name: occupation.body.name })}
        place="mark/receiver"
        label={msg('prove.proveWithAReceiver')}
      >
        {msg('prove.withAReceiverOnThePoleBoth')}
      </EmptyTo>
    );
  }
  if (!inForce) {
    return (
      <EmptyTo title={msg('prove.noStationToProve')} place="station" label={msg('common.goToStation')}>
        {msg('prove.aProofComparesAKnownMarkWith')}
      </EmptyTo>
    );
  }
  const own = last?.kind === 'ownResight';
  const verdict =
    last &&
    (last.kind === 'resight' || own
      ? resightVerdict(last.judged.plan, last.judged.height, own)
      : proofVerdict(last.judged.plan, last.judged.height, last.kind === 'proof', claim?.unproven, claim?.failed));
  const busy = shooting.doing !== null;
  const nameOf = (proof: Fact<'proof'>) =>
    state.control.find((each) => each.id === proof.body.control)?.revision.body.name ??
    state.directions.find((each) => each.id === proof.body.direction)?.body.name ??
    '?';
  const suspects = trust.targetsSuspect.flatMap((each) => state.control.find((mark) => mark.id === each.target) ?? []);
  const setMark = (mark: string) => markInForce(state, mark);
  return (
    <>
      <Workspace
        board={
          <Board
            scene={scene}
            description={msg('prove.planWithStationTheControlMarksAnd', { name: inForce.fact.body.name })}
            onPick={(picked) => state.control.some((mark) => mark.id === picked) && proving.choose(picked)}
            fitKey={inForce.fact.id}
          />
        }
        slip={
          <Slip
            topic={`${proofs.length} ${state.resights.length} ${shooting.trouble ?? ''}`}
            head={
              <>
                <h1 className="text-xl">
                  {msg('prove.prove', { name: inForce.fact.body.name })}{' '}
                  <span className={`ml-1 text-[15px] font-normal ${age?.due ? 'text-ochre' : 'text-ink2'}`}>
                    {age?.failed
                      ? msg('prove.aProofFailed')
                      : age?.proven
                        ? msg('prove.lastGoodProofMinAgo', { minutes: age.minutes })
                        : msg('prove.soFar', { unprovenShort: unprovenShort(age?.unproven ?? [], age?.unchecked) })}
                  </span>
                </h1>
                <p className="text-ink2">{msg('prove.bestAMarkTheStationDidNot')}</p>
              </>
            }
            foot={
              <>
                {busy ? <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button> : <span />}
                <Button look="primary" hint="A" disabled={!target || busy} onClick={() => target && void prove(target)}>
                  {target ? msg('common.sight2', { name: target.revision.body.name }) : msg('common.chooseAMark')}
                </Button>
              </>
            }
          >
            <div aria-live="polite">
              {shooting.doing && <p className="mb-2 font-medium">{shooting.doing}</p>}
              {(shooting.trouble ?? fault) && (
                <Card tone="brick" title={msg('prove.noProofWasMade')}>
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
                      {msg('prove.onToTheMarks')}
                    </Link>
                  ) : (
                    <Button disabled={busy} onClick={() => void proving.again()}>
                      {msg('common.sightAgain', { name: last.name })}
                    </Button>
                  )
                }
              >
                <p>
                  {proofSentence(
                    last.name,
                    last.judged.check,
                    last.judged.plan,
                    last.judged.height,
                    units.lengthUnit,
                    last.kind === 'resight' || own ? 'set' : 'listed',
                  )}
                </p>
                <Beside solution={inForce} last={last} />
                <p className="mt-1">{verdict.text}</p>
              </Card>
            )}
            <HiddenCard solution={inForce} proven={!(age?.unproven.includes('plan') ?? true)} />
            <DriftCard solution={inForce} />
            <OutsideCard solution={inForce} busy={busy} onProve={(mark) => void prove(mark)} />
            {suspects.map((mark) => (
              <Card
                key={mark.id}
                tone="ochre"
                title={msg('prove.standsAloneAgainstTheOthers', { name: mark.revision.body.name })}
                actions={
                  <Button onClick={() => setMoved(mark)}>
                    {msg('prove.hasMoved', { name: mark.revision.body.name })}
                  </Button>
                }
              >
                {msg('prove.betterEvidenceSpeaksForTheStationThis')}
              </Card>
            ))}
            <MisnamedCard
              doubt={proving.misnamed.doubt}
              onRename={() => void proving.rename()}
              onKeep={() => void proving.keepName()}
            />
            <LiftProvision solution={inForce} />
            <ClearCard
              tone={age?.failed || trust.marks.some((mark) => mark.standing === 'inDoubt') ? 'brick' : 'ochre'}
              onResight={(mark) => {
                const found = setMark(mark);
                if (found && !busy) void proving.resight(found);
              }}
            />
            <Tabs.Root defaultValue="known">
              <Tabs.List className="my-2 flex flex-wrap border-b border-ink" aria-label={msg('prove.whatToProveBy')}>
                {wayList().map(([way, words]) => (
                  <Tabs.Trigger
                    key={way}
                    value={way}
                    className="min-h-11 px-3 text-ink2 data-[state=active]:border-b-4 data-[state=active]:border-spruce data-[state=active]:font-semibold data-[state=active]:text-ink"
                  >
                    {words}
                  </Tabs.Trigger>
                ))}
              </Tabs.List>
              <Tabs.Content value="known">
                <CandidateTable
                  candidates={proving.candidates}
                  chosen={chosen}
                  busy={busy}
                  onChoose={proving.choose}
                  onProve={(mark) => void prove(mark)}
                />
              </Tabs.Content>
              <Tabs.Content value="set">
                <SetMarks busy={busy} onResight={(mark) => void proving.resight(mark)} />
              </Tabs.Content>
              <Tabs.Content value="far">
                <FarDirections solution={inForce} shooting={shooting} />
              </Tabs.Content>
              <Tabs.Content value="tape">
                <TapeBetween />
              </Tabs.Content>
            </Tabs.Root>
            {proofs.length > 1 && <ProofChart proofs={proofs} classId={inForce.fact.body.class} />}
            {proofs.length > 0 && (
              <ProofTable
                proofs={proofs}
                nameOf={nameOf}
                outcomeWords={(proof: Fact<'proof'>) =>
                  msg('prove.planHeight', {
                    proofOutcome: proofOutcomeWords()[proof.body.plan],
                    proofOutcome2: proofOutcomeWords()[proof.body.height],
                  })
                }
              />
            )}
            <HappenedRow solution={inForce} />
          </Slip>
        }
      />
      <TypedReading
        title={target ? msg('common.readingTo', { name: target.revision.body.name }) : msg('common.reading')}
      />
      {moved && <FoundMovedDialog mark={moved} onClose={() => setMoved(null)} />}
    </>
  );
}
