import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { drawnReturn } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Board } from '../board/LazyBoard.tsx';
import { DraftField } from '../field/DraftField.tsx';
import { typedStation, type SiteRoad } from '../site/useRoads.ts';
import { ClassChoice, PackageFoot, PackageHeadFields } from './PackageHead.tsx';
import { PackageWritingFields } from './PackageWriting.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice } from '../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';
import { useReturnPackage } from './useReturnPackage.tsx';

/** Under this radius a crew straps round the radius point. */
const SMALL_RADIUS = 3;

/** A kerb return between strings of two roads: its points and its radius point as a work package. */
export function ReturnPackage({
  active,
  work,
  onClose,
}: {
  readonly active: SiteRoad;
  readonly work: Fact<'package'> | null;
  onClose(): void;
}) {
  const {
    units,
    style,
    head,
    writing,
    classId,
    setClassId,
    offset,
    setOffset,
    side,
    setSide,
    radius,
    setRadius,
    marks,
    setMarks,
    from,
    setFrom,
    to,
    setTo,
    tried,
    a,
    b,
    radiusRead,
    made,
    plans,
    errors,
    shown,
    save,
    scene,
    fields,
  } = useReturnPackage({ active, work, onClose });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={work ? msg('common.newRevision', { name: work.body.name }) : msg('packages.aKerbReturn')}
      foot={
        <PackageFoot
          isNew={work === null}
          said={plans?.ok ? msg('packages.marks', { value: plans.value.length }) : msg('common.noMarksYet')}
          onClose={onClose}
          onSave={() => void save()}
        />
      }
    >
      <div className="grid gap-3 sm:grid-cols-4">
        <PackageHeadFields head={head} tried={tried} />
        <ClassChoice value={classId} onChange={setClassId} />
        <PackageWritingFields writing={writing} />
        <DraftField
          label={msg('common.radius')}
          unit={units.unit}
          draft={radius}
          onDraft={setRadius}
          error={shown(errors.radius, radius.text)}
        />
        <Choice
          label={msg('packages.markedAre')}
          value={marks}
          options={[
            ['both', msg('packages.theArcAndItsRadiusPoint')],
            ['arc', msg('packages.theArcBeginQuartersEnd')],
            ['radiusPoint', msg('packages.theRadiusPointAlone')],
          ]}
          onChange={setMarks}
          help={
            radiusRead !== null && radiusRead <= SMALL_RADIUS && marks !== 'radiusPoint'
              ? msg('packages.soSmallAReturnIsStrappedFrom')
              : undefined
          }
        />
        <DraftField
          label={msg('packages.hubsOffTheArcBy')}
          unit={units.unit}
          draft={offset}
          onDraft={setOffset}
          error={errors.offset}
        />
        <Choice
          label={msg('packages.onIts')}
          value={side}
          options={[
            ['left', msg('packages.leftGoingRound')],
            ['right', msg('packages.rightGoingRound')],
            ['on', msg('packages.ownLineNoOffset')],
          ]}
          onChange={setSide}
        />
      </div>
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-3">
          {fields(msg('common.from'), from, setFrom, errors.from)}
          {fields(msg('common.to2'), to, setTo, errors.to)}
          {errors.found && <p className="font-medium text-brick">{errors.found}</p>}
          {errors.plans && <p className="font-medium text-brick">{errors.plans}</p>}
          {made && (
            <p data-testid="return-figures">
              {msg('packages.turnsToTheLongTangentsChordIt', {
                angle: units.angle(Math.abs(made.arc.delta)),
                delta: made.arc.delta > 0 ? 'right' : 'left',
                length: units.length(made.arc.length),
                unit: units.unit,
                length2: units.length(made.arc.tangentLength),
                length3: units.length(made.arc.chord),
                typedStation: typedStation(a!.road, Number(made.begin.toFixed(3)), style),
                typedStation2: typedStation(b!.road, Number(made.end.toFixed(3)), style),
              })}
            </p>
          )}
        </div>
        <div className="relative min-h-[300px] border border-ink2">
          <Board
            scene={scene}
            description={msg('packages.theReturnAsItWouldLieOn')}
            fitTo={made ? [...drawnReturn(made, 6), made.arc.radiusPoint, made.arc.intersection] : []}
            fitKey={made ? `${made.begin} ${made.end}` : 'none'}
          />
        </div>
      </div>
      {plans?.ok && (
        <table className={`${TABLE} mt-3`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH_WORD}>{msg('common.whatItIs')}</th>
              <th className={TH}>{msg('common.direction')}</th>
              <th className={TH}>{msg('common.height')}</th>
              <th className={TH}>{msg('common.and')}</th>
            </tr>
          </thead>
          <tbody>
            {plans.value.map((plan) => (
              <tr key={plan.key}>
                <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
                <td className={TD_WORD}>{plan.road?.why}</td>
                <td className={TD}>
                  {plan.corner === 'radius point'
                    ? '–'
                    : units.angle((plan.road?.azimuthDeg ?? 0) * RADIANS_PER_DEGREE)}
                </td>
                <td className={TD}>{plan.designZ === null ? msg('packages.noHeight') : units.length(plan.designZ)}</td>
                <td className={TD}>{units.length(plan.road?.also?.z ?? null)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Dialog>
  );
}
