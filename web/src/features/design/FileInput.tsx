import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { ChooseFile } from './readFile.tsx';
import { DrawingDialog } from './DrawingDialog.tsx';

interface FileInputProps {
  readonly label: string;
  /** `key`: under which it is open. */
  onTaken(drawing: Fact<'drawing'>, key: string): void;
}

/** A file that becomes a drawing of the site on the way, after what is understood of it was seen. */
export function FileInput({ label, onTaken }: FileInputProps) {
  const [file, setFile] = useState<File | null>(null);
  return (
    <>
      <ChooseFile label={label} onFile={(chosen) => setFile(chosen ?? null)} />
      {file && (
        <DrawingDialog
          drawing={null}
          sameFile={false}
          file={file}
          takesKnown
          onClose={() => setFile(null)}
          onTaken={(drawing, key) => {
            setFile(null);
            onTaken(drawing, key);
          }}
        />
      )}
    </>
  );
}
