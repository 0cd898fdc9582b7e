import { carriedDecimals, NORMAL_95_FACTOR } from '@idle-marker/core';
import { LENGTH_DECIMALS, msg, fixWords, heightsWords, smallLength, worded } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { planPromise, type PairedNow } from './usePaired.ts';
import type { LinkState } from '../link/instrumentLink.ts';

const lockWords = worded(
  () =>
    ({
      none: msg('paired.followsNothing'),
      searching: 'searching…',
      locked: msg('paired.followsThePrism'),
      lost: msg('common.lockLost'),
    }) as const,
);

interface SourceProps {
  readonly part: string;
  readonly from: string;
  readonly figure: readonly string[] | null;
  readonly precision: string | null;
  readonly words: string;
  readonly good: boolean;
}

function Source({ part, from, figure, precision, words, good }: SourceProps) {
  return (
    <div
      className={`min-w-0 flex-1 border-l-4 py-0.5 pl-2.5 ${good ? 'border-good' : 'border-brick'}`}
      role="group"
      aria-label={msg('paired.fromThe', { part, from })}
    >
      <p className="text-[13px] text-ink2">
        <strong className="text-ink">{part}</strong> {msg('paired.fromThe2', { from })}
      </p>
      <p className="figures text-[17px] font-medium">
        {figure
          ? figure.map((each) => (
              <span key={each.slice(0, 1)} className="mr-2.5 inline-block whitespace-nowrap">
                {each}
              </span>
            ))
          : '– '}
        {precision && <span className="text-[14px] font-normal whitespace-nowrap text-ink2">± {precision}</span>}
      </p>
      <p className={`text-[13px] ${good ? 'text-ink2' : 'font-semibold text-brick'}`}>{words}</p>
    </div>
  );
}

/** Where each part comes from, how good it is (95 %), and how the two heights agree. */
export function Sources({ now: { place, faults, link } }: { readonly now: PairedNow & { readonly link: LinkState } }) {
  const units = useUnits();
  const { receiver } = link;
  const small = (variance: number) => smallLength(NORMAL_95_FACTOR * Math.sqrt(variance), units.lengthUnit);
  const carried = (variance: number) =>
    Math.min(LENGTH_DECIMALS, carriedDecimals(Math.sqrt(variance), units.lengthUnit));
  const planBad = faults.some(({ code }) =>
    ['NO_RECEIVER', 'NOT_FIXED', 'CORRECTIONS_OLD', 'COMPENSATING', 'NOT_PLUMB'].includes(code),
  );
  const state = receiver
    ? [
        fixWords()[receiver.fix],
        receiver.correctionAge === null
          ? msg('paired.noCorrectionsYet')
          : msg('paired.correctionsSOld', {
              correctionAge: receiver.correctionAge.toFixed(receiver.correctionAge < 10 ? 1 : 0),
            }),
        receiver.compensating
          ? msg('paired.tiltCompensationOn')
          : receiver.leanDeg === null
            ? null
            : `leans ${receiver.leanDeg.toFixed(1)}°`,
      ]
        .flatMap((each) => each ?? [])
        .join(', ')
    : msg('paired.switchedOffOrNotLinked');
  const followed = link.kind === 'typed' || link.lock === 'locked';
  const compared = place.compared;
  return (
    <div className="border-b border-rule px-6 py-2 max-lg:px-4" data-testid="sources">
      <div className="flex gap-4">
        <Source
          part={msg('common.plan')}
          from="receiver"
          figure={
            place.plan &&
            units.axes.map(
              (axis) => `${axis.toUpperCase()} ${units.length(place.plan![axis], carried(place.plan!.covariance.ee))}`,
            )
          }
          precision={place.plan && smallLength(planPromise(place)!, units.lengthUnit)}
          words={state}
          good={!planBad}
        />
        <Source
          part={msg('common.height')}
          from="instrument"
          figure={place.height && [units.length(place.height.z, carried(place.height.variance))]}
          precision={place.height && small(place.height.variance)}
          words={
            link.kind === 'typed'
              ? msg('paired.asKeyedInAtTheShot')
              : place.height
                ? lockWords()[link.lock]
                : msg('paired.noHeight', { lock: lockWords()[link.lock] })
          }
          good={followed && (place.height !== null || link.kind === 'typed')}
        />
      </div>
      {compared && (
        <p className={`mt-1 text-[13px] ${compared.apart ? 'font-semibold text-brick' : 'text-ink2'}`}>
          {heightsWords(compared, units.lengthUnit)}
        </p>
      )}
    </div>
  );
}
