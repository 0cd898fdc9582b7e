/**
 * What a crew reads, in one language: a table to be translated, with no code in it. Figures stand in braces; a table
 * that leaves one out, or a key, does not compile or fails its test.
 */
import type { PointOnMark, StakeConvention, StakeTerm, TransitionOnStake } from '@idle-marker/core';

export interface CrewWords {
  /** BCP 47. */
  readonly code: string;
  /** The language in its own words. */
  readonly name: string;
  readonly cut: string;
  readonly fill: string;
  readonly onGrade: string;
  readonly term: Readonly<Record<StakeTerm, string>>;
  readonly point: Readonly<Record<PointOnMark, string>>;
  readonly carrier: Readonly<Record<StakeConvention['carrier'], string>>;
  /** Lines of a stake. */
  readonly line: {
    readonly noOffset: string;
    readonly offset: string;
    readonly to: string;
    readonly on: string;
    /** On a point that is nothing but its centre. */
    readonly onPoint: string;
    /** On a line carried on beyond its end. */
    readonly beyond: string;
    readonly toLine: string;
    readonly onLine: string;
    readonly partOf: Readonly<Record<'face' | 'back' | 'flowLine', string>>;
    readonly gradeOf: Readonly<Record<'face' | 'back' | 'flowLine', string>>;
    /** The same where the kerb was named already. */
    readonly gradeHere: Readonly<Record<'face' | 'back' | 'flowLine', string>>;
    readonly cutFill: string;
    readonly onGrade: string;
    readonly noHeight: string;
    readonly hubHeight: string;
    readonly designHeight: string;
    readonly squareBack: string;
    readonly squareAhead: string;
    /** A change of a kerb's height at the stake; `length` is how long it is along the line. */
    readonly transition: Readonly<Record<TransitionOnStake['here'], string>>;
    readonly transitionOf: Readonly<Record<TransitionOnStake['part'], string>>;
    readonly insideAngle: string;
    readonly startsAt: string;
    readonly tolerance: string;
    readonly set: string;
  };
  /** How a stake is read. */
  readonly reading: {
    readonly title: string;
    readonly start: Readonly<Record<StakeConvention['carrier'], string>>;
    readonly squareToFace: string;
    readonly alongLine: string;
    readonly straight: string;
    readonly squareToRoad: string;
    /** Sides of a road, seen as its stations go up. */
    readonly side: Readonly<Record<'left' | 'right', string>>;
    readonly inside: string;
    readonly stands: string;
    readonly standsOnString: string;
    readonly lower: string;
    readonly higher: string;
    readonly same: string;
    readonly noHeight: string;
    readonly unusual: string;
    readonly inDoubt: string;
    readonly notProven: string;
    readonly tolerance: string;
    readonly facing: Readonly<Record<StakeConvention['facing'], string>>;
    readonly ribbon: string;
    /** Words on the stake that are others than those of this table. */
    readonly onStake: string;
    /** Colours as the shipped conventions and most people name them in English; others stay as they were typed. */
    readonly colours: Readonly<Record<string, string>>;
    readonly section: string;
    readonly plan: string;
    readonly level: string;
    readonly hub: string;
    readonly ground: string;
  };
  /** A point taped back from two marks. */
  readonly tape: {
    readonly title: string;
    readonly from: string;
    readonly flat: string;
    readonly check: string;
    readonly arcs: string;
    readonly side: Readonly<Record<'left' | 'right', string>>;
    readonly between: string;
    readonly beyond: string;
    readonly weak: string;
    readonly third: string;
    readonly none: string;
    readonly gone: Readonly<Record<'destroyed' | 'moved' | 'inDoubt' | 'notSet', string>>;
  };
  /** The crew's page. */
  readonly page: {
    readonly find: string;
    readonly show: string;
    readonly scan: string;
    readonly nothingFound: string;
    readonly near: string;
    readonly several: string;
    readonly all: string;
    readonly what: string;
    readonly destroyed: string;
    readonly moved: string;
    readonly report: string;
    readonly reported: string;
    readonly remark: string;
    readonly yourName: string;
    readonly cancel: string;
    readonly askFirst: string;
    readonly tape: string;
    readonly ended: string;
    readonly away: string;
    readonly language: string;
    readonly asOf: string;
    readonly written: string;
    readonly sides: Readonly<Record<'front' | 'back' | 'left' | 'right', string>>;
    readonly standing: Readonly<Record<'held' | 'open' | 'unproven' | 'inDoubt' | 'notMeasured' | 'destroyed', string>>;
  };
}
