import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  classOf,
  fromRetired,
  olderGrids,
  olderRoads,
  outwardOf,
  packageTooNear,
  type PackageProgress,
} from '@idle-marker/records';
import {
  msg,
  clearanceWords,
  gradeWords,
  heightReferenceWords,
  markKindWords,
  meaningWords,
  smallLength,
} from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

interface PackageArticleProps {
  readonly progress: PackageProgress;
  /** All packages together are few rows: their marks are shown without being asked for. */
  readonly isShort: boolean;
  onClear(): void;
  onChange(): void;
  onGrid(grid: Fact<'grid'>): void;
}

/** A work package: what was asked for, from what, and its marks. */
export function PackageArticle({ progress, isShort, onClear, onChange, onGrid }: PackageArticleProps) {
  const { id, state } = useSite();
  const { work, marks, set } = progress;
  const units = useUnits();
  const [asked, setOpen] = useState<boolean | null>(null);
  const open = asked ?? isShort;
  const within = classOf(state, work.body.class);
  const near = useMemo(() => packageTooNear(state, work), [state, work]);
  return (
    <article className="px-[18px] pt-2">
      <div className="grid grid-cols-[1fr_4rem_6.5rem] items-baseline gap-x-3">
        <h3 className="min-w-0 text-[17px] leading-tight">{work.body.name}</h3>
        <span className="figures text-right">{msg('design.setOf', { set, marks })}</span>
        <PackageState progress={progress} />
      </div>
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <p className="min-w-0 flex-1 text-[13px] text-ink2 max-md:flex-[1_1_100%]">
          {work.body.crew}, {within.name},{' '}
          {msg('common.within', { smallLength: smallLength(within.plan, units.lengthUnit) })}
        </p>
        <span className="flex flex-wrap items-center gap-x-4">
          <Link
            className="inline-flex min-h-11 items-center font-semibold text-spruce underline"
            aria-label={msg('design.markPackage', { name: work.body.name })}
            to={`/sites/${id}/mark?package=${work.id}`}
          >
            {msg('design.mark')}
          </Link>
          <Button look="quiet" onClick={onChange}>
            {msg('common.change')}
          </Button>
          <Button
            look="quiet"
            aria-expanded={open}
            aria-label={msg('design.detailsOf', { name: work.body.name })}
            onClick={() => setOpen(!open)}
          >
            {open ? msg('design.lessOfIt') : msg('design.moreOfIt')}
          </Button>
        </span>
      </div>
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
      {near.map((each) => (
        <p key={`${each.item} ${each.other}`} className="font-medium text-ochre">
          {clearanceWords(each, work.body.clearance?.least ?? 0, units.lengthUnit)}
          {each.overlaps && work.body.clearance?.reason ? ` ${work.body.clearance.reason}` : ''}
        </p>
      ))}
      {open && <Details work={work} onClear={onClear} />}
    </article>
  );
}

/** How far it is, in one word with its colour; what nobody should build from comes first. */
function PackageState({ progress: { marks, set, inDoubt, blocked } }: { readonly progress: PackageProgress }) {
  if (inDoubt > 0) return <strong className="text-brick">▲ {msg('design.inDoubtCount', { inDoubt })}</strong>;
  if (set === marks) return <strong className="text-good">✓ {msg('design.allSet')}</strong>;
  return (
    <strong>
      {msg('design.toSetCount', { toSet: marks - set })}
      {blocked > 0 && <span className="block text-[13px] text-ochre">{msg('design.blockedCount', { blocked })}</span>}
    </strong>
  );
}

/** What was asked for, from what, and its marks. */
function Details({ work, onClear }: { readonly work: Fact<'package'>; onClear(): void }) {
  const { state } = useSite();
  const units = useUnits();
  return (
    <>
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
      <Button className="mt-2 text-[14px]" onClick={onClear}>
        {msg('design.keepClear')}
      </Button>
      <PlanTable work={work} />
    </>
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
                : // Each mark's own offset: one that was moved says so here, too.
                  `${units.length(plan.offset)} ${plan.offFace?.join('–') ?? `${plan.onLine ? 'beyond' : 'beside'} ${plan.corner}`}`}
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
