import type { Fact } from '@idle-marker/contract';
import { cautionsFor, isIndependentlyChecked, wantsIndependentCheck, type AcceptedSolution, type RoundStop } from '@idle-marker/records';
import { cautionWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';

interface CautionCardsProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly solution: AcceptedSolution;
}

/** Cautions for this mark: each stays until somebody says what was done about it, and then is not asked again that day. */
export function CautionCards({ work, stop, solution }: CautionCardsProps) {
  const { state, say, now } = useSite();
  const { plan, mark } = stop;
  const stands = mark !== null && mark.body.state !== 'rough';
  const cautions = stands ? [] : cautionsFor(state, work, plan.place, solution, now);
  const unchecked = stands && wantsIndependentCheck(state, work) && !isIndependentlyChecked(state, mark);
  return (
    <>
      {cautions.map(({ code, who, about, area }) => {
        const { title, text, answer } = cautionWords(code, area?.body.name ?? null, who);
        return (
          <Card
            key={`${code} ${about}`}
            tone="ochre"
            title={title}
            actions={
              <Button onClick={() => void say({ type: 'care', body: { what: code, about, text: `${work.body.name}: ${answer.toLowerCase()}` } })}>
                {answer}
              </Button>
            }
          >
            {text}
          </Card>
        );
      })}
      {unchecked && (
        <Card tone="ochre" title="Wants an independent check">
          Steel and bolts show a wrong mark only when they hang there. Tape {plan.name} to another mark, or sight it again from another station: the station
          that set it can’t check itself.
        </Card>
      )}
    </>
  );
}
