import type { Fact } from '@idle-marker/contract';
import { draggedOffset, offsetStep } from '@idle-marker/records';
import { msg, hindranceWords } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { useOffsetsDialog } from './useOffsetsDialog.ts';

/** Where a package's hubs outlive the work: what stays, what moves and why, before anything is changed. */
export function OffsetsDialog({ work, onClose }: { work: Fact<'package'>; onClose(): void }) {
  const {
    state,
    inForce,
    units,
    longest,
    setLongest,
    seen,
    setSeen,
    longestRead,
    isGood,
    lost,
    own,
    setOwn,
    setHandKey,
    changed,
    moved,
    stuck,
    planOf,
    scene,
    use,
    byHand,
    hand,
    placeNow,
    moveTo,
    bad,
    lengths,
  } = useOffsetsDialog({ work, onClose });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('design.offsetsThatStayClear', { name: work.body.name })}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {own.size > 0 && msg('design.byHand', { own: own.size })}
            {changed.length === 0
              ? msg('design.nothingHasToMove')
              : msg('design.countOfMoves', {
                  marks: moved.length,
                  stuck: stuck.length > 0 && msg('design.withoutAClearPlace', { stuck: stuck.length }),
                })}
          </span>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button
            look="primary"
            disabled={(moved.length === 0 && own.size === 0) || bad.length > 0}
            onClick={() => void use()}
          >
            {msg('design.useTheseOffsets')}
          </Button>
        </>
      }
    >
      <div className="grid gap-4 md:grid-cols-2">
        <div>
          <div className="grid grid-cols-2 items-end gap-3">
            <Field
              label={msg('design.longestOffset')}
              unit={units.unit}
              value={longest}
              inputMode="decimal"
              onChange={(event) => setLongest(event.target.value)}
              error={isGood ? null : msg('common.giveALengthOver0')}
            />
            {inForce && (
              <Tick
                label={msg('design.seenFrom', { name: inForce.fact.body.name })}
                checked={seen}
                onChange={setSeen}
              />
            )}
          </div>
          {state.areas.length === 0 && (
            <p className="mt-2 text-[14px] text-ink2">{msg('design.noAreaIsDrawnYetDigsOf')}</p>
          )}
          {changed.length === 0 ? (
            <p className="mt-3">{msg('design.everyMarkThatIsStillToSet')}</p>
          ) : (
            <table className={`${TABLE} mt-2`}>
              <thead>
                <tr>
                  <th className={TH_WORD}>{msg('common.mark')}</th>
                  <th className={TH}>{msg('common.asked')}</th>
                  <th className={TH}>{msg('design.now')}</th>
                  <th className={TH_WORD}>{msg('common.why')}</th>
                </tr>
              </thead>
              <tbody>
                {changed.map(({ key, offset, hindrances }) => (
                  <tr key={key}>
                    <td className={`${TD_WORD} font-semibold`}>{planOf(key).name}</td>
                    <td className={TD}>{units.length(planOf(key).offset, 2)}</td>
                    <td className={`${TD} font-semibold ${offset === null ? 'text-brick' : 'text-pencil'}`}>
                      {offset === null ? 'none' : units.length(offset, 2)}
                    </td>
                    <td className={TD_WORD}>{hindrances.map(hindranceWords).join('; ')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {hand && (
            <fieldset className="mt-3 border-t border-rule pt-2">
              <legend className="pr-2 text-[15px]">{msg('design.byHandHereOrByDraggingOn')}</legend>
              <div className="flex flex-wrap items-end gap-2">
                <Choice
                  label={msg('common.mark')}
                  value={hand.key}
                  options={byHand.map((plan) => [plan.key, plan.name] as const)}
                  onChange={setHandKey}
                />
                <Button
                  aria-label={msg('design.nearer', { name: hand.name })}
                  onClick={() => moveTo(hand.key, placeNow(hand) - offsetStep(units.lengthUnit))}
                >
                  −
                </Button>
                <span className="figures min-h-11 content-center font-semibold">
                  {units.length(placeNow(hand), 2)} {units.unit}
                </span>
                <Button
                  aria-label={msg('design.farther', { name: hand.name })}
                  onClick={() => moveTo(hand.key, placeNow(hand) + offsetStep(units.lengthUnit))}
                >
                  +
                </Button>
                {own.size > 0 && (
                  <Button look="quiet" onClick={() => setOwn(new Map())}>
                    {msg('design.undoAllByHand')}
                  </Button>
                )}
              </div>
              {bad.map(([key, { hindrances }]) => (
                <p key={key} className="text-[14px] font-medium text-brick">
                  {msg('design.cantStandThere', {
                    name: planOf(key).name,
                    hindrances: hindrances.map(hindranceWords).join('; '),
                  })}
                </p>
              ))}
            </fieldset>
          )}
          {lost.length > 0 && (
            <div className="mt-3 border-l-4 border-ochre pl-3">
              <p className="font-medium text-ochre">{msg('design.setAlreadyAndInTheWay')}</p>
              <ul className="text-[14px]">
                {lost.map(({ key, hindrances }) => (
                  <li key={key}>
                    <strong>{planOf(key).name}</strong>: {hindrances.map(hindranceWords).join('; ')}
                  </li>
                ))}
              </ul>
              <p className="text-[14px] text-ink2">{msg('design.tellTheCrewThatUsesAndSet', { lost: lost.length })}</p>
            </div>
          )}
          {lengths.length > 1 && (
            <p className="mt-2 text-[14px] font-medium text-ochre">
              {msg('design.differentLengthsComeUpEveryMarksOwn', { lengths: lengths.length })}
            </p>
          )}
          {stuck.length > 0 && (
            <p className="mt-2 text-[14px] text-ink2">
              {msg('design.withoutAClearPlaceUpToAllow', { length: units.length(longestRead, 2), unit: units.unit })}
            </p>
          )}
        </div>
        <div className="relative min-h-[320px] border border-ink2">
          <Board
            scene={scene}
            description={msg('design.planWithTheAreasTheMarksThat')}
            onDrag={(key, to) => {
              const plan = byHand.find((each) => each.key === key);
              if (plan) {
                setHandKey(key);
                moveTo(key, draggedOffset(plan, to));
              }
            }}
            fitTo={work.body.plans.map((plan) => plan.place)}
            fitKey={work.id}
          />
        </div>
      </div>
    </Dialog>
  );
}
