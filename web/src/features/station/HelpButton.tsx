import { useState } from 'react';
import type { Judgement } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { helpPackage } from '@idle-marker/records';
import { msg, reasonWords, stepWords } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';
import { saveAs } from '../../ui/saveAs.ts';

/** Packs the whole set-up for a colleague: what was read, what it gave, and what stands against it. */
export function HelpButton({
  occupation,
  judgement,
}: {
  readonly occupation: Fact<'occupation'>;
  readonly judgement: Judgement | null;
}) {
  const { state } = useSite();
  const naming = useNaming();
  const [open, setOpen] = useState(false);
  const [question, setQuestion] = useState('');
  const sentences = judgement
    ? [
        ...judgement.because.map((reason) => {
          const { title, text } = reasonWords(reason, naming);
          return `${title}. ${text}`;
        }),
        ...judgement.doThis.map((step) => stepWords(step, naming)),
      ]
    : [msg('station.noStationFollowsFromTheSightsYet')];
  const pack = () => {
    const packed = helpPackage(state, occupation, {
      at: now().toISOString(),
      question: question.trim(),
      judgement,
      sentences,
    });
    saveAs(`${occupation.body.name}-for-a-colleague.json`, 'application/json', JSON.stringify(packed, null, 1));
    setOpen(false);
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>{msg('station.callForHelp')}</Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={msg('station.forAColleague', { name: occupation.body.name })}
        foot={
          <Button look="primary" onClick={pack}>
            {msg('station.saveThePackage')}
          </Button>
        }
      >
        <p>{msg('station.oneFileWithEverySightAsRead')}</p>
        <Field
          className="mt-3"
          label={msg('station.whatIsTheTrouble')}
          value={question}
          maxLength={500}
          placeholder={msg('station.k5IsOffByAHandThe')}
          onChange={(event) => setQuestion(event.target.value)}
        />
        <h3 className="mt-3 text-[15px]">{msg('station.whatTheJudgementSays')}</h3>
        <ul className="list-disc pl-5 text-[14px] text-ink2">
          {sentences.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
