/** Which stations of a road: fields for a rule, and what they come to. */
import { useMemo } from 'react';
import { stationsShown, type Metres, type StationListRule } from '@idle-marker/core';
import type { Road } from '@idle-marker/records';
import { msg, readStation, stationText, type StationStyle, worded } from '@idle-marker/words';
import { DraftField } from '../field/DraftField.tsx';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../field/draft.ts';
import { typedStation, useStationStyle } from '../site/useRoads.ts';
import { useUnits, type Units } from '../field/useUnits.ts';
import { Choice, Tick } from '../ui/Field.tsx';

const curveChoices = worded(
  () =>
    [
      ['interval', msg('packages.atTheSameInterval')],
      ['parts', msg('packages.inEqualParts')],
      ['chord', msg('packages.inEqualPartsNoneLongerThan')],
      ['rise', msg('packages.soThatAnArcRisesNoMore')],
    ] as const,
);
type Curves = ReturnType<typeof curveChoices>[number][0];

export interface RuleDraft {
  readonly from: Draft<Metres>;
  readonly to: Draft<Metres>;
  readonly interval: Draft<Metres>;
  readonly closer: Draft<Metres>;
  readonly upTo: Draft<Metres>;
  readonly curves: Curves;
  readonly figure: Draft<Metres>;
  readonly special: boolean;
  readonly extra: Draft<readonly Metres[]>;
  readonly direction: 'up' | 'down';
}

export function ruleDraft(rule: StationListRule | null, road: Road, units: Units, style: StationStyle): RuleDraft {
  const station = (value: Metres | null): Draft<Metres> =>
    value === null ? typed('') : written(value, typedStation(road, value, style));
  const parts = rule?.equalParts ?? null;
  return {
    from: station(rule?.from ?? null),
    to: station(rule?.to ?? null),
    interval: rule ? lengthDraft(rule.interval, units) : typed(style.unit === 'metre' ? '10' : '25'),
    closer: lengthDraft(rule?.byRadius[0]?.interval, units),
    upTo: lengthDraft(rule?.byRadius[0]?.upTo, units),
    curves: !parts ? 'interval' : 'parts' in parts ? 'parts' : 'chord' in parts ? 'chord' : 'rise',
    figure: !parts
      ? typed('')
      : 'parts' in parts
        ? typed(String(parts.parts))
        : lengthDraft('chord' in parts ? parts.chord : parts.rise, units),
    special: rule?.special ?? true,
    extra: written(rule?.extra ?? [], (rule?.extra ?? []).map((each) => typedStation(road, each, style)).join(', ')),
    direction: rule?.direction ?? 'up',
  };
}

type ReadRule = { readonly ok: true; readonly value: StationListRule } | { readonly ok: false; readonly error: string };

/**
 * Typed stations are those that are shown; of one that comes twice, the first begins a stretch and the last ends it.
 */
export function useRule(draft: RuleDraft, road: Road): ReadRule {
  const units = useUnits();
  const style = useStationStyle();
  return useMemo((): ReadRule => {
    const shown = (text: string) => {
      const read = readStation(text.trim(), style);
      return read === null ? [] : stationsShown(road.alignment, read).map(({ station }) => station);
    };
    const isEmpty = ({ text }: Draft<unknown>) => text.trim() === '';
    const from = isEmpty(draft.from) ? null : valueOf<Metres | undefined>(draft.from, (text) => shown(text)[0]);
    const to = isEmpty(draft.to) ? null : valueOf<Metres | undefined>(draft.to, (text) => shown(text).at(-1));
    if (from === undefined) return { ok: false, error: msg('packages.theLineHasNoStation', { text: draft.from.text }) };
    if (to === undefined) return { ok: false, error: msg('packages.theLineHasNoStation', { text: draft.to.text }) };
    const interval = isEmpty(draft.interval) ? null : lengthOf(draft.interval, units);
    if (interval === null && !isEmpty(draft.interval))
      return { ok: false, error: msg('packages.theIntervalIsNoLength') };
    const [closer, upTo] = [lengthOf(draft.closer, units), lengthOf(draft.upTo, units)];
    const figure = draft.curves === 'parts' ? Math.floor(Number(draft.figure.text)) : lengthOf(draft.figure, units);
    if (draft.curves !== 'interval' && (figure === null || !(figure > 0)))
      return {
        ok: false,
        error: draft.curves === 'parts' ? msg('packages.giveTheNumberOfParts') : msg('packages.giveTheMaximum'),
      };
    if (!isEmpty(draft.upTo) && !(closer !== null && closer > 0))
      return { ok: false, error: msg('packages.giveTheIntervalInCurves') };
    const extra: Metres[] = 'exact' in draft.extra ? [...draft.extra.exact] : [];
    for (const text of 'exact' in draft.extra ? [] : draft.extra.text.split(/[,;\n]/)) {
      if (text.trim() === '') continue;
      const found = shown(text);
      if (found.length === 0) return { ok: false, error: msg('packages.theLineHasNoStation', { text: text.trim() }) };
      extra.push(...found);
    }
    return {
      ok: true,
      value: {
        from,
        to,
        interval,
        byRadius: closer !== null && upTo !== null && closer > 0 && upTo > 0 ? [{ upTo, interval: closer }] : [],
        equalParts:
          draft.curves === 'interval'
            ? null
            : draft.curves === 'parts'
              ? { parts: figure! }
              : draft.curves === 'chord'
                ? { chord: figure! }
                : { rise: figure! },
        special: draft.special,
        extra,
        direction: draft.direction,
      },
    };
  }, [draft, road, units, style]);
}

export function RuleFields({
  draft,
  onChange,
  road,
}: {
  readonly draft: RuleDraft;
  onChange(next: RuleDraft): void;
  readonly road: Road;
}) {
  const units = useUnits();
  const style = useStationStyle();
  const change = (next: Partial<RuleDraft>) => onChange({ ...draft, ...next });
  const text = (key: 'from' | 'to' | 'interval' | 'closer' | 'upTo' | 'figure' | 'extra') => ({
    draft: draft[key],
    onDraft: (next: Draft<never>) => change({ [key]: next }),
  });
  return (
    <fieldset className="mt-3 grid grid-cols-2 gap-3 border-t border-rule pt-2 sm:grid-cols-4">
      <legend className="pr-2 text-[15px] font-semibold">{msg('common.stations')}</legend>
      <DraftField
        inputMode="text"
        label={msg('common.from')}
        placeholder={stationText(road.alignment.startStation, style, 0)}
        {...text('from')}
      />
      <DraftField inputMode="text" label={msg('common.to2')} placeholder={msg('packages.itsEnd')} {...text('to')} />
      <DraftField
        label={msg('common.every')}
        unit={units.unit}
        inputMode="decimal"
        {...text('interval')}
        help={msg('packages.emptyOnlyWhereSomethingChanges')}
      />
      <Choice
        label={msg('common.order')}
        value={draft.direction}
        options={[
          ['up', msg('packages.upTheStations')],
          ['down', msg('packages.downTheStations')],
        ]}
        onChange={(direction) => change({ direction })}
      />
      <DraftField
        label={msg('packages.onCurvesWithARadiusUpTo')}
        unit={units.unit}
        inputMode="decimal"
        {...text('upTo')}
      />
      <DraftField label={msg('packages.every')} unit={units.unit} inputMode="decimal" {...text('closer')} />
      <Choice
        label={msg('packages.curvesAsWell')}
        term="midOrdinate"
        value={draft.curves}
        options={curveChoices()}
        onChange={(curves) => change({ curves })}
      />
      {draft.curves === 'interval' ? (
        <span className="max-sm:hidden" />
      ) : (
        <DraftField
          label={draft.curves === 'parts' ? msg('packages.howMany') : msg('packages.maximum')}
          unit={draft.curves === 'parts' ? undefined : units.unit}
          inputMode="decimal"
          {...text('figure')}
        />
      )}
      <div className="col-span-2">
        <Tick
          label={msg('packages.andWhereverSomethingChanges')}
          checked={draft.special}
          onChange={(special) => change({ special })}
        />
      </div>
      <DraftField
        className="col-span-2"
        label={msg('packages.andAtTheseStations')}
        placeholder={`${stationText(57.5, style, 1)}, ${stationText(88, style, 0)}`}
        {...text('extra')}
      />
    </fieldset>
  );
}
