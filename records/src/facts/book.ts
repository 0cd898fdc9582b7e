/** How lines of the field book call things and write figures. */
import { formatLength, type Metres, type StationFormat } from '@idle-marker/core';
import { msg, unitAbbreviationWords, usualStationFormat } from '@idle-marker/words';
import type { AnyFact, FactBody } from '@idle-marker/contract';
import type { SiteState } from '../site/state.ts';

export interface Book {
  readonly state: SiteState;
  readonly stationStyle: { readonly unit: FactBody<'site'>['lengthUnit']; readonly format: StationFormat };
  length(metres: Metres | null): string;
  /** Both coordinates, in the order of the site. */
  place(e: Metres | null, n: Metres | null): string;
  occupation(id: string): string;
  control(id: string): string;
  solution(id: string): string;
  mark(id: string): string;
  plan(work: string, key: string): string;
  direction(id: string | null | undefined): string;
  target(target: FactBody<'sight'>['target']): string;
  /** What another fact says. */
  says(fact: AnyFact): string;
}

export function bookOf(state: SiteState, says: Book['says']): Book {
  const unit = state.settings.lengthUnit;
  const mark = (id: string) => factOf(state, 'mark', id)?.body.name ?? msg('book.anUnknownMark');
  const names = new Map(state.control.map((each) => [each.id, each.revision.body.name]));
  const control = (id: string) => names.get(id) ?? msg('book.anUnknownMark');
  const plan = (work: string, key: string) =>
    factOf(state, 'package', work)?.body.plans.find((each) => each.key === key)?.name ?? key;
  const length = (metres: Metres | null): string =>
    metres === null ? 'none' : `${formatLength(metres, unit, 3)} ${unitAbbreviationWords()[unit]}`;
  return {
    state,
    stationStyle: { unit, format: state.settings.stationFormat ?? usualStationFormat(unit) },
    length,
    place(e, n) {
      const axes = [`E ${length(e)}`, `N ${length(n)}`];
      return (state.settings.axisOrder === 'EN' ? axes : axes.reverse()).join(', ');
    },
    occupation: (id) => factOf(state, 'occupation', id)?.body.name ?? msg('book.anUnknownStation'),
    control,
    solution: (id) => factOf(state, 'solution', id)?.body.name ?? msg('book.anUnknownStation'),
    mark,
    plan,
    direction: (id) => state.directions.find((each) => each.id === id)?.body.name ?? msg('book.aFixedDirection'),
    target(target) {
      switch (target.kind) {
        case 'control':
          return control(target.mark);
        case 'plan':
          return plan(target.package, target.key);
        case 'mark':
          return mark(target.mark);
        case 'direction':
        case 'spot':
          return target.name;
        case 'line':
          return msg('book.theLine', { from: target.from, to: target.to });
      }
    },
    says,
  };
}

export function factOf<T extends AnyFact['type']>(
  state: Pick<SiteState, 'byId'>,
  type: T,
  id: string,
): Extract<AnyFact, { type: T }> | null {
  const fact = state.byId.get(id);
  return fact?.type === type ? (fact as Extract<AnyFact, { type: T }>) : null;
}
