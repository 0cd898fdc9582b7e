import { msg } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import type { Papers } from './usePaper.ts';

/** How far a paper is along, with a way to stop it, and what kept it from being written. */
export function PaperProgress({ papers }: { readonly papers: Papers }) {
  return (
    <>
      {papers.progress !== null && (
        <div className="my-2 flex items-center gap-3" role="status">
          <progress
            className="h-3 flex-1 accent-(--spruce)"
            value={papers.progress}
            max={1}
            aria-label={msg('print.writtenSoFar')}
          />
          <span className="figures w-12 text-right">{Math.round(papers.progress * 100)} %</span>
          <Button onClick={papers.cancel}>{msg('common.cancel')}</Button>
        </div>
      )}
      {papers.trouble && (
        <p className="my-2 font-medium text-brick" role="alert">
          {papers.trouble}
        </p>
      )}
    </>
  );
}
