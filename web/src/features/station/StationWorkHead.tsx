import { msg } from '@idle-marker/words';
import { Figures, PlanOnlyBadge } from '../../ui/Slip.tsx';
import { goodToWords } from '@idle-marker/words';
import { type StationWorkProps } from './useStationWork.ts';
import type { StationWorkModel } from './useStationWork.ts';

export function StationWorkHead({
  model,
  occupation,
  reopened,
}: { readonly model: StationWorkModel } & Pick<StationWorkProps, 'occupation' | 'reopened'>) {
  const { units, draft, solved, onLines, isReady, over, sights } = model;
  return (
    <>
      <h1 className="text-xl">
        {msg('station.station', { name: occupation.body.name })}{' '}
        <span className="ml-1 text-[15px] font-normal text-ink2">
          {reopened
            ? msg('station.sightedAgainOnTheSpot')
            : sights === 0
              ? msg('station.noSightYet')
              : msg('station.from2', {
                  over: over
                    ? msg('station.over2', { name: over.body.name })
                    : onLines
                      ? msg('station.onLines')
                      : msg('station.freeStation'),
                  sights,
                })}
        </span>
        {draft.planOnly && <PlanOnlyBadge />}
      </h1>
      {solved && (
        <Figures
          items={[
            ...units.axes.map(
              (axis) =>
                [axis === 'e' ? msg('common.east') : msg('common.north'), units.length(solved.result[axis])] as const,
            ),
            ...(draft.planOnly ? [] : [[msg('common.height'), units.length(solved.result.height?.z ?? null)] as const]),
            [
              msg('common.goodTo95'),
              goodToWords(solved.judgement.goodTo, units.lengthUnit),
              isReady ? 'text-good' : 'text-ochre',
            ],
          ]}
        />
      )}
    </>
  );
}
