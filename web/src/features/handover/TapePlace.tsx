import { useMemo, useState } from 'react';
import { pointsToFind } from '@idle-marker/records';
import { msg, crewWords, allLanguages } from '@idle-marker/words';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { Choice } from '../../ui/Field.tsx';
import { HandOverWays } from './HandOverWays.tsx';
import { TapeBack } from '../../stakes/TapeBack.tsx';
import { useWork } from './useWork.ts';

/** Points that a crew finds again by itself: with two tapes from the marks that are left. */
export function Place() {
  const { state, trust } = useSite();
  const [work, setWork] = useWork();
  const [chosen, setChosen] = useState<string | null>(null);
  const [language, setLanguage] = useState('en');
  const points = useMemo(() => (work ? pointsToFind(state, trust, work) : []), [state, trust, work]);
  if (!work)
    return (
      <EmptyTo
        title={msg('handover.noPointsYet')}
        place="design"
        label={msg('common.makeAWorkPackage')}
        ways={<HandOverWays />}
      >
        {msg('handover.pointsAreTapedBackFromTheMarks')}
      </EmptyTo>
    );
  const idOf = (point: (typeof points)[number]) => `${point.item}\n${point.corner}`;
  const point =
    points.find((each) => idOf(each) === chosen) ?? points.find((each) => each.marks.length > 1) ?? points[0] ?? null;
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="min-h-0 flex-1 overflow-y-auto p-5 max-md:p-3">
        <section
          className="max-w-5xl border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('common.tapeItBack')}
        >
          <h1 className="text-2xl">{msg('common.tapeItBack')}</h1>
          <p className="text-ink2">{msg('handover.fromAnyTwoMarksThatAreLeft')}</p>
          <div className="my-3 grid gap-3 sm:grid-cols-3">
            {state.packages.length > 1 && (
              <Choice
                label={msg('common.workPackage')}
                value={work.id}
                options={state.packages.map((each) => [each.id, each.body.name] as const)}
                onChange={setWork}
              />
            )}
            {point && (
              <Choice
                label={msg('common.point')}
                value={idOf(point)}
                options={points.map(
                  (each) => [idOf(each), msg('handover.of2', { corner: each.corner, item: each.item })] as const,
                )}
                onChange={setChosen}
              />
            )}
            <Choice
              label={msg('handover.language')}
              value={language}
              options={allLanguages().map(({ code, name }) => [code, name] as const)}
              onChange={setLanguage}
            />
          </div>
          {point ? (
            <TapeBack
              key={idOf(point)}
              point={point}
              unit={state.settings.lengthUnit}
              angleUnit={state.settings.angleUnit}
              words={crewWords(language)}
            />
          ) : (
            <p className="text-ink2">{msg('handover.thePackageHasNoMarks')}</p>
          )}
        </section>
      </div>
    </div>
  );
}
