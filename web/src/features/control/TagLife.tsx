import { useState } from 'react';
import type { ControlMark } from '@idle-marker/records';
import { now } from '../../data/clock.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';

/** A reusable tag is placed, measured, valid for a part of the work, and taken away; then its old place can't be used any more. */
export function TagLife({ mark }: { readonly mark: ControlMark }) {
  const { say } = useSite();
  const { body } = mark.revision;
  const [where, setWhere] = useState('');
  const [tried, setTried] = useState(false);
  if (body.kind !== 'tag') return null;
  if ((body.retired ?? null) !== null)
    return (
      <p className="mb-3 border-l-4 border-ochre pl-3">
        Taken away: {body.retired}. Put up elsewhere, it is another mark: measure it as control of one’s own, under a name of its own.
      </p>
    );
  const takeAway = async () => {
    setTried(true);
    if (where.trim() === '') return;
    const day = now().toISOString().slice(0, 10);
    await say({
      type: 'control',
      body: { ...body, condition: 'lost', retired: `${day}, ${where.trim()}`, note: 'taken away', supersedes: mark.revision.id },
    });
  };
  return (
    <section className="mb-3" aria-label="Tag">
      <h3 className="text-[15px]">Reusable tag</h3>
      <p className="text-[14px] text-ink2">
        {body.validFor ? `Valid for ${body.validFor}.` : 'Say with a new revision what it is valid for.'} On a flat surface, hardly tilted, in even light; at
        about the height of the instrument, but not all at the same.
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <Field
          className="min-w-44 flex-1"
          label="Taken away to"
          value={where}
          maxLength={200}
          placeholder="the next pour"
          onChange={(event) => setWhere(event.target.value)}
          error={tried && where.trim() === '' ? 'Say where it went.' : null}
        />
        <Button onClick={() => void takeAway()}>It was taken away</Button>
      </div>
    </section>
  );
}
