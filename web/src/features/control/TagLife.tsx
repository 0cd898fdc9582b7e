import { useState } from 'react';
import type { ControlMark } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';

/**
 * A reusable tag is placed, measured, valid for a part of the work, and taken away; then its old place can't be used
 * any more.
 */
export function TagLife({ mark }: { readonly mark: ControlMark }) {
  const { say } = useSite();
  const { body } = mark.revision;
  const [where, setWhere] = useState('');
  const [tried, setTried] = useState(false);
  if (body.kind !== 'tag') return null;
  if ((body.retired ?? null) !== null)
    return (
      <p className="mb-3 border-l-4 border-ochre pl-3">
        {msg('control.takenAwayPutUpElsewhereItIs', { retired: body.retired })}
      </p>
    );
  const takeAway = async () => {
    setTried(true);
    if (where.trim() === '') return;
    const day = now().toISOString().slice(0, 10);
    await say({
      type: 'control',
      body: {
        ...body,
        condition: 'lost',
        retired: `${day}, ${where.trim()}`,
        note: msg('control.takenAway'),
        supersedes: mark.revision.id,
      },
    });
  };
  return (
    <section className="mb-3" aria-label={msg('control.tag')}>
      <h3 className="text-[15px]">{msg('control.reusableTag')}</h3>
      <p className="text-[14px] text-ink2">
        {msg('control.onAFlatSurfaceHardlyTiltedIn', {
          validFor: body.validFor
            ? msg('control.validFor2', { validFor: body.validFor })
            : msg('control.sayWithANewRevisionWhatIt'),
        })}
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <Field
          className="min-w-44 flex-1"
          label={msg('control.takenAwayTo')}
          value={where}
          maxLength={200}
          placeholder={msg('control.theNextPour')}
          onChange={(event) => setWhere(event.target.value)}
          error={tried && where.trim() === '' ? msg('control.sayWhereItWent') : null}
        />
        <Button onClick={() => void takeAway()}>{msg('control.itWasTakenAway')}</Button>
      </div>
    </section>
  );
}
