import { offsetStep } from '@idle-marker/records';
import { msg, hindranceWords } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';

import type { OffsetsDialogModel } from './useOffsetsDialog.ts';

export function OwnOffsets({ model }: { readonly model: OffsetsDialogModel }) {
  const { units, own, setOwn, setHandKey, planOf, byHand, hand, placeNow, moveTo, bad } = model;
  if (!hand) return null;
  return (
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
  );
}
