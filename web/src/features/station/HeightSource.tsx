import { formatLength, type HeightFrom, type HeightSolution, type Reason } from '@idle-marker/core';
import { heightRevision, type ControlMark } from '@idle-marker/records';
import { msg, HEIGHT_FROM, LENGTH_DECIMALS, unitAbbreviationWords } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import type { Draft } from '../../pole/useDraft.ts';

interface HeightSourceProps {
  readonly draft: Draft;
  /** The mark under the instrument. */
  readonly over: ControlMark;
}

/** Where the height of a station over a mark comes from. A mark without a height leaves the benchmarks alone. */
export function HeightSource({ draft, over }: HeightSourceProps) {
  const { body } = over.revision;
  if (draft.heightFrom === null || body.z === null || !body.useHeight) return null;
  const words = (from: HeightFrom) => [from, HEIGHT_FROM[from](body.name)] as const;
  return (
    <Choice
      className="mt-3"
      label={msg('common.heightFrom')}
      value={draft.heightFrom}
      options={[words('mark'), words('benchmarks'), words('both')]}
      onChange={draft.setHeightFrom}
      help={msg('station.theHeightsThatAreNotTakenAre')}
    />
  );
}

interface OccupiedHeightProps {
  readonly reason: Extract<Reason, { code: 'OCCUPIED_HEIGHT_OFF' }>;
  readonly draft: Draft;
  readonly over: ControlMark;
  readonly height: HeightSolution;
  /** Name of the station. */
  readonly station: string;
}

/** What one does about a mark whose listed height the benchmarks contradict: first the station, then the list. */
export function OccupiedHeight({ reason, draft, over, height, station }: OccupiedHeightProps) {
  const { say } = useSite();
  const naming = useNaming();
  if (reason.isUsed)
    return (
      <Button look="primary" onClick={() => draft.setHeightFrom('benchmarks')}>
        {msg('station.takeTheHeightFromTheBenchmarks')}
      </Button>
    );
  const source = msg('station.byStationFrom', {
    station,
    benchmarks: reason.benchmarks.map((name) => naming.nameOf(name)).join(', '),
  });
  const { name, z, heightSource } = over.revision.body;
  const figure = `${formatLength(height.z, naming.unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[naming.unit]}`;
  if (heightSource === source && z !== null && Math.abs(z - height.z) < 0.0005)
    return <p className="font-medium">{msg('station.isListedAtNowItsHistoryHas', { name, figure })}</p>;
  return (
    <Button onClick={() => void say({ type: 'control', body: heightRevision(over, height, source) })}>
      {msg('station.reviseTo', { name, figure })}
    </Button>
  );
}
