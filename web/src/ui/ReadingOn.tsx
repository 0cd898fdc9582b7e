import { Button } from './Button.tsx';

/** That a file is being read, how far where that is known, and a way to stop. */
export function ReadingOn({ fileName, share, onCancel }: { readonly fileName: string; readonly share?: number; onCancel(): void }) {
  return (
    <p className="mt-2 flex flex-wrap items-center gap-3">
      <progress className="h-3 w-40 accent-(--spruce)" value={share} aria-label={`Reading ${fileName}`} />
      <span className="figures">
        Reading {fileName}
        {share !== undefined && `, ${Math.round(share * 100)} %`}
      </span>
      <Button onClick={onCancel}>Stop reading</Button>
    </p>
  );
}
