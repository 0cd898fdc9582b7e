import type { Hindrance } from '@idle-marker/core';
import { msg, worded } from './message.ts';

type AreaKind =
  'dig' | 'spoilHeap' | 'fence' | 'machine' | 'services' | 'keepOut' | 'traffic' | 'edge' | 'overhead' | 'building';

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
}));

/** Why a hub should not stand where it was asked for. */
export function hindranceWords({ name, how }: Hindrance): string {
  if (name === null) return msg('areas.insideAnOutline');
  return how === 'inside' ? msg('areas.inOrTooNearTo', { name }) : msg('areas.hiddenFromTheInstrumentBy', { name });
}
