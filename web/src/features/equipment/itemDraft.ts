/** A library item as it is typed, and as it is kept. */
import type { FactBody } from '@idle-marker/contract';
import { SIMULATED_REFERENCE } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import type { Units } from '../../field/useUnits.ts';

export type Item = FactBody<'equipment'>['what'];
export type Kind = Item['kind'];
type Of<K extends Kind> = Extract<Item, { kind: K }>;

/** All fields of all kinds; the kind says which count. */
export interface ItemDraft {
  readonly kind: Kind;
  readonly name: string;
  readonly angleSd: string;
  readonly distMm: string;
  readonly distPpm: string;
  readonly referenceC: string;
  readonly referenceHPa: string;
  readonly wavelength: string;
  readonly plummet: boolean;
  readonly adjusted: string;
  readonly form: Of<'target'>['form'];
  readonly constant: string;
  readonly own: Draft<number>;
  readonly bubble: string;
  readonly checked: string;
  readonly receiver: string;
  readonly below: string;
  readonly offset: Draft<number>;
}

const numberIn = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.replace(',', '.').replace('−', '-'));
const inside = (value: number, low: number, high: number): boolean => value >= low && value <= high;

export function draftOf(kind: Kind, item: Item | null, units: Units): ItemDraft {
  const instrument = item?.kind === 'instrument' ? item : null;
  const target = item?.kind === 'target' ? item : null;
  const pole = item?.kind === 'pole' ? item : null;
  const pair = item?.kind === 'pair' ? item : null;
  return {
    kind,
    name: item?.name ?? '',
    angleSd: String(instrument?.angleSdSec ?? 2),
    distMm: String(instrument?.distSdMm ?? 2),
    distPpm: String(instrument?.distSdPpm ?? 2),
    referenceC: String(instrument?.referenceC ?? SIMULATED_REFERENCE.temperatureC),
    referenceHPa: String(instrument?.referenceHPa ?? SIMULATED_REFERENCE.pressureHPa),
    wavelength: String(instrument?.wavelengthUm ?? SIMULATED_REFERENCE.wavelengthUm),
    plummet: instrument?.plummet ?? true,
    adjusted: instrument?.adjusted ?? '',
    form: target?.form ?? 'round',
    constant: String(target?.constantMm ?? 0),
    own: lengthDraft(target?.ownHeight ?? 0, units),
    bubble: String(pole?.bubbleMinutes ?? 2),
    checked: pole?.bubbleChecked ?? pair?.checked ?? '',
    receiver: pair?.receiver ?? '',
    below: pair?.target ?? '',
    offset: lengthDraft(pair?.offset, units),
  };
}

/** What is wrong, by field; empty when the item may be kept. */
export function itemErrors(
  draft: ItemDraft,
  taken: readonly string[],
  units: Units,
): Partial<Record<keyof ItemDraft, string>> {
  const errors: Partial<Record<keyof ItemDraft, string>> = {};
  if (draft.name.trim() === '') errors.name = msg('equipment.giveItANameThatPeopleSay');
  else if (taken.includes(draft.name.trim().toLowerCase())) errors.name = msg('equipment.thisNameIsOnTheListAlready');
  if (draft.kind === 'instrument') {
    if (!(numberIn(draft.angleSd) > 0 && numberIn(draft.angleSd) <= 600))
      errors.angleSd = msg('equipment.secondsAsItsLeafletSaysSuchAs');
    if (!(numberIn(draft.distMm) > 0 && numberIn(draft.distMm) <= 1000))
      errors.distMm = msg('equipment.millimetresOver0');
    if (!inside(numberIn(draft.distPpm), 0, 1000)) errors.distPpm = msg('equipment.n0OrMore');
    if (!inside(numberIn(draft.referenceC), -60, 70)) errors.referenceC = 'From −60 to 70 °C.';
    if (!inside(numberIn(draft.referenceHPa), 300, 1100)) errors.referenceHPa = 'From 300 to 1100 hPa.';
    if (!inside(numberIn(draft.wavelength), 0.3, 2)) errors.wavelength = msg('equipment.micrometresFrom03To2Such');
  }
  if (draft.kind === 'target') {
    if (!inside(numberIn(draft.constant), -500, 500)) errors.constant = msg('equipment.millimetresFrom500To500');
    const own = lengthOf(draft.own, units);
    if (own === null || !inside(own, -1, 5)) errors.own = msg('equipment.howFarItsCentreSitsAboveThe');
  }
  if (draft.kind === 'pair') {
    if (draft.receiver.trim() === '') errors.receiver = msg('common.itsNameOrNumber');
    const offset = lengthOf(draft.offset, units);
    if (offset === null || !inside(offset, 0, 2)) errors.offset = msg('equipment.fromThePrismsCentreUpToThe');
  }
  if (draft.kind === 'pole' && !inside(numberIn(draft.bubble), 0, 120))
    errors.bubble = msg('equipment.arcMinutesFrom0To120');
  return errors;
}

export function itemOf(draft: ItemDraft, units: Units): Item {
  const name = draft.name.trim();
  switch (draft.kind) {
    case 'instrument':
      return {
        kind: 'instrument',
        name,
        angleSdSec: numberIn(draft.angleSd),
        distSdMm: numberIn(draft.distMm),
        distSdPpm: numberIn(draft.distPpm),
        referenceC: numberIn(draft.referenceC),
        referenceHPa: numberIn(draft.referenceHPa),
        wavelengthUm: numberIn(draft.wavelength),
        plummet: draft.plummet,
        adjusted: draft.adjusted || null,
      };
    case 'target':
      return {
        kind: 'target',
        name,
        form: draft.form,
        constantMm: numberIn(draft.constant),
        ownHeight: lengthOf(draft.own, units)!,
      };
    case 'pole':
      return { kind: 'pole', name, bubbleMinutes: numberIn(draft.bubble), bubbleChecked: draft.checked || null };
    case 'pair':
      return {
        kind: 'pair',
        name,
        receiver: draft.receiver.trim(),
        target: draft.below || null,
        offset: lengthOf(draft.offset, units)!,
        checked: draft.checked || null,
      };
  }
}
