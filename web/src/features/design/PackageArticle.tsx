import { useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { classOf, fromRetired, olderGrids, olderRoads, outwardOf } from '@idle-marker/records';
import { msg, gradeWords, heightReferenceWords, markKindWords, meaningWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

interface PackageArticleProps {
  readonly work: Fact<'package'>;
  /** All packages together are few rows: their marks are shown without being asked for. */
  readonly isShort: boolean;
  onClear(): void;
  onChange(): void;
  onGrid(grid: Fact<'grid'>): void;
}

/** A work package: what was asked for, from what, and its marks. */
export function PackageArticle({ work, isShort, onClear, onChange, onGrid }: PackageArticleProps) {
  const { state } = useSite();
  const units = useUnits();
  const [asked, setOpen] = useState(false);
  const open = isShort || asked;
  return (
    <article className="mb-6">
      <div className="flex items-baseline justify-between gap-3">
        <h2 className="text-[17px]">{work.body.name}</h2>
        <span className="flex gap-3">
          <Button look="quiet" onClick={onClear}>
            {msg('design.keepClear')}
          </Button>
          <Button look="quiet" onClick={onChange}>
            {msg('common.change')}
          </Button>
        </span>
      </div>
      <p className="text-ink2">
        {msg('design.forHubsOffCutAndFillTo', {
          crew: work.body.crew,
          name: classOf(state, work.body.class).name,
          length: units.length(work.body.offset),
          unit: units.unit,
          heightReference: heightReferenceWords()[work.body.heightReference],
          markKind: work.body.markKind && ` · ${markKindWords()[work.body.markKind]}`,
          use: work.body.use && msg('design.for', { use: work.body.use }),
        })}
      </p>
      {fromRetired(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          {msg('design.itWasTakenFromWhichIsNo', { name: fact.body.name })}
        </p>
      ))}
      {olderRoads(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          {msg('design.wasChangedSinceThesePlacesAreThe', { name: fact.body.name })}{' '}
          <Button look="quiet" aria-label={msg('design.bringAlong', { name: work.body.name })} onClick={onChange}>
            {msg('design.bringAlong2')}
          </Button>
        </p>
      ))}
      {olderGrids(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          {msg('design.gridWasChangedSinceThesePlacesAre', { name: fact.body.name })}{' '}
          <Button
            look="quiet"
            aria-label={msg('design.bringAlong', { name: work.body.name })}
            onClick={() => onGrid(fact)}
          >
            {msg('design.bringAlong2')}
          </Button>
        </p>
      ))}
      {work.body.items.map((item) => (
        <p key={item.name} className="mt-1">
          {item.name}: {sizeOf(item)}
          {!item.road && `, ${meaningWords()[item.meaning]}`}
          {outwardOf(item) !== 0 &&
            msg('design.markedOfIt', {
              length: units.length(Math.abs(outwardOf(item))),
              unit: units.unit,
              outward: outwardOf(item) > 0 ? 'outside' : 'inside',
            })}
          {item.road
            ? msg('design.cutAndFillTo', {
                side: item.road.side === 'on' ? msg('design.onIt') : msg('design.hubsOnIts', { side: item.road.side }),
                grade: gradeWords(item.road.gradeString),
              })
            : msg('design.height', { length: units.length(item.designZ), unit: units.unit })}
          . <span className="text-ink2">{msg('design.source', { source: item.source })}</span>
        </p>
      ))}
      {open ? (
        <PlanTable work={work} />
      ) : (
        <p className="mt-2">
          <Button onClick={() => setOpen(true)}>{msg('design.showItsMarks', { plans: work.body.plans.length })}</Button>
        </p>
      )}
    </article>
  );
}

function PlanTable({ work }: { readonly work: Fact<'package'> }) {
  const units = useUnits();
  return (
    <table className={`${TABLE} mt-2`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.mark')}</th>
          {units.axes.map((axis) => (
            <th key={axis} className={TH}>
              {axis === 'e' ? msg('common.east') : msg('common.north')}
            </th>
          ))}
          <th className={TH_WORD}>{msg('design.offsetFrom')}</th>
          <th className={TH_WORD}>{msg('design.onLine')}</th>
        </tr>
      </thead>
      <tbody>
        {work.body.plans.map((plan) => (
          <tr key={plan.key}>
            <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
            {units.axes.map((axis) => (
              <td key={axis} className={TD}>
                {units.length(plan.place[axis])}
              </td>
            ))}
            <td className={TD_WORD}>
              {plan.offset === 0
                ? msg('design.onThePoint')
                : (plan.offFace?.join('–') ?? `${plan.onLine ? 'beyond' : 'beside'} ${plan.corner}`)}
              {plan.alsoOffFace ? msg('design.and', { alsoOffFace: plan.alsoOffFace.join('–') }) : ''}
            </td>
            <td className={TD_WORD}>{plan.onLine?.join('–') ?? '–'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function sizeOf({ rule, corners, rake }: FactBody<'package'>['items'][number]): string {
  switch (rule) {
    case 'outline':
    case 'linePairs':
      return msg('design.corners', { corners: corners.length });
    case 'lineEnds':
      return msg('design.lines4', { corners: corners.length / 2 });
    case 'along':
      return msg('design.alongALineOfCorners', { corners: corners.length });
    case 'road':
      return msg('design.stations', { corners: corners.length });
    case 'bolts':
      return msg('design.ofBolts', { corners: corners.length });
    case 'rakedPiles':
      return msg('design.pilesLeaning1In', { corners: corners.length, ratio: rake?.ratio ?? '?' });
    case 'points':
    case 'recoveries':
      return msg('design.points2', { corners: corners.length });
  }
}
