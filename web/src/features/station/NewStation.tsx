import { useMemo, useState } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import { isUnsteady, precisionOf } from '@idle-marker/records';
import { msg, levelOutWords } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { now } from '../../data/clock.ts';
import { currentLink, rememberOccupation, useLinkState } from '../../link/linkStore.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes } from '../../board/scene.ts';
import { roadScene } from '../../board/roadScene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useRoads, useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { Card, Slip, Workspace } from '../../ui/Slip.tsx';
import { useKey } from '../../ui/useKey.ts';
import { HeightStands } from './HeightStands.tsx';
import { LevelPanel } from './LevelPanel.tsx';
import { SetupChecklist } from './SetupChecklist.tsx';
import { CarriedOverTicks, InstrumentFields, methodHead, MethodFields, WeatherFields } from './SetupFields.tsx';
import { instrumentFor, newSetup, occupationOf, readSetup, type SetupDraft } from './stationSetup.ts';

/** Middle of what is to be marked, else of the control. */
function usualPlace(points: readonly PlanPoint[]): PlanPoint | null {
  if (points.length === 0) return null;
  const mean = (pick: (point: PlanPoint) => number) =>
    points.reduce((sum, point) => sum + pick(point), 0) / points.length;
  return { e: Math.round(mean((point) => point.e)), n: Math.round(mean((point) => point.n)) };
}

interface NewStationProps {
  /** The mark where the instrument was carried to, where that is known. */
  readonly over?: string | null;
  onStarted(): void;
  onCancel: (() => void) | null;
}

export function NewStation({ over: carriedTo = null, onStarted, onCancel }: NewStationProps) {
  const { id, state, say, occupation } = useSite();
  const units = useUnits();
  const link = useLinkState();
  const simulated = link?.kind === 'simulator';
  const [draft, setDraft] = useState<SetupDraft>(() => newSetup(state, units, carriedTo));
  const set = (change: Partial<SetupDraft>) => setDraft((before) => ({ ...before, ...change }));
  const read = readSetup(draft, state, units, simulated);
  const missing = Object.values(read.errors);
  const faulty = missing.length > 0;
  const [place, setPlace] = useState<PlanPoint | null>(() => {
    const hubs = state.packages.flatMap((each) => each.body.plans.map((plan) => plan.place));
    const middle = usualPlace(
      hubs.length > 0
        ? hubs
        : state.control
            .filter((mark) => mark.revision.body.e !== null)
            .map((mark) => ({ e: mark.revision.body.e!, n: mark.revision.body.n! })),
    );
    return middle && { e: middle.e + 24, n: middle.n + 4 };
  });
  const roads = useRoads();
  const style = useStationStyle();
  const { over } = read;
  const standing = useMemo(
    () => (over ? { e: over.revision.body.e!, n: over.revision.body.n! } : place),
    [over, place],
  );
  const scene = useMemo(
    () =>
      joinScenes(
        ...(draft.method === 'heightOnly' ? roads.map(({ road }) => roadScene(road, style, 'other')) : []),
        outlineScene(state.packages),
        controlScene(state.control, null),
        {
          instruments: standing && simulated ? [{ at: standing, label: draft.name, facing: null }] : [],
        },
      ),
    [state.packages, state.control, standing, draft.name, draft.method, simulated, roads, style],
  );
  const anywhere = simulated && draft.method !== 'overMark';
  const stand = link?.stand ?? null;
  // An instrument that was put down and not brought in is not levelled behind one's back.
  const tilt = simulated && stand && !stand.isLevel ? Math.hypot(stand.alongSec, stand.acrossSec) : null;
  const [tried, setTried] = useState(false);
  const start = async () => {
    if (faulty) return;
    if (tilt !== null) {
      setTried(true);
      return;
    }
    const current = currentLink();
    if (current?.kind === 'simulator' && over) current.setUpOver(over.revision.body.name, read.heightRead!);
    else if (current?.kind === 'simulator' && place) current.setUpAt(place, read.heightRead!);
    const fresh = newId();
    if (current?.kind === 'simulator') await rememberOccupation(id, fresh);
    await say(
      ...(occupation
        ? [
            {
              type: 'close' as const,
              body: { occupation: occupation.id, note: msg('station.theInstrumentWasTakenAway') },
            },
          ]
        : []),
      {
        type: 'occupation',
        id: fresh,
        body: occupationOf(draft, read, state, units, link),
      },
    );
    onStarted();
  };
  useKey('Enter', faulty ? null : () => void start());
  const unsteady = isUnsteady(draft);
  const part = { draft, read, set };
  /** Brought in by hand it is ticked while it truly is in, and not a moment longer. */
  const levelled = (isIn: boolean) =>
    setDraft((before) => {
      const others = before.ticked.filter((each) => each.step !== 'level');
      if (isIn && others.length < before.ticked.length) return before;
      return { ...before, ticked: isIn ? [...others, { step: 'level', at: now().toISOString() }] : others };
    });
  return (
    <Workspace
      board={
        <Board
          scene={scene}
          description={msg('station.planWithTheControlMarksAndThe')}
          {...(anywhere ? { onPlace: setPlace } : {})}
          fitKey="new"
        >
          {anywhere && (
            <p className="absolute top-4 left-4 max-w-[calc(100%-90px)] border-[1.5px] border-ink bg-sheet px-3 py-2 text-[13px]">
              {msg('station.touchThePlanWhereTheSimulated')}
            </p>
          )}
        </Board>
      }
      slip={
        <Slip
          topic={tried && tilt !== null ? msg('station.notLevel') : ''}
          head={
            <>
              <h1 className="text-xl">{msg('station.newStation2')}</h1>
              <p className="text-ink2">{methodHead()[draft.method]}</p>
            </>
          }
          foot={
            <>
              {onCancel ? <Button onClick={onCancel}>{msg('common.cancel')}</Button> : <span />}
              {faulty && (
                <span className="min-w-0 flex-1 px-2 text-[13px] text-ochre" aria-live="polite">
                  {missing[0]}
                  {missing.length > 1 && msg('station.andMoreAbove', { missing: missing.length - 1 })}
                </span>
              )}
              <Button look="primary" hint={msg('common.enter')} disabled={faulty} onClick={() => void start()}>
                {msg('station.startSighting')}
              </Button>
            </>
          }
        >
          <div className="flex flex-col gap-3.5">
            {tried && tilt !== null && (
              <Card tone="brick" title={msg('station.notLevelYet')}>
                {levelOutWords(tilt)}
              </Card>
            )}
            <Field
              label={msg('station.nameOfTheStation')}
              value={draft.name}
              maxLength={80}
              onChange={(event) => set({ name: event.target.value })}
              error={read.errors.name}
            />
            <MethodFields {...part} />
            {draft.method === 'heightOnly' && (
              <HeightStands
                precision={precisionOf({ instrument: instrumentFor(draft, state, simulated) })}
                place={place}
                onPlace={anywhere ? setPlace : null}
              />
            )}
            <WeatherFields {...part} />
            <Choice
              label={msg('station.groundUnderTheTripod')}
              value={draft.ground}
              options={[
                ['gravel', msg('station.gravelOrSoilLegsTroddenIn')],
                ['concrete', msg('station.concrete')],
                ['asphalt', msg('station.asphaltCreepsInHeat')],
                ['deck', msg('station.deckBounces')],
              ]}
              onChange={(ground) => set({ ground })}
            />
            <Tick label={msg('station.windy')} checked={draft.windy} onChange={(windy) => set({ windy })} />
            {unsteady && <p className="text-[13px] text-ochre">{msg('station.theTripodMovesSoonerHereAProof')}</p>}
            {!simulated && <InstrumentFields {...part} />}
            <CarriedOverTicks draft={draft} set={set} link={link} state={state} />
            {simulated && <LevelPanel onLevel={levelled} />}
            <SetupChecklist
              ticked={draft.ticked}
              onChange={(next) => set({ ticked: next })}
              ground={draft.ground}
              unsteady={unsteady}
              overMark={draft.method === 'overMark'}
              byHand={!simulated}
              isLevel={tilt === null}
            />
          </div>
        </Slip>
      }
    />
  );
}
