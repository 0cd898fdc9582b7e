import { msg, angleWords, gradeWords, smallLength, stationText } from '@idle-marker/words';
import { DraftField } from '../field/DraftField.tsx';
import { typed } from '../field/draft.ts';
import { ClassChoice, PackageFoot, PackageHeadFields } from './PackageHead.tsx';
import { PackageWritingFields } from './PackageWriting.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Tick } from '../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';
import { RuleFields } from './RuleFields.tsx';
import { useRoadPackage, NONE, STRINGS, BY_SECTION, type RoadPackageProps } from './useRoadPackage.ts';

/** Rows of the preview. */
const SHOWN = 40;

/** Stations of a road as a work package: which string, how far off, on which side, and what heights lead to. */
export function RoadPackage({ active, work, string: looked, onClose }: RoadPackageProps) {
  const {
    units,
    style,
    road,
    head,
    classId,
    setClassId,
    offset,
    setOffset,
    side,
    setSide,
    string,
    setString,
    gradeString,
    setGradeString,
    alsoString,
    setAlsoString,
    writing,
    draft,
    setDraft,
    own,
    setOwn,
    surfaces,
    heightsFrom,
    setHeightsFrom,
    under,
    tried,
    made,
    lines,
    surface,
    useSurface,
    setUseSurface,
    atHub,
    setAtHub,
    plans,
    allowed,
    differing,
    errors,
    save,
    strings,
    grades,
    rows,
  } = useRoadPackage({ active, work, string: looked, onClose });
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
      <div className="grid gap-3 sm:grid-cols-3">
        <PackageHeadFields head={head} tried={tried} />
        <Choice label={msg('packages.offsetIsMeasuredTo')} value={string} options={strings} onChange={setString} />
        <DraftField
          label={msg('packages.hubsOffItBy')}
          unit={units.unit}
          draft={offset}
          onDraft={setOffset}
          error={errors.offset}
        />
        <Choice
          label={msg('packages.onIts')}
          value={side}
          options={[
            ['right', msg('packages.rightLookingUpTheStations')],
            ['left', msg('packages.leftLookingUpTheStations')],
            ['on', msg('packages.ownLineNoOffset')],
          ]}
          onChange={setSide}
        />
        <Choice label={msg('common.cutAndFillTo')} value={gradeString} options={grades} onChange={setGradeString} />
        <Choice
          label={msg('packages.andAlsoTo')}
          value={alsoString}
          options={[[NONE, msg('common.nothingElse')], ...grades.filter(([each]) => each !== gradeString)]}
          onChange={setAlsoString}
        />
        <ClassChoice value={classId} onChange={setClassId} />
        <PackageWritingFields writing={writing} />
        {surfaces.length + lines.length > 0 && (
          <Choice
            label={msg('packages.heightsCheckedAgainst')}
            value={heightsFrom}
            options={[
              [STRINGS, msg('packages.nothingStringsAndProfileAlone')],
              ...surfaces.map(({ id, label }) => [id, label] as const),
              ...lines.map((line) => [`${BY_SECTION}${line}`, msg('packages.itsCrossSections', { line })] as const),
            ]}
            onChange={setHeightsFrom}
          />
        )}
      </div>
      {surface && (
        <div className="mt-2">
          <Tick
            label={msg('packages.heightsComeFromNotFromTheStrings', { name: surface.name })}
            checked={useSurface}
            onChange={setUseSurface}
          />
          {useSurface && <Tick label={msg('packages.atThePlaceOfEachHubNot')} checked={atHub} onChange={setAtHub} />}
          {differing.length > 0 && !atHub && (
            <p className="font-medium text-ochre">
              {msg('packages.atOfStationsStringsAndSurfaceDiffer', {
                differing: differing.length,
                corners: made?.corners.length,
                smallLength: smallLength(allowed, units.lengthUnit),
                name: differing[0]!.name,
                length: units.length(differing[0]!.fromRoad),
                length2: units.length(differing[0]!.fromSurface),
                unit: units.unit,
              })}
            </p>
          )}
          {under && differing.length === 0 && !atHub && (
            <p className="text-[14px] text-ink2">
              {msg('packages.stringsAndSurfaceAgreeWithinWherever', {
                smallLength: smallLength(allowed, units.lengthUnit),
              })}
            </p>
          )}
        </div>
      )}
      <RuleFields draft={draft} onChange={setDraft} road={road} />
      <label className="mt-3 flex flex-col gap-1">
        <span className="text-[13px] text-ink2">{msg('packages.offsetsOfTheirOwnOneALine')}</span>
        <textarea
          rows={2}
          value={own.text}
          onChange={(event) => setOwn(typed(event.target.value))}
          placeholder={`${stationText(110, style, 0)}: ${units.edit(3)}`}
          className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
          spellCheck={false}
        />
        {errors.own && <span className="text-[13px] font-medium text-brick">{errors.own}</span>}
      </label>
      {errors.list && <p className="mt-3 font-medium text-brick">{errors.list}</p>}
      {errors.plans && <p className="mt-3 font-medium text-brick">{errors.plans}</p>}
      {rows.length > 0 && (
        <table className={`${TABLE} mt-3`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH}>{msg('common.off2')}</th>
              <th className={TH}>{gradeWords(gradeString)}</th>
              {alsoString !== NONE && <th className={TH}>{gradeWords(alsoString)}</th>}
              <th className={TH_WORD}>{msg('packages.there')}</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, SHOWN).map((plan) => (
              <tr key={plan.key}>
                <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
                <td className={TD}>{units.length(plan.offset)}</td>
                <td className={TD}>{plan.designZ === null ? msg('packages.noHeight') : units.length(plan.designZ)}</td>
                {alsoString !== NONE && <td className={TD}>{units.length(plan.road?.also?.z ?? null)}</td>}
                <td className={TD_WORD}>
                  {[plan.road?.why, plan.road?.angle && angleWords(plan.road.angle, units.lengthUnit)]
                    .filter((each) => each)
                    .join('; ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows.length > SHOWN && (
        <p className="mt-1 text-[14px] text-ink2">{msg('packages.andMore', { rows: rows.length - SHOWN })}</p>
      )}
    </Dialog>
  );
}
