import { formatLength, type Hindrance, type LengthUnit, type Metres } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

type AreaKind =
  | 'dig'
  | 'spoilHeap'
  | 'fence'
  | 'machine'
  | 'services'
  | 'keepOut'
  | 'traffic'
  | 'edge'
  | 'overhead'
  | 'building'
  | 'boundary';

/** What has revisions, as it is called before its name. */
export const revisedKindWords = worded(
  () =>
    ({
      control: msg('areas.controlMark'),
      package: msg('common.workPackage'),
      grid: msg('areas.grid'),
      area: msg('areas.area'),
      alignment: msg('common.line'),
      drawing: msg('areas.drawing'),
      equipment: msg('areas.equipment'),
      convention: msg('areas.howStakesAreWritten'),
    }) as const,
);

export const areaKindWords = worded((): Readonly<Record<AreaKind, string>> => ({
  dig: msg('areas.dig'),
  spoilHeap: msg('areas.spoilHeap'),
  fence: msg('areas.fence'),
  machine: msg('areas.reachOfAMachine'),
  services: msg('areas.buriedServices'),
  keepOut: msg('areas.keptFree'),
  traffic: msg('areas.trafficLane'),
  edge: msg('areas.openEdge'),
  overhead: msg('areas.overheadLine'),
  building: msg('areas.existingBuilding'),
  boundary: msg('areas.boundary'),
}));

/** Why a hub should not stand where it was asked for. */
export function hindranceWords({ name, how }: Hindrance): string {
  if (name === null) return msg('areas.insideAnOutline');
  return how === 'inside' ? msg('areas.inOrTooNearTo', { name }) : msg('areas.hiddenFromTheInstrumentBy', { name });
}

/** An outline that runs into something, or comes nearer to it than the work asks for. */
export function clearanceWords(
  found: {
    readonly item: string;
    readonly corner: string;
    readonly other: string;
    readonly kind: 'building' | 'boundary' | 'outline';
    readonly overlaps: boolean;
    readonly gap: Metres;
  },
  least: Metres,
  unit: LengthUnit,
): string {
  const { item, corner, other, kind, overlaps, gap } = found;
  const length = (metres: Metres) => formatLength(metres, unit, LENGTH_DECIMALS);
  const said = { item, corner, other };
  if (overlaps) return kind === 'boundary' ? msg('areas.runsOver', said) : msg('areas.runsInto', said);
  const figures = { gap: length(gap), unit: unitAbbreviationWords()[unit] };
  return gap < least
    ? msg('areas.gapUnder', { ...said, ...figures, least: length(least) })
    : msg('areas.gapOf', { ...said, ...figures });
}
