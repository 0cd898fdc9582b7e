import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { bookLine, progressOf, setMarks } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useProofAge } from '../../site/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD_WORD } from '../../ui/table.ts';
import { clockTime } from '../../ui/time.ts';
import { useKey } from '../../ui/useKey.ts';
import { ClockAheadCard } from './ClockAheadCard.tsx';
import { ConcernCard } from './ConcernCard.tsx';
import { DoubtCard } from './DoubtCard.tsx';
import { FallenCard } from './FallenCard.tsx';
import { FirstDayCard } from './FirstDayCard.tsx';
import { HandedOverCard } from './HandedOverCard.tsx';
import { nextStep } from './nextStep.ts';
import { OlderCard } from './OlderCard.tsx';
import { QuarantineCard } from './QuarantineCard.tsx';
import { MissingClassCard } from './MissingClassCard.tsx';
import { RevisedTwiceCards } from './RevisedTwiceCards.tsx';
import { SetTwiceCards } from './SetTwiceCards.tsx';
import { SiteCard } from './SiteCard.tsx';
import { StationCard } from './StationCard.tsx';
import { WorkCard } from './WorkCard.tsx';

const BAR = { spruce: 'bg-spruce', ochre: 'bg-ochre', brick: 'bg-brick' } as const;
const LATELY = 7;
/** Among so many of the last entries; most are sights. */
const LOOKED_BACK = 500;

/** The site at a glance, and what to do next. */
export function Place() {
  const site = useSite();
  const { id, state, trust } = site;
  const proof = useProofAge();
  const navigate = useNavigate();
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const progress = useMemo(() => progressOf(state, trust), [state, trust]);
  const doubtful = setMarks(state).filter((mark) => standings.get(mark.id)?.standing === 'inDoubt');
  const toSet = progress.reduce((sum, each) => sum + each.marks - each.set, 0);
  const step = nextStep(site, proof, doubtful, toSet);
  const go = () => void navigate(`/sites/${id}/${step.to}`);
  useKey('Enter', go);
  const lately = state.timeline
    .slice(-LOOKED_BACK)
    .filter((fact) => fact.type !== 'sight' && fact.type !== 'solution')
    .slice(-LATELY)
    .reverse();
  return (
    <div className="h-full overflow-y-auto p-[22px] max-md:p-3">
      <div className="mb-5 flex flex-wrap items-center gap-x-6 gap-y-3 border-[1.5px] border-ink bg-sheet">
        <span className={`w-2 self-stretch ${BAR[step.tone]}`} />
        <div className="min-w-0 flex-1 py-4">
          <h1 className="text-[30px] leading-tight max-md:text-[24px]">{step.title}</h1>
          <p className="mt-1 text-ink2">{step.text}</p>
        </div>
        <Button look="primary" hint={msg('common.enter')} className="mr-5 mb-3 sm:mb-0" onClick={go}>
          {step.button}
        </Button>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[3fr_2fr]">
        <div className="flex flex-col gap-5">
          <WorkCard progress={progress} />
          <SetTwiceCards />
          <RevisedTwiceCards />
          <MissingClassCard />
          <ClockAheadCard />
          <FirstDayCard />
          <FallenCard />
          <OlderCard />
          <ConcernCard />
          <HandedOverCard />
          <QuarantineCard />
          <DoubtCard marks={doubtful} standings={standings} />
          <SiteCard />
        </div>
        <div className="flex flex-col gap-5">
          <StationCard />
          <section className="border-[1.5px] border-ink bg-sheet p-[18px]">
            <h2 className="mb-1 text-xl">{msg('today.lately')}</h2>
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
