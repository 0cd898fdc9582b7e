import { useState } from 'react';
import { msg } from '@idle-marker/words';
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
  const used = new Set([
    ...state.packages.map((work) => work.body.class),
    ...[...state.marks.values()].map((mark) => mark.body.class),
  ]);
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
      title={msg('settings.settingsOfTheSite')}
      wide
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={faulty} onClick={() => void keep()}>
            {msg('settings.saveSettings')}
          </Button>
        </>
      }
    >
      <SiteFields draft={draft} errors={errors} onChange={(change) => setDraft({ ...draft, ...change })} />
      <PeopleFields draft={draft} onChange={(change) => setDraft({ ...draft, ...change })} />
      {missing !== undefined && (
        <p className="mt-2 font-medium text-brick">{msg('settings.theClassIsUsedByWorkPackages', { missing })}</p>
      )}
      <p className="mt-4 text-[13px] text-ink2">{msg('settings.unitsChangeHowFiguresAreWrittenNot')}</p>
    </Dialog>
  );
}
