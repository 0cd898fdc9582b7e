import type { Fact } from '@idle-marker/contract';
import { draggedOffset } from '@idle-marker/records';
import { msg, hindranceWords } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { DraftField } from '../../field/DraftField.tsx';
import { Tick } from '../../ui/Field.tsx';
import { useOffsetsDialog } from './useOffsetsDialog.ts';
import { MovedOffsets } from './MovedOffsets.tsx';
import { OwnOffsets } from './OwnOffsets.tsx';

/** Where a package's hubs outlive the work: what stays, what moves and why, before anything is changed. */
export function OffsetsDialog({ work, onClose }: { work: Fact<'package'>; onClose(): void }) {
  const model = useOffsetsDialog({ work, onClose });
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
    setHandKey,
    changed,
    moved,
    stuck,
    planOf,
    scene,
    use,
    byHand,
    hand,
    moveTo,
    bad,
    lengths,
  } = model;
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
            <DraftField
              label={msg('design.longestOffset')}
              unit={units.unit}
              draft={longest}
              onDraft={setLongest}
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
            <MovedOffsets model={model} />
          )}
          {hand && <OwnOffsets model={model} />}
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
