/** What is drawn to set out from, what is set, what stands, and what is handed over. */
import { formatSigned } from '@idle-marker/core';
import { ALIGNMENT_KIND, AREA_KIND, cutFillWords, FACE_EDGE, roadPlaceWords } from '@idle-marker/words';
import type { Fact } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

function alignmentSaid({ body }: Fact<'alignment'>, { length }: Book): string {
  const { name, kind, elements, source, shift, retired, supersedes } = body;
  const what = retired ? 'taken off the list' : supersedes ? 'changed' : 'taken';
  return `${ALIGNMENT_KIND[kind]} ${name} ${what}: ${elements.length} ${elements.length === 1 ? 'element' : 'elements'}, from ${source}${shift === 0 ? '' : `; shifted ${length(Math.abs(shift))} to the ${shift > 0 ? 'right' : 'left'}`}`;
}

function gridSaid({ body: { name, letters, numbers, retired, supersedes } }: Fact<'grid'>): string {
  const span = [letters, numbers].map(({ labels }) => (labels.length === 1 ? labels[0]! : `${labels[0]!} to ${labels.at(-1)!}`)).join(' by ');
  return `Grid ${name} ${retired ? 'taken off the plan' : `${supersedes ? 'revised' : 'drawn'}: ${span}`}`;
}

function markSaid({ body }: Fact<'mark'>, { state, length }: Book): string {
  const { name, state: markState, dEMm, dNMm, hubZ, cutFill } = body;
  const off = `off E ${formatSigned(dEMm, 0)} mm, N ${formatSigned(dNMm, 0)} mm`;
  return `${name} ${markState}, ${off}${hubZ === null ? '' : `, hub ${length(hubZ)}, ${cutFillWords(cutFill, state.settings.lengthUnit)}`}`;
}

function againstSaid({ body: { against } }: Fact<'asBuilt'>, { length, plan, stationStyle }: Book): string {
  switch (against?.kind) {
    case 'face':
      return `face of column ${against.line}-${against.crossing}, ${FACE_EDGE[against.edge]}, ${against.level}`;
    case 'line':
      return `against ${against.name}`;
    case 'surface':
      return `against the surface ${against.name}${against.z === null ? ', off it' : `, ${length(against.z)} there`}`;
    case 'plan':
      return `against the design of ${plan(against.package, against.key)}`;
    case 'road':
      return `along ${against.name} at ${roadPlaceWords(against.displayed, against.offset, stationStyle)}${against.slope ? `, where its ${against.slope.kind} is caught` : ''}`;
    default:
      return 'as it stands';
  }
}

export const WORK_FACTS: Kinds<'grid' | 'area' | 'alignment' | 'drawing' | 'package' | 'mark' | 'writing' | 'obstruction' | 'asBuilt' | 'handover' | 'report'> =
  {
    grid: { topic: 'site', activity: 'office', thing: ({ grid }) => grid, line: gridSaid },
    area: {
      topic: 'site',
      activity: 'office',
      thing: ({ area }) => area,
      line: ({ body: { name, kind, retired, supersedes } }) =>
        `${AREA_KIND[kind]} ${name} ${retired ? 'is gone' : supersedes ? 'changed on the plan' : 'drawn on the plan'}`,
    },
    alignment: { topic: 'site', activity: 'office', thing: ({ alignment }) => alignment, line: alignmentSaid },
    drawing: {
      topic: 'site',
      activity: 'office',
      thing: ({ drawing }) => drawing,
      line: ({ body: { name, fileName, retired, supersedes, elements } }) =>
        `Drawing ${name} ${retired ? 'is no longer used' : `${supersedes ? 'replaced' : 'taken'}: ${fileName}, ${elements} elements`}`,
    },
    package: {
      topic: 'site',
      activity: 'office',
      line: ({ body: { name, supersedes, plans, crew } }) => `Work package ${name} ${supersedes ? 'revised' : 'made'}: ${plans.length} marks for ${crew}`,
    },
    mark: { topic: 'mark', activity: 'marking', line: markSaid },
    writing: {
      topic: 'mark',
      activity: 'marking',
      line: ({ body }, book) => `The stake of ${book.mark(body.mark)} is written anew: ${body.stakeText.join(' · ')}`,
    },
    obstruction: { topic: 'mark', activity: 'marking', line: ({ body: { name, what } }) => `${name} can’t be set: ${what} in the way` },
    asBuilt: {
      topic: 'mark',
      activity: 'marking',
      line: (fact, book) => {
        const { name, code, place } = fact.body;
        return `${name}${code ? ` (${code})` : ''} measured ${againstSaid(fact, book)}: E ${book.length(place.e)}, N ${book.length(place.n)}, height ${book.length(place.z)}`;
      },
    },
    handover: {
      topic: 'handover',
      activity: 'office',
      isDone: true,
      line: ({ body: { number, revision, marks, withheld } }) =>
        `Cut sheet ${number}, revision ${revision}: ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'}${withheld.length > 0 ? `, ${withheld.length} withheld` : ''}`,
    },
    report: {
      topic: 'mark',
      activity: 'office',
      line: ({ body: { mark, kind, who, text } }, book) =>
        `${book.mark(mark)} is said to be ${kind === 'destroyed' ? 'gone' : 'hit or moved'}${who ? `, by ${who}` : ''}${text ? `: ${text}` : ''}`,
    },
  };
