import { useEffect, useState } from 'react';
import { rowsOf, STAKE_SIDES, type StakeConvention, type StakeFaces } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { MarkPhotos } from '../../pole/MarkPhotos.tsx';

const sideWords = worded(
  () =>
    ({
      front: msg('handover.front'),
      back: msg('common.back'),
      left: msg('common.leftSide'),
      right: msg('common.rightSide'),
    }) as const,
);
const facingWords = worded(
  () =>
    ({
      toItem: msg('handover.towardWhatIsToBeBuilt'),
      angled: msg('handover.turnedHalfwayTowardWhatIsToBe'),
      alongRoad: msg('handover.alongTheRoad'),
    }) as const,
);

interface WriteDialogProps {
  readonly name: string;
  readonly mark: string;
  readonly faces: StakeFaces;
  readonly convention: StakeConvention;
  /** What is kept once it is written; null where that stands on it already. */
  readonly anew: FactBody<'writing'> | null;
  onClose(): void;
}

/**
 * The stake in large letters, line after line in the order of writing; at its end a photo of what was really written.
 */
export function WriteDialog({ name, mark, faces, convention, anew, onClose }: WriteDialogProps) {
  const lines = STAKE_SIDES.flatMap((side) => faces[side].map((line, i) => ({ ...line, side, first: i === 0 })));
  const { say } = useSite();
  const [at, setAt] = useState(0);
  const line = lines[at] ?? null;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      if (event.key === ' ' || event.key === 'ArrowDown' || event.key === 'ArrowRight')
        setAt((before) => Math.min(before + 1, lines.length));
      else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') setAt((before) => Math.max(before - 1, 0));
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [lines.length]);
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={msg('handover.writeTheStakeOf', { name })}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {line ? msg('handover.lineOf', { at: at + 1, lines: lines.length }) : msg('handover.allWritten')}
          </span>
          <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
            {msg('handover.aLineBack')}
          </Button>
          {line ? (
            <Button look="primary" hint={msg('common.space')} onClick={() => setAt(at + 1)}>
              {msg('handover.written')}
            </Button>
          ) : (
            <Button
              look="primary"
              onClick={() => {
                if (anew) void say({ type: 'writing', body: anew });
                onClose();
              }}
            >
              {msg('common.done')}
            </Button>
          )}
        </>
      }
    >
      {line ? (
        <div className="flex min-h-[46dvh] flex-col justify-center gap-3">
          <p className="text-[17px] text-ink2">
            {sideWords()[line.side]}
            {at === 0 && convention.carrier === 'lath' && `. ${facingWords()[convention.facing]}`}
          </p>
          <p
            className={`figures text-[clamp(34px,9vw,84px)] leading-[1.1] font-semibold break-words ${line.unusual ? 'border-4 border-brick px-3' : ''}`}
            aria-live="polite"
          >
            {rowsOf([line], convention.lath).map(([piece], i) => (
              <span key={i} className="block">
                {piece!.text}
              </span>
            ))}
          </p>
          {line.ruled && (
            <>
              <div className="border-t-4 border-ink" />
              <p className="text-ink2">{msg('handover.drawALineBelowIt')}</p>
            </>
          )}
          {line.unusual && (
            <p className="font-medium text-brick">
              {msg('handover.notAsUsualHereMarkItIn', {
                unusualPaint: convention.unusualPaint || msg('handover.anotherColour'),
              })}
            </p>
          )}
        </div>
      ) : (
        <div>
          <p className="text-[17px]">
            {msg('handover.readItOnceAloudFromTheStake', {
              value: anew && msg('handover.withDoneTheBookKeepsThatThe'),
            })}
          </p>
          <MarkPhotos mark={mark} name={name} written />
        </div>
      )}
    </Dialog>
  );
}
