import { useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { classOf, fromRetired, olderGrids, olderRoads, outwardOf } from '@idle-marker/records';
import { gradeWords, HEIGHT_REFERENCE, MARK_KIND, MEANING } from '@idle-marker/words';
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
            Keep clear…
          </Button>
          <Button look="quiet" onClick={onChange}>
            Change…
          </Button>
        </span>
      </div>
      <p className="text-ink2">
        For {work.body.crew} · {classOf(state, work.body.class).name} · hubs {units.length(work.body.offset)} {units.unit} off · cut and fill to{' '}
        {HEIGHT_REFERENCE[work.body.heightReference]}
        {work.body.markKind && ` · ${MARK_KIND[work.body.markKind]}`}
        {work.body.use && `, for ${work.body.use}`}
      </p>
      {fromRetired(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          It was taken from {fact.body.name}, which is no longer used: is there a newer one?
        </p>
      ))}
      {olderRoads(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          {fact.body.name} was changed since: these places are the older one’s.{' '}
          <Button look="quiet" aria-label={`Bring ${work.body.name} along`} onClick={onChange}>
            Bring along…
          </Button>
        </p>
      ))}
      {olderGrids(state, work).map((fact) => (
        <p key={fact.id} className="font-medium text-ochre">
          Grid {fact.body.name} was changed since: these places are the older one’s.{' '}
          <Button look="quiet" aria-label={`Bring ${work.body.name} along`} onClick={() => onGrid(fact)}>
            Bring along…
          </Button>
        </p>
      ))}
      {work.body.items.map((item) => (
        <p key={item.name} className="mt-1">
          {item.name}: {sizeOf(item)}
          {!item.road && `, ${MEANING[item.meaning]}`}
          {outwardOf(item) !== 0 && `, marked ${units.length(Math.abs(outwardOf(item)))} ${units.unit} ${outwardOf(item) > 0 ? 'outside' : 'inside'} of it`}
          {item.road
            ? `, ${item.road.side === 'on' ? 'on it' : `hubs on its ${item.road.side}`}, cut and fill to ${gradeWords(item.road.gradeString)}`
            : `, height ${units.length(item.designZ)} ${units.unit}`}
          . <span className="text-ink2">Source: {item.source}</span>
        </p>
      ))}
      {open ? (
        <PlanTable work={work} />
      ) : (
        <p className="mt-2">
          <Button onClick={() => setOpen(true)}>Show its {work.body.plans.length} marks</Button>
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
          <th className={TH_WORD}>Mark</th>
          {units.axes.map((axis) => (
            <th key={axis} className={TH}>
              {axis === 'e' ? 'East' : 'North'}
            </th>
          ))}
          <th className={TH_WORD}>Off</th>
          <th className={TH_WORD}>On the line</th>
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
              {plan.offset === 0 ? 'on the point' : (plan.offFace?.join('–') ?? `${plan.onLine ? 'beyond' : 'beside'} ${plan.corner}`)}
              {plan.alsoOffFace ? ` and ${plan.alsoOffFace.join('–')}` : ''}
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
      return `${corners.length} corners`;
    case 'lineEnds':
      return `${corners.length / 2} lines`;
    case 'along':
      return `along a line of ${corners.length} corners`;
    case 'road':
      return `${corners.length} stations`;
    case 'bolts':
      return `${corners.length} ${corners.length === 1 ? 'group' : 'groups'} of bolts`;
    case 'rakedPiles':
      return `${corners.length} piles leaning 1 in ${rake?.ratio ?? '?'}`;
    case 'points':
    case 'recoveries':
      return `${corners.length} points`;
  }
}
