import { useState } from 'react';
import { writeSetting } from '../ledger/storage.ts';
import { currentLink, openSimulator, openTyped, PACES, useLinkState } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../site/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../ui/Field.tsx';

/** Which instrument is linked, the pole, and (for the simulator) how fast its world runs. */
export function LinkMenu() {
  const link = useLinkState();
  const { id, state } = useSite();
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const [height, setHeight] = useState('');
  const [pace, setPace] = useState('5');
  const ground = state.settings.practiceGround;
  const read = units.readLength(height);
  const bad = height !== '' && (read === null || read < 0 || read > 10);
  const choose = (kind: 'simulator' | 'typed') => {
    void writeSetting(`link ${id}`, kind);
    if (kind === 'simulator' && ground !== null) void openSimulator(id, ground);
    else openTyped(id);
  };
  const openMenu = () => {
    setHeight(units.edit(link?.pole.targetHeight ?? 1.5));
    setOpen(true);
  };
  const done = () => {
    if (!bad && read !== null) currentLink()?.setPole({ targetHeight: read });
    setOpen(false);
  };
  return (
    <>
      <button type="button" onClick={openMenu} className="flex items-center gap-2 border-r border-[#ffffff33] px-3.5 font-semibold whitespace-nowrap">
        <span aria-hidden="true" className={`h-2.5 w-2.5 rounded-full ${link ? 'bg-on-footing' : 'border border-on-footing'}`} />
        {link === null ? 'No link' : link.kind === 'simulator' ? 'Linked · demo instrument' : 'Typed readings'}
      </button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title="Instrument and pole"
        foot={
          <Button look="primary" disabled={bad} onClick={done}>
            Done
          </Button>
        }
      >
        <div className="flex flex-col gap-4">
          {ground !== null ? (
            <Choice
              label="Instrument"
              value={link?.kind ?? 'simulator'}
              options={[
                ['simulator', 'Demo instrument (simulated)'],
                ['typed', 'Typed readings, from any instrument'],
              ]}
              onChange={choose}
            />
          ) : (
            <p>This site has no simulated ground, so readings are typed in from any instrument.</p>
          )}
          <Field
            label="Target height: pole tip to prism centre"
            unit={units.unit}
            value={height}
            onChange={(event) => setHeight(event.target.value)}
            error={bad ? `Give a height from 0 to ${units.length(10, 0)} ${units.unit}, such as ${units.edit(1.5)}.` : null}
            inputMode="decimal"
          />
          <Tick
            label="The pole stands on legs (plumb to 1.5 arc minutes; by hand 4)"
            checked={link?.pole.legs ?? true}
            onChange={(legs) => currentLink()?.setPole({ legs })}
          />
          {link?.kind === 'simulator' && (
            <Choice
              label="Pace of the simulated site"
              value={pace}
              options={PACES.map((each) => [String(each), each === 1 ? 'As in life' : `${each} times as fast`] as const)}
              onChange={(value) => {
                setPace(value);
                void writeSetting('pace', Number(value));
                const current = currentLink();
                if (current?.kind === 'simulator') current.setPace(Number(value));
              }}
            />
          )}
        </div>
      </Dialog>
    </>
  );
}
