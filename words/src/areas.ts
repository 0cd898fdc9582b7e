import type { Hindrance } from '@idle-marker/core';

type AreaKind = 'dig' | 'spoilHeap' | 'fence' | 'machine' | 'services' | 'keepOut' | 'traffic' | 'edge' | 'overhead' | 'building';

/** What has revisions, as it is called before its name. */
export const REVISED_KIND = {
  control: 'Control mark',
  package: 'Work package',
  grid: 'Grid',
  area: 'Area',
  alignment: 'Line',
  drawing: 'Drawing',
  equipment: 'Equipment',
  convention: 'How stakes are written:',
} as const;

export const AREA_KIND: Readonly<Record<AreaKind, string>> = {
  dig: 'Dig',
  spoilHeap: 'Spoil heap',
  fence: 'Fence',
  machine: 'Reach of a machine',
  services: 'Buried services',
  keepOut: 'Kept free',
  traffic: 'Traffic lane',
  edge: 'Open edge',
  overhead: 'Overhead line',
  building: 'Existing building',
};

/** Why a hub should not stand where it was asked for. */
export function hindranceWords({ name, how }: Hindrance): string {
  if (name === null) return 'inside an outline';
  return how === 'inside' ? `in or too near to ${name}` : `hidden from the instrument by ${name}`;
}
