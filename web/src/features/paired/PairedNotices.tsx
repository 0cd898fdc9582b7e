import { pairedDue } from '@idle-marker/records';
import { msg, pairedDueWords, pairFaultWords } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';

import type { PairedWorkModel } from './usePairedWork.ts';

export function PairedNotices({ model }: { readonly model: PairedWorkModel }) {
  const { state, units, proving, staking, setPairing, accepted, shooting, faults, trouble } = model;
  return (
    <div aria-live="polite">
      {(trouble ?? staking.fault) && (
        <Card
          tone="brick"
          title={staking.fault?.title ?? msg('common.nothingWasStored')}
          actions={
            <Button
              onClick={() => {
                staking.clear();
                shooting.clear();
                proving.shooting.clear();
              }}
            >
              {msg('common.close')}
            </Button>
          }
        >
          {staking.fault?.text ?? trouble}
        </Card>
      )}
      {accepted &&
        faults.slice(0, 2).map((fault) => {
          const { title, text } = pairFaultWords(fault, units);
          return (
            <Card
              key={fault.code}
              tone="brick"
              title={title}
              actions={
                fault.code === 'POLE_CHANGED' && (
                  <Button onClick={() => setPairing(true)}>{msg('paired.enterBothAgain')}</Button>
                )
              }
            >
              {text}
            </Card>
          );
        })}
      {accepted &&
        pairedDue(state, accepted)
          .slice(0, 2)
          .map((each) => (
            <Card key={each} tone={each.endsWith('FAILED') ? 'brick' : 'ochre'} title={pairedDueWords()[each].title}>
              {pairedDueWords()[each].text}
            </Card>
          ))}
    </div>
  );
}
