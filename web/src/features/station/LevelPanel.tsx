import { useEffect, useRef, useState } from 'react';
import { COMPENSATOR_RANGE, formatSigned, levelStep, RADIANS_PER_SECOND, type LevelStep } from '@idle-marker/core';
import { msg, levelWait, levelStepWords, worded } from '@idle-marker/words';
import { currentLink, useLinked } from '../../link/linkStore.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { levelRings } from './levelRings.ts';

/** From the middle of the picture to its rim. */
const RIM_SIZE = 40;
/** Where the screws stand, seen from the display: over one of them, or between two. */
const screwPlaces = worded(
  () =>
    ({
      over: [
        { name: 'front', x: 60, y: 112 },
        { name: msg('station.backLeft'), x: 14, y: 34 },
        { name: msg('station.backRight'), x: 106, y: 34 },
      ],
      between: [
        { name: 'back', x: 60, y: 10 },
        { name: msg('station.frontRight'), x: 106, y: 88 },
        { name: msg('station.frontLeft'), x: 14, y: 88 },
      ],
    }) as const,
);
/** Numbers of the two screws side by side, the left one first as one stands there. */
const PAIR = { over: [2, 3], between: [3, 2] } as const;
/** Order of core's screws (clockwise from the front) on this picture. */
const SCREW_AT = [0, 2, 1] as const;

/** The step with the numbers of the picture, as it looks from where one stands. */
function factsOf(step: LevelStep, side: 1 | -1) {
  const numberOf = (screw: number) => SCREW_AT.indexOf(screw as 0 | 1 | 2) + 1;
  if (step.by === 'leg') return { by: step.by, numbers: [numberOf(step.leg)], lifts: step.lift > 0 };
  if (step.by === 'screw') return { by: step.by, numbers: [numberOf(step.screw)], lifts: step.lift > 0 };
  const seen = side > 0 ? [step.left, step.right] : [step.right, step.left];
  return { by: step.by, numbers: seen.map(numberOf), lifts: side * step.lift > 0 };
}

const simulator = () => {
  const link = currentLink();
  return link?.kind === 'simulator' ? link : null;
};

/** The electronic level of the simulated instrument, to be brought in by its foot screws, coarse to fine. */
export function LevelPanel({ onLevel }: { onLevel(isIn: boolean): void }) {
  const stand = useLinked((link) => link?.stand ?? null);
  const [byHand, setByHand] = useState(false);
  const begun = useRef(false);
  const [display, setDisplay] = useState<keyof ReturnType<typeof screwPlaces>>('over');
  const places = screwPlaces()[display];
  // Between two screws the display looks from the other side: what was toward it is away from it.
  const side: 1 | -1 = display === 'over' ? 1 : -1;
  const tilt = stand ? Math.hypot(stand.alongSec, stand.acrossSec) : 0;
  const { rim, inner } = levelRings(tilt);
  const good = stand?.isLevel ?? false;
  useEffect(
    () => () => {
      // Whoever leaves in the middle of it finds the instrument as it stood.
      if (begun.current) simulator()?.selfLevel();
    },
    [],
  );
  useEffect(() => {
    if (byHand) onLevel(good);
    // Told when it comes in, and when it goes out again.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [byHand, good]);
  if (!stand) return null;
  const begin = () => {
    begun.current = true;
    simulator()?.putDown();
    setByHand(true);
  };
  if (!byHand) {
    return (
      <section aria-label={msg('common.level')}>
        <h2 className="text-[15px]">{msg('common.level')}</h2>
        <p className="text-[14px] text-ink2">{msg('station.theDemoInstrumentLevelsItselfWhenYou')}</p>
        <Button look="quiet" onClick={begin}>
          {msg('station.bringItInByHand')}
        </Button>
      </section>
    );
  }
  const shown = { shownAlong: stand.alongSec * RADIANS_PER_SECOND, shownAcross: stand.acrossSec * RADIANS_PER_SECOND };
  const next = levelStep({ ...shown, along: shown.shownAlong, across: shown.shownAcross });
  const byLegs = next?.by === 'leg';
  // As one turns: much while it is far out, a touch at the end. Seconds of arc.
  const turned = Math.max(2, tilt / 3);
  // Both thumbs in: the screw at the right of who stands there rises, the left one sinks.
  const pair = (thumbs: 'in' | 'out') => {
    const lift = ((thumbs === 'in' ? 1 : -1) * turned * 3) / 5;
    const [left, right] = PAIR[display];
    simulator()?.turnScrew(SCREW_AT[right - 1]!, lift);
    simulator()?.turnScrew(SCREW_AT[left - 1]!, -lift);
  };
  // The bubble runs to the high side.
  const x = 60 + side * Math.max(-1, Math.min(1, stand.acrossSec / rim)) * RIM_SIZE;
  const y = 60 + side * Math.max(-1, Math.min(1, stand.alongSec / rim)) * RIM_SIZE;
  return (
    <section aria-label={msg('common.level')} className="border-[1.5px] border-ink p-3">
      <h2 className="text-[15px]">
        {msg('common.level')}{' '}
        <span className={`font-normal ${good ? 'text-good' : 'text-ink2'}`}>
          {good
            ? msg('station.goodHandsOff')
            : tilt <= COMPENSATOR_RANGE / RADIANS_PER_SECOND
              ? msg('station.withinTheCompensatorsReach')
              : msg('station.outOfTheCompensatorsReach')}
        </span>
      </h2>
      <div className="mt-1 flex flex-wrap items-center gap-4">
        <svg
          viewBox="0 0 120 128"
          className="h-36 w-34 flex-none"
          role="img"
          aria-label={msg('station.bubbleInnerRingOfSeconds', { inner })}
        >
          <circle cx="60" cy="60" r="42" fill="none" stroke="var(--ink)" strokeWidth="1.5" />
          <circle
            cx="60"
            cy="60"
            r={(inner / rim) * RIM_SIZE}
            fill="none"
            stroke={good ? 'var(--good)' : 'var(--ink2)'}
            strokeWidth="1.5"
          />
          <path d="M60 14V106M14 60H106" stroke="var(--rule)" />
          {places.map((place, i) => (
            <g key={place.name}>
              <rect x={place.x - 7} y={place.y - 7} width="14" height="14" fill="var(--sheet)" stroke="var(--ink)" />
              <text x={place.x} y={place.y + 4} textAnchor="middle" fontSize="11" fill="var(--ink)">
                {i + 1}
              </text>
            </g>
          ))}
          <circle cx={x} cy={y} r="8" fill={good ? 'var(--good)' : 'var(--ochre)'} />
        </svg>
        <div className="min-w-0 flex-1">
          <dl className="figures grid grid-cols-[auto_1fr] gap-x-3">
            <dt className="text-ink2">{msg('station.frontToBack')}</dt>
            <dd>{formatSigned(side * stand.alongSec, 0)}″</dd>
            <dt className="text-ink2">{msg('station.sideToSide')}</dt>
            <dd>{formatSigned(side * stand.acrossSec, 0)}″</dd>
            <dt className="text-ink2">{msg('station.innerRing')}</dt>
            <dd>{inner}″</dd>
          </dl>
          <p className="mt-1 text-[14px]" aria-live="polite">
            {next
              ? `${levelStepWords(factsOf(next, side))} ${levelWait()}`
              : good
                ? msg('station.insideTheInnerRingTheCompensatorDoes')
                : levelWait()}
          </p>
        </div>
      </div>
      <div className="mt-2 grid grid-cols-3 gap-2">
        {places.map((place, i) => (
          <div key={place.name} className="flex flex-col gap-1">
            <span className="text-[13px] text-ink2">
              {i + 1}, {place.name}
            </span>
            <span className="flex gap-1">
              {([-1, 1] as const).map((way) => (
                <Button
                  key={way}
                  aria-label={
                    byLegs
                      ? msg('station.leg', { i: i + 1, way: way > 0 ? 'longer' : 'shorter' })
                      : msg('station.screwSeenFromAbove', { i: i + 1, way: way > 0 ? 'clockwise' : 'anticlockwise' })
                  }
                  className="flex-1 px-1"
                  onClick={() => simulator()?.turnScrew(SCREW_AT[i]!, way * turned)}
                >
                  {byLegs ? (way > 0 ? 'longer' : 'shorter') : way > 0 ? '↻' : '↺'}
                </Button>
              ))}
            </span>
          </div>
        ))}
      </div>
      {!byLegs && (
        <div className="mt-2 grid grid-cols-2 gap-2">
          {(['in', 'out'] as const).map((thumbs) => (
            <Button key={thumbs} onClick={() => pair(thumbs)}>
              {msg('station.thumbs', { pair: PAIR[display].join(' and '), thumbs })}
            </Button>
          ))}
        </div>
      )}
      <Choice
        className="mt-2"
        label={msg('station.theDisplayStands')}
        value={display}
        options={[
          ['over', msg('station.overOneScrew')],
          ['between', msg('station.betweenTwoScrews')],
        ]}
        onChange={setDisplay}
      />
      <Button look="quiet" onClick={() => simulator()?.selfLevel()}>
        {msg('station.letItLevelItself')}
      </Button>
    </section>
  );
}
