import { useMemo, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import {
  BUILT_SD_MM,
  compareNames,
  controlCandidates,
  controlOfCandidates,
  pickedCandidate,
  type ControlCandidate,
} from '@idle-marker/records';
import { msg, CANDIDATE_OF, smallFigure, smallUnit } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { PickDialog } from '../../drawings/PickDialog.tsx';

/** Rows shown at a time: what is wanted is found by its name. */
const SHOWN = 60;

/** Any point of the design, or of what stands, becomes control with one press. */
export function FromDesign({ onClose }: { onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const [search, setSearch] = useState('');
  const [picking, setPicking] = useState<Fact<'drawing'> | null>(null);
  const [made, setMade] = useState<readonly string[]>([]);
  const all = useMemo(() => controlCandidates(state), [state]);
  const wanted = search.trim().toLowerCase();
  const found = all.filter((each) => wanted === '' || `${each.name} ${each.of}`.toLowerCase().includes(wanted));
  const make = async (...candidates: readonly ControlCandidate[]) => {
    const bodies = controlOfCandidates(state, newId, candidates);
    await say(...bodies.map((body) => ({ type: 'control' as const, body })));
    setMade([...made, ...bodies.map((body) => body.name)].sort(compareNames));
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('control.controlFromTheDesign')}
      foot={
        <Button look="primary" onClick={onClose}>
          {msg('common.done')}
        </Button>
      }
    >
      <p className="text-ink2">
        {msg('control.whatIsOnlyDrawnStandsWhereIt', {
          built: `${smallFigure(BUILT_SD_MM, units.lengthUnit)} ${smallUnit(units.lengthUnit).name}`,
        })}
      </p>
      {made.length > 0 && (
        <p className="mt-2 font-medium text-good" role="status">
          {msg('control.listed', { made: made.join(', ') })}
        </p>
      )}
      <div className="my-3 flex flex-wrap items-center gap-2">
        <SearchField label={msg('control.findAPoint')} value={search} onChange={setSearch} className="min-w-0 flex-1" />
        {state.drawings.map((drawing) => (
          <Button key={drawing.id} onClick={() => setPicking(drawing)}>
            {msg('control.pickOn', { name: drawing.body.name })}
          </Button>
        ))}
      </div>
      {all.length === 0 && <p className="text-ink2">{msg('control.nothingIsDrawnOrMeasuredHereYet')}</p>}
      {found.length > 0 && (
        <table className={TABLE}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.point')}</th>
              <th className={TH_WORD}>{msg('common.of')}</th>
              {units.axes.map((axis) => (
                <th key={axis} className={`${TH} max-sm:hidden`}>
                  {axis === 'e' ? msg('common.east') : msg('common.north')}
                </th>
              ))}
              <th className={TH}>{msg('common.height')}</th>
              <th className={TH}>
                <span className="sr-only">{msg('control.makeItControl')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.slice(0, SHOWN).map((each) => (
              <tr key={`${each.from} ${each.of} ${each.name} ${each.place.e} ${each.place.n}`}>
                <td className={TD_WORD}>{each.name}</td>
                <td className={`${TD_WORD} text-ink2`}>{CANDIDATE_OF[each.from](each.of)}</td>
                {units.axes.map((axis) => (
                  <td key={axis} className={`${TD} max-sm:hidden`}>
                    {units.length(each.place[axis])}
                  </td>
                ))}
                <td className={TD}>{units.length(each.place.z)}</td>
                <td className={TD}>
                  {each.listedAs === null ? (
                    <Button
                      className="my-0.5 px-3 text-[14px]"
                      aria-label={msg('control.makeOfControl', { name: each.name, ofValue: each.of })}
                      onClick={() => void make(each)}
                    >
                      {msg('control.makeItControl')}
                    </Button>
                  ) : (
                    <span className="text-good">
                      {each.listedAs === each.name ? 'listed' : msg('control.listedAs', { listedAs: each.listedAs })}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {found.length > SHOWN && (
        <p className="mt-1 text-ink2">{msg('control.moreFindThemByName', { found: found.length - SHOWN })}</p>
      )}
      {picking && (
        <PickDialog
          drawing={picking}
          rule="points"
          onClose={() => setPicking(null)}
          onTake={({ corners }) => {
            const of = picking.body.name;
            void make(...corners.map((corner) => pickedCandidate(state, of, corner.name, corner)));
            setPicking(null);
          }}
        />
      )}
    </Dialog>
  );
}
