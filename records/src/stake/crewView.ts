/** What the crew's page shows: the marks of some packages, each with how it is read, as they stand now. */
import {
  planDistance,
  type AngleUnit,
  type LengthUnit,
  type Standing,
  type StakeReading,
  type TrustResult,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { wordingOf, type Wording } from '@idle-marker/words';
import { conventionFor } from './conventions.ts';
import { isForPlan } from '../work/packagePlans.ts';
import { stakeReading } from './stakeReading.ts';
import { twiceAt } from '../work/setTwice.ts';
import { compareNames, markKey, type SiteState } from '../site/state.ts';
import { pointsToFind, type PointToFind } from '../proof/tapeBack.ts';

export interface CrewMark {
  /** The fact of the mark. */
  readonly id: string;
  readonly name: string;
  readonly package: string;
  readonly standing: Standing | 'destroyed';
  readonly reading: StakeReading;
  readonly stakeText: readonly string[];
  readonly written: FactBody<'mark'>['written'] | null;
  readonly photos: readonly { readonly image: string; readonly caption: string }[];
  /** What was said to be wrong with it. */
  readonly report: { readonly kind: 'destroyed' | 'moved'; readonly at: string } | null;
  readonly setAt: string;
}

export interface CrewView {
  readonly site: string;
  readonly unit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly wording: Wording;
  readonly label: string;
  readonly packages: readonly string[];
  readonly languages: readonly string[];
  /** Whom to ask. */
  readonly who: string;
  readonly at: string;
  readonly marks: readonly CrewMark[];
  readonly points: readonly (PointToFind & { readonly package: string })[];
}

export interface CrewAsked {
  readonly label: string;
  /** First revisions of the packages that it is for; all of the site when there is none. */
  readonly roots: readonly string[] | null;
  /** Whom the crew has to ask. */
  readonly who: string;
  readonly at: string;
}

/** The marks of packages that are set, by name, each with how it is read. */
export function crewMarks(state: SiteState, trust: TrustResult, packages: readonly Fact<'package'>[]): CrewMark[] {
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  const marks = packages.flatMap((work) => {
    const root = state.packageRoots.get(work.id)!;
    return work.body.plans.flatMap((plan): CrewMark[] => {
      const mark = state.marks.get(markKey(root, plan.key));
      if (!mark || mark.body.state === 'rough') return [];
      const report = state.reports.get(mark.id) ?? null;
      // What was hit, was set for another plan, or stands there twice in different places, is no more to be built from
      // than what is in doubt.
      const doubtful =
        report?.body.kind === 'moved' ||
        !isForPlan(mark.body, plan) ||
        (twiceAt(state, work, markKey(root, plan.key))?.differ ?? false);
      return [
        {
          id: mark.id,
          name: mark.body.name,
          package: work.body.name,
          standing:
            report?.body.kind === 'destroyed'
              ? 'destroyed'
              : doubtful
                ? 'inDoubt'
                : (standings.get(mark.id) ?? 'unproven'),
          reading: stakeReading(state, work.body, plan, mark),
          stakeText: mark.body.stakeText,
          written: mark.body.written ?? null,
          photos: (state.photos.get(mark.id) ?? []).map(({ body }) => ({ image: body.image, caption: body.caption })),
          report: report && { kind: report.body.kind, at: report.at },
          setAt: mark.at,
        },
      ];
    });
  });
  return marks.sort((a, b) => compareNames(a.name, b.name));
}

export function crewView(state: SiteState, trust: TrustResult, { label, roots, who, at }: CrewAsked): CrewView {
  const packages = state.packages.filter((work) => roots === null || roots.includes(state.packageRoots.get(work.id)!));
  return {
    site: state.settings.name,
    unit: state.settings.lengthUnit,
    angleUnit: state.settings.angleUnit,
    wording: wordingOf(state.settings),
    label,
    packages: packages.map((work) => work.body.name),
    languages: [...new Set(packages.flatMap((work) => conventionFor(state, work.body).convention.languages))],
    who,
    at,
    marks: crewMarks(state, trust, packages),
    points: packages.flatMap((work) =>
      pointsToFind(state, trust, work).map((point) => ({ ...point, package: work.body.name })),
    ),
  };
}

const SAME_POINT = 0.001;

/**
 * The point that a mark leads to. Two things of a package may each have a corner A, so its place has to be the same
 * too.
 */
export const pointOfMark = (
  { points }: CrewView,
  { package: work, reading }: CrewMark,
): CrewView['points'][number] | null =>
  points.find(
    (each) =>
      each.package === work && each.corner === reading.to && planDistance(each.point, reading.design) < SAME_POINT,
  ) ?? null;
