import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';

import type { AcceptedStationModel } from './useAcceptedStation.ts';

export function CloseStationDialog({ model }: { readonly model: AcceptedStationModel }) {
  const { id, navigate, closing, setClosing, name, missing, close } = model;
  return (
    <Dialog
      open={closing}
      onClose={() => setClosing(false)}
      title={msg('station.closeStation', { name })}
      foot={
        <>
          <Button onClick={() => void navigate(`/sites/${id}/prove`)}>{msg('station.proveFirst')}</Button>
          <Button look="danger" onClick={() => void close()}>
            {msg('station.closeIt')}
          </Button>
        </>
      }
    >
      {missing.map(({ title, text }) => (
        <p key={title} className="mb-2">
          <strong>{title}.</strong> {text}
        </p>
      ))}
      {missing.length === 0 && <p>{msg('station.nothingThatWasSetOrMeasuredFrom')}</p>}
    </Dialog>
  );
}
