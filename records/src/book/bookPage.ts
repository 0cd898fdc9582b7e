/**
 * Pages of the field book as data: of one placing of the instrument, and of one day. Every figure is as it was kept;
 * what was put right later stands beside what it was. Metres, decimal degrees and millimetres.
 */
import { reduceReading, type Metres, type TrustResult } from '@idle-marker/core';
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import { msg, stationNotices, standingWords, type ProofFigures, conditionWords } from '@idle-marker/words';
import { factOf } from '../facts/book.ts';
import { bookLine } from './bookLine.ts';
import { checkSentences, goodToOf } from '../station/checked.ts';
import { judgedThen, type JudgedThen } from '../station/judgedThen.ts';
import { memberName } from '../stake/cutSheet.ts';
import { activityTimes, dayOf, type ActivityTime } from './diary.ts';
import { precisionOf, readingOf, reductionOf } from '../station/observations.ts';
import { rawSightsOf } from './rawSights.ts';
import { factsOfOccupation, setupPage, type UsedMark } from './setupPage.ts';
import type { SiteState } from '../site/state.ts';
import { stationsOnPaper } from '../stake/stationsOnPaper.ts';
import { inMmOrNull } from '../site/stored.ts';

export interface BookSight {
  readonly at: string;
  readonly by: string;
  readonly purpose: FactBody<'sight'>['purpose'];
  readonly target: string;
  readonly face: 1 | 2;
  readonly read: FactBody<'sight'>['read'];
  readonly targetHeight: Metres;
  /** What was entered first, where it was put right later. */
  readonly targetHeightWas: Metres | null;
  readonly prismConstantMm: number;
  readonly prismConstantWas: number | null;
  readonly ppm: number;
  /** From the corrected reading: level distance, and rise from the axis of the instrument to the foot of the target. */
  readonly horizontal: Metres | null;
  readonly rise: Metres | null;
  readonly used: string;
  /** Why it does not count any more; null while it does. */
  readonly withdrawn: string | null;
}

export interface BookProof {
  readonly at: string;
  readonly on: string;
  readonly plan: FactBody<'proof'>['plan'];
  readonly height: FactBody<'proof'>['height'];
  /** Measured minus listed. */
  readonly figures: ProofFigures;
  readonly withdrawn: boolean;
}

export interface BookMark {
  readonly at: string;
  readonly name: string;
  readonly package: string;
  readonly state: FactBody<'mark'>['state'];
  readonly dEMm: number;
  readonly dNMm: number;
  readonly hubZ: Metres | null;
  readonly cutFill: Metres | null;
  readonly standing: string;
}

export interface BookDecision {
  readonly at: string;
  readonly by: string;
  readonly station: string;
  readonly verdict: FactBody<'decision'>['verdict'];
  readonly reason: string;
  /** What the judgement said at that moment; null where there was none. */
  readonly judged: JudgedThen | null;
  readonly withdrawn: string | null;
}

export interface BookCorrection {
  readonly at: string;
  readonly by: string;
  readonly text: string;
}

export interface SetupBook {
  readonly name: string;
  readonly by: string;
  readonly from: string;
  readonly to: string;
  readonly closed: boolean;
  readonly instrument: FactBody<'occupation'>['instrument'];
  readonly instrumentHeight: Metres;
  readonly instrumentHeightWas: Metres | null;
  readonly weather: {
    readonly temperatureC: number;
    readonly pressureHPa: number;
    readonly ppm: number;
    readonly ground: string;
    readonly windy: boolean;
  };
  readonly checklist: readonly { readonly step: string; readonly at: string }[];
  readonly control: readonly {
    readonly name: string;
    readonly e: Metres | null;
    readonly n: Metres | null;
    readonly z: Metres | null;
    readonly sdHMm: number | null;
    readonly sdZMm: number | null;
    readonly source: string;
    /** Counted from 1, the oldest. */
    readonly revision: number;
    readonly listedAt: string;
  }[];
  readonly station: {
    readonly e: Metres;
    readonly n: Metres;
    readonly z: Metres | null;
    readonly orientationDeg: number;
    readonly ellipse95Mm: number;
    /** What it was said to be good to, with its doubt; null where nothing bounds it. */
    readonly goodToMm: number | null;
    readonly sdZMm: number | null;
    readonly method: FactBody<'solution'>['method'];
  } | null;
  /** What its own sights check, by the rules of now and of then; empty where nothing was accepted. */
  readonly check: readonly string[];
  /** What has to be read before anybody builds from it, as on every other paper. */
  readonly notices: readonly string[];
  readonly fits: readonly UsedMark[];
  readonly leftOut: readonly string[];
  readonly decisions: readonly BookDecision[];
  /** Proofs that were put off, each with its reason. */
  readonly putOff: readonly BookCorrection[];
  readonly sights: readonly BookSight[];
  readonly proofs: readonly BookProof[];
  readonly marks: readonly BookMark[];
  /** Marks sighted again, fixed directions, and things measured as they stand. */
  readonly measured: readonly BookCorrection[];
  readonly corrections: readonly BookCorrection[];
  readonly remarks: readonly BookCorrection[];
  /** Of the placing, and of the marks that were set from it. */
  readonly photos: readonly {
    readonly at: string;
    readonly of: string;
    readonly image: string;
    readonly caption: string;
  }[];
}

/** The first fact of an id as it was kept, whatever came later. */
const asKept = <T extends AnyFact['type']>(state: SiteState, type: T, id: string) => factOf(state, type, id);

export function setupBook(state: SiteState, trust: TrustResult, occupation: Fact<'occupation'>): SetupBook {
  const page = setupPage(state, occupation);
  const facts = factsOfOccupation(state, occupation.id);
  const raw = rawSightsOf(state, occupation);
  const { instrument, instrumentHeight, temperatureC, pressureHPa, ppm, ground, windy, checklist } = occupation.body;
  const kept = asKept(state, 'occupation', occupation.id);
  const result = page.solution?.fact.body.result ?? null;
  const said = (fact: AnyFact): BookCorrection => ({
    at: fact.at,
    by: memberName(state, fact.by),
    text: bookLine(state, fact).text,
  });
  const revisions = new Map(page.solution?.fact.body.uses.map((use) => [use.control, use.revision]));
  const accepted = page.solution && state.accepted.find((each) => each.fact.id === page.solution!.fact.id);
  const sighted = new Set(
    facts.flatMap((fact) =>
      fact.type === 'sight' && fact.body.target.kind === 'control' ? [fact.body.target.mark] : [],
    ),
  );
  return {
    name: occupation.body.name,
    by: memberName(state, occupation.by),
    from: page.from,
    to: page.to,
    closed: page.closed,
    instrument,
    instrumentHeight,
    instrumentHeightWas: kept && kept.body.instrumentHeight !== instrumentHeight ? kept.body.instrumentHeight : null,
    weather: { temperatureC, pressureHPa, ppm, ground, windy },
    checklist: checklist ?? [],
    control: state.control
      .filter((mark) => sighted.has(mark.id))
      .map((mark) => {
        const revision = mark.revisions.find((each) => each.id === revisions.get(mark.id)) ?? mark.revision;
        const { name, e, n, z, sdHMm, sdZMm, source } = revision.body;
        return {
          name,
          e,
          n,
          z,
          sdHMm,
          sdZMm,
          source,
          revision: mark.revisions.length - mark.revisions.indexOf(revision),
          listedAt: revision.at,
        };
      }),
    station: result &&
      page.solution && {
        e: result.e,
        n: result.n,
        z: result.z,
        orientationDeg: result.orientationDeg,
        ellipse95Mm: result.ellipse95.aMm,
        goodToMm: inMmOrNull(goodToOf(page.solution)),
        sdZMm: result.sdZMm,
        method: page.solution.fact.body.method,
      },
    check: accepted ? checkSentences(state, trust, accepted) : [],
    notices: accepted ? noticesOf(state, trust, accepted.fact.id) : [],
    fits: page.used,
    leftOut: page.leftOut,
    decisions: facts
      .filter((fact): fact is Fact<'decision'> => fact.type === 'decision')
      .map((fact) => decisionOf(state, fact)),
    putOff: facts.filter((fact) => fact.type === 'deferral').map(said),
    sights: facts
      .filter((fact): fact is Fact<'sight'> => fact.type === 'sight')
      .map((fact) => bookSight(state, occupation, fact, raw.sights)),
    proofs: facts.filter((fact): fact is Fact<'proof'> => fact.type === 'proof').map((fact) => proofOf(state, fact)),
    marks: page.marks.map((mark) => markOf(state, trust, mark)),
    measured: page.measured.map(said),
    corrections: facts.filter((fact) => fact.type === 'correction' || fact.type === 'withdrawal').map(said),
    remarks: page.remarks.map(said),
    photos: [
      { id: occupation.id, name: occupation.body.name },
      ...page.marks.map((mark) => ({ id: mark.id, name: mark.body.name })),
    ].flatMap(({ id, name }) =>
      (state.photos.get(id) ?? []).map(({ at, body }) => ({ at, of: name, image: body.image, caption: body.caption })),
    ),
  };
}

/** The sentences that go along with a station on every paper. */
export const noticesOf = (state: SiteState, trust: TrustResult, solution: string): string[] =>
  stationsOnPaper(state, trust, new Set([solution])).flatMap((station) =>
    stationNotices(station, state.settings.lengthUnit),
  );

function decisionOf(state: SiteState, fact: Fact<'decision'>): BookDecision {
  const solution = asKept(state, 'solution', fact.body.solution);
  const withdrawal = state.withdrawn.get(fact.body.solution) ?? state.withdrawn.get(fact.id);
  return {
    at: fact.at,
    by: memberName(state, fact.by),
    station: solution?.body.name ?? 'unknown',
    verdict: fact.body.verdict,
    reason: fact.body.reason,
    judged: judgedThen(state, fact),
    withdrawn: withdrawal?.body.reason ?? null,
  };
}

/** What a kept proof measured. */
export function proofFigures({ result }: FactBody<'proof'>): ProofFigures {
  const figure = (field: string) => (typeof result[field] === 'number' ? result[field] : null);
  return { dEMm: figure('dEMm'), dNMm: figure('dNMm'), dZMm: figure('dZMm') };
}

function proofOf(state: SiteState, { id, at, body }: Fact<'proof'>): BookProof {
  const on =
    body.control === null
      ? (state.directions.find((each) => each.id === body.direction)?.body.name ?? msg('records.aFixedDirection'))
      : (state.control.find((mark) => mark.id === body.control)?.revision.body.name ?? 'unknown');
  return {
    at,
    on,
    plan: body.plan,
    height: body.height,
    figures: proofFigures(body),
    withdrawn: state.withdrawn.has(id),
  };
}

function markOf(state: SiteState, trust: TrustResult, mark: Fact<'mark'>): BookMark {
  const standing = trust.marks.find((each) => each.id === mark.id)?.standing;
  const { name, package: work, dEMm, dNMm, hubZ, cutFill } = mark.body;
  return {
    at: mark.at,
    name,
    package: asKept(state, 'package', work)?.body.name ?? '',
    state: mark.body.state,
    dEMm,
    dNMm,
    hubZ,
    cutFill,
    standing: standing ? standingWords()[standing] : msg('records.setAgainSince'),
  };
}

function bookSight(
  state: SiteState,
  occupation: Fact<'occupation'>,
  kept: Fact<'sight'>,
  raw: ReturnType<typeof rawSightsOf>['sights'],
): BookSight {
  const now = state.sights.get(kept.id) ?? kept;
  const reduced = reduceReading(readingOf(now.body), precisionOf(occupation.body), reductionOf(state.settings));
  const named = raw.find(
    (each) =>
      each.at === kept.at && each.read.circle === kept.body.read.circle && each.read.zenith === kept.body.read.zenith,
  );
  const used = named?.used;
  return {
    at: kept.at,
    by: memberName(state, kept.by),
    purpose: kept.body.purpose,
    target: named?.target.name ?? targetOf(state, kept),
    face: kept.body.face,
    read: kept.body.read,
    targetHeight: now.body.targetHeight,
    targetHeightWas: now.body.targetHeight === kept.body.targetHeight ? null : kept.body.targetHeight,
    prismConstantMm: now.body.prismConstantMm,
    prismConstantWas: now.body.prismConstantMm === kept.body.prismConstantMm ? null : kept.body.prismConstantMm,
    ppm: kept.body.ppm,
    horizontal: reduced.horizontal,
    rise: reduced.heightDifference === null ? null : reduced.heightDifference - now.body.targetHeight,
    used: used ? [used.plan && 'plan', used.height && 'height'].filter(Boolean).join(', ') || 'nothing' : '',
    withdrawn: state.withdrawn.get(kept.id)?.body.reason ?? null,
  };
}

/** A withdrawn sight is in no list of those that count. */
function targetOf(state: SiteState, { body }: Fact<'sight'>): string {
  const { target } = body;
  if (target.kind === 'control')
    return state.control.find((mark) => mark.id === target.mark)?.revision.body.name ?? 'unknown';
  return 'name' in target ? target.name : 'a mark';
}

export interface DayBook {
  readonly site: string;
  /** YYYY-MM-DD in the time zone below. */
  readonly day: string;
  readonly timeZone: string;
  readonly people: readonly string[];
  readonly times: readonly ActivityTime[];
  readonly setups: readonly SetupBook[];
  readonly sheets: readonly {
    readonly at: string;
    readonly number: number;
    readonly revision: number;
    readonly package: string;
    readonly marks: number;
    readonly givenTo: string;
  }[];
  /** Control that was left out or found wrong, and why. */
  readonly rejected: readonly { readonly name: string; readonly why: string }[];
  /** Everything of the day that belongs to no placing of the instrument. */
  readonly entries: readonly BookCorrection[];
  readonly ended: {
    readonly at: string;
    readonly by: string;
    readonly note: string;
    readonly unfinished: string;
  } | null;
}

/** Days on which anything was said or measured, the last first. */
export const daysOf = (state: SiteState, timeZone: string): string[] =>
  [...new Set(state.timeline.map((fact) => dayOf(fact.at, timeZone)))].sort().reverse();

export function dayBook(state: SiteState, trust: TrustResult, day: string, timeZone: string): DayBook {
  const facts = state.timeline.filter((fact) => dayOf(fact.at, timeZone) === day);
  const setups = state.occupations.filter((occupation) =>
    factsOfOccupation(state, occupation.id).some((fact) => dayOf(fact.at, timeZone) === day),
  );
  const inSetups = new Set(
    setups.flatMap((occupation) => factsOfOccupation(state, occupation.id).map((fact) => fact.id)),
  );
  const books = setups.map((occupation) => setupBook(state, trust, occupation));
  const ended = facts.findLast(
    (fact): fact is Fact<'dayEnd'> => fact.type === 'dayEnd' && fact.body.day === day && !state.withdrawn.has(fact.id),
  );
  return {
    site: state.settings.name,
    day,
    timeZone,
    people: [...new Set(facts.map((fact) => memberName(state, fact.type === 'member' ? fact.id : fact.by)))],
    times: activityTimes(facts),
    setups: books,
    sheets: facts
      .filter((fact): fact is Fact<'handover'> => fact.type === 'handover')
      .map((fact) => {
        const work = asKept(state, 'package', fact.body.package);
        const { number, revision, marks, givenTo } = fact.body;
        return {
          at: fact.at,
          number,
          revision,
          package: work?.body.name ?? '',
          marks: marks.length,
          givenTo: givenTo ?? work?.body.crew ?? '',
        };
      }),
    rejected: rejectedControl(facts, books),
    entries: facts
      .filter((fact) => !inSetups.has(fact.id) && !['sight', 'handover', 'member', 'dayEnd'].includes(fact.type))
      .map((fact) => ({ at: fact.at, by: memberName(state, fact.by), text: bookLine(state, fact).text })),
    ended: ended
      ? { at: ended.at, by: memberName(state, ended.by), note: ended.body.note, unfinished: ended.body.unfinished }
      : null,
  };
}

/** Marks that a station was found without, and those that were called doubtful or lost that day. */
function rejectedControl(facts: readonly AnyFact[], setups: readonly SetupBook[]): DayBook['rejected'] {
  const left = setups.flatMap((setup) =>
    setup.leftOut.map((name) => ({ name, why: msg('records.leftOutOf', { name: setup.name }) })),
  );
  const rated = facts.flatMap((fact) =>
    fact.type === 'control' && (fact.body.condition === 'doubtful' || fact.body.condition === 'lost')
      ? [
          {
            name: fact.body.name,
            why: `${conditionWords()[fact.body.condition]}${fact.body.note ? `: ${fact.body.note}` : ''}`,
          },
        ]
      : [],
  );
  return [...left, ...rated];
}
