import { Link } from 'react-router';
import type { Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { recomputed, type RoundStop, effectOf } from '@idle-marker/records';
import { msg, gradeWords, heightReferenceWords, smallLength, worded } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Figure } from '../field/Figure.tsx';
import { LINK } from '../ui/link.ts';
import { CutFill } from './CutFill.tsx';
import { StakePicture } from './StakePicture.tsx';

interface MarkHeightsProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly groundZ: Metres | null;
  /** The mark that is there counts. */
  readonly stands: boolean;
  /** The station in force has a height. */
  readonly hasHeight: boolean;
}

/** Hub or ground against what the crew builds to, and the stake as it is written. */
export function MarkHeights({ work, stop, groundZ, stands, hasHeight }: MarkHeightsProps) {
  const { state } = useSite();
  const { settings } = state;
  const units = useUnits();
  const { plan, mark } = stop;
  const found = stands && mark ? recomputed(state, mark.id) : null;
  const since = found && effectOf(found);
  const hubZ = stands ? (mark?.body.hubZ ?? null) : null;
  const from = hubZ ?? groundZ;
  const cutFill = from !== null && plan.designZ !== null ? from - plan.designZ : null;
  return (
    <div className="flex gap-4 max-md:flex-col">
      <dl className="flex min-w-[130px] flex-none flex-wrap gap-x-6 gap-y-1 md:flex-col">
        <div>
          <dt className="text-[13px] text-ink2">{hubZ === null ? msg('pole.groundHere') : msg('common.hub')}</dt>
          <dd>
            <Figure metres={from} className="figures text-[22px] font-medium" />
            {hubZ !== null && since?.height ? (
              <span className="block text-[13px] text-ochre">
                {msg('pole.recomputedTheStakeSaysWhatWasFound', { length: units.length(hubZ + since.height) })}
              </span>
            ) : null}
            {since?.plan ? (
              <span className="block text-[13px] text-ochre">
                {msg('pole.recomputedFromWhereItWasFoundWhen', {
                  smallLength: smallLength(since.plan, units.lengthUnit),
                })}
              </span>
            ) : null}
          </dd>
        </div>
        <div>
          <dt className="text-[13px] text-ink2 first-letter:uppercase">
            {plan.road ? gradeWords(plan.road.gradeTo) : heightReferenceWords()[work.body.heightReference]}
          </dt>
          <dd>
            <Figure metres={plan.designZ} className="figures text-[22px] font-medium" />
            {settings.siteZero !== null && plan.designZ !== null && (
              <span className="block text-[13px] text-ink2">
                {msg('pole.againstSiteZero', { length: units.length(plan.designZ - settings.siteZero) })}
              </span>
            )}
          </dd>
        </div>
        <div className="md:mt-1">
          <dt className="sr-only">{msg('pole.cutOrFill')}</dt>
          <dd>
            {cutFill === null ? (
              <span className="text-ink2">
                {plan.designZ === null
                  ? msg('pole.noDesignHeight')
                  : hasHeight
                    ? msg('pole.cutOrFillAfterTheFirstShot')
                    : msg('pole.theStationHasNoHeightTheStake')}
              </span>
            ) : (
              <>
                <CutFill cutFill={cutFill} rounding={work.body.rounding} />
                {work.body.also && (
                  <CutFill small cutFill={cutFill - work.body.also.above} rounding={work.body.rounding} />
                )}
                {work.body.also && (
                  <span className="block text-[13px] text-ink2">
                    {msg('pole.theSecondTo', {
                      heightReference: heightReferenceWords()[work.body.also.heightReference],
                    })}
                  </span>
                )}
                {plan.road?.also && plan.road.also.z !== null && from !== null && (
                  <>
                    <CutFill small cutFill={from - plan.road.also.z} rounding={work.body.rounding} />
                    <span className="block text-[13px] text-ink2">
                      {msg('pole.theSecondTo2', { grade: gradeWords(plan.road.also.to) })}
                    </span>
                  </>
                )}
                <span className="text-[13px] text-ink2">
                  {hubZ === null ? msg('pole.fromTheGroundTheStakeGetsIt') : msg('pole.fromTheHub')}
                </span>
              </>
            )}
          </dd>
        </div>
      </dl>
      {stands && mark && <Stake mark={mark} work={work} />}
    </div>
  );
}

const sideChoices = worded(
  () =>
    [
      ['back', msg('common.back')],
      ['left', msg('common.leftSide')],
      ['right', msg('common.rightSide')],
    ] as const,
);

/** The front of the stake in a picture, its other sides in a line each, and the way to write it large. */
function Stake({ mark, work }: { readonly mark: Fact<'mark'>; readonly work: Fact<'package'> }) {
  const { id } = useSite();
  const { written, stakeText } = mark.body;
  return (
    <div className="min-w-0">
      <StakePicture lines={written ? written.front.map(({ text }) => text) : stakeText} all={stakeText} />
      {written &&
        sideChoices()
          .filter(([side]) => written[side].length > 0)
          .map(([side, name]) => (
            <p key={side} className="text-[13px] text-ink2">
              {name}: {written[side].map(({ text }) => text).join(' · ')}
            </p>
          ))}
      <Link
        className={LINK}
        to={`/sites/${id}/hand-over/stakes?package=${work.id}&mark=${encodeURIComponent(mark.body.key)}`}
      >
        {msg('pole.writeItLarge')}
      </Link>
    </div>
  );
}
