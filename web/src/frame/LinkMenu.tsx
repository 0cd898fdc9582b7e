import { memo, useState } from 'react';
import { BUSY_CHANNELS, CHANNELS } from '@idle-marker/core';
import { LibraryDialog } from '../features/equipment/LibraryDialog.tsx';
import { heightOf, PoleFields, poleDraft } from '../pole/PoleFields.tsx';
import { isPoleless } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { writeSetting } from '../data/storage.ts';
import { changePole, currentLink, openSimulator, openTyped, PACES, useLinked, useLinkKind } from '../link/linkStore.ts';
import { useSearchWindow, windowWords } from '../link/searchWindow.ts';
import { LOW_BATTERY } from '../link/instrumentLink.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice } from '../ui/Field.tsx';

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/**
 * Which instrument is linked, what the prism is carried on, and (for the simulator) power, radio and how fast its world
 * runs.
 */
export const LinkMenu = memo(function LinkMenu() {
  const kind = useLinkKind();
  const stand = useLinked((link) => link?.stand ?? null);
  const { id, state, inForce, occupation, say } = useSite();
  const units = useUnits();
  const [searched, setSearched] = useSearchWindow();
  const [open, setOpen] = useState(false);
  const [library, setLibrary] = useState(false);
  const [draft, setDraft] = useState(() => poleDraft(undefined, units));
  const [pace, setPace] = useState('5');
  const [stopsNear, setStopsNear] = useState<'near' | 'on'>('near');
  const ground = state.settings.practiceGround;
  const { height, error } = heightOf(draft, units);
  const choose = (kind: 'simulator' | 'typed') => {
    void writeSetting(`link ${id}`, kind);
    if (kind === 'simulator' && ground !== null) void openSimulator(id, ground, units.round(1.5, 5));
    else openTyped(id, units.round(1.5, 5));
  };
  const openMenu = () => {
    setDraft(poleDraft(currentLink()?.state().pole, units));
    setStopsNear(simulator()?.stopsNear === false ? 'on' : 'near');
    setOpen(true);
  };
  const done = () => {
    // Of a foil the height is zero by itself; that of the pole stays for when it is used again.
    const poleHeight = height ?? currentLink()?.state().pole.targetHeight;
    if (poleHeight !== undefined)
      changePole({ targetHeight: poleHeight, legs: draft.legs, target: draft.target, item: draft.item });
    setOpen(false);
  };
  const simulator = () => {
    const current = currentLink();
    return current?.kind === 'simulator' ? current : null;
  };
  const changeBattery = () => {
    simulator()?.changeBattery();
    // Changing it may turn the instrument: that is an event, and a proof is due.
    if (occupation) void say({ type: 'event', body: { occupation: occupation.id, kind: 'battery', note: '' } });
  };
  return (
    <>
      <button
        type="button"
        onClick={openMenu}
        className="flex min-h-11 min-w-11 flex-none items-center justify-center gap-2 border-r border-[#ffffff33] px-3.5 font-semibold whitespace-nowrap"
      >
        <span
          aria-hidden="true"
          className={`h-2.5 w-2.5 rounded-full ${kind ? 'bg-on-footing' : 'border border-on-footing'}`}
        />
        {/* On what is carried the station takes its room, once there is one. */}
        <span className={inForce ? 'max-rail:in-[footer]:sr-only' : ''}>
          {kind === null
            ? msg('frame.noLink')
            : kind === 'simulator'
              ? msg('frame.linkedDemoInstrument')
              : msg('frame.typedReadings')}
        </span>
      </button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={msg('frame.instrumentAndPole')}
        foot={
          <>
            <Button
              onClick={() => {
                setOpen(false);
                setLibrary(true);
              }}
            >
              {msg('frame.library')}
            </Button>
            <Button look="primary" disabled={error !== null && !isPoleless(state, draft.target)} onClick={done}>
              {msg('common.done')}
            </Button>
          </>
        }
      >
        <div className="flex flex-col gap-4">
          {ground !== null ? (
            <Choice
              label={msg('common.instrument')}
              value={kind ?? 'simulator'}
              options={[
                ['simulator', msg('frame.demoInstrumentSimulated')],
                ['typed', msg('frame.typedReadingsFromAnyInstrument')],
              ]}
              onChange={choose}
            />
          ) : (
            <p>{msg('frame.thisSiteHasNoSimulatedGroundSo')}</p>
          )}
          <PoleFields draft={draft} onChange={setDraft} />
          {stand && (
            <>
              <div className="flex flex-wrap items-end justify-between gap-3">
                <p className={stand.battery < LOW_BATTERY ? 'font-semibold text-brick' : ''}>
                  {msg('frame.batteryOfTheInstrument')} <span className="figures">{percent(stand.battery)}</span>
                  {stand.battery < LOW_BATTERY && msg('frame.haveTheSpareAtHand')}
                </p>
                <Button onClick={changeBattery}>{msg('frame.changeTheBattery')}</Button>
              </div>
              <Choice
                label={msg('frame.radioChannelAsOnTheInstrument')}
                value={String(stand.channel)}
                options={CHANNELS.map(
                  (each) =>
                    [
                      String(each),
                      `${each}${BUSY_CHANNELS.includes(each) ? msg('frame.anotherCrew') : ': free'}`,
                    ] as const,
                )}
                onChange={(channel) => simulator()?.setChannel(Number(channel))}
                help={msg('frame.twoCrewsOnOneChannelGetEach')}
              />
            </>
          )}
          {kind === 'simulator' && (
            <Choice
              label={msg('frame.whereASearchLooksFromWhereIt')}
              value={searched}
              options={windowWords()}
              onChange={setSearched}
            />
          )}
          {kind === 'simulator' && (
            <Choice
              label={msg('frame.walkingNearStops')}
              value={stopsNear}
              options={[
                ['near', msg('frame.halfAMetreToTwoMetresOff')],
                ['on', msg('frame.rightOnThePlace')],
              ]}
              onChange={(value) => {
                setStopsNear(value);
                void writeSetting('stops near', value === 'near');
                simulator()?.setStopsNear(value === 'near');
              }}
            />
          )}
          {kind === 'simulator' && (
            <Choice
              label={msg('frame.paceOfTheSimulatedSite')}
              value={pace}
              options={PACES.map(
                (each) =>
                  [String(each), each === 1 ? msg('frame.asInLife') : msg('frame.timesAsFast', { each })] as const,
              )}
              onChange={(value) => {
                setPace(value);
                void writeSetting('pace', Number(value));
                simulator()?.setPace(Number(value));
              }}
            />
          )}
        </div>
      </Dialog>
      {library && (
        <LibraryDialog
          onClose={() => {
            setLibrary(false);
            openMenu();
          }}
        />
      )}
    </>
  );
});
