import { useState } from 'react';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { draftOf, siteBody, siteErrors } from './siteDraft.ts';
import { PeopleFields } from './PeopleFields.tsx';
import { SiteFields } from './SiteFields.tsx';

/** Changes the site's settings: a new entry in the book, in force from now on. */
export function EditSite({ onClose }: { onClose(): void }) {
  const { state, say } = useSite();
  const [draft, setDraft] = useState(() => draftOf(state.settings));
  const errors = siteErrors(draft, []);
  const used = new Set([...state.packages.map((work) => work.body.class), ...[...state.marks.values()].map((mark) => mark.body.class)]);
  const missing = [...used].find((id) => !draft.classes.some((each) => each.id === id));
  const faulty = missing !== undefined || Object.values(errors).some((error) => error !== null);
  const keep = async () => {
    if (faulty) return;
    await say({ type: 'site', body: siteBody(draft) });
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title="Settings of the site"
      wide
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" disabled={faulty} onClick={() => void keep()}>
            Keep
          </Button>
        </>
      }
    >
      <SiteFields draft={draft} errors={errors} tried onChange={(change) => setDraft({ ...draft, ...change })} />
      <PeopleFields draft={draft} onChange={(change) => setDraft({ ...draft, ...change })} />
      {missing !== undefined && <p className="mt-2 font-medium text-brick">The class {missing} is used by work packages or marks: keep it.</p>}
      <p className="mt-4 text-[13px] text-ink2">
        Units change how figures are written, not what was measured: readings keep the unit they were read in. Another tolerance or factor counts for what is
        judged from now on; stations accepted before stay as they were.
      </p>
    </Dialog>
  );
}
