import { useState } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  alikeName,
  builtCorner,
  clearanceOf,
  controlFromBuilt,
  heightOverSurface,
  type DesignDifference,
  spreadOf,
} from '@idle-marker/records';
import { msg, heightOffWords, offWords, overSurfaceWords, smallLength } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { StakeOut } from '../../packages/StakeOut.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';

/** Beyond this nobody asks how much room is left. */
const ASKED_CLEARANCE = 5;

/** The room between what stands there and what is to be built. */
function ClearOf({ place }: { place: PlanPoint }) {
  const { state } = useSite();
  const units = useUnits();
  const clearance = clearanceOf(state, place, ASKED_CLEARANCE);
  if (!clearance) return null;
  const { item, distance, inside } = clearance;
  return (
    <span className={`block text-[13px] ${inside ? 'font-semibold text-brick' : 'text-ink2'}`}>
      {units.length(distance)} {units.unit}{' '}
      {inside ? msg('structure.insideTheyOverlap', { item }) : msg('structure.clearOf', { item })}
    </span>
  );
}

interface BuiltTableProps {
  readonly facts: readonly Fact<'asBuilt'>[];
  readonly byFact: ReadonlyMap<string, DesignDifference>;
  /** The code that is up, to be given to what has another or none. */
  readonly code: string;
}

/** What was measured: against its design, or where it is and what it is clear of. */
export function BuiltTable({ facts, byFact, code }: BuiltTableProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const { control } = state;
  /** The code that was given last, and what it took the place of. */
  const [given, setGiven] = useState<{ readonly fact: Fact<'asBuilt'>; readonly before: string } | null>(null);
  const recode = async (fact: Fact<'asBuilt'>, to: string) => {
    const [now] = await say({ type: 'asBuilt', body: { ...fact.body, code: to, supersedes: fact.id } });
    return now as Fact<'asBuilt'>;
  };
  const give = async (fact: Fact<'asBuilt'>) => setGiven({ fact: await recode(fact, code), before: fact.body.code });
  const undo = async () => {
    if (given) await recode(given.fact, given.before);
    setGiven(null);
  };
  const makeControl = (fact: Fact<'asBuilt'>) => {
    const body = controlFromBuilt(state, fact, newId());
    if (body) void say({ type: 'control', body });
  };
  const isListed = (name: string) =>
    alikeName(
      name,
      control.map((mark) => mark.revision.body.name),
    ) !== null;
  return (
    <div className="relative overflow-x-auto">
      {given && (
        <p className="mt-2 flex flex-wrap items-center gap-x-3" role="status">
          {msg('structure.hasTheCodeNowItWas', {
            name: given.fact.body.name,
            code: given.fact.body.code,
            before: given.before || msg('structure.withoutOne'),
          })}
          <Button look="quiet" onClick={() => void undo()}>
            {msg('common.undo')}
          </Button>
        </p>
      )}
      <table className={`${TABLE} mt-2`}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('structure.measured')}</th>
            <th className={TH_WORD}>{msg('structure.againstTheDesign')}</th>
            <th className={TH}>{msg('common.height')}</th>
            <th className={TH}>
              <span className="sr-only">{msg('common.change3')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {facts.map((fact) => {
            const difference = byFact.get(fact.id);
            const { name, code: own, place, against } = fact.body;
            const spread = spreadOf(fact);
            return (
              <tr key={fact.id} className={difference && !difference.within ? 'text-brick' : ''}>
                <td className={TD_WORD}>
                  <strong>{name}</strong> <span className="text-ink2">{own || msg('structure.noCode')}</span>
                  {fact.body.note !== '' && (
                    <span className="block max-w-[150px] text-[13px] whitespace-normal">{fact.body.note}</span>
                  )}
                  {spread.plan !== null && (
                    <span className="block text-[13px] text-ink2">
                      {msg('common.spread', { smallLength: smallLength(spread.plan, units.lengthUnit) })}
                    </span>
                  )}
                </td>
                <td className={TD_WORD}>
                  {difference ? (
                    <>
                      {offWords(difference.dE, difference.dN, units.lengthUnit)}
                      {!difference.within && <strong className="block">{msg('structure.outsideItsClass')}</strong>}
                    </>
                  ) : (
                    <>
                      {against?.kind === 'surface' && (
                        <span className="block">
                          {overSurfaceWords(heightOverSurface(fact.body), against.name, units.lengthUnit)}
                        </span>
                      )}
                      <span className="figures text-ink2">
                        {units.axes.map((axis) => (
                          <span key={axis} className="inline-block pr-2 whitespace-nowrap">
                            {units.length(place[axis])}
                          </span>
                        ))}
                      </span>
                      {against === null && <ClearOf place={place} />}
                    </>
                  )}
                </td>
                <td className={TD}>
                  {difference === undefined || difference.dZ === null
                    ? units.length(place.z)
                    : heightOffWords(difference.dZ, units.lengthUnit)}
                </td>
                <td className={TD}>
                  <span className="flex flex-col items-end">
                    {code !== '' && own !== code && (
                      <Button
                        look="quiet"
                        aria-label={msg('structure.giveTheCode', { name, code })}
                        onClick={() => void give(fact)}
                      >
                        → {code}
                      </Button>
                    )}
                    {(against === null || against.kind === 'surface') && !isListed(name) && (
                      <Button
                        look="quiet"
                        aria-label={msg('structure.makeControl', { name })}
                        onClick={() => makeControl(fact)}
                      >
                        {msg('structure.asControl')}
                      </Button>
                    )}
                    <StakeOut point={builtCorner(fact)} />
                    <TakeBack fact={fact} />
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
