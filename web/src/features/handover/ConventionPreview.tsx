import { READABLE_LETTERS, roomOn, type StakeConvention } from '@idle-marker/core';
import {
  msg,
  carrierWords,
  crewWords,
  facingWords,
  stakeNoticeWords,
  stakeMarkKindWords,
  writtenStake,
  worded,
} from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { FacingPicture } from '../../stakes/FacingPicture.tsx';
import { LathPicture } from './LathPicture.tsx';
import { sampleStakes } from './conventionDraft.ts';

const sampleNames = worded(() => [msg('handover.aHubOfABuilding'), msg('handover.aHubBehindAKerb')]);

/** A convention tried on made-up marks, and the rest of what it says. */
export function ConventionPreview({ convention }: { readonly convention: StakeConvention }) {
  const { settings } = useSite().state;
  const room = roomOn(convention.lath);
  return (
    <>
      <div className="mt-3 grid grid-cols-[repeat(auto-fit,minmax(280px,1fr))] gap-5">
        {sampleStakes(settings.lengthUnit).map((sample, i) => {
          const { faces, notices } = writtenStake(sample, { convention, unit: settings.lengthUnit });
          return (
            <div key={sample.name}>
              <h3 className="mb-1 text-[15px]">{sampleNames()[i]}</h3>
              <LathPicture
                faces={faces}
                carrier={convention.carrier}
                lath={convention.lath}
                paint={convention.unusualPaint}
              />
              {notices.map((notice, k) => (
                <p key={k} className="mt-1 text-[13px] text-ochre">
                  {stakeNoticeWords(notice, settings.lengthUnit)}
                </p>
              ))}
            </div>
          );
        })}
      </div>
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt className="text-ink2">{msg('handover.writtenOn')}</dt>
        <dd>{carrierWords()[convention.carrier]}</dd>
        <dt className="text-ink2">{msg('handover.room')}</dt>
        <dd className="figures">
          {msg('handover.ofLettersASideMmHighIt', {
            lines: room.lines,
            characters: room.characters,
            letterHeight: Math.round(convention.lath.letterHeight * 1000),
            writing: convention.lath.writing === 'across' ? 'across' : 'along',
          })}
          {convention.lath.letterHeight < READABLE_LETTERS && (
            <p className="font-medium text-ochre">
              {msg('handover.lettersUnderCanNotBeReadStanding', { least: READABLE_LETTERS * 1000 })}
            </p>
          )}
        </dd>
        <dt className="text-ink2">{msg('handover.colours')}</dt>
        <dd>
          {convention.colours
            .map(
              ({ kind, ribbon, paint }) =>
                `${stakeMarkKindWords()[kind]}: ${[ribbon && msg('handover.ribbon2', { ribbon }), paint && msg('handover.paint2', { paint })].filter(Boolean).join(', ')}`,
            )
            .join('; ') || msg('handover.noneSaid')}
        </dd>
        <dt className="text-ink2">{msg('handover.usualHere')}</dt>
        <dd>
          {[
            convention.usual.offsetTo.length > 0 &&
              msg('handover.offsetsTo', {
                offsetTo: convention.usual.offsetTo.map((term) => crewWords('en').term[term]).join(' or '),
              }),
            convention.usual.heightTo.length > 0 &&
              msg('handover.heightsTo', {
                heightTo: convention.usual.heightTo.map((term) => crewWords('en').term[term]).join(' or '),
              }),
          ]
            .filter(Boolean)
            .join('; ') || 'anything'}
          {(convention.usual.offsetTo.length > 0 || convention.usual.heightTo.length > 0) &&
            msg('handover.anythingElseIsBoxedIn', {
              unusualPaint: convention.unusualPaint || msg('handover.anotherColour'),
            })}
        </dd>
        <dt className="text-ink2">{msg('handover.languages')}</dt>
        <dd>
          {convention.languages
            .map(
              (code, i) => `${crewWords(code).name}${i === 0 ? msg('handover.onTheStake2') : msg('handover.onCards')}`,
            )
            .join(', ')}
        </dd>
        {convention.carrier === 'lath' && (
          <>
            <dt className="text-ink2">{msg('handover.theLath')}</dt>
            <dd className="flex items-center gap-3">
              {facingWords()[convention.facing]} <FacingPicture facing={convention.facing} />
            </dd>
          </>
        )}
      </dl>
    </>
  );
}
