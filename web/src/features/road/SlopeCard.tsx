import { useEffect, useMemo, useState } from 'react';
import { CENTRELINE, displayedStation, type CatchOutcome, type Metres } from '@idle-marker/core';
import {
  atSlope,
  designedCatch,
  hingeAt,
  nextName,
  roadShot,
  slopePlaces,
  type AtSlope,
  type Road,
  type RoadSlope,
} from '@idle-marker/records';
import { msg, catchMoveWords, slopeStakeWords, stationText, stringWords } from '@idle-marker/words';
import { rich } from '../../ui/rich.ts';
import { heightsOf, type OpenSurface } from '../../drawings/useSurfaces.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle, type SiteRoad } from '../../site/useRoads.ts';
import { useRemembered } from '../../site/useRemembered.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import type { Measuring } from '../../pole/useMeasuring.ts';
import { StakePicture } from '../../pole/StakePicture.tsx';

interface SlopeCardProps {
  readonly active: SiteRoad;
  /** Null where there is no pole to shoot. */
  readonly measuring: Measuring | null;
  readonly gradeString: string;
  /** Of the pole, or of the goal while there is no pole. */
  readonly station: Metres | null;
  readonly offset: Metres | null;
  readonly z: Metres | null;
  /** The ground that is drawn, where one is chosen. */
  readonly surface: OpenSurface | null;
  readonly surfaces: readonly OpenSurface[];
}

/** Nearer than this a pole stands on the catch point: ground is no nearer to a figure than that. */
const CAUGHT: Metres = 0.05;
const NONE = 'none';

const runOf = (text: string): number | null => {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && value > 0 && value <= 100 ? value : null;
};

/** Where a cut or fill slope meets the ground: as it will by the surface, and as it does under the pole. */
export function SlopeCard({
  active,
  measuring,
  gradeString,
  station,
  offset,
  z,
  surface: drawn,
  surfaces,
}: SlopeCardProps) {
  const { state, inForce } = useSite();
  const { fact, road } = active;
  const units = useUnits();
  const style = useStationStyle();
  const [open, setOpen] = useRemembered('slope open', false);
  const [hinge, setHinge] = useRemembered<string>(`slope hinge ${fact.body.alignment}`, CENTRELINE);
  const [side, setSide] = useRemembered<'left' | 'right'>('slope side', 'right');
  const [cut, setCut] = useRemembered('slope cut', '1.5');
  const [fill, setFill] = useRemembered('slope fill', '2');
  const [groundId, setGround] = useRemembered<string>('slope ground', NONE);
  const surface = surfaces.find(({ id }) => id === groundId) ?? drawn;
  const [cutRun, fillRun] = [runOf(cut), runOf(fill)];
  const onHinge = road.template.strings.has(hinge) ? hinge : CENTRELINE;
  const slope = useMemo(
    (): RoadSlope | null => (cutRun === null || fillRun === null ? null : { hinge: onHinge, side, cutRun, fillRun }),
    [onHinge, side, cutRun, fillRun],
  );
  // In steps of a tenth: a catch that is asked for anew at every reading would never come to rest.
  const near = station === null ? null : Math.round(station * 10) / 10;
  const outcome = useDesignedCatch(open ? surface : null, road, slope, near);
  const live =
    open && slope && station !== null && offset !== null && z !== null
      ? atSlope(road, slope, station, offset, z)
      : null;
  const stakeText = (found: AtSlope) =>
    slopeStakeWords(found, onHinge, found.kind === 'cut' ? cutRun! : fillRun!, units.lengthUnit);
  const keep = async () => {
    if (!measuring || !slope || !live) return;
    // The figures on the stake are those of the shot that is kept, not of the reading that led there.
    let text: readonly string[] = [];
    const first = 'SS1';
    await measuring.take({
      name: state.asBuilt.some(({ body }) => body.name === first) ? nextName(state, first) : first,
      code: 'slope stake',
      against: (place) => {
        const shot = roadShot(fact, road, gradeString, place, slope);
        const found = shot && place.z !== null ? atSlope(road, slope, shot.station, shot.offset, place.z) : null;
        text = found ? stakeText(found) : [];
        return Promise.resolve(shot);
      },
      note: () => text.join(' / '),
      supersedes: null,
      shots: '1',
      onto: null,
    });
  };
  const start = slope && near !== null ? hingeAt(road, slope, near) : null;
  const strings = road.template.names.map((name) => [name, stringWords(name)] as const);
  return (
    <details
      className="mt-4 border-t border-rule pt-2"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-11 cursor-pointer text-[17px]">{msg('road.slopeToTheGround')}</summary>
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label={msg('road.itStartsAt')}
          term="hingePoint"
          value={onHinge}
          options={strings}
          onChange={setHinge}
        />
        <Choice
          label={msg('road.andRunsToThe')}
          value={side}
          options={[
            ['right', 'right'],
            ['left', 'left'],
          ]}
          onChange={setSide}
        />
        <Field
          label={msg('road.inCut1In')}
          value={cut}
          inputMode="decimal"
          onChange={(event) => setCut(event.target.value)}
          error={cutRun === null ? msg('road.giveAFigureSuchAs15') : null}
        />
        <Field
          label={msg('road.inFill1In')}
          value={fill}
          inputMode="decimal"
          onChange={(event) => setFill(event.target.value)}
          error={fillRun === null ? msg('road.giveAFigureSuchAs2') : null}
        />
        {surfaces.length > 0 && (
          <Choice
            className="col-span-2"
            label={msg('road.theGroundIs')}
            value={surface?.id ?? NONE}
            options={[
              [NONE, msg('road.onlyWhatThePoleFinds')],
              ...surfaces.map(({ id, label }) => [id, label] as const),
            ]}
            onChange={setGround}
          />
        )}
      </div>
      {near === null || !slope ? (
        <p className="mt-2 text-ink2">{msg('road.giveAPlaceOrAStation')}</p>
      ) : !start ? (
        <p className="mt-2 font-medium text-ochre">
          {msg('road.hasNoHeightThereASlopeCant', { string: stringWords(onHinge) })}
        </p>
      ) : (
        <>
          {surface && (
            <p className="mt-2" data-testid="designed-catch">
              <CatchWords
                outcome={outcome}
                slope={slope}
                at={stationText(displayedStation(road.alignment, near).displayed, style, 1)}
                name={surface.name}
              />
            </p>
          )}
          {live ? (
            <div className="mt-2" aria-live="polite">
              <p className="text-[20px] font-semibold" data-testid="catch-move">
                {catchMoveWords(live.move, units.lengthUnit, CAUGHT)}
              </p>
              <p className="text-[14px] text-ink2">
                {msg('road.hereItIsOutASlopeHas', {
                  length: units.length(live.distance),
                  unit: units.unit,
                  kind: live.kind,
                  length2: units.length(live.wanted),
                })}
              </p>
              {Math.abs(live.move) <= CAUGHT && measuring && inForce && (
                <Button className="my-2" disabled={measuring.shooting.doing !== null} onClick={() => void keep()}>
                  {msg('road.keepThisSlopeStake')}
                </Button>
              )}
              {Math.abs(live.move) <= CAUGHT && <StakePicture lines={stakeText(live)} />}
            </div>
          ) : (
            z !== null &&
            offset !== null && (
              <p className="mt-2 text-ink2">
                {msg('road.thisLiesInsideOfGoOutTo', { string: stringWords(onHinge), side })}
              </p>
            )
          )}
        </>
      )}
    </details>
  );
}

function CatchWords({
  outcome,
  slope,
  at,
  name,
}: {
  readonly outcome: CatchOutcome | null;
  readonly slope: RoadSlope;
  readonly at: string;
  readonly name: string;
}) {
  const units = useUnits();
  if (!outcome) return <span className="text-ink2">{msg('road.lookingForTheCatchPointOn', { name })}</span>;
  switch (outcome.status) {
    case 'found':
      return (
        <>
          {rich('road.byAt1InCaughtHeight', {
            name,
            at,
            kind: outcome.kind,
            kind2: outcome.kind === 'cut' ? slope.cutRun : slope.fillRun,
            strong: (
              <strong>
                {msg('road.outOf', {
                  length: units.length(outcome.distance, 2),
                  unit: units.unit,
                  string: stringWords(slope.hinge),
                })}
              </strong>
            ),
            length: units.length(outcome.z, 2),
          })}
        </>
      );
    case 'noGround':
      return (
        <span className="font-medium text-ochre">
          {msg('road.hasNoHeightOutTheSlopeIs', { name, length: units.length(outcome.distance, 1), unit: units.unit })}
        </span>
      );
    case 'notMet':
      return <span className="font-medium text-ochre">{msg('road.theSlopeDoesNotMeetAsFar', { name })}</span>;
  }
}

function useDesignedCatch(
  surface: OpenSurface | null,
  road: Road,
  slope: RoadSlope | null,
  station: Metres | null,
): CatchOutcome | null {
  const [found, setFound] = useState<CatchOutcome | null>(null);
  useEffect(() => {
    setFound(null);
    const hinge = slope && station !== null ? hingeAt(road, slope, station) : null;
    if (!surface || !slope || station === null || !hinge) return;
    let gone = false;
    void heightsOf(surface, slopePlaces(road, slope, station)).then((heights) => {
      if (!gone && heights) setFound(designedCatch(slope, hinge, heights));
    });
    return () => {
      gone = true;
    };
  }, [surface, road, slope, station]);
  return found;
}
