import { msg, eventKinds, eventWords } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';

import type { AcceptedStationModel } from './useAcceptedStation.ts';

export function EventDialog({ model }: { readonly model: AcceptedStationModel }) {
  const { event, setEvent, note, setNote, record } = model;
  return (
    <Dialog
      open={event !== null}
      onClose={() => setEvent(null)}
      title={msg('station.whatHappenedAtTheInstrument')}
      foot={
        <Button look="primary" onClick={() => void record()}>
          {msg('station.recordEvent')}
        </Button>
      }
    >
      <div className="flex flex-col gap-3">
        <Choice
          label={msg('station.event')}
          value={event ?? 'bump'}
          options={eventKinds().map((kind) => [kind, eventWords()[kind].said] as const)}
          onChange={setEvent}
        />
        <Field
          label={msg('common.note')}
          value={note}
          maxLength={500}
          onChange={(change) => setNote(change.target.value)}
        />
        <p className="text-ink2">{msg('station.aProofIsDueAtOnceAfter')}</p>
      </div>
    </Dialog>
  );
}
