import { msg } from '@idle-marker/words';
import { DraftField } from '../field/DraftField.tsx';
import { ClassChoice, PackageHeadFields } from './PackageHead.tsx';
import { PackageWritingFields } from './PackageWriting.tsx';
import { Choice } from '../ui/Field.tsx';

import type { ReturnPackageModel } from './useReturnPackage.tsx';

/** Under this radius a crew straps round the radius point. */
const SMALL_RADIUS = 3;

export function ReturnFields({ model }: { readonly model: ReturnPackageModel }) {
  const {
    units,
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
    tried,
    radiusRead,
    errors,
    shown,
  } = model;
  return (
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
  );
}
