import { Fragment } from 'react';
import { formatSigned, largestRatio, lengthFromMetres, type ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import type { SightGroup, UseFlags } from '@idle-marker/records';
import { msg, firmnessOf, smallLength, smallUnit } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { useIsPhone } from '../../ui/useMedia.ts';
import { Explained } from '../../ui/Explained.tsx';

interface SightTableProps {
  readonly groups: readonly SightGroup[];
  readonly result: ResectionResult | null;
  readonly offMarks: ReadonlySet<string>;
  readonly chosen: string | null;
  onChoose(mark: string): void;
  usageOf(sight: Fact<'sight'>): UseFlags;
  setUse(sights: readonly Fact<'sight'>[], use: Partial<UseFlags>): void;
  /** Sights a mark once more. */
  onSight(mark: string): void;
  readonly busy: boolean;
  /** Heights are not shown. */
  readonly planOnly: boolean;
  /** The plan is not theirs to give. */
  readonly heightAlone?: boolean;
  /** Direction and distance of a sight can be left out apart. */
  readonly byPart: boolean;
}

export function SightTable({
  groups,
  result,
  offMarks,
  chosen,
  onChoose,
  usageOf,
  setUse,
  onSight,
  busy,
  planOnly,
  heightAlone = false,
  byPart,
}: SightTableProps) {
  const units = useUnits();
  const isPhone = useIsPhone();
  const { state } = useSite();
  const small = smallUnit(units.lengthUnit);
  const names = new Map(state.control.map((mark) => [mark.id, mark.revision.body]));
  const difference = (metres: number | null | undefined) =>
    metres === null || metres === undefined ? '–' : formatSigned(metres * small.perMetre, small.decimals);
  const marks = [...new Set(groups.map((group) => group.mark))];
  return (
    <>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={`${TH_WORD} field-head`}>{msg('common.sight')}</th>
            <th className={`${TH} field-head`}>{msg('station.distance')}</th>
            <th className={`${TH} field-head`}>{units.axes[0] === 'e' ? msg('common.east') : msg('common.north')}</th>
            <th className={`${TH} field-head`}>{units.axes[0] === 'e' ? msg('common.north') : msg('common.east')}</th>
            {!planOnly && <th className={`${TH} field-head`}>{msg('station.ht')}</th>}
            <th className={`${TH} max-md:hidden`}>
              <Explained term="residualRatio">{msg('common.ratio')}</Explained>
            </th>
            <th className={`${TH} max-md:hidden`}>{msg('common.use')}</th>
          </tr>
        </thead>
        <tbody>
          {marks.map((mark) => {
            const own = groups.filter((group) => group.mark === mark);
            const sights = own.flatMap((group) => group.sights);
            const point = result?.points.find((each) => each.name === mark);
            const reduced = result?.observations.find((each) => each.reduced.point === mark)?.reduced;
            const inPlan = sights.some((sight) => usageOf(sight).plan);
            const inHeight = sights.some((sight) => usageOf(sight).height);
            const body = names.get(mark);
            const ratio = result && largestRatio(result, mark);
            const off = offMarks.has(mark);
            const slope = own[0]!.observation.slope;
            const spread = own.find((group) => group.spread)?.spread;
            const uses = (
              <>
                <UseToggle
                  label={msg('station.inPlan', { name: body?.name })}
                  text={msg('station.plan')}
                  used={inPlan}
                  can={!heightAlone && body?.e !== null}
                  onChange={(plan) => setUse(sights, { plan })}
                />
                <UseToggle
                  label={msg('station.inHeight', { name: body?.name })}
                  text={msg('control.elev')}
                  used={inHeight}
                  can={!planOnly && body?.z !== null && slope !== null}
                  onChange={(height) => setUse(sights, { height })}
                />
                {byPart && (
                  <>
                    <UseToggle
                      label={msg('station.direction', { name: body?.name })}
                      text={msg('station.dir')}
                      used={inPlan && sights.some((sight) => usageOf(sight).direction ?? true)}
                      can={inPlan && slope !== null}
                      onChange={(direction) => setUse(sights, { direction })}
                    />
                    <UseToggle
                      label={msg('station.distance2', { name: body?.name })}
                      text={msg('station.dist')}
                      used={sights.some((sight) => usageOf(sight).distance ?? true)}
                      can={sights.some((sight) => sight.body.read.slope !== null)}
                      onChange={(distance) => setUse(sights, { distance })}
                    />
                  </>
                )}
              </>
            );
            const again = (
              <button
                type="button"
                className="min-h-11 min-w-11 text-left text-[13px] font-semibold text-spruce underline disabled:text-ink2"
                disabled={busy}
                aria-label={msg('common.sightAgain', { name: body?.name ?? '?' })}
                onClick={() => onSight(mark)}
              >
                {msg('station.again')}
              </button>
            );
            return (
              <Fragment key={mark}>
                <tr
                  data-sighted={body?.name}
                  className={`${off ? 'bg-brick-tint text-brick' : ''} ${chosen === mark ? 'outline-2 -outline-offset-2 outline-spruce' : ''}`}
                >
                  <td className={TD_WORD}>
                    <span className="flex flex-wrap items-center">
                      <button
                        type="button"
                        className="field-figure min-h-11 pr-0.5 text-left font-semibold"
                        onClick={() => onChoose(mark)}
                      >
                        {body?.name ?? '?'}
                        {sights.length > 1 && <span className="font-normal text-ink2"> ×{sights.length}</span>}
                      </button>
                      {!isPhone && again}
                    </span>
                    {body && firmnessOf(body) !== 'firm' && (
                      <span className="block text-[12px] text-ink2">{firmnessOf(body)}</span>
                    )}
                    {spread && (
                      <span className="block text-[12px] text-ink2">
                        {msg('common.spread', {
                          smallLength: smallLength(Math.max(spread.across, spread.along), units.lengthUnit),
                        })}
                      </span>
                    )}
                  </td>
                  <td className={`${TD} field-distance`}>
                    {reduced?.gridDistance
                      ? units.length(reduced.gridDistance)
                      : slope === null
                        ? 'direction'
                        : lengthFromMetres(slope, units.lengthUnit).toFixed(3)}
                  </td>
                  <td className={`${TD} field-figure`}>{difference(units.axes[0] === 'e' ? point?.dE : point?.dN)}</td>
                  <td className={`${TD} field-figure`}>{difference(units.axes[0] === 'e' ? point?.dN : point?.dE)}</td>
                  {!planOnly && (
                    <td className={`${TD} field-figure`}>
                      {inHeight ? difference(point?.dZ) : <span className="text-ink2">{msg('station.notUsed')}</span>}
                    </td>
                  )}
                  <td className={`${TD} max-md:hidden`}>{ratio === null ? '–' : ratio.toFixed(1)}</td>
                  <td className={`${TD} whitespace-nowrap max-md:hidden`}>{!isPhone && uses}</td>
                </tr>
                {isPhone && chosen === mark && (
                  <tr>
                    <td colSpan={planOnly ? 4 : 5} className="border-b border-rule bg-paper px-1.5 py-1">
                      <span className="flex flex-wrap items-center justify-between gap-2">
                        <span className="figures">
                          {msg('common.ratio')} {ratio === null ? '–' : ratio.toFixed(1)}
                        </span>
                        <span>{uses}</span>
                        {again}
                      </span>
                    </td>
                  </tr>
                )}
              </Fragment>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1.5 text-[13px] leading-snug text-ink2">
        {msg('station.measuredMinusListedRatioMisfitOverIts', { name: small.name })}
      </p>
    </>
  );
}

function UseToggle({
  label,
  text,
  used,
  can,
  onChange,
}: {
  label: string;
  text: string;
  used: boolean;
  can: boolean;
  onChange(used: boolean): void;
}) {
  if (!can) return null;
  return (
    <button
      type="button"
      role="switch"
      aria-checked={used}
      aria-label={label}
      onClick={() => onChange(!used)}
      className={`ml-1 min-h-11 min-w-11 rounded-sm border px-1.5 text-[13px] ${used ? 'border-spruce bg-spruce text-on-spruce' : 'border-ink2 text-ink2 line-through'}`}
    >
      {text}
    </button>
  );
}
