import type { Fact } from '@idle-marker/contract';
import { drawnReturn } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Board } from '../board/LazyBoard.tsx';
import { typedStation, type SiteRoad } from '../site/useRoads.ts';
import { PackageFoot } from './PackageHead.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { useReturnPackage } from './useReturnPackage.tsx';
import { ReturnFields } from './ReturnFields.tsx';
import { ReturnMarks } from './ReturnMarks.tsx';

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
  const model = useReturnPackage({ active, work, onClose });
  const { units, style, from, setFrom, to, setTo, a, b, made, plans, errors, save, scene, fields, picking, touch } =
    model;
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
      <ReturnFields model={model} />
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-3">
          {fields(msg('packages.firstCurb'), from, setFrom, errors.from)}
          {fields(msg('packages.secondCurb'), to, setTo, errors.to)}
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
        <div className="flex min-h-[300px] flex-col border border-ink2">
          <p className="border-b border-rule px-2 py-1 text-[15px]" aria-live="polite">
            {picking === 'first' ? msg('packages.touchTheFirstCurb') : msg('packages.touchTheSecondCurb')}
          </p>
          <div className="relative min-h-[260px] flex-1">
            <Board
              scene={scene}
              onPlace={touch}
              description={msg('packages.theReturnAsItWouldLieOn')}
              fitTo={made ? [...drawnReturn(made, 6), made.arc.radiusPoint, made.arc.intersection] : []}
              fitKey={made ? `${made.begin} ${made.end}` : 'none'}
            />
          </div>
        </div>
      </div>
      {plans?.ok && <ReturnMarks model={model} />}
    </Dialog>
  );
}
