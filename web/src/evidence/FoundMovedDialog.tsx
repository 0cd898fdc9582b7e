import { useMemo, useState } from 'react';
import { effectsOfMove, supportingUses, type ControlMark, classOf } from '@idle-marker/records';
import { msg, effectWords } from '@idle-marker/words';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Field, Tick } from '../ui/Field.tsx';

const SHOWN = 30;

/**
 * A control mark is found moved: which marks does that concern, and by how much? Nothing is said before that is seen.
 */
export function FoundMovedDialog({ mark, onClose }: { readonly mark: ControlMark; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const [plan, setPlan] = useState(mark.revision.body.usePlan);
  const [height, setHeight] = useState(false);
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const { name } = mark.revision.body;
  const effects = useMemo(
    () => (plan || height ? effectsOfMove(state, mark.revision, { plan, height }) : []),
    [state, mark, plan, height],
  );
  const rows = effects.map((effect) => {
    const set = [...state.marks.values()].find((each) => each.id === effect.mark)!.body;
    const asked = classOf(state, set.class);
    return { effect, name: set.name, ...effectWords(effect, { plan, height }, asked, units.lengthUnit) };
  });
  const stations = state.accepted.filter(
    (each) =>
      !each.withdrawn &&
      supportingUses(each.fact, each.occupation).some(
        (use) => use.revision === mark.revision.id && (use.plan || use.height),
      ),
  );
  const keep = async () => {
    setTried(true);
    if (reason.trim() === '' || !(plan || height)) return;
    await say(
      {
        type: 'finding',
        body: {
          cause: 'controlMoved',
          revision: mark.revision.id,
          plan,
          height,
          effects,
          reason: msg('evidence.foundMoved', { name, reason: reason.trim() }),
          supersedes: null,
        },
      },
      {
        type: 'control',
        body: { ...mark.revision.body, condition: 'doubtful', note: reason.trim(), supersedes: mark.revision.id },
      },
    );
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('evidence.isFoundMoved', { name })}
      foot={
        <>
          <Button onClick={onClose}>{msg('evidence.notSureYet')}</Button>
          <Button look="danger" onClick={() => void keep()}>
            {msg('evidence.saySo')}
          </Button>
        </>
      }
    >
      <p>
        {stations.length === 0
          ? msg('evidence.noAcceptedStationUsedItItIs')
          : msg('evidence.usedItEachIsComputedAgainWithout', {
              stations: stations.map((each) => each.fact.body.name).join(', '),
            })}
      </p>
      <div className="mt-2 flex gap-6">
        <Tick label={msg('evidence.inPlan')} checked={plan} onChange={setPlan} />
        <Tick label={msg('evidence.inHeight')} checked={height} onChange={setHeight} />
      </div>
      {tried && !plan && !height && (
        <p className="font-medium text-brick">{msg('evidence.sayInWhichPartItHasMoved')}</p>
      )}
      {rows.length > 0 && (
        <ul
          className="mt-2 max-h-60 overflow-y-auto border-y border-rule py-1"
          aria-label={msg('common.marksConcerned')}
          tabIndex={0}
        >
          {rows.slice(0, SHOWN).map((row) => (
            <li key={row.effect.mark} className="flex justify-between gap-4 py-0.5">
              <strong className="whitespace-nowrap">{row.name}</strong>
              <span className={row.out ? 'text-brick' : ''}>{row.text}</span>
            </li>
          ))}
        </ul>
      )}
      {rows.length > SHOWN && <p className="text-ink2">{msg('common.andMore', { rows: rows.length - SHOWN })}</p>}
      <Field
        className="mt-3"
        label={msg('evidence.whatShowsItNeeded')}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried && reason.trim() === '' ? msg('evidence.sayWhatShowsItItGoesInto') : null}
      />
    </Dialog>
  );
}
