/** A control mark brought from another site, with what was known of it there. */
import { msg, offAxesNamed, signedSmall, VISIT, worded } from '@idle-marker/words';
import type { AnyFact, FactBody } from '@idle-marker/contract';
import { bookLine } from '../book/bookLine.ts';
import { markHistory, type MarkLook } from '../work/markHistory.ts';
import type { ControlMark, SiteState } from '../site/state.ts';

type Control = FactBody<'control'>;
export interface LifeLine {
  readonly at: string;
  readonly text: string;
}

/** As many as are kept with a mark; of a longer life the newest. */
const MOST_LINES = 200;
const LONGEST_LINE = 300;

const broughtAs = worded(
  () =>
    ({
      used: msg('records.usedBy'),
      leftOut: msg('records.leftOutOf2'),
      proof: msg('records.proofFor'),
      receiver: msg('records.byTheReceiverOf'),
    }) as const,
);
const lookText = ({ as, station, dEMm, dNMm, dZMm }: MarkLook, { axisOrder, lengthUnit }: FactBody<'site'>): string =>
  msg('records.measuredLessListedENHeightMm', {
    as: broughtAs()[as],
    station,
    axes: dEMm === null || dNMm === null ? '–' : offAxesNamed({ dEMm, dNMm }, axisOrder, lengthUnit),
    elevation: dZMm === null ? '–' : signedSmall(dZMm, lengthUnit),
  });

/** Revisions of a mark, looks at it on the ground, and what stations and proofs found, oldest first. */
export function markLife(state: SiteState, mark: ControlMark): LifeLine[] {
  const ofMark = (fact: AnyFact): boolean =>
    (fact.type === 'control' || fact.type === 'visit') && fact.body.mark === mark.id;
  const facts = state.timeline.filter(ofMark).map((fact): LifeLine => ({
    at: fact.at,
    text:
      fact.type === 'visit'
        ? msg('records.onTheGround', {
            visit: VISIT[fact.body.outcome],
            note: fact.body.note ? `; ${fact.body.note}` : '',
          })
        : bookLine(state, fact).text,
  }));
  const looks = markHistory(state, mark.id).map((look): LifeLine => ({
    at: look.at,
    text: lookText(look, state.settings),
  }));
  return [
    ...(mark.revision.body.brought?.history ?? []),
    ...[...facts, ...looks].sort((a, b) => a.at.localeCompare(b.at)),
  ];
}

/**
 * The mark as this site lists it. It keeps its coordinates, uncertainty and source, and carries its life with it; what
 * hangs on records of the other site, such as the station that measured it, is told in the source instead.
 *
 * @param id of the mark on this site
 */
export function broughtControl(
  from: { readonly id: string; readonly state: SiteState },
  mark: ControlMark,
  id: string,
): Control {
  const { settings } = from.state;
  const { parent, ...body } = mark.revision.body;
  const station = parent ? (from.state.accepted.find(({ fact }) => fact.id === parent)?.fact.body.name ?? null) : null;
  const source = [settings.name, body.source, station && msg('records.measuredByStationThere', { station })]
    .filter(Boolean)
    .join(': ');
  return {
    ...body,
    mark: id,
    source: source.slice(0, 200),
    brought: {
      site: from.id,
      siteName: settings.name,
      mark: mark.id,
      history: markLife(from.state, mark)
        .slice(-MOST_LINES)
        .map(({ at, text }) => ({ at, text: text.slice(0, LONGEST_LINE) })),
    },
    supersedes: null,
  };
}

/**
 * What the two sites do not share, so that coordinates may not mean the same place; empty when nothing is known to
 * differ.
 */
export function frameDifferences(
  here: SiteState,
  there: SiteState,
): ('coordinateSystem' | 'heightDatum' | 'combinedScaleFactor')[] {
  return (['coordinateSystem', 'heightDatum', 'combinedScaleFactor'] as const).filter(
    (field) => here.settings[field] !== there.settings[field],
  );
}
