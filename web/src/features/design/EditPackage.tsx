import type { Fact } from '@idle-marker/contract';
import { classOf } from '@idle-marker/records';
import { msg, heightReferenceWords, markToolWords, worded } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft } from '../../field/draft.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { ItemFields } from './ItemFields.tsx';
import { NextTradeButtons } from './NextTradeButtons.tsx';
import { ClassChoice, PackageFoot, PackageHeadFields } from '../../packages/PackageHead.tsx';
import { PackageWritingFields } from '../../packages/PackageWriting.tsx';
import { ClearanceNotice } from './ClearanceNotice.tsx';
import { PackagePreview } from './PackagePreview.tsx';
import { EMPTY_ITEM, stepsOf } from './itemDraft.ts';
import { useEditPackage } from './useEditPackage.ts';
import { AlsoFields } from './AlsoFields.tsx';

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

/** Lines of roads are chosen where marks are made along them. */
const referenceChoices = worded(() => entries(heightReferenceWords()).filter(([key]) => key !== 'string'));

/** Makes a package, or a new revision of one: marks that are set keep standing, since their keys stay. */
export function EditPackage({ work, onClose }: { work: Fact<'package'> | null; onClose(): void }) {
  const model = useEditPackage({ work, onClose });
  const {
    state,
    units,
    head,
    classId,
    setClassId,
    offset,
    setOffset,
    offsetTyped,
    setOffsetTyped,
    heightReference,
    setHeightReference,
    items,
    setItems,
    writing,
    use,
    setUse,
    also,
    setAlso,
    ground,
    setGround,
    groundOn,
    setGroundOn,
    reach,
    setReach,
    tried,
    round,
    read,
    built,
    plans,
    errors,
    shown,
    save,
    change,
    unclear,
    leftOut,
    withoutHeight,
    asksPlanOnly,
  } = model;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={work ? msg('common.newRevision', { name: work.body.name }) : msg('design.newWorkPackage')}
      foot={
        <PackageFoot
          isNew={work === null}
          said={
            plans?.ok
              ? msg('design.countOfMarks', {
                  marks: plans.value.length,
                  unclear: unclear > 0 && msg('design.closerToTheOutlineThanTheOffset', { unclear }),
                  without: withoutHeight > 0 && msg('design.withoutElevation', { withoutHeight }),
                })
              : msg('common.noMarksYet')
          }
          onClose={onClose}
          onSave={() => void save(false)}
        />
      }
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <PackageHeadFields head={head} tried={tried} />
        <ClassChoice
          value={classId}
          onChange={(next) => {
            setClassId(next);
            const usual = classOf(state, next).offset ?? null;
            if (usual !== null && !offsetTyped) setOffset(lengthDraft(usual, units));
          }}
        />
        <DraftField
          label={msg('design.hubsOffBy')}
          unit={units.unit}
          draft={offset}
          onDraft={(next) => {
            setOffset(next);
            setOffsetTyped(true);
          }}
          error={errors.offset}
          help={
            round !== null ? msg('design.noRoundLengthCrewsKeepInMind', { length: units.length(round) }) : undefined
          }
        />
        <Choice
          label={msg('common.cutAndFillTo')}
          value={heightReference}
          options={referenceChoices()}
          onChange={setHeightReference}
        />
        <NextTradeButtons
          use={use}
          onTake={(trade) => {
            setUse(trade.use);
            writing.change({ markKind: trade.markKind, rounding: trade.rounding });
          }}
        />
        <PackageWritingFields writing={writing} />
        <Field
          label={msg('design.whatItIsUsedFor')}
          value={use}
          maxLength={300}
          placeholder={msg('common.plumbingTheSteelAbove')}
          onChange={(event) => setUse(event.target.value)}
        />
        <Choice
          label={msg('design.cutAndFillAlsoTo')}
          value={also}
          options={[
            ['none', msg('common.nothingElse')],
            ...referenceChoices().filter(([key]) => key !== heightReference),
          ]}
          onChange={setAlso}
        />
        {also !== 'none' && <AlsoFields model={model} />}
        <DraftField
          label={msg('design.leastClearance')}
          unit={units.unit}
          draft={model.clearance}
          onDraft={model.setClearance}
          error={errors.clearance}
          help={msg('design.leastClearanceHelp')}
        />
        <Choice
          label={msg('design.whatItDoesToTheGroundThere')}
          value={ground}
          options={[
            ['none', msg('design.nothingThatTakesControl')],
            ['dig', msg('design.digs')],
            ['pour', msg('design.poursOver')],
            ['demolish', msg('design.tearsDown')],
          ]}
          onChange={setGround}
          help={ground === 'none' ? undefined : msg('design.controlMarksInsideAreToldBeforeThey')}
        />
        {ground !== 'none' && (
          <>
            <Field
              label={msg('design.fromWhichDay')}
              type="date"
              value={groundOn}
              onChange={(event) => setGroundOn(event.target.value)}
            />
            <DraftField
              label={msg('design.reachesBeyondTheOutlineBy')}
              unit={units.unit}
              draft={reach}
              onDraft={setReach}
              error={errors.reach}
            />
          </>
        )}
      </div>
      <p className="mt-2 text-[13px] text-ink2">{markToolWords()[writing.markKind]}</p>
      {read.map((each, i) => (
        <ItemFields
          key={i}
          read={each}
          built={built?.[i] ?? null}
          legend={msg('design.outline', { items: items.length > 1 ? i + 1 : '' })}
          tried={tried}
          onChange={(next) => change(i, next)}
          onSteps={() => setItems(items.flatMap((item, j) => (i === j ? stepsOf(item) : [item])))}
        />
      ))}
      <div className="mt-3 flex gap-2">
        <Button onClick={() => setItems([...items, EMPTY_ITEM])}>{msg('design.oneMoreOutline')}</Button>
        {items.length > 1 && (
          <Button onClick={() => setItems(items.slice(0, -1))}>{msg('design.takeTheLastAway')}</Button>
        )}
      </div>
      {plans?.ok && built && <PackagePreview items={built} plans={plans.value} clearances={model.clearances} />}
      <ClearanceNotice model={model} />
      {leftOut.length > 0 && (
        <p className="mt-3 font-medium text-ochre">
          {msg('design.hubsLeftOut', {
            corners: [...new Set(leftOut.map(({ corner }) => corner))].join(', '),
            leftOut: leftOut.length,
          })}
        </p>
      )}
      {asksPlanOnly && (
        <Card
          tone="ochre"
          title={msg('design.noMarkHasAnElevation')}
          actions={<Button onClick={() => void save(true)}>{msg('design.makeItInPlanOnly')}</Button>}
        >
          {msg('design.itsStakesWouldHaveNoCutOrFill')}
        </Card>
      )}
      {(errors.plans ?? shown(errors.items)) && (
        <p className="mt-3 font-medium text-brick">{errors.plans ?? errors.items}</p>
      )}
    </Dialog>
  );
}
