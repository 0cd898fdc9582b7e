import { useState } from 'react';
import type { AcceptedSolution } from '@idle-marker/records';
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
            Put it off
          </Button>
          <Button look="primary" onClick={onProve}>
            Prove now
          </Button>
        </>
      }
    >
      <p>What is set from now on stays open until a proof comes after it, and the reason stands in the book.</p>
      <Field
        className="mt-3"
        label="Reason (needed)"
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried && reason.trim() === '' ? 'Say why the proof can’t be made now.' : null}
      />
    </Dialog>
  );
}
