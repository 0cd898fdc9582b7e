import { msg } from '@idle-marker/words';
import { DraftField } from '../field/DraftField.tsx';
import { ClassChoice, PackageHeadFields } from './PackageHead.tsx';
import { PackageWritingFields } from './PackageWriting.tsx';
import { Choice } from '../ui/Field.tsx';
import { NONE, STRINGS, BY_SECTION } from './useRoadPackage.ts';
import type { RoadPackageModel } from './useRoadPackage.ts';

export function RoadPackageFields({ model }: { readonly model: RoadPackageModel }) {
  const {
    units,
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
    surfaces,
    heightsFrom,
    setHeightsFrom,
    tried,
    lines,
    errors,
    strings,
    grades,
  } = model;
  return (
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
  );
}
