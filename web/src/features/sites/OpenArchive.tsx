import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import type { ArchiveTaken } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { call, troubleOf } from '../../data/server.ts';
import { Button } from '../../ui/Button.tsx';

/** Takes a whole site in from its archive. */
export function OpenArchive() {
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [taken, setTaken] = useState<ArchiveTaken | null>(null);
  const open = async (file: File) => {
    setBusy(true);
    setTrouble(null);
    setTaken(null);
    try {
      setTaken(await call('readArchive', {}, { file: { mediaType: 'application/zip', bytes: file } }));
      await queries.invalidateQueries({ queryKey: ['sites'] });
    } catch (error) {
      setTrouble(
        msg('sites.wasNotTakenIn', { name: file.name, trouble: troubleOf(error, msg('common.tryAgainWhenItIsBack')) }),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        className="sr-only"
        tabIndex={-1}
        aria-label={msg('sites.archiveOfASite')}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) void open(file);
          event.target.value = '';
        }}
      />
      <Button disabled={busy} onClick={() => input.current?.click()}>
        {busy ? msg('sites.takingItIn') : msg('sites.openAnArchive')}
      </Button>
      {trouble && (
        <p role="alert" className="mt-3 border-l-4 border-brick pl-3 font-medium text-brick">
          {trouble}
        </p>
      )}
      {taken && (
        <p role="status" className="mt-3 border-l-4 border-good pl-3">
          {taken.facts === 0
            ? msg('sites.wasHereAlreadyTheSameToThe', { name: taken.name })
            : msg('sites.entriesAndFilesTakenIn', { name: taken.name, facts: taken.facts, files: taken.files })}{' '}
          <button
            type="button"
            className="min-h-11 font-semibold text-spruce underline"
            onClick={() => void navigate(`/sites/${taken.site}/today`)}
          >
            {msg('sites.goThere')}
          </button>
        </p>
      )}
    </>
  );
}
