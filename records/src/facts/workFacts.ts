/** What is drawn to set out from, what is set, what stands, and what is handed over. */
import {
  msg,
  alignmentKindWords,
  areaKindWords,
  cutFillWords,
  offAxesNamed,
  faceEdgeWords,
  roadPlaceWords,
} from '@idle-marker/words';
import type { Fact } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

function alignmentSaid({ body }: Fact<'alignment'>, { length }: Book): string {
  const { name, kind, elements, source, shift, retired, supersedes } = body;
  const what = retired ? msg('book.takenOffTheList') : supersedes ? 'changed' : 'taken';
  return msg('book.from', {
    alignmentKind: alignmentKindWords()[kind],
    name,
    what,
    elements: elements.length,
    source,
    shift:
      shift === 0
        ? ''
        : msg('book.shiftedToThe', { length: length(Math.abs(shift)), shift: shift > 0 ? 'right' : 'left' }),
  });
}

function gridSaid({ body: { name, letters, numbers, retired, supersedes } }: Fact<'grid'>): string {
  const span = [letters, numbers]
    .map(({ labels }) =>
      labels.length === 1 ? labels[0]! : msg('book.to', { labels: labels[0]!, labels2: labels.at(-1)! }),
    )
    .join(' by ');
  return msg('book.grid', {
    name,
    retired: retired ? msg('book.takenOffThePlan') : `${supersedes ? 'revised' : 'drawn'}: ${span}`,
  });
}

function markSaid({ body }: Fact<'mark'>, { state, length }: Book): string {
  const { name, state: markState, dEMm, dNMm, hubZ, cutFill } = body;
  const off = msg('book.off', {
    axes: offAxesNamed({ dEMm, dNMm }, state.settings.axisOrder, state.settings.lengthUnit),
  });
  return `${name} ${markState}, ${off}${hubZ === null ? '' : msg('book.hub', { length: length(hubZ), cutFill: cutFillWords(cutFill, state.settings.lengthUnit) })}`;
}

function againstSaid({ body: { against } }: Fact<'asBuilt'>, { length, plan, stationStyle }: Book): string {
  switch (against?.kind) {
    case 'face':
      return msg('book.faceOfColumn', {
        line: against.line,
        crossing: against.crossing,
        faceEdge: faceEdgeWords()[against.edge],
        level: against.level,
      });
    case 'line':
      return msg('book.against', { name: against.name });
    case 'surface':
      return msg('book.againstTheSurface', {
        name: against.name,
        z: against.z === null ? msg('book.offIt') : msg('book.there', { length: length(against.z) }),
      });
    case 'plan':
      return msg('book.againstTheDesignOf', { plan: plan(against.package, against.key) });
    case 'road':
      return msg('book.alongAt', {
        name: against.name,
        roadPlace: roadPlaceWords(against.displayed, against.offset, stationStyle),
        slope: against.slope ? msg('book.whereItsIsCaught', { kind: against.slope.kind }) : '',
      });
    default:
      return msg('book.asItStands');
  }
}

export const WORK_FACTS: Kinds<
  | 'grid'
  | 'area'
  | 'alignment'
  | 'drawing'
  | 'package'
  | 'mark'
  | 'writing'
  | 'obstruction'
  | 'asBuilt'
  | 'handover'
  | 'report'
> = {
  grid: { topic: 'site', activity: 'office', thing: ({ grid }) => grid, line: gridSaid },
  area: {
    topic: 'site',
    activity: 'office',
    thing: ({ area }) => area,
    line: ({ body: { name, kind, retired, supersedes } }) =>
      `${areaKindWords()[kind]} ${name} ${retired ? msg('book.isGone') : supersedes ? msg('book.changedOnThePlan') : msg('book.drawnOnThePlan')}`,
  },
  alignment: { topic: 'site', activity: 'office', thing: ({ alignment }) => alignment, line: alignmentSaid },
  drawing: {
    topic: 'site',
    activity: 'office',
    thing: ({ drawing }) => drawing,
    line: ({ body: { name, fileName, retired, supersedes, elements } }) =>
      msg('book.drawing', {
        name,
        retired: retired
          ? msg('book.isNoLongerUsed')
          : msg('book.elements', { supersedes: supersedes ? 'replaced' : 'taken', fileName, elements }),
      }),
  },
  package: {
    topic: 'site',
    activity: 'office',
    line: ({ body: { name, supersedes, plans, crew } }) =>
      msg('book.workPackageMarksFor', { name, supersedes: supersedes ? 'revised' : 'made', plans: plans.length, crew }),
  },
  mark: { topic: 'mark', activity: 'marking', line: markSaid },
  writing: {
    topic: 'mark',
    activity: 'marking',
    line: ({ body }, book) =>
      msg('book.theStakeOfIsWrittenAnew', { mark: book.mark(body.mark), stakeText: body.stakeText.join(' · ') }),
  },
  obstruction: {
    topic: 'mark',
    activity: 'marking',
    line: ({ body: { name, what } }) => msg('book.cantBeSetInTheWay', { name, what }),
  },
  asBuilt: {
    topic: 'mark',
    activity: 'marking',
    line: (fact, book) => {
      const { name, code, place } = fact.body;
      return msg('book.measuredENHeight', {
        name,
        code: code ? ` (${code})` : '',
        againstSaid: `${againstSaid(fact, book)}${fact.body.positions ? msg('book.planByReceiver') : ''}`,
        place: book.place(place.e, place.n),
        length3: book.length(place.z),
      });
    },
  },
  handover: {
    topic: 'handover',
    activity: 'office',
    isDone: true,
    line: ({ body: { number, revision, marks, withheld } }) =>
      msg('book.cutSheetRevision', {
        number,
        revision,
        marks: marks.length,
        withheld: withheld.length > 0 ? msg('book.withheld', { withheld: withheld.length }) : '',
      }),
  },
  report: {
    topic: 'mark',
    activity: 'office',
    line: ({ body: { mark, kind, who, text } }, book) =>
      msg('book.isSaidToBe', {
        mark: book.mark(mark),
        kind: kind === 'destroyed' ? 'gone' : msg('book.hitOrMoved'),
        who: who ? msg('book.by', { who }) : '',
        text: text ? `: ${text}` : '',
      }),
  },
};
