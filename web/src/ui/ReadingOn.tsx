import { msg } from '@idle-marker/words';
import { Button } from './Button.tsx';

/** That a file is being read, how far where that is known, and a way to stop. */
export function ReadingOn({
  fileName,
  share,
  onCancel,
}: {
  readonly fileName: string;
  readonly share?: number;
  onCancel(): void;
}) {
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <progress className="h-3 w-40 accent-(--spruce)" value={share} aria-label={msg('ui.reading', { fileName })} />
      <span className="figures">
        {msg('ui.reading2', { fileName, share: share !== undefined && `, ${Math.round(share * 100)} %` })}
      </span>
      <Button onClick={onCancel}>{msg('ui.stopReading')}</Button>
    </p>
  );
}
