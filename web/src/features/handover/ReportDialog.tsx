import { useState } from 'react';
import { msg } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';

/** A mark that is gone or was hit: nobody builds from it until it is set again, or sighted again and good. */
export function ReportDialog({
  name,
  mark,
  onClose,
}: {
  readonly name: string;
  readonly mark: string;
  onClose(): void;
}) {
  const { say } = useSite();
  const [text, setText] = useState('');
  const [saidBy, setSaidBy] = useState('');
  const report = (kind: 'destroyed' | 'moved') =>
    void say({ type: 'report', body: { mark, kind, who: saidBy.trim(), text: text.trim() } }).then(onClose);
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('handover.whatHappenedTo', { name })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button onClick={() => report('moved')}>{msg('handover.itWasHitOrMoved')}</Button>
          <Button look="primary" onClick={() => report('destroyed')}>
            {msg('handover.reportGone')}
          </Button>
        </>
      }
    >
      <p className="mb-3">{msg('handover.itComesOffTheNextSheetsAnd')}</p>
      <Field
        label={msg('handover.whatHappened')}
        value={text}
        maxLength={500}
        onChange={(event) => setText(event.target.value)}
        autoFocus
      />
      <Field
        className="mt-3"
        label={msg('handover.saidByWhenItWasNotYou')}
        value={saidBy}
        maxLength={80}
        onChange={(event) => setSaidBy(event.target.value)}
      />
    </Dialog>
  );
}
