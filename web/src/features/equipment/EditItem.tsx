import { useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { msg, equipmentKindWords, targetForm, worded } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { DraftField } from '../../field/DraftField.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { draftOf, itemErrors, itemOf, type Item, type ItemDraft, type Kind } from './itemDraft.ts';

const formChoices = worded(() =>
  Object.entries(targetForm()).map(
    ([form, { name }]) => [form as Extract<Item, { kind: 'target' }>['form'], name] as const,
  ),
);

/** Empty at first, so nothing is said of them before they were to be kept. */
const WORDS_FIRST: ReadonlySet<keyof ItemDraft> = new Set(['name', 'receiver', 'offset']);

/** One instrument, target, pole or pair: what the figures need to know of it. */
export function EditItem({
  kind,
  item,
  onDone,
}: {
  readonly kind: Kind;
  readonly item: Fact<'equipment'> | null;
  onDone(): void;
}) {
  const { state, say } = useSite();
  const units = useUnits();
  const [draft, setDraft] = useState(() => draftOf(kind, item?.body.what ?? null, units));
  const [tried, setTried] = useState(false);
  const others = state.equipment.filter((each) => each.body.item !== item?.body.item && each.body.what.kind === kind);
  const errors = itemErrors(
    draft,
    others.map((each) => each.body.what.name.toLowerCase()),
    units,
  );
  const set = (field: keyof ItemDraft) => (event: { target: { value: string } }) =>
    setDraft({ ...draft, [field]: event.target.value });
  const text = (
    field: Exclude<keyof ItemDraft, 'plummet' | 'kind' | 'form' | 'below' | 'own' | 'offset'>,
    label: string,
    rest: object = {},
  ) => (
    <Field
      label={label}
      value={draft[field]}
      onChange={set(field)}
      error={tried || !WORDS_FIRST.has(field) ? errors[field] : null}
      inputMode={WORDS_FIRST.has(field) ? 'text' : 'decimal'}
      {...rest}
    />
  );
  const length = (field: 'own' | 'offset', label: string) => (
    <DraftField
      label={label}
      unit={units.unit}
      draft={draft[field]}
      onDraft={(next) => setDraft({ ...draft, [field]: next })}
      error={tried || !WORDS_FIRST.has(field) ? errors[field] : null}
    />
  );
  const keep = async (retired: boolean) => {
    setTried(true);
    if (Object.keys(errors).length > 0) return;
    await say({
      type: 'equipment',
      body: { item: item?.body.item ?? newId(), what: itemOf(draft, units), retired, supersedes: item?.id ?? null },
    });
    onDone();
  };
  return (
    <form
      className="flex flex-col gap-3"
      aria-label={equipmentKindWords()[kind]}
      onSubmit={(event) => {
        event.preventDefault();
        void keep(false);
      }}
    >
      {text('name', msg('equipment.nameOrNumber', { equipmentKind: equipmentKindWords()[kind] }), {
        maxLength: 80,
        autoFocus: true,
      })}
      {kind === 'instrument' && (
        <>
          <div className="grid grid-cols-3 gap-3">
            {text('angleSd', 'Angles, ″')}
            {text('distMm', msg('common.distanceMm'))}
            {text('distPpm', '+ ppm')}
          </div>
          <div className="grid grid-cols-3 gap-3">
            {text('referenceC', msg('equipment.madeForAirOfC'))}
            {text('referenceHPa', msg('equipment.andHpa'))}
            {text('wavelength', msg('equipment.carrierM'))}
          </div>
          <p className="text-[13px] text-ink2">{msg('equipment.inThisAirItShowsTrueDistances')}</p>
          <Tick
            label={msg('equipment.itHasAPlummetItCanStand')}
            checked={draft.plummet}
            onChange={(plummet) => setDraft({ ...draft, plummet })}
          />
          {text('adjusted', msg('equipment.collimationAndIndexLastTestedOn'), { type: 'date', term: 'collimation' })}
        </>
      )}
      {kind === 'target' && (
        <>
          <Choice
            label={msg('common.kind')}
            value={draft.form}
            options={formChoices()}
            onChange={(form) => setDraft({ ...draft, form })}
            help={targetForm()[draft.form].hint}
          />
          <div className="grid grid-cols-2 gap-3">
            {text('constant', msg('equipment.constantAddedToEachDistanceMm'), { term: 'prismConstant' })}
            {length('own', msg('equipment.centreAboveThePolesMark'))}
          </div>
          <p className="text-[13px] text-ink2">{msg('equipment.aWrongConstantMakesEveryDistanceWrong')}</p>
        </>
      )}
      {kind === 'pole' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            {text('bubble', msg('equipment.bubbleGoodToArcMinutes'))}
            {text('checked', msg('equipment.bubbleLastTestedOn'), { type: 'date' })}
          </div>
          <p className="text-[13px] text-ink2">{msg('equipment.toTestItSightOneMarkTurn')}</p>
        </>
      )}
      {kind === 'pair' && (
        <>
          <div className="grid grid-cols-2 gap-3">
            {text('receiver', msg('common.receiverNameOrNumber'), { maxLength: 80 })}
            <Choice
              label={msg('equipment.targetBelowIt')}
              value={draft.below}
              options={[
                ['', msg('common.notSaid')],
                ...state.equipment.flatMap(({ body }) =>
                  body.what.kind === 'target' ? [[body.item, body.what.name] as const] : [],
                ),
              ]}
              onChange={(below) => setDraft({ ...draft, below })}
            />
          </div>
          <div className="grid grid-cols-2 gap-3">
            {length('offset', msg('common.prismsCentreUpToItsReferencePoint'))}
            {text('checked', msg('equipment.offsetLastMeasuredOn'), { type: 'date' })}
          </div>
          <p className="text-[13px] text-ink2">{msg('equipment.toMeasureItStandThePoleOn')}</p>
        </>
      )}
      <div className="flex flex-wrap gap-2">
        <Button look="primary" type="submit">
          {msg('equipment.saveEquipment')}
        </Button>
        <Button onClick={onDone}>{msg('common.cancel')}</Button>
        {item && (
          <Button look="danger" onClick={() => void keep(true)}>
            {msg('equipment.takeOffTheList')}
          </Button>
        )}
      </div>
    </form>
  );
}
