import { useEffect, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { goodToOf, type AcceptedSolution } from '@idle-marker/records';
import { msg, goodToWords, unprovenShort } from '@idle-marker/words';
import { useProofAge } from '../site/railFacts.ts';
import { readSetting, writeSetting } from '../data/storage.ts';
import { useLinked } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';

/** Whether what the first marks of a package from a station will hang on is still to be looked at. */
export function useBegin(
  solution: AcceptedSolution | null,
  work: Fact<'package'> | null,
): { readonly isOpen: boolean; confirm(): void } {
  const { state } = useSite();
  const key = `begun ${solution?.fact.id} ${work?.id}`;
  const [begun, setBegun] = useState(true);
  useEffect(() => {
    void readSetting<boolean>(key).then((kept) => setBegun(kept === true));
  }, [key]);
  const started = [...state.marks.values()].some(
    (mark) => mark.body.solution === solution?.fact.id && mark.body.package === work?.id,
  );
  return {
    isOpen: solution !== null && !begun && !started,
    confirm: () => {
      setBegun(true);
      void writeSetting(key, true);
    },
  };
}

/** Before the first mark of a package from a station: what it will hang on, to be looked at once. */
export function BeginCard({
  solution,
  work,
  onConfirm,
}: {
  readonly solution: AcceptedSolution;
  readonly work: Fact<'package'>;
  onConfirm(): void;
}) {
  const { state } = useSite();
  const units = useUnits();
  const age = useProofAge();
  const pole = useLinked((link) => link?.pole);
  const { name, result, method } = solution.fact.body;
  const lines = [
    msg('pole.stationGoodTo', {
      name,
      goodTo: goodToWords(goodToOf(solution), units.lengthUnit),
      method: method === 'assumed' ? msg('pole.itsDirectionAssumed') : '',
      proven: age?.proven
        ? msg('pole.provedMinAgo', { minutes: age.minutes })
        : unprovenShort(age?.unproven ?? [], age?.unchecked),
    }),
    result.z === null
      ? msg('pole.noHeightTheStakesGetNone')
      : msg('pole.heightsFromTheStationsMarks', {
          siteZero:
            state.settings.siteZero === null
              ? ''
              : msg('pole.siteZero', { length: units.length(state.settings.siteZero) }),
        }),
    ...(pole
      ? [
          msg('pole.at', {
            name: pole.target?.name ?? msg('pole.prismConstant0'),
            length: units.length(pole.targetHeight),
            unit: units.unit,
            legs: pole.legs ? msg('common.onLegs') : msg('common.byHand'),
          }),
        ]
      : []),
  ];
  return (
    <Card
      tone="ink"
      title={msg('pole.beforeTheFirstMarkOf', { name: work.body.name })}
      actions={<Button onClick={onConfirm}>{msg('pole.allOfItIsSo')}</Button>}
    >
      <ul className="list-disc pl-5">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </Card>
  );
}
