import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { useLinkState } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useActiveRoad, useRoads } from '../site/useRoads.ts';
import { useUnits } from '../field/useUnits.ts';
import { goodToOf, pairedDue, type PairedSolution } from '@idle-marker/records';
import { msg, goodToWords, pairedDueShort, unprovenShort, worded, airTemperature } from '@idle-marker/words';
import { LinkMenu } from './LinkMenu.tsx';
import { useProofAge } from '../site/railFacts.ts';
import { LOW_BATTERY } from '../link/instrumentLink.ts';

function Cell({ name, children, className = '' }: { name?: string; children: ReactNode; className?: string }) {
  return (
    <span className={`flex items-center gap-2 border-r border-[#ffffff33] px-3 whitespace-nowrap ${className}`}>
      {name && <span className="max-md:hidden">{name}</span>}
      <span className="figures truncate font-semibold">{children}</span>
    </span>
  );
}

const lockWords = worded(
  () =>
    ({
      none: msg('frame.noTarget'),
      searching: msg('frame.searching'),
      locked: msg('frame.followingThePole'),
      lost: msg('common.lockLost'),
    }) as const,
);

/** Readings older than this are stale: they stand there, but say so. */
const STALE_MS = 2000;

/** Which road is worked along, and any other in one step; loud while it is shifted. */
function ActiveRoad() {
  const roads = useRoads();
  const [active, setActive] = useActiveRoad();
  if (!active) return null;
  const shifted = active.fact.body.shift !== 0;
  return (
    <label
      className={`relative flex items-center gap-2 border-l border-[#ffffff33] px-3 whitespace-nowrap ${shifted ? 'bg-[#8f1d15]' : 'max-rail:hidden'}`}
    >
      <span className="max-2xl:sr-only">{shifted ? msg('frame.roadShifted') : msg('common.road')}</span>
      <select
        value={active.id}
        onChange={(event) => setActive(event.target.value)}
        className="min-h-11 max-w-44 bg-transparent font-semibold text-on-footing [&>option]:bg-sheet [&>option]:text-ink"
      >
        {roads.map(({ id, road }) => (
          <option key={id} value={id}>
            {road.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What is asked for next while a receiver gives the plan. */
function PairedDueLink({ paired }: { readonly paired: PairedSolution }) {
  const { id, state } = useSite();
  const [due] = pairedDue(state, paired);
  const tone = due === undefined ? 'bg-footing' : due.endsWith('FAILED') ? 'bg-[#8f1d15]' : 'bg-[#704200]';
  return (
    <Link
      to={`/sites/${id}/mark/receiver`}
      className={`sticky right-0 ml-auto flex items-center border-l border-[#ffffff33] px-3 font-semibold whitespace-nowrap ${tone}`}
    >
      {due === undefined ? msg('frame.bothProved') : pairedDueShort()[due]}
    </Link>
  );
}

/** The instrument, the pole, the station in force and the age of its proof, on every screen. */
export function Footing() {
  const link = useLinkState();
  const { id, inForce, occupation, paired, state } = useSite();
  const units = useUnits();
  const proof = useProofAge();
  const live = link?.live;
  const stale = live ? performance.now() - live.at > STALE_MS || link.lock === 'lost' : false;
  const circle = (live?.circleDeg ?? link?.circleDeg ?? 0) * RADIANS_PER_DEGREE;
  const zenith = (live?.zenithDeg ?? link?.zenithDeg ?? 90) * RADIANS_PER_DEGREE;
  return (
    <footer
      className="col-span-full flex h-11 items-stretch overflow-x-auto bg-footing text-[14px] text-on-footing max-md:row-start-2 max-md:overflow-hidden max-md:text-[16px] md:row-start-3"
      aria-label={msg('frame.instrumentAndStation')}
    >
      <LinkMenu />
      {link?.kind === 'simulator' && (
        <>
          <Cell className={link.lock === 'lost' ? 'bg-[#8f1d15]' : 'max-md:hidden'}>
            {link.busy === 'measuring'
              ? msg('common.measuring')
              : link.busy === 'turning'
                ? msg('frame.turning')
                : lockWords()[link.lock]}
          </Cell>
          {link.setUp && (
            <>
              <Cell name={msg('frame.horizontalCircle')} className="max-[1340px]:hidden">
                {units.angle(circle)}
              </Cell>
              <Cell name={msg('frame.zenith')} className="max-2xl:hidden">
                {units.angle(zenith)}
              </Cell>
              <Cell name={msg('frame.slopeDistance')} className="max-lg:hidden">
                {live ? units.length(live.slope) : '–'}
                {stale && <span className="ml-1 font-normal">{msg('frame.old')}</span>}
              </Cell>
            </>
          )}
        </>
      )}
      {link?.stand && !link.stand.compensated && link.setUp && (
        <Cell className="bg-[#8f1d15]">{msg('frame.notLevel')}</Cell>
      )}
      {link?.stand && link.stand.battery < LOW_BATTERY && (
        <Cell className="bg-[#704200]">{msg('frame.battery', { battery: Math.round(link.stand.battery * 100) })}</Cell>
      )}
      {link && (
        <Cell name={msg('common.pole')} className="max-lg:hidden">
          {units.length(link.pole.targetHeight)} · {link.pole.legs ? msg('common.bipod') : msg('common.byHand')}
          {link.pole.target && <span className="font-normal max-xl:hidden"> · {link.pole.target.name}</span>}
        </Cell>
      )}
      <span className="ml-auto max-md:hidden" />
      <ActiveRoad />
      {occupation && (
        <Cell className="max-2xl:hidden">
          {msg('frame.cPpm', {
            temperature: airTemperature(occupation.body.temperatureC, units.lengthUnit),
            ppm: occupation.body.ppm >= 0 ? '+' : '−',
            ppm2: Math.abs(occupation.body.ppm).toFixed(1),
          })}
        </Cell>
      )}
      {inForce && (
        <Cell name={msg('common.station')} className="border-l max-md:min-w-0 max-md:flex-1 max-md:border-0">
          {inForce.fact.body.name}{' '}
          <span className="ml-1 font-normal">{goodToWords(goodToOf(inForce), state.settings.lengthUnit)}</span>
        </Cell>
      )}
      {paired && (
        <>
          <Cell name={msg('frame.elevations')} className="border-l">
            {paired.solution.body.name}
            <span className="font-normal max-2xl:hidden">
              {' '}
              {msg('frame.planFrom', { receiver: paired.pairing.body.receiver })}
            </span>
          </Cell>
          <PairedDueLink paired={paired} />
        </>
      )}
      {proof && (
        <Link
          to={`/sites/${id}/prove`}
          // Whatever scrolls away, how old the last check is stays in sight.
          className={`sticky right-0 ml-auto flex items-center border-l border-[#ffffff33] px-3 font-semibold whitespace-nowrap ${proof.failed ? 'bg-[#8f1d15]' : proof.due || !proof.proven ? 'bg-[#704200]' : 'bg-footing'}`}
        >
          {proof.failed
            ? msg('frame.proofFailed')
            : proof.proven
              ? msg('frame.proofMin', { minutes: proof.minutes })
              : unprovenShort(proof.unproven, proof.unchecked).replace(/^./, (first) => first.toUpperCase())}
        </Link>
      )}
    </footer>
  );
}
