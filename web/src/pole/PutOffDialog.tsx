import { useState } from 'react';
import type { AcceptedSolution } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field } from '../ui/Field.tsx';

interface PutOffDialogProps {
  readonly solution: AcceptedSolution;
  readonly open: boolean;
  readonly title: string;
  onClose(): void;
  /** Goes and proves. */
  onProve(): void;
  onPutOff?(): void;
}

/** A due proof may be put off, with a reason that stands in the book. */
export function PutOffDialog({ solution, open, title, onClose, onProve, onPutOff }: PutOffDialogProps) {
  const { say } = useSite();
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const putOff = async () => {
    setTried(true);
    if (reason.trim() === '') return;
    await say({ type: 'deferral', body: { solution: solution.fact.id, reason: reason.trim() } });
    setReason('');
    setTried(false);
    onClose();
    onPutOff?.();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={title}
      foot={
        <>
          <Button look="danger" onClick={() => void putOff()}>
            {msg('pole.putItOff')}
          </Button>
          <Button look="primary" onClick={onProve}>
            {msg('common.proveNow')}
          </Button>
        </>
      }
    >
      <p>{msg('pole.whatIsSetFromNowOnStays')}</p>
      <Field
        className="mt-3"
        label={msg('common.reasonNeeded')}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried && reason.trim() === '' ? msg('pole.sayWhyTheProofCantBeMade') : null}
      />
    </Dialog>
  );
}
