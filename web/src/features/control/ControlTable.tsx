import { msg, controlKindWords, smallFigure, smallUnit, conditionWords, partWord } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { PAGE } from './useControlPlace.ts';
import type { ControlPlaceModel } from './useControlPlace.ts';
import { StakeOut } from '../../packages/StakeOut.tsx';
import { Explained } from '../../ui/Explained.tsx';

const TONE = {
  secure: 'text-good',
  usable: '',
  doubtful: 'text-ochre',
  lost: 'text-brick line-through',
} as const;

export function ControlTable({ model }: { readonly model: ControlPlaceModel }) {
  const {
    state,
    units,
    chosen,
    setChosen,
    setReading,
    view,
    picking,
    picked,
    pick,
    search,
    shown,
    setShown,
    found,
    first,
    second,
    againstZero,
    siteZero,
    flagged,
    coordinate,
    leadWords,
    name,
  } = model;
  return (
    <div
      className={`min-h-0 flex-1 overflow-auto px-[14px] pb-4 ${view === 'list' ? '' : 'hidden'}`}
      tabIndex={0}
      role="region"
      aria-label={msg('control.tableOfMarks')}
    >
      <table className={TABLE}>
        <thead className="sticky top-0 bg-sheet">
          <tr>
            <th className={TH_WORD}>{msg('common.mark')}</th>
            <th className={TH}>
              {name[first]}
              {leadWords(first)} ({units.unit})
            </th>
            <th className={TH}>
              {name[second]}
              {leadWords(second)} ({units.unit})
            </th>
            <th className={TH}>{againstZero ? msg('common.againstZero') : msg('common.height')}</th>
            <th className={`${TH} max-md:hidden`}>
              <Explained term="standardDeviation">
                {msg('control.sdMm', { unit: smallUnit(units.lengthUnit).name })}
              </Explained>
            </th>
            <th className={`${TH_WORD} max-rail:hidden`}>{msg('common.kind')}</th>
            <th className={`${TH_WORD} max-md:hidden`}>{msg('common.use')}</th>
            <th className={`${TH_WORD} max-md:hidden`}>{msg('common.condition')}</th>
            <th className={`${TH} max-md:hidden`}>
              <span className="sr-only">{msg('packages.stakeOut')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.slice(0, shown).map((mark) => {
            const { body } = mark.revision;
            return (
              <tr
                key={mark.id}
                className={chosen === mark.id ? 'outline-2 -outline-offset-2 outline-spruce' : ''}
                title={body.note}
              >
                <td className={TD_WORD}>
                  {picking && (
                    <input
                      type="checkbox"
                      aria-label={msg('control.choose', { name: body.name })}
                      checked={picked.has(mark.id)}
                      onChange={(event) => pick([mark.id], event.target.checked)}
                      className="mr-2 h-6 w-6 align-middle accent-(--spruce)"
                    />
                  )}
                  <button
                    type="button"
                    className="min-h-11 min-w-11 text-left font-semibold underline decoration-dotted"
                    onClick={() => setReading(mark.id)}
                    onFocus={() => setChosen(mark.id)}
                    aria-label={msg('control.about', { name: body.name })}
                  >
                    {body.name}
                  </button>
                  {mark.revisions.length > 1 && (
                    <span className="text-[12px] text-ink2"> r{mark.revisions.length}</span>
                  )}
                  {(body.condition === 'doubtful' || body.condition === 'lost') && (
                    <span className={`block md:hidden ${TONE[body.condition]}`}>
                      {conditionWords()[body.condition]}
                    </span>
                  )}
                  {flagged.has(mark.id) && (
                    <span className="block text-[12px] text-ochre">
                      {flagged.get(mark.id)!.title.replace(`${body.name}: `, '').replace(`${body.name} `, '')}
                    </span>
                  )}
                </td>
                <td className={`${TD} field-distance`}>{coordinate(body[first], first)}</td>
                <td className={`${TD} field-distance`}>{coordinate(body[second], second)}</td>
                <td className={`${TD} field-distance`}>
                  {units.length(againstZero && body.z !== null ? body.z - siteZero! : body.z)}
                </td>
                <td className={`${TD} max-md:hidden`}>
                  {smallFigure(body.sdHMm, units.lengthUnit)} / {smallFigure(body.sdZMm, units.lengthUnit)}
                </td>
                <td className={`${TD_WORD} max-rail:hidden`}>{controlKindWords()[body.kind]}</td>
                <td className={`${TD_WORD} max-md:hidden`}>
                  {body.forProof
                    ? msg('common.proofs').toLowerCase()
                    : [body.usePlan && partWord('plan'), body.useHeight && msg('control.elev')]
                        .filter(Boolean)
                        .join(' + ') || msg('control.noUse')}
                </td>
                <td className={`${TD_WORD} max-md:hidden ${TONE[body.condition]}`}>
                  {conditionWords()[body.condition]}
                </td>
                <td className={`${TD} max-md:hidden`}>
                  {body.e !== null && body.n !== null && body.condition !== 'lost' && (
                    <StakeOut point={{ name: body.name, e: body.e, n: body.n, z: body.z }} />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {found.length > shown && (
        <Button look="quiet" onClick={() => setShown(shown + PAGE)}>
          {msg('control.moreMarks', { found: found.length - shown })}
        </Button>
      )}
      {found.length === 0 && state.control.length > 0 && (
        <p className="p-4 text-ink2">{msg('control.noMarkMatches', { search })}</p>
      )}
    </div>
  );
}
