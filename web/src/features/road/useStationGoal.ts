/** A station, a string and an offset that somebody wants to come to, and the way there. */
import { useMemo, useState } from 'react';
import {
  CENTRELINE,
  displayedStation,
  METRES_PER_UNIT,
  moveGrade,
  stationsShown,
  type Metres,
  type PlanPoint,
  type SitePoint,
} from '@idle-marker/core';
import { placeOnRoad, type AgainstRoad } from '@idle-marker/records';
import {
  msg,
  cutFillWords,
  moveGradeWords,
  readStation,
  offsetWords,
  stationText,
  gradeWords,
} from '@idle-marker/words';
import { useStationStyle, type SiteRoad } from '../../site/useRoads.ts';
import { useRemembered } from '../../site/useRemembered.ts';
import { useUnits } from '../../field/useUnits.ts';

export interface StationGoal {
  readonly text: string;
  setText(text: string): void;
  /** Distances along the line that show what was typed: none, one, or several where the stations overlap. */
  readonly found: readonly { readonly station: Metres; readonly region: number }[];
  readonly chosen: number;
  choose(i: number): void;
  /** Without equations; null while there is none. */
  readonly station: Metres | null;
  readonly string: string;
  setString(string: string): void;
  readonly gradeString: string;
  setGradeString(string: string): void;
  readonly off: string;
  setOff(off: string): void;
  readonly isOffset: boolean;
  switchOffset(on: boolean): void;
  readonly side: 'right' | 'left';
  setSide(side: 'right' | 'left'): void;
  readonly interval: string;
  setInterval(interval: string): void;
  readonly place: (PlanPoint & { readonly z: Metres | null; readonly offset: Metres }) | null;
  /** What is wrong with the station that was typed. */
  readonly fault: string | null;
  goTo(station: Metres): void;
  /** To the next round station ahead (1) or back (-1); null while there is nowhere to go. */
  readonly step: ((way: 1 | -1) => void) | null;
  /** The way from a place to the goal, along the line and to its right; null without one. */
  readonly way: ((against: AgainstRoad | null) => { readonly ahead: Metres; readonly right: Metres } | null) | null;
  /** The same in a sentence. */
  readonly move: ((at: SitePoint, against: AgainstRoad | null) => string | null) | null;
}

const WITHIN: Metres = 0.005;

/** A figure with its unit; feet and inches carry theirs, and “on grade” has none. */
export const withUnit = (words: string, unit: string): string => (/\d$/.test(words) ? `${words} ${unit}` : words);

export function useStationGoal(active: SiteRoad | null): StationGoal {
  const units = useUnits();
  const style = useStationStyle();
  const of = `road ${active?.id ?? ''}`;
  const [text, setText] = useRemembered(`${of} station`, '');
  const [chosen, choose] = useState(0);
  const [string, setString] = useRemembered<string>(`${of} string`, CENTRELINE);
  /** The string itself until another is chosen. */
  const [gradeString, setGradeString] = useRemembered<string | null>(`${of} grade`, null);
  const [off, setOff] = useRemembered(`${of} offset`, '');
  /** The offset can be switched off for the line itself, and on again, without being typed anew. */
  const [isOffset, switchOffset] = useRemembered<boolean>(`${of} with offset`, true);
  const [side, setSide] = useRemembered<'right' | 'left'>(`${of} side`, 'right');
  const [interval, setInterval] = useRemembered(`${of} interval`, style.unit === 'metre' ? '10' : '25');
  const road = active?.road ?? null;
  const read = text.trim() === '' ? null : readStation(text, style);
  const found = useMemo(() => (road && read !== null ? stationsShown(road.alignment, read) : []), [road, read]);
  const station = found[Math.min(chosen, found.length - 1)]?.station ?? null;
  const has = (name: string) => road?.template.strings.has(name) ?? false;
  const onString = has(string) ? string : CENTRELINE;
  const onGrade = gradeString !== null && has(gradeString) ? gradeString : onString;
  const offRead = off.trim() === '' ? 0 : units.readLength(off);
  const extraOffset = !isOffset ? 0 : offRead === null ? null : side === 'right' ? offRead : -offRead;
  const place = useMemo(() => {
    if (!road || station === null || extraOffset === null) return null;
    const design = placeOnRoad(road, { station, string: onString, extraOffset });
    return (
      design && {
        e: design.e,
        n: design.n,
        offset: design.offset,
        z: placeOnRoad(road, { station, string: onGrade })?.z ?? null,
      }
    );
  }, [road, station, onString, onGrade, extraOffset]);
  const stepBy = units.readLength(interval);
  const goTo = (to: Metres) => {
    if (!road) return;
    const { displayed } = displayedStation(road.alignment, to);
    setText(stationText(displayed, style).replace('−', '-'));
    const among = stationsShown(road.alignment, displayed);
    choose(
      Math.max(
        0,
        among.findIndex((each) => Math.abs(each.station - to) < 0.001),
      ),
    );
  };
  const way =
    !place || station === null
      ? null
      : (against: AgainstRoad | null) =>
          against && 'station' in against.nearest
            ? { ahead: station - against.nearest.station, right: place.offset - against.nearest.offset }
            : null;
  const fault =
    text.trim() === ''
      ? null
      : read === null
        ? msg('road.writeItAsOrAsAPlain', {
            station: stationText(style.unit === 'metre' ? 123.4 : 123.4 * METRES_PER_UNIT[style.unit], style, 2),
          })
        : found.length === 0
          ? msg('road.noPlaceOfThisLineHasThat')
          : null;
  return {
    text,
    setText: (next) => {
      setText(next);
      choose(0);
    },
    found,
    chosen,
    choose,
    station,
    string: onString,
    setString,
    gradeString: onGrade,
    setGradeString,
    off,
    setOff,
    isOffset,
    switchOffset,
    side,
    setSide,
    interval,
    setInterval,
    place,
    fault,
    goTo,
    step:
      !road || stepBy === null || !(stepBy > 0)
        ? null
        : (way) => {
            const { alignment } = road;
            const from = station ?? (way > 0 ? alignment.startStation - 1e-6 : alignment.endStation + 1e-6);
            const { displayed } = displayedStation(
              alignment,
              Math.min(Math.max(from, alignment.startStation), alignment.endStation),
            );
            const steps = displayed / stepBy;
            const next = (way > 0 ? Math.floor(steps + 1e-6) + 1 : Math.ceil(steps - 1e-6) - 1) * stepBy;
            const to = from + (next - displayed);
            // Where the stations jump in between, the jump itself comes next.
            const jump = alignment.equations
              .map(({ at }) => at)
              .find((at) => (way > 0 ? at > from + 1e-6 && at < to : at < from - 1e-6 && at > to));
            goTo(Math.min(Math.max(jump ?? to, alignment.startStation), alignment.endStation));
          },
    way,
    move: !place
      ? null
      : (at, against) => {
          const left = way?.(against);
          if (!left) return null;
          const { ahead, right } = left;
          const height =
            at.z === null || place.z === null
              ? ''
              : msg('road.to2', {
                  withUnit: withUnit(cutFillWords(at.z - place.z, units.lengthUnit), units.unit),
                  grade: gradeWords(onGrade),
                });
          const along = `${units.length(Math.abs(ahead))} ${units.unit} ${ahead >= 0 ? 'ahead' : 'back'}`;
          const across = offsetWords(right, units.lengthUnit);
          return `${moveGradeWords()[moveGrade(Math.hypot(ahead, right), WITHIN)]}: ${along}, ${across === 'on the line' ? msg('road.noneAcross') : across}${height}`;
        },
  };
}
