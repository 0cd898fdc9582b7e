import { useState } from 'react';
import { msg, careWords, careList, CARE_OF_EQUIPMENT, worded } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { dayAndTime } from '../ui/time.ts';

const SHOWN = 12;
const wholeKit = worded(() => msg('pole.theWholeKit'));

/** What is known by heart and forgotten by evening; and the log of what was done for the equipment. */
export function CareDialog({ onClose }: { onClose(): void }) {
  const { state, say } = useSite();
  const [what, setWhat] = useState<(typeof CARE_OF_EQUIPMENT)[number]>('adjustment');
  const [about, setAbout] = useState(wholeKit());
  const [text, setText] = useState('');
  const nameOf = (id: string | null) => state.equipment.find(({ body }) => body.item === id)?.body.what.name;
  const log = async () => {
    await say({ type: 'care', body: { what, about: about === wholeKit() ? null : about, text: text.trim() } });
    setText('');
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('pole.careAndCaution')}
      foot={<Button onClick={onClose}>{msg('common.done')}</Button>}
    >
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        {careList().map(({ title, lines }) => (
          <section key={title}>
            <h3 className="text-[17px]">{title}</h3>
            <ul className="list-disc pl-5 text-[14px]">
              {lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <h3 className="mt-4 border-t border-rule pt-3 text-[17px]">{msg('pole.logOfCareAndAdjustment')}</h3>
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_2fr_auto]">
        <Choice
          label={msg('pole.whatWasDone')}
          value={what}
          options={CARE_OF_EQUIPMENT.map((each) => [each, careWords()[each]] as const)}
          onChange={setWhat}
        />
        <Choice
          label={msg('pole.equipment')}
          value={about}
          options={[
            [wholeKit(), wholeKit()],
            ...state.equipment.map(({ body }) => [body.item, body.what.name] as const),
          ]}
          onChange={setAbout}
        />
        <Field
          label={msg('pole.howAndWhatWasFound')}
          value={text}
          maxLength={500}
          onChange={(event) => setText(event.target.value)}
        />
        <Button onClick={() => void log()}>{msg('pole.addLogEntry')}</Button>
      </div>
      <ul className="mt-2 text-[14px]">
        {state.care
          .slice(-SHOWN)
          .reverse()
          .map((fact) => (
            <li key={fact.id} className="border-b border-rule py-1">
              <span className="text-ink2">{dayAndTime(fact.at)}</span> {careWords()[fact.body.what]}
              {nameOf(fact.body.about) && `, ${nameOf(fact.body.about)}`}
              {fact.body.text && `: ${fact.body.text}`}
            </li>
          ))}
      </ul>
    </Dialog>
  );
}
