import { tooNear } from '@idle-marker/records';
import { clearanceWords, msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import type { EditPackageModel } from './useEditPackage.ts';

const MOST = 5;

/** What the outlines run into, what they come too near to, or the smallest gap that there is. */
export function ClearanceNotice({ model }: { readonly model: EditPackageModel }) {
  const { units, clearances, clearanceRead, overlaps, overlapReason, setOverlapReason, asksOverlap, save } = model;
  if (clearances.length === 0) return null;
  const least = clearanceRead ?? 0;
  const near = tooNear(clearances, least);
  const said = (near.length > 0 ? near : clearances.slice(0, 1))
    .slice(0, MOST)
    .map((each) => clearanceWords(each, least, units.lengthUnit));
  if (!overlaps)
    return (
      <div className={`mt-3 ${near.length > 0 ? 'font-medium text-ochre' : 'text-ink2'}`} role="status">
        {said.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
    );
  return (
    <Card
      tone="brick"
      title={msg('design.overlapTitle')}
      actions={
        asksOverlap && (
          <Button disabled={overlapReason.trim() === ''} onClick={() => void save(false)}>
            {msg('design.goOnOverlapping')}
          </Button>
        )
      }
    >
      {said.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <Field
        className="mt-2"
        label={msg('design.overlapReason')}
        value={overlapReason}
        maxLength={300}
        onChange={(event) => setOverlapReason(event.target.value)}
        error={asksOverlap && overlapReason.trim() === '' ? msg('design.overlapSay') : null}
      />
    </Card>
  );
}
