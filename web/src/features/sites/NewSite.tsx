import { useState } from 'react';
import { startingLibrary } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { say } from '../../data/ledger.ts';
import { writeSetting } from '../../data/storage.ts';
import { newId } from '../../data/uuid.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';
import { emptySite, siteBody, siteErrors } from '../../settings/siteDraft.ts';
import { SiteFields } from '../../settings/SiteFields.tsx';

interface NewSiteProps {
  readonly open: boolean;
  onClose(): void;
  readonly taken: readonly string[];
  onMade(id: string): void;
}

export function NewSite({ open, onClose, taken, onMade }: NewSiteProps) {
  const [draft, setDraft] = useState(emptySite());
  const [person, setPerson] = useState('');
  const [tried, setTried] = useState(false);
  const errors = siteErrors(draft, taken);
  const noPerson = person.trim() === '' ? msg('sites.giveTheNameOfTheFirstPerson') : null;
  const make = async () => {
    setTried(true);
    if (noPerson || Object.values(errors).some((error) => error !== null)) return;
    const site = newId();
    const member = newId();
    await say(site, member, [
      { type: 'member', id: member, body: { name: person.trim() } },
      { type: 'site', body: siteBody(draft) },
      ...startingLibrary(newId).map((body) => ({ type: 'equipment' as const, body })),
    ]);
    await writeSetting(`who ${site}`, member);
    onMade(site);
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={msg('sites.newSite')}
      wide
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void make()}>
            {msg('sites.makeSite')}
          </Button>
        </>
      }
    >
      <SiteFields draft={draft} errors={errors} tried={tried} onChange={(change) => setDraft({ ...draft, ...change })}>
        <Field
          label={msg('sites.yourName')}
          value={person}
          maxLength={80}
          onChange={(event) => setPerson(event.target.value)}
          error={tried ? noPerson : null}
          help={msg('sites.morePeopleAreAddedLater')}
        />
      </SiteFields>
    </Dialog>
  );
}
