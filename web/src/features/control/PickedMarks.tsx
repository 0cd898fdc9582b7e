import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';

import type { ControlPlaceModel } from './useControlPlace.ts';

export function PickedMarks({ model }: { readonly model: ControlPlaceModel }) {
  const { picking, setPicking, picked, setPicked, setSeveral, pick, found } = model;
  return (
    <div className="flex flex-wrap items-center gap-3 px-[14px] py-1">
      <Button
        look="quiet"
        aria-pressed={picking}
        onClick={() => {
          setPicking(!picking);
          setPicked(new Set());
        }}
      >
        {picking ? msg('control.chooseNone') : msg('control.chooseSeveral')}
      </Button>
      {picking && (
        <>
          <Button
            look="quiet"
            onClick={() =>
              pick(
                found.map((mark) => mark.id),
                true,
              )
            }
          >
            {msg('control.all', { found: found.length })}
          </Button>
          <Button disabled={picked.size === 0} onClick={() => setSeveral(true)}>
            {msg('control.changeAtOnce', { picked: picked.size })}
          </Button>
        </>
      )}
    </div>
  );
}
