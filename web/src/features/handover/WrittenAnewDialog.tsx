import { useState } from 'react';
import type { FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { useLongList } from '../../ui/LongList.tsx';
import { toggled } from '../../ui/toggled.ts';

interface WrittenAnewDialogProps {
  readonly stakes: readonly {
    readonly name: string;
    readonly before: readonly string[];
    readonly body: FactBody<'writing'>;
  }[];
  onClose(): void;
}

/** Stakes whose text has changed, kept as written anew in one go: by hand from lath to lath, or with labels. */
export function WrittenAnewDialog({ stakes, onClose }: WrittenAnewDialogProps) {
  const { say } = useSite();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const { shown, rest } = useLongList(stakes, 'stakes');
  const chosen = stakes.filter(({ body }) => !left.has(body.mark));
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={msg('handover.stakesWrittenAnew')}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button
            look="primary"
            disabled={chosen.length === 0}
            onClick={() => void say(...chosen.map(({ body }) => ({ type: 'writing' as const, body }))).then(onClose)}
          >
            {msg('handover.stakesSayThisNow', { chosen: chosen.length })}
          </Button>
        </>
      }
    >
      <p>{msg('handover.theCrewsPageLabelsAndSheetsFollow')}</p>
      <ul className="mt-3" aria-label={msg('handover.stakesWrittenAnew')}>
        {shown.map(({ name, before, body }) => (
          <li key={body.mark} className="border-b border-rule py-1.5">
            <label className="flex min-h-11 cursor-pointer items-start gap-3">
              <input
                type="checkbox"
                className="mt-1 h-5 w-5 flex-none accent-(--spruce)"
                checked={!left.has(body.mark)}
                onChange={(event) => setLeft(toggled(left, body.mark, !event.target.checked))}
              />
              <span className="min-w-0">
                <span className="font-semibold">{name}</span>
                <span className="block text-[13px] text-ink2">
                  {msg('handover.before', { before: before.join(' · ') })}
                </span>
                <span className="figures block">{body.stakeText.join(' · ')}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {rest}
    </Dialog>
  );
}
