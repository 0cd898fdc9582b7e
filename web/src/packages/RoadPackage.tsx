import { msg, stationText } from '@idle-marker/words';
import { typed } from '../field/draft.ts';
import { PackageFoot } from './PackageHead.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { RuleFields } from './RuleFields.tsx';
import { useRoadPackage, type RoadPackageProps } from './useRoadPackage.ts';
import { RoadPackageFields } from './RoadPackageFields.tsx';
import { RoadHeightSource } from './RoadHeightSource.tsx';
import { RoadPackageMarks, SHOWN } from './RoadPackageMarks.tsx';

/** Stations of a road as a work package: which string, how far off, on which side, and what heights lead to. */
export function RoadPackage({ active, work, string: looked, onClose }: RoadPackageProps) {
  const model = useRoadPackage({ active, work, string: looked, onClose });
  const { units, style, road, draft, setDraft, own, setOwn, surface, plans, errors, save, rows } = model;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={
        work ? msg('common.newRevision', { name: work.body.name }) : msg('packages.marksAlong', { name: road.name })
      }
      foot={
        <PackageFoot
          isNew={work === null}
          said={plans?.ok ? msg('packages.marks', { value: plans.value.length }) : msg('common.noMarksYet')}
          onClose={onClose}
          onSave={() => void save()}
        />
      }
    >
      <RoadPackageFields model={model} />
      {surface && <RoadHeightSource model={model} />}
      <RuleFields draft={draft} onChange={setDraft} road={road} />
      <label className="mt-3 flex flex-col gap-1">
        <span className="text-[13px] text-ink2">{msg('packages.offsetsOfTheirOwnOneALine')}</span>
        <textarea
          rows={2}
          value={own.text}
          onChange={(event) => setOwn(typed(event.target.value))}
          placeholder={`${stationText(units.round(110, 350), style, 0)}: ${units.edit(units.round(3, 10))}`}
          className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
          spellCheck={false}
        />
        {errors.own && <span className="text-[13px] font-medium text-brick">{errors.own}</span>}
      </label>
      {errors.list && <p className="mt-3 font-medium text-brick">{errors.list}</p>}
      {errors.plans && <p className="mt-3 font-medium text-brick">{errors.plans}</p>}
      {rows.length > 0 && <RoadPackageMarks model={model} />}
      {rows.length > SHOWN && (
        <p className="mt-1 text-[14px] text-ink2">{msg('packages.andMore', { rows: rows.length - SHOWN })}</p>
      )}
    </Dialog>
  );
}
