import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  alikeName,
  isFixedKind,
  measuredMark,
  nextNumbered,
  ownControlBody,
  placeForControl,
  type AcceptedSolution,
} from '@idle-marker/records';
import { msg, smallLength, swapWords, thisUnproven, worded } from '@idle-marker/words';
import { heightOf, PoleFields, poleDraft } from '../../pole/PoleFields.tsx';
import { newId } from '../../data/uuid.ts';
import { changePole, currentLink, useLinkKind } from '../../link/linkStore.ts';
import { useShooting } from '../../pole/takeSight.ts';
import { useProofAge } from '../../site/railFacts.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, lengthOf } from '../../field/draft.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';

const kindChoices = worded((): readonly (readonly [FactBody<'control'>['kind'], string])[] => [
  ['nail', msg('station.nailWithADimple')],
  ['screw', msg('common.screw')],
  ['pin', msg('common.pinInConcrete')],
  ['cross', msg('common.crossCutOrPainted')],
  ['target', msg('common.targetOnAWall')],
  ['stake', msg('common.stakeWithNail')],
]);
/** Readings of a new control mark; all that is built on it hangs on them. */
const READINGS = 3;

interface OwnControlProps {
  readonly solution: AcceptedSolution;
  onClose(): void;
  /** The instrument goes where the target stood: called with the new mark. Not given: it stays. */
  onSwapped?(mark: string): void;
}

/**
 * A mark of one's own, measured with care from a checked station; proven by a second one before anything hangs on it.
 */
export function OwnControl({ solution, onClose, onSwapped }: OwnControlProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const age = useProofAge();
  const shooting = useShooting();
  const [name, setName] = useState(() => nextNumbered(state, 'ownControl'));
  const [kind, setKind] = useState<FactBody<'control'>['kind']>(onSwapped ? 'other' : 'nail');
  const [spot, setSpot] = useState(onSwapped ? swapWords().spot : '');
  const far = useMemo(() => placeForControl(state, solution), [state, solution]);
  const [places, setPlaces] = useState({ e: lengthDraft(far.e, units), n: lengthDraft(far.n, units) });
  const place = { e: lengthOf(places.e, units), n: lengthOf(places.n, units) };
  const [done, setDone] = useState<{ readonly mark: string; readonly name: string; readonly sdMm: number } | null>(
    null,
  );
  const alike = alikeName(
    name,
    state.control.map((mark) => mark.revision.body.name),
  );
  const simulated = useLinkKind() === 'simulator';
  const [pole, setPole] = useState(() =>
    poleDraft({ ...(currentLink()?.state().pole ?? { targetHeight: 1.5, legs: true }), legs: true }, units),
  );
  const { height: poleHeight } = heightOf(pole, units);
  const errors = {
    name:
      name.trim() === ''
        ? msg('station.giveTheMarkAName')
        : alike === null
          ? null
          : msg('station.isOnTheListAlreadyOrLooks', { alike }),
    pole: simulated && !isFixedKind(kind) && poleHeight === null ? msg('station.giveTheTargetHeight') : null,
    place: simulated && (place.e === null || place.n === null) ? msg('station.sayWhereThePoleIsToGo') : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const measure = async () => {
    if (faulty) return;
    const mark = newId();
    const current = currentLink();
    if (current?.kind === 'simulator') {
      if (!(await shooting.walk({ e: place.e!, n: place.n! }))) return;
      if (!isFixedKind(kind))
        changePole({ targetHeight: poleHeight!, legs: pole.legs, target: pole.target, item: pole.item });
      current.driveHub(name.trim());
    }
    const sights: Fact<'sight'>[] = [];
    for (let i = 0; i < READINGS; i++) {
      const sight = await shooting.shoot(
        'control',
        { kind: 'control', mark },
        simulated ? { name: name.trim() } : null,
        { fixed: isFixedKind(kind) },
      );
      if (!sight) return;
      sights.push(sight);
    }
    const measured = measuredMark(state, solution, sights);
    if (!measured) return;
    const body = ownControlBody(solution, measured, { mark, name: name.trim(), kind, note: '', spot: spot.trim() });
    await say({ type: 'control', body });
    setDone({ mark, name: body.name, sdMm: body.sdHMm ?? 0 });
  };
  const axis = { e: msg('common.easting'), n: msg('common.northing') } as const;
  return (
    <Dialog
      open
      onClose={onClose}
      title={onSwapped ? swapWords().title : msg('station.aControlMarkOfOnesOwn')}
      foot={
        done ? (
          <Button look="primary" onClick={() => (onSwapped ? onSwapped(done.mark) : onClose())}>
            {onSwapped ? swapWords().next : msg('common.done')}
          </Button>
        ) : (
          <>
            <Button onClick={shooting.doing ? shooting.cancel : onClose}>{msg('common.cancel')}</Button>
            <Button look="primary" disabled={faulty || shooting.doing !== null} onClick={() => void measure()}>
              {msg('station.measureItReadings', { readings: READINGS })}
            </Button>
          </>
        )
      }
    >
      {done ? (
        <Card tone="good" title={msg('station.isListed', { name: done.name })}>
          {msg('station.goodToPerAxisTheStationsOwn', { smallLength: smallLength(done.sdMm / 1000, units.lengthUnit) })}
        </Card>
      ) : (
        <div className="flex flex-col gap-3">
          {age && !age.proven && (
            <Card tone="ochre" title={thisUnproven(age.unproven, age.unchecked).replace(/\.$/, '')}>
              {msg('station.whatIsMeasuredFromItNowIs')}
            </Card>
          )}
          <p className="text-ink2">
            {onSwapped
              ? swapWords().how
              : msg('station.putItWhereItLastsOutsideOf', {
                  simulated: simulated ? msg('station.thePlaceBelowLiesOutsideOfThe') : '',
                })}
          </p>
          <div className="grid grid-cols-2 gap-3">
            <Field
              label={msg('common.name')}
              value={name}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
              error={errors.name}
            />
            {!onSwapped && (
              <Choice label={msg('common.kind')} value={kind} options={kindChoices()} onChange={setKind} />
            )}
          </div>
          <Field
            label={msg('common.whichSpotIsThePoint')}
            value={spot}
            maxLength={200}
            placeholder={msg('station.dimpleInTheNailHead')}
            onChange={(event) => setSpot(event.target.value)}
          />
          {simulated && !isFixedKind(kind) && <PoleFields draft={pole} onChange={setPole} />}
          {!simulated && <p className="text-[13px] text-ink2">{msg('station.whichTargetItIsAndItsHeight')}</p>}
          {simulated && (
            <div className="grid grid-cols-2 gap-3">
              {units.axes.map((which) => (
                <DraftField
                  key={which}
                  label={msg('station.toWalkTo', { axis: axis[which] })}
                  unit={units.unit}
                  draft={places[which]}
                  onDraft={(draft) => setPlaces({ ...places, [which]: draft })}
                  error={errors.place}
                />
              ))}
            </div>
          )}
          <p aria-live="polite" className={shooting.trouble ? 'font-medium text-brick' : 'font-medium'}>
            {shooting.doing ?? shooting.trouble}
          </p>
        </div>
      )}
    </Dialog>
  );
}
