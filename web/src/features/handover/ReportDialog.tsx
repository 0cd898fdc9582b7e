import { useState } from 'react';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';

/** A mark that is gone or was hit: nobody builds from it until it is set again, or sighted again and good. */
export function ReportDialog({ name, mark, onClose }: { readonly name: string; readonly mark: string; onClose(): void }) {
  const { say } = useSite();
  const [text, setText] = useState('');
  const [saidBy, setSaidBy] = useState('');
  const report = (kind: 'destroyed' | 'moved') => void say({ type: 'report', body: { mark, kind, who: saidBy.trim(), text: text.trim() } }).then(onClose);
  return (
    <Dialog
      open
      onClose={onClose}
      title={`What happened to ${name}?`}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button onClick={() => report('moved')}>It was hit or moved</Button>
          <Button look="primary" onClick={() => report('destroyed')}>
            It is gone
          </Button>
        </>
      }
    >
      <p className="mb-3">
        It comes off the next sheets and onto the list of marks to set again. One that was only hit is good again once it is sighted again and is where it
        belongs.
      </p>
      <Field label="What happened" value={text} maxLength={500} onChange={(event) => setText(event.target.value)} autoFocus />
      <Field className="mt-3" label="Said by, when it was not you" value={saidBy} maxLength={80} onChange={(event) => setSaidBy(event.target.value)} />
    </Dialog>
  );
}
