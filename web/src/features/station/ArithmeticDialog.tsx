import { useState } from 'react';
import { formatSigned, wrapTurn, type ResectionObservation, type ResectionResult } from '@idle-marker/core';
import { groupSights, stationSights, type SightGroup } from '@idle-marker/records';
import type { Fact } from '@idle-marker/contract';
import { smallUnit, WHY } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice } from '../../ui/Field.tsx';

interface ArithmeticProps {
  readonly result: ResectionResult;
  readonly occupation: Fact<'occupation'>;
}

/** The sums behind the figures, line by line, and why the rules are as they are. */
export function ArithmeticButton({ result, occupation }: ArithmeticProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        Show the arithmetic
      </Button>
      {open && <ArithmeticDialog result={result} occupation={occupation} onClose={() => setOpen(false)} />}
    </>
  );
}

function ArithmeticDialog({ result, occupation, onClose }: ArithmeticProps & { onClose(): void }) {
  const { state } = useSite();
  const names = [...new Set(result.observations.map((each) => each.reduced.point))];
  const nameOf = (id: string) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? id;
  const [name, setName] = useState(names[0] ?? '');
  const groups = groupSights(stationSights(state, occupation.id), () => ({ plan: true, height: true }));
  const observation = result.observations.find((each) => each.reduced.point === name);
  const group = groups.find((each) => each.mark === name);
  return (
    <Dialog open onClose={onClose} wide title="The arithmetic">
      <Choice label="Sight to" value={name} options={names.map((each) => [each, nameOf(each)] as const)} onChange={setName} />
      {observation && <Sums observation={observation} group={group} result={result} occupation={occupation} name={nameOf(name)} />}
      <h3 className="mt-5 text-[15px]">Why?</h3>
      {WHY.map(([question, answer]) => (
        <details key={question} className="border-b border-rule">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{question}</summary>
          <p className="pb-3">{answer}</p>
        </details>
      ))}
    </Dialog>
  );
}

interface SumsProps extends ArithmeticProps {
  readonly observation: ResectionObservation;
  readonly group: SightGroup | undefined;
  readonly name: string;
}

function Sums({ observation, group, result, occupation, name }: SumsProps) {
  const { state } = useSite();
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const { reduced } = observation;
  const point = result.points.find((each) => each.name === reduced.point);
  const listed = state.control.find((mark) => mark.id === reduced.point)?.revision.body;
  const sight = group?.sights[0]?.body;
  const mm = (metres: number | null | undefined) =>
    metres === null || metres === undefined ? '–' : `${formatSigned(metres * small.perMetre, small.decimals)} ${small.name}`;
  const length = (metres: number | null) => `${units.length(metres)} ${units.unit}`;
  const azimuth = wrapTurn(result.orientation + reduced.hz);
  const lines: (readonly [string, string])[] = [];
  if (sight) {
    lines.push([
      'Slope, corrected',
      `read, ${formatSigned(sight.prismConstantMm, 1)} mm prism, ${formatSigned(sight.ppm, 1)} ppm air = ${length(reduced.slope)}`,
    ]);
  }
  if (reduced.horizontal !== null) {
    lines.push(
      ['Level distance', `slope × sin ${units.angle(reduced.zenith)} = ${length(reduced.horizontal)}`],
      ['Grid distance', `× ${state.settings.combinedScaleFactor.toFixed(6)} = ${length(reduced.gridDistance)}`],
      ['Azimuth', `circle ${units.angle(reduced.hz)} + orientation ${units.angle(result.orientation)} = ${units.angle(azimuth)}`],
      [
        'Place measured',
        units.axes
          .map((axis) => `${axis.toUpperCase()} ${units.length(result[axis] + reduced.gridDistance! * (axis === 'e' ? Math.sin(azimuth) : Math.cos(azimuth)))}`)
          .join(', '),
      ],
    );
  }
  if (listed)
    lines.push(['Listed', `${units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(listed[axis])}`).join(', ')}, height ${units.length(listed.z)}`]);
  lines.push(['Measured minus listed', `E ${mm(point?.dE)}, N ${mm(point?.dN)}, height ${mm(point?.dZ)}`]);
  if (observation.height && reduced.heightDifference !== null) {
    lines.push([
      'Height of the station from it',
      `${units.length(listed?.z ?? null)} + target ${units.length(reduced.targetHeight)} − rise ${units.length(reduced.heightDifference)} − instrument ${units.length(occupation.body.instrumentHeight)} = ${units.length(observation.height.stationZ)}`,
    ]);
  }
  if (observation.distance)
    lines.push([
      'Ratio of the distance',
      ratio(observation.distance.residual, observation.distance.sd, observation.distance.redundancy, small.perMetre, small.name),
    ]);
  if (observation.direction && reduced.horizontal !== null) {
    const { residualAtTarget, sd, redundancy } = observation.direction;
    lines.push(['Ratio of the direction', ratio(residualAtTarget, sd * reduced.horizontal, redundancy, small.perMetre, small.name)]);
  }
  return (
    <>
      <dl className="figures mt-3 grid grid-cols-1 gap-x-5 gap-y-1 sm:grid-cols-[auto_1fr]" aria-label={`Sums of ${name}`}>
        {lines.map(([what, sum]) => (
          <div key={what} className="contents">
            <dt className="text-ink2">{what}</dt>
            <dd>{sum}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-[13px] text-ink2">
        The rise holds curvature and refraction. Redundancy: how much of a mistake in this reading would show in its own residual, from 0 to 1; all of them sum
        to the surplus of the station, {result.fit.dof}.
      </p>
    </>
  );
}

const ratio = (residual: number, sd: number, redundancy: number, perMetre: number, unit: string): string =>
  redundancy < 1e-6
    ? 'nothing else checks it'
    : `${Math.abs(residual * perMetre).toFixed(1)} ${unit} ÷ (${(sd * perMetre).toFixed(1)} ${unit} × √${redundancy.toFixed(2)}) = ${(Math.abs(residual) / sd / Math.sqrt(redundancy)).toFixed(1)}`;
